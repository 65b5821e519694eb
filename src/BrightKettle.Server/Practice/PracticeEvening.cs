using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Practice.Dinners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Stove;
using NodaTime;

namespace BrightKettle.Server.Practice;

/// <summary>A practice dinner that is on the table.</summary>
public sealed record ServedDinner(PracticeDinner Dinner, EveningState Evening);

/// <summary>An evening at the stove in a simulated kitchen: told and shown as a real one is, and stored nowhere.</summary>
public sealed class PracticeEvening(DishRequestReader dishes, KitchenState kitchen, TimeProvider clock)
{
    /// <summary>The same for every practice dinner: it is none of the household's.</summary>
    private static readonly Guid NoCook = Guid.Empty;

    /// <summary>A jug has a line each so many mL.</summary>
    private const double JugLine = 10;

    /// <summary>Takes what was told, lets time go on, and looks.</summary>
    /// <param name="asked">Checked.</param>
    /// <param name="plan">Of its dish.</param>
    public PracticeDinnerDto Play(PracticeDinnerAsk asked, Plan plan, PracticeLevel level, Simulator simulator)
    {
        ArgumentNullException.ThrowIfNull(asked);
        ArgumentNullException.ThrowIfNull(plan);
        var house = GateHouse.Of(kitchen.Household);
        var eye = new EveningForecaster(simulator, house);
        var dinner = new PracticeDinner(simulator, plan, asked.Seed, level);
        var now = asked.Now is { } minute ? Instant.FromDateTimeOffset(minute) : plan.Cook.Starts;
        var stored = Take(Begin(asked, plan), asked.Entries ?? [], now).Stored;
        IReadOnlyList<EntryReceipt> receipts = [];
        foreach (var entry in asked.Told ?? [])
        {
            var first = BoilingDown(dinner, stored.Evening, entry, now);
            now = first.Count > 0 ? Instant.FromDateTimeOffset(first[^1].OccurredAt) : now;
            var taken = Take(stored, first.Count > 0 ? first : [entry], now);
            (stored, receipts) = (taken.Stored, [.. receipts, .. taken.Receipts]);
        }

        Interruption? called = null;
        if (stored.Evening.ServedAt is null && (asked.Next || asked.Minutes is > 0))
        {
            (now, called) = dinner.GoOn(stored.Evening, now, asked.Next ? null : asked.Minutes, eye);
        }

        var ahead = eye.Forecast(stored.Evening, now, plan.Dish.Targets);
        return new(
            plan.Dish.Now.ToDateTimeOffset(),
            StoveMapper.Map(stored, ahead, [], kitchen, eye),
            Seen(dinner, stored.Evening, now),
            called is null ? null : new(ClosedSet.Word(called.By), called.At.ToDateTimeOffset(), called.Away.TotalMinutes),
            // What was taken back here is as if it had never been told.
            [.. stored.Told.Where(t => !t.Undone).Select(t => t.Entry)],
            [.. receipts.Where(r => r.Code is not null)],
            null
        )
        {
            Served = stored.Evening.ServedAt is null ? null : new(dinner, stored.Evening),
        };
    }

    /// <summary>By somebody who does what the stove says there.</summary>
    public PlayedDinner Advise(ServedDinner served, Simulator simulator) =>
        new DinnerJudge(simulator, GateHouse.Of(kitchen.Household)).Advise(served.Dinner);

    /// <summary>Opened up.</summary>
    /// <param name="advised">Null where it is not known.</param>
    public PracticeEndDto End(ServedDinner served, PlayedDinner? advised, Simulator simulator) =>
        End(new DinnerJudge(simulator, GateHouse.Of(kitchen.Household)).End(served.Dinner, served.Evening, advised));

    private (StoredEvening Stored, IReadOnlyList<EntryReceipt> Receipts) Take(
        StoredEvening stored,
        IReadOnlyList<StoveEntry> told,
        Instant now
    )
    {
        var (events, receipts) = new EntryValidator(dishes.Catalogue, kitchen, now, (_, _) => [], clock).Read(
            stored,
            told,
            new HashSet<Guid>()
        );
        return (stored.After(stored.Row, events, dishes.Catalogue), receipts);
    }

    /// <summary>Where there is too much liquor for what is to be done, it is boiled down first: the flame up, the lid off, and the time that
    /// this takes. Empty where it is done at once.</summary>
    private static List<StoveEntry> BoilingDown(PracticeDinner dinner, EveningState evening, StoveEntry entry, Instant now)
    {
        if (
            entry is not { Tells: EntryKind.Did, MomentId: { } id, Millilitres: null }
            || evening.Find(id)?.Moment is not { } moment
            || dinner.BoiledDown(evening, moment, now) is not { } down
        )
        {
            return [];
        }

        StoveEntry Before(CookAction action, int number) =>
            EntryReader.Write(
                new Entry.Extra(Guid.Empty, now, action with { In = moment.Lane }),
                EntryValidator.Derived(entry.EventId, number),
                entry.By,
                entry.BasedOn
            );
        return
        [
            Before(new CookAction.Heat(Trigger.Next, Flame.Full), 0),
            Before(new CookAction.Cover(Trigger.Next, Lid.Open), 1),
            entry with
            {
                OccurredAt = down.ToDateTimeOffset(),
            },
        ];
    }

    private static StoredEvening Begin(PracticeDinnerAsk asked, Plan plan)
    {
        var started = StartedCook.Of(asked.Title ?? string.Empty, asked.Dish!, plan);
        return StoredEvening.Begin(
            new CookRow
            {
                Id = NoCook,
                Title = started.Title,
                ServeAt = started.WantedAt,
                Payload = string.Empty,
                ModelVersion = string.Empty,
                ParameterVersion = string.Empty,
                Seed = plan.Cook.Seed,
                ChangedAt = started.PlannedAt,
                StartedAt = plan.Cook.Starts.ToDateTimeOffset(),
                Version = (asked.Entries?.Count ?? 0) + (asked.Told?.Count ?? 0),
            },
            started,
            plan.Cook
        );
    }

    private static PracticeSeenDto Seen(PracticeDinner dinner, EveningState evening, Instant now)
    {
        if (evening.ServedAt is not null)
        {
            return new([], [], []);
        }

        var seen = dinner.See(evening, now);
        var cook = evening.Cook;
        return new(
            [
                .. seen.Pots.Select(p => new PracticePotSeenDto(
                    p.VesselId,
                    cook.Kitchen[cook.Kitchen.IndexOf(p.VesselId)].Vessel.Name,
                    p.Boils,
                    p.Steams,
                    p.Locked,
                    p.BedCentimetres,
                    p.LevelCentimetres,
                    p.LiquorMillilitres is { } liquor ? Math.Round(liquor / JugLine) * JugLine : null,
                    p.HeightCentimetres
                )),
            ],
            [
                .. seen.Hands.Select(h =>
                {
                    var (kind, seed, name) = cook.Ingredients[cook.IndexOf(h.IngredientId)] switch
                    {
                        RiceIngredient rice => ("rice", rice.Rice.Id, rice.Rice.Said),
                        PulseIngredient pulse => ("pulse", pulse.Pulse.Id, pulse.Pulse.Said),
                        var other => throw new InvalidOperationException($"Nobody squeezes {other.Id}."),
                    };
                    return new PracticeHandDto(h.IngredientId, kind, seed, name, ClosedSet.Word(h.Felt), h.ChalkyOfFive);
                }),
            ],
            [.. seen.Signs.Select(s => new PracticeSignDto(s.VesselId, ClosedSet.Word(s.What)))]
        );
    }

    private static PracticeEndDto End(DinnerEnd end) =>
        new(
            Table(end.Yourself),
            end.Advised is { } advised ? Table(advised) : null,
            Math.Round(end.Pace, 2),
            Math.Round(end.Steam, 2),
            Math.Round(end.Flame, 2),
            end.Wanted.Low,
            PracticeEndpoints.Bounded(end.Wanted.High),
            [.. end.Yours.Select(Point)],
            [.. end.Theirs.Select(Point)]
        );

    private static PracticePointDto Point(DinnerPoint p) => new(p.Minutes, p.Pulses, p.Rice, p.BedCentimetres, p.LevelCentimetres);

    private static PracticeTableDto Table(DinnerTable t) =>
        new(
            t.Served.ToDateTimeOffset(),
            t.Spoilt is { } spoilt ? ClosedSet.Word(spoilt) : null,
            t.Score.Forbidden,
            Math.Round(t.Score.Points),
            Math.Round(t.Score.Texture),
            Math.Round(t.Score.Water),
            Math.Round(t.Score.Salt),
            Math.Round(t.Score.Late),
            Math.Round(t.Score.Attention),
            [.. t.Felt.Select(f => new PracticeFeltDto(f.IngredientId, ClosedSet.Word(f.Felt)))]
        );
}
