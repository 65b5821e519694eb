using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;

namespace BrightKettle.Server.Stove;

/// <summary>The cook as it was taken to the stove, and how its plan words it. It is stored as <see cref="StartForm"/>.</summary>
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
    double SaltPercent,
    DateTimeOffset WantedAt,
    IReadOnlyDictionary<string, IReadOnlyList<StepDto>> Steps,
    IReadOnlyList<string> Cautions
)
{
    /// <summary>What counts as right at this table.</summary>
    public Targets Targets =>
        new(
            ClosedSet.Find<Style>(Dish.Style) ?? Style.Moist,
            ClosedSet.Find<PulseTarget>(Dish.PulseTarget),
            ClosedSet.Find<RiceTarget>(Dish.RiceTarget)
        )
        {
            Each = (Dish.Others ?? [])
                .Select(o => (o.PulseId, Target: ClosedSet.Find<PulseTarget>(o.Target)))
                .Where(o => o.Target is not null)
                .ToDictionary(o => o.PulseId, o => o.Target!.Value),
        };

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
            PlanMapper.OrderOf(plan),
            plan.Dish.Rinse,
            plan.Dish.SaltPercent,
            plan.Dish.ServeAt.ToDateTimeOffset(),
            PlanSteps
                .ByAction(plan)
                .GroupBy(s => MomentOf(s.Action))
                .ToDictionary(g => g.Key, g => (IReadOnlyList<StepDto>)[.. g.Select(s => s.Step)]),
            plan.Cautions
        );
    }

    public static StartedCook Read(string payload)
    {
        var s = StartForm.Read(payload);
        return new(
            s.Title,
            DishForms.Read(s.Dish),
            s.PlannedAt,
            CookDocument.Read(s.Cook),
            s.PulseName,
            s.RiceName,
            s.Order,
            s.RiceRinse,
            s.SaltPercent,
            s.WantedAt,
            s.Steps.ToDictionary(m => m.Key, m => (IReadOnlyList<StepDto>)[.. m.Value.Select(Read)]),
            s.Cautions
        );
    }

    public string Json() =>
        new StartForm(
            Title,
            DishForms.Store(Dish),
            PlannedAt,
            Cook.Json(),
            PulseName,
            RiceName,
            Order,
            RiceRinse,
            SaltPercent,
            WantedAt,
            Steps.ToDictionary(m => m.Key, m => (IReadOnlyList<StepForm>)[.. m.Value.Select(Store)]),
            Cautions
        ).Write();

    private static StepForm Store(StepDto s)
    {
        var f = s.Facts;
        return new(
            s.Kind,
            s.At,
            s.Early,
            s.Late,
            new(
                f.Grams,
                f.Millilitres,
                f.Minutes,
                f.Hours,
                f.EveryMinutes,
                f.OverBedCentimetres,
                f.AddMillilitres,
                f.Felt,
                f.Ingredient,
                f.Place,
                f.Drained,
                f.Name,
                f.Pieces,
                f.Count,
                f.Salty,
                f.Others?.Select(o => new PartForm(o.Grams, o.Name)).ToList(),
                f.Blanched
            )
        );
    }

    private static StepDto Read(StepForm s)
    {
        var f = s.Facts;
        return new(
            s.Kind,
            s.At,
            s.Early,
            s.Late,
            new(
                f.Grams,
                f.Millilitres,
                f.Minutes,
                f.Hours,
                f.EveryMinutes,
                f.OverBedCentimetres,
                f.AddMillilitres,
                f.Felt,
                f.Ingredient,
                f.Place,
                f.Drained,
                f.Name,
                f.Pieces,
                f.Count,
                f.Salty,
                f.Others?.Select(o => new PartDto(o.Grams, o.Name)).ToList(),
                f.Blanched
            )
        );
    }
}
