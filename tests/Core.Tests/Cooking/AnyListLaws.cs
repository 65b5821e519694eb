using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Random valid lists of actions over a cooker, a pot and a bowl's worth of things: whatever is said, the run ends or says at
/// what it waits, the books balance, and nothing leaves its range.</summary>
public class AnyListLaws(ITestOutputHelper output)
{
    private const string Pot = "side";

    private static readonly CookVessel Side = new(
        new Vessel(Pot, "side pot", Length.FromCentimetres(22), Volume.FromMillilitres(5000)),
        Kitchens.Burner()
    );

    private static Gen<CookAction> Anywhere(Gen<CookAction> deed) =>
        Gen.Select(deed, Gen.Bool, (a, beside) => beside ? a with { In = Pot } : a);

    private static readonly Gen<string> AnyId = Any.Of("p", "tin", "r", "x", "leaf");

    private static readonly Gen<Trigger> AnyTrigger = Gen.Frequency(
        (6, Gen.Const(Trigger.Next)),
        (4, Gen.Int[0, 40].Select(m => After(m))),
        (2, Gen.Int[0, 20].Select(m => Boils(m))),
        (1, Gen.Const(Trigger.Once(PotEvent.PressureUp))),
        (1, Gen.Int[1, 3].Select(n => Trigger.Once(PotEvent.Whistle) with { Count = n })),
        (1, Gen.Const(Trigger.Once(PotEvent.SurfaceDry))),
        (1, AnyId.Select(Gen.Int[0, 150], (id, d) => new Trigger(Look: new Look(id, d, Duration.FromMinutes(4)))))
    );

    private static readonly Gen<CookAction> AnyDeed = Gen.Frequency(
        (4, AnyId.Select(AnyTrigger, (id, t) => (CookAction)new CookAction.Add(t, id))),
        (2, AnyId.Select(AnyTrigger, (id, t) => (CookAction)new CookAction.TakeOut(t, id))),
        (
            4,
            Gen.Select(Gen.Double[0, 2500], Gen.Double[0, 100], AnyTrigger, (g, c, t) =>
                (CookAction)new CookAction.AddWater(t, Mass.FromGrams(g), Temperature.FromCelsius(c))
            )
        ),
        (5, Gen.Enum<Flame>().Select(AnyTrigger, (f, t) => (CookAction)new CookAction.Heat(t, f))),
        (2, Gen.Enum<Lid>().Select(AnyTrigger, (l, t) => (CookAction)new CookAction.Cover(t, l))),
        (1, Gen.Double[0, 30].Select(AnyTrigger, (g, t) => (CookAction)new CookAction.AddSalt(t, Mass.FromGrams(g)))),
        (1, Gen.Double[0, 2000].Select(AnyTrigger, (g, t) => (CookAction)new CookAction.SetLiquor(t, Mass.FromGrams(g)))),
        (1, Gen.Double[-5, 10].Select(AnyTrigger, (cm, t) => (CookAction)new CookAction.TopUp(t, cm, Temperature.FromCelsius(100)))),
        (1, Gen.Double[-5, 6].Select(AnyTrigger, (cm, t) => (CookAction)new CookAction.KeepLevel(t, cm < -4 ? null : cm))),
        (1, AnyTrigger.Select(t => (CookAction)new CookAction.Drain(t, null) { Keep = true })),
        (1, Gen.Double[0, 900].Select(AnyTrigger, (g, t) => (CookAction)new CookAction.PourBack(t, Mass.FromGrams(g)))),
        (1, Gen.Double[0, 1].Select(AnyTrigger, (s, t) => (CookAction)new CookAction.Mash(t, "p", s))),
        (
            3,
            Gen.Select(Gen.Enum<TransferWhat>(), AnyId, AnyTrigger, (what, id, t) =>
                (CookAction)new CookAction.Transfer(t, Pot, what) { IngredientId = what == TransferWhat.Ingredient ? id : null }
            )
        ),
        (
            2,
            Gen.Enum<TransferWhat>()
                .Select(AnyTrigger, (what, t) =>
                    (CookAction)new CookAction.Transfer(t, $"{CookerKind.Weight}", what) { IngredientId = "p", In = Pot }
                )
        )
    );

    /// <summary>What does not begin dry.</summary>
    private static readonly PulseIngredient[] Begun =
    [
        Pulse("black", 150, name: "tin") with
        {
            Start = new SeedStart(Temperature.FromCelsius(20)) { FromTin = true },
        },
        Pulse("black", 150, name: "tin") with
        {
            Start = new SeedStart(Temperature.FromCelsius(-18)),
        },
        Pulse("chickpea", 150, name: "tin") with
        {
            Start = new SeedStart(Temperature.FromCelsius(5), 50),
        },
        Pulse("chickpea", 150, name: "tin") with
        {
            Start = new SeedStart(Temperature.FromCelsius(18), 0, 0.9),
        },
        Pulse("pigeon_pea", 80, name: "tin") with
        {
            Green = true,
            Start = new SeedStart(Temperature.FromCelsius(-18), 0),
        },
    ];

    /// <summary>Of the proposals those that the rules take, in their order; a lid that is locked is opened in the same one.</summary>
    private static Cook Valid(IReadOnlyList<CookAction[]> proposals, double starts)
    {
        var cook = Cook(
            Cooker(CookerKind.Weight, 8),
            [
                Pulse("chickpea", 250),
                Begun[(int)starts % Begun.Length],
                Rice("long_white", 200) with
                {
                    Start = starts % 2 < 1 ? null : new SeedStart(Temperature.FromCelsius(4), 100),
                },
                Extra("onion", 120, name: "x"),
                Extra("leaf", 1, name: "leaf"),
            ],
            [Serve()]
        );
        cook = cook with
        {
            Kitchen = cook.Kitchen with { OtherVessels = [Side], Starts = starts < 60 ? null : Temperature.FromCelsius(starts) },
        };
        var list = new List<CookAction>();
        foreach (var proposal in proposals)
        {
            if (CookRules.Check(cook with { Actions = [.. list, .. proposal, Serve()] }) is null)
            {
                list.AddRange(proposal);
            }
        }

        return cook with
        {
            Actions = [.. list, Serve(After(5))],
        };
    }

    /// <summary>The lid locked, up and open again.</summary>
    private static CookAction[] Locking(ReleaseKind kind, int minutes) =>
        [
            Water(400, 90),
            new CookAction.Pressurise(After(minutes), minutes % 2 == 0),
            Heat(Flame.Full),
            Heat(Flame.Off, Trigger.Once(PotEvent.PressureUp, Duration.FromMinutes(minutes))),
            new CookAction.Release(Trigger.Next, kind),
            new CookAction.Stir(kind == ReleaseKind.Natural ? Trigger.Once(PotEvent.PinDown) : Trigger.Next),
        ];

    private static readonly Gen<CookAction[]> AnyDeeds = Gen.Frequency(
        (14, Anywhere(AnyDeed).Select(a => new[] { a })),
        (1, Gen.Select(Gen.Enum<ReleaseKind>(), Gen.Int[0, 20], Locking))
    );

    private static readonly Gen<Cook> AnyList = Gen.Select(AnyDeeds.List[10, 60], Gen.Double[0, 110], Valid);

    private static string Listed(Cook cook) => string.Join('\n', cook.Actions);

    [Fact]
    public void Every_valid_list_ends_or_says_what_it_waits_for_balances_and_stays_in_range()
    {
        var counts = new System.Collections.Concurrent.ConcurrentDictionary<string, int>();
        void Count(bool when, string what) => counts.AddOrUpdate(what, when ? 1 : 0, (_, n) => n + (when ? 1 : 0));
        AnyList.Sample(
            cook =>
            {
                var run = Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true) { Audit = true });
                Count(cook.Actions.Any(a => a is CookAction.Transfer), "transfers");
                Count(cook.Actions.Any(a => a is CookAction.TakeOut), "taken out");
                Count(cook.Actions.Any(a => a is CookAction.Add { IngredientId: "tin" }), "tins");
                Count(cook.Actions.Count(a => a is CookAction.Pressurise) >= 2, "two lockings");
                Count(cook.Actions.Any(a => a is CookAction.KeepLevel or CookAction.TopUp), "levels");
                Count(cook.Actions.Any(a => a.In == Pot), "second pot");
                Count(run.StalledAt is not null, "stalled");
                Count(run.StalledAt is null, "ended");
                if (run.StalledAt is { } at)
                {
                    // What it waits for is there to be told: an event, a look, or another vessel's step.
                    var waits = cook.Actions[at].Trigger;
                    return (waits.After is not null || waits.Look is not null || waits.AfterStep is not null) && run.Done[at] is null
                        ? true
                        : throw new InvalidOperationException($"Stalled at {at}: {cook.Actions[at]}\n{Listed(cook)}");
                }

                var right =
                    run.WorstLedgerError < 0.01
                    && run.Done[^1] is not null
                    && run.Samples.All(s =>
                        s.Celsius is >= -0.1 and <= 135
                        && s.All.All(v =>
                            v is { LiquorMillilitres: >= 0, Celsius: >= -0.1 and <= 135 } && double.IsFinite(v.LevelCentimetres)
                        )
                        && s.Doneness.All(d => d is >= 0 and < 20_000)
                    )
                    && run.Vessels.All(v => v is { LiquorGrams: >= 0, SaltGrams: >= -1e-6 })
                    && run.Final.All(s => s is { Hydration: >= -1e-6, SaltGrams: >= -1e-6 });
                return right
                    ? true
                    : throw new InvalidOperationException($"{run.WorstLedgerError} g\n{string.Join(", ", run.Vessels)}\n{Listed(cook)}");
            },
            iter: 500
        );
        foreach (var (what, count) in counts)
        {
            output.WriteLine($"{what}: {count}");
        }

        // None is starved.
        Assert.All(["transfers", "taken out", "tins", "two lockings", "levels", "second pot", "stalled", "ended"], what =>
            Assert.True(counts[what] >= 20, $"{what}: {counts[what]}")
        );
    }
}
