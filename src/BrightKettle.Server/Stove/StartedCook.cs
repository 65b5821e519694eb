using System.Text.Json;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Stove;

/// <summary>What an event of starting carries: the cook as it was taken to the stove, and how its plan words it.</summary>
/// <param name="PlannedAt">The now of the plan.</param>
/// <param name="Steps">By the moment in which each is done.</param>
public sealed record StartedCook(
    string Title,
    DishDto Dish,
    DateTimeOffset PlannedAt,
    CookDocument Cook,
    string PulseName,
    string? RiceName,
    string Order,
    string? RiceRinse,
    bool MeltingIsWelcome,
    double SaltPercent,
    DateTimeOffset WantedAt,
    IReadOnlyDictionary<string, IReadOnlyList<StepDto>> Steps,
    IReadOnlyList<string> Cautions)
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web);

    public static StartedCook Of(string title, DishDto dish, Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var moments = Moment.Of(plan.Cook.Actions, plan.Cook.Kitchen, 0);
        string MomentOf(int action) => moments.First(m => m.Actions.Any(a => ReferenceEquals(a, plan.Cook.Actions[action]))).Id;
        return new(
            title,
            dish,
            plan.Dish.Now.ToDateTimeOffset(),
            CookWriter.Write(plan.Cook),
            plan.Dish.Pulse.Said,
            plan.Dish.Rice?.Said,
            ClosedSet.Word(plan.Order),
            plan.Dish.Rice?.Rinse,
            plan.Dish.MeltingIsWelcome,
            plan.Dish.SaltPercent,
            plan.Dish.ServeAt.ToDateTimeOffset(),
            PlanSteps.ByAction(plan).GroupBy(s => MomentOf(s.Action)).ToDictionary(g => g.Key, g => (IReadOnlyList<StepDto>)[.. g.Select(s => s.Step)]),
            plan.Cautions);
    }

    public static StartedCook Read(string json) => JsonSerializer.Deserialize<StartedCook>(json, Options)
        ?? throw new InvalidOperationException("The payload of a start is empty.");

    public string Json() => JsonSerializer.Serialize(this, Options);
}

/// <summary>What an event of telling carries.</summary>
/// <param name="Course">For chose: what was chosen, as it was worked out then.</param>
public sealed record ToldPayload(StoveEntry Entry, CourseDocument? Course = null)
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        DefaultIgnoreCondition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingNull,
    };

    /// <summary>Whether two payloads tell the same thing. A course is worked out anew at each try, so it does not count.</summary>
    public static bool TellTheSame(string one, string other) => one == other || (one.Length > 0 && other.Length > 0 && Read(one).Entry == Read(other).Entry);

    public static ToldPayload Read(string json) => JsonSerializer.Deserialize<ToldPayload>(json, Options)
        ?? throw new InvalidOperationException("The payload of an entry is empty.");

    public string Json() => JsonSerializer.Serialize(this, Options);
}
