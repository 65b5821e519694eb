using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using BrightKettle.Server.Settings;
using BrightKettle.Server.Stove;
using BrightKettle.Server.Work;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>What the invented household cooked in the two months before: a dozen dinners in pots whose bags have paces that nobody
/// knows, each planned by what the ones before had taught. Cooked once, while the page is open already.</summary>
public sealed partial class DemoPast(
    IServiceScopeFactory scopes,
    PulseCatalogue catalogue,
    WorkScheduler queue,
    TimeProvider clock,
    IOptions<KettleOptions> options,
    ILogger<DemoPast> log
) : BackgroundService
{
    /// <summary>A bag, with the pace of which the household knows nothing, and when it was bought.</summary>
    private sealed record HiddenBag(string Id, string FoodId, string Name, double Grams, double Pace, int BoughtDaysAgo);

    private sealed record PastDinner(string Title, int DaysAgo, string BagId, string? Rice, string Soak, string Style, string Vessel);

    private static readonly HiddenBag[] Bags =
    [
        new("bag-chickpea", "chickpea", "", 340, 0.74, 70),
        new("bag-pinto-market", "pinto", "Market stall", 640, 1.22, 64),
        new("bag-lentil-french", "lentil_french", "", 220, 1.02, 58),
        new("bag-chickpea-tall-jar", "chickpea", "Tall jar", 480, 0.8, 30),
    ];

    private static readonly PastDinner[] Dinners =
    [
        new("First-frost chickpeas", 61, "bag-chickpea", "brown_basmati", "overnight", "dry", "blue-pot"),
        new("Gatepost pintos", 57, "bag-pinto-market", "long_white", "overnight", "saucy", "blue-pot"),
        new("Rainy-day lentils", 52, "bag-lentil-french", "long_white", "none", "moist", "blue-pot"),
        new("Lamplight chickpeas", 47, "bag-chickpea", "brown_basmati", "overnight", "dry", "blue-pot"),
        new("Gatepost pintos", 43, "bag-pinto-market", "brown_basmati", "overnight", "moist", "blue-pot"),
        new("Kite-day chickpeas", 38, "bag-chickpea", null, "overnight", "saucy", "wide-pot"),
        new("Green gate lentils", 33, "bag-lentil-french", "long_white", "none", "moist", "wide-pot"),
        new("Ferry pintos", 27, "bag-pinto-market", null, "overnight", "soup", "wide-pot"),
        new("Tall-jar chickpeas", 22, "bag-chickpea-tall-jar", "long_white", "overnight", "saucy", "blue-pot"),
        new("Lamplight chickpeas", 16, "bag-chickpea-tall-jar", "brown_basmati", "overnight", "dry", "blue-pot"),
        new("Ferry pintos", 9, "bag-pinto-market", "long_white", "overnight", "saucy", "blue-pot"),
        new("Rainy-day lentils", 4, "bag-lentil-french", null, "none", "soup", "blue-pot"),
    ];

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (options.Value is not { Demo: true, Past: true })
        {
            return;
        }

        await Task.Yield();
        try
        {
            await CookAsync(stoppingToken);
        }
        catch (InvalidOperationException failed)
        {
            // The page works without a past.
            LogFailed(failed);
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "The invented household's past was not cooked to its end.")]
    private partial void LogFailed(Exception why);

    /// <summary>Cooks what is missing of it.</summary>
    public async Task CookAsync(CancellationToken cancel)
    {
        if (!await BuyAsync(cancel))
        {
            return;
        }

        for (var i = 0; i < Dinners.Length; i++)
        {
            await using var scope = scopes.CreateAsyncScope();
            await CookAsync(scope.ServiceProvider, i, cancel);
        }
    }

    private DateTimeOffset DaysAgo(int days) => clock.GetUtcNow().AddDays(-days);

    private const double PulseGrams = 200;

    private const double RiceGrams = 260;

    private const string BrownRice = "brown_basmati";

    /// <summary>As much more as was cooked of each: what the household has now is what is left.</summary>
    /// <returns>Whether this past is to be cooked: a household that has one of its own gets no other.</returns>
    private async Task<bool> BuyAsync(CancellationToken cancel)
    {
        await using var scope = scopes.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<KettleDb>();
        if (await db.Cooks.AnyAsync(c => c.FinishedAt != null, cancel))
        {
            List<string> ids = [.. Bags.Select(b => b.Id)];
            return await db.Bags.CountAsync(b => ids.Contains(b.Id), cancel) == ids.Count;
        }

        foreach (var rice in await db.Bags.Where(b => b.FoodId == BrownRice).ToListAsync(cancel))
        {
            rice.Grams += RiceGrams * Dinners.Count(d => d.Rice == BrownRice);
        }

        foreach (var bag in Bags)
        {
            var row = await db.Bags.SingleOrDefaultAsync(b => b.Id == bag.Id, cancel);
            if (row is null)
            {
                db.Bags.Add(
                    row = new BagRow
                    {
                        Id = bag.Id,
                        FoodId = bag.FoodId,
                        Name = bag.Name,
                        Storage = ClosedSet.Word(Storage.Cupboard),
                        Grams = bag.Grams,
                    }
                );
            }

            row.Grams += PulseGrams * Dinners.Count(d => d.BagId == bag.Id);
            row.BoughtOn ??= DateOnly.FromDateTime(DaysAgo(bag.BoughtDaysAgo).Date);
        }

        await db.SaveChangesAsync(cancel);
        return true;
    }

    private async Task CookAsync(IServiceProvider services, int number, CancellationToken cancel)
    {
        var db = services.GetRequiredService<KettleDb>();
        var (past, id) = (Dinners[number], new Guid(0x5eed0000 + number, 0, 0x7000, 0x80, 0, 0, 0, 0, 0, 0, 1));
        if (await db.Cooks.AnyAsync(c => c.Id == id, cancel))
        {
            return;
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var bag = Bags.First(b => b.Id == past.BagId);
        var day = kitchen.Household.LocalOf(Instant.FromDateTimeOffset(DaysAgo(past.DaysAgo))).Date;
        var now = kitchen.Household.InstantOf(day.PlusDays(-1).At(new LocalTime(18, 0)));
        var dish = new DishDto(
            bag.FoodId,
            new AmountDto(PulseGrams, "g"),
            past.Rice,
            past.Rice is null ? null : new AmountDto(RiceGrams, "g"),
            4,
            past.Soak,
            past.Style,
            past.Vessel,
            "front",
            LocalTimes.Write(day.At(new LocalTime(19, 0))),
            100 + number,
            BagId: bag.Id
        );
        var mapped = new DishMapper(catalogue, kitchen, now).Map(dish, new FieldFaults())
            ?? throw new InvalidOperationException($"The past dinner {past.Title} is none.");
        var cooked = await queue.RunAsync("past", WorkLength.Quick, simulator => Cooked(simulator, mapped, bag.Pace, number), cancel);
        if (cooked is not var (plan, told))
        {
            throw new InvalidOperationException($"The past dinner {past.Title} cannot be cooked.");
        }

        var journal = new CookJournal(db);
        var at = new Recorder(id, number, now.ToDateTimeOffset());
        var serveAt = mapped.ServeAt.ToDateTimeOffset();
        var saved = await journal.AppendAsync(
            at.Event(CookProjection.Saved, null, SavedDinner.Of(past.Title, dish, plan).Json()),
            past.Title,
            serveAt,
            cancel
        );
        var version = ((Recorded.Done)saved).Cook.Version;
        var started = await journal.AppendAsync(
            at.Event(CookProjection.Started, version, StartedCook.Of(past.Title, DinnerLessons.WithBags(dish, kitchen), plan).Json()),
            past.Title,
            serveAt,
            cancel
        );
        version = ((Recorded.Done)started).Cook.Version;
        var events = told.Select(e =>
                EntryWriter.Write(e, at.NextId(e.At.ToDateTimeOffset()), version, "phone") is var entry
                    ? at.Event(CookProjection.Told, version, new ToldPayload(entry).Json(), entry.EventId, entry.OccurredAt)
                    : throw new InvalidOperationException()
            )
            .Append(at.Event(CookProjection.Finished, version, string.Empty, null, told[^1].At.ToDateTimeOffset().AddMinutes(40)))
            .ToList();
        await journal.TellAsync(id, events, static (_, _) => true, cancel);
        await services.GetRequiredService<DinnerLessons>().LearnAsync(id, cancel);
    }

    private static (Plan Plan, IReadOnlyList<Core.Stove.Entry> Told)? Cooked(Simulator simulator, Dish dish, double pace, int number)
    {
        if (new Planner(simulator).Plan(dish) is not PlanAnswer.Planned { Plan: var plan })
        {
            return null;
        }

        var traits = HiddenPot.Traits(plan.Cook, pace, new Hand(number, 0));
        return new HiddenPot(simulator).Told(plan.Cook, traits, number) is { } told ? (plan, told) : null;
    }

    /// <summary>Events of one dinner, written down when they happened.</summary>
    private sealed class Recorder(Guid cookId, int seed, DateTimeOffset begins)
    {
        private short _events;

        public Guid NextId(DateTimeOffset at) => new((int)at.ToUnixTimeSeconds(), ++_events, 0x7001, 0x80, 0, 0, 0, 0, (byte)seed, 0, 2);

        public CookEvent Event(string kind, long? basedOn, string payload, Guid? id = null, DateTimeOffset? at = null) =>
            new()
            {
                Id = id ?? NextId(at ?? begins),
                CookId = cookId,
                Kind = kind,
                BasedOn = basedOn,
                OccurredAt = at ?? begins,
                RecordedAt = at ?? begins,
                ModelVersion = Simulator.ModelVersion,
                ParameterVersion = PulseCatalogue.ParameterVersion,
                Seed = seed,
                Payload = payload,
            };
    }
}
