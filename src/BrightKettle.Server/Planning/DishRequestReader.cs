using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Data;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>Plans that were asked for just now: a page that pulls on one asks for it many times a second, and two pages for the
/// same.</summary>
public sealed class SharedPlans(WorkScheduler queue) : IDisposable
{
    private const int MostPlans = 32;

    internal SharedWork<string, PlanAnswer> Work { get; } = new(queue, MostPlans, TimeSpan.FromMinutes(5));

    public void Dispose() => Work.Dispose();
}

/// <summary>What was asked for, in this kitchen.</summary>
/// <param name="Dish">Null when the checks have a fault.</param>
public sealed record RequestedDish(DishDto Asked, Dish? Dish, KitchenState Kitchen, FieldFaults Checks)
{
    /// <summary>Other dishes of its evening.</summary>
    public IReadOnlyList<Neighbour> Beside { get; init; } = [];

    /// <summary>What is wrong with it, as an answer.</summary>
    public ProblemHttpResult Problem => KettleProblems.Invalid(Checks);
}

/// <summary>Reads what a request asks for and plans it. Every request that is about a dish goes through here.</summary>
public sealed class DishRequestReader(
    KettleDb db,
    PulseCatalogue catalogue,
    SharedPlans plans,
    RequestWork work,
    IEveningNeighbours neighbours,
    TimeProvider clock
)
{
    /// <summary>The clock as the core takes it.</summary>
    public Instant Now => Instant.FromDateTimeOffset(clock.GetUtcNow());

    public RequestWork Work => work;

    public PulseCatalogue Catalogue => catalogue;

    public Task<KitchenState> KitchenAsync(CancellationToken cancel) => KitchenStore.ReadAsync(db, cancel);

    /// <summary>The dish of a request in the kitchen as it is.</summary>
    /// <param name="checks">Goes on with these; new ones when it is null.</param>
    /// <param name="field">Where the dish stands in the request: a missing one is named by it.</param>
    public async Task<RequestedDish> ReadAsync(DishDto? dish, CancellationToken cancel, FieldFaults? checks = null, string field = "dish")
    {
        checks ??= new();
        var kitchen = await KitchenAsync(cancel);
        if (dish is null)
        {
            checks.Add("request.missing", field);
            return new(null!, null, kitchen, checks);
        }

        return Map(dish, kitchen, Now, checks, await BesideAsync(dish, kitchen, cancel));
    }

    /// <summary>Other dishes of its evening; none where its hour cannot be read, or is none that is planned for.</summary>
    public async Task<IReadOnlyList<Neighbour>> BesideAsync(DishDto dish, KitchenState kitchen, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(dish);
        ArgumentNullException.ThrowIfNull(kitchen);
        return LocalTimes.Read(dish.ServeAtLocal) is { } table && table.Date < LocalDate.FromDateTime(DateTime.MaxValue).PlusDays(-2)
            ? await neighbours.NearAsync(kitchen.Household.InstantOf(table), dish.KeptAs, cancel)
            : [];
    }

    /// <summary>A dish as it would be asked for at a given time.</summary>
    /// <param name="beside">Other dishes of its evening; null where it is past asking for them.</param>
    public RequestedDish Map(
        DishDto dish,
        KitchenState kitchen,
        Instant now,
        FieldFaults checks,
        IReadOnlyList<Neighbour>? beside = null
    ) => new(dish, new DishMapper(catalogue, kitchen, now, beside).Map(dish, checks), kitchen, checks) { Beside = beside ?? [] };

    /// <summary>The answer to a dish as it was asked for, within this minute.</summary>
    /// <param name="asked">With a dish.</param>
    public Task<PlanAnswer> PlanAsync(RequestedDish asked)
    {
        ArgumentNullException.ThrowIfNull(asked);
        var dish = asked.Dish!;
        var kitchen = asked.Kitchen;
        var minute = dish.Now.ToUnixTimeSeconds() / 60;
        var key =
            $"{minute} {dish.ServeAt.ToUnixTimeSeconds()} {JsonSerializer.Serialize(asked.Asked)} {JsonSerializer.Serialize(kitchen.Row)} {string.Join(';', kitchen.Vessels)} {string.Join(';', kitchen.Burners)} {string.Join(';', kitchen.Bags)} {string.Join(';', asked.Beside.Select(Key))}";
        return work.ShareAsync(plans.Work, key, simulator => new Planner(simulator).Plan(dish));
    }

    private static string Key(Neighbour neighbour) =>
        $"{neighbour.Id} {neighbour.Title} "
        + string.Join(
            ',',
            neighbour
                .Pots.Concat(neighbour.Burners)
                .Concat(neighbour.Hands)
                .Select(b => $"{b.Id} {b.From.ToUnixTimeSeconds()} {b.To.ToUnixTimeSeconds()}")
        );

    /// <summary>The plan as the page draws it, or the refusal.</summary>
    public static PlanDto Dto(Plan plan, RequestedDish asked)
    {
        ArgumentNullException.ThrowIfNull(asked);
        return PlanMapper.Map(plan, asked.Asked.People, asked.Kitchen.Row.CupMillilitres, Bag(plan, asked));
    }

    /// <summary>The bag of the pulse that leads; null for what was cooked before, or never dried.</summary>
    private static PlanBagDto? Bag(Plan plan, RequestedDish asked)
    {
        var (dish, pulse) = (plan.Dish, plan.Dish.Pulse.Id);
        if (dish.Method == Method.Cooked || !dish.IsDry)
        {
            return null;
        }

        var named = asked.Asked.PulseId == pulse ? asked.Asked.BagId : asked.Asked.Others?.FirstOrDefault(o => o.PulseId == pulse)?.BagId;
        var bag = asked.Kitchen.BagFor(named, pulse);
        return new(bag?.Id, bag?.Name ?? string.Empty, bag?.Grams, BagMapper.Pace(asked.Kitchen.Paces.Of(bag?.Id, pulse)));
    }
}
