using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>What holds for any kitchen and any valid list of actions.</summary>
public class EngineLaws
{
    private static readonly Gen<Core.Catalogue.Pulse> AnyPulse = Any.Of<Core.Catalogue.Pulse>([.. Kitchens.Catalogue.Pulses]);

    private static readonly Gen<CookAction> AnyDeed = Gen.OneOf(
        Gen.Select(Gen.Double[1, 1500], Gen.Double[0, 100], Gen.Double[0, 1], Gen.Int[0, 40])
            .Select(
                (g, c, ice, m) =>
                    (CookAction)
                        new CookAction.AddWater(After(m), Mass.FromGrams(g), Temperature.FromCelsius(c)) { IceShare = c < 1 ? ice : 0 }
            ),
        Gen.Select(Gen.Double[0, 30], Gen.Int[0, 40]).Select((g, m) => (CookAction)new CookAction.AddSalt(After(m), Mass.FromGrams(g))),
        Gen.Select(Any.Of(Flame.Off, Flame.Lowest, Flame.Gentle, Flame.Lively, Flame.Rolling, Flame.Full, Flame.Warm), Gen.Int[0, 60])
            .Select((f, m) => (CookAction)new CookAction.Heat(After(m), f)),
        Gen.Select(Gen.Enum<Core.Cooking.Lid>(), Gen.Int[0, 30]).Select((l, m) => (CookAction)new CookAction.Cover(After(m), l)),
        Gen.Select(Gen.Double[0, 2500], Gen.Int[0, 40]).Select((g, m) => (CookAction)new CookAction.SetLiquor(After(m), Mass.FromGrams(g))),
        Gen.Select(Gen.Bool, Gen.Int[0, 40]).Select((keep, m) => (CookAction)new CookAction.Drain(After(m), null) { Keep = keep }),
        Gen.Select(Gen.Double[0, 800], Gen.Int[0, 20]).Select((g, m) => (CookAction)new CookAction.PourBack(After(m), Mass.FromGrams(g))),
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 200])
            .Select((s, w) => (CookAction)new CookAction.Thicken(Trigger.Next, Mass.FromGrams(s), Mass.FromGrams(w))),
        Gen.Select(Gen.Double[0, 1], Gen.Int[0, 20]).Select((s, m) => (CookAction)new CookAction.Mash(After(m), "p", s)),
        Gen.Const((CookAction)new CookAction.Stir(Trigger.Next))
    );

    /// <summary>Random pots, cookers, soaks, ingredients and deeds; under pressure for a while where the cooker can.</summary>
    public static readonly Gen<Cook> AnyCook =
        from pulse in AnyPulse
        from rice in Any.Of<Core.Catalogue.Rice>([.. Kitchens.Catalogue.Rices])
        from extra in Any.Of<Core.Catalogue.Extra>([.. Kitchens.Catalogue.Extras])
        from grams in Gen.Double[30, 700]
        from riceGrams in Gen.Double[30, 600]
        from extraGrams in Gen.Double[1, 400]
        from kind in Any.Of<CookerKind?>(null, CookerKind.Weight, CookerKind.Spring, CookerKind.Electric, CookerKind.Slow)
        from soakHours in Gen.Int[0, 14]
        from brine in Gen.Double[0, 0.05]
        from soda in Gen.Double[0, 10]
        from deeds in AnyDeed.List[0, 9]
        from pressureMinutes in Gen.Int[0, 40]
        from quick in Gen.Bool
        from altitude in Gen.Double[-300, 4500]
        from hardness in Gen.Double[0, 600]
        from years in Gen.Double[0, 6]
        from storage in Gen.Enum<Core.Catalogue.Storage>()
        select Build(
            pulse,
            rice,
            extra,
            grams,
            riceGrams,
            extraGrams,
            kind,
            soakHours,
            brine,
            soda,
            deeds,
            pressureMinutes,
            quick,
            altitude,
            hardness,
            new Lot(years, storage)
        );

    private static Cook Build(
        Core.Catalogue.Pulse pulse,
        Core.Catalogue.Rice rice,
        Core.Catalogue.Extra extra,
        double grams,
        double riceGrams,
        double extraGrams,
        CookerKind? kind,
        int soakHours,
        double brine,
        double soda,
        List<CookAction> deeds,
        int pressureMinutes,
        bool quick,
        double altitude,
        double hardness,
        Lot lot
    )
    {
        var vessel = kind is { } k ? Cooker(k, 8) : Kitchens.Pot(26, 9);
        var slow = kind == CookerKind.Slow;
        IEnumerable<CookAction> pressure =
            kind is null || slow || pressureMinutes == 0
                ? []
                :
                [
                    Water(400),
                    new CookAction.Pressurise(Trigger.Next, quick),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Trigger.Once(PotEvent.PressureUp)),
                    Heat(Flame.Off, After(pressureMinutes)),
                    new CookAction.Release(Trigger.Next, quick ? ReleaseKind.Quick : ReleaseKind.Natural),
                    Heat(Flame.Lowest, quick ? Trigger.Next : Trigger.Once(PotEvent.PinDown)),
                ];
        var ingredients = new List<Ingredient>
        {
            new PulseIngredient("p", Mass.FromGrams(grams), pulse, new Pace(1, 0.28)) { Lot = lot },
            new RiceIngredient("r", Mass.FromGrams(riceGrams), rice),
            new ExtraIngredient("x", Mass.FromGrams(extraGrams), extra, Temperature.FromCelsius(15)),
        };
        IEnumerable<CookAction> soak = soakHours == 0 ? [] : Soak(soakHours, grams, salt: brine, soda: soda);
        var allowed = deeds.Where(d => !slow || d is not CookAction.Heat { Flame: not (Flame.Off or Flame.Warm) });
        return Cook(
            vessel,
            ingredients,
            [
                .. soak,
                Add("p"),
                Water(900),
                Heat(slow ? Flame.High : Flame.Full),
                .. pressure,
                Add("x"),
                .. allowed,
                new CookAction.Rinse(Trigger.Next, "r"),
                new CookAction.Add(After(5), "r"),
                Serve(After(20)),
            ],
            altitude,
            hardness
        );
    }

    [Fact]
    public void Every_generated_cook_is_valid() => AnyCook.Sample(cook => CookRules.Check(cook) is null, iter: 200);

    [Fact]
    public void Water_and_salt_balance_to_a_hundredth_of_a_gram_at_every_step_of_any_cook() =>
        AnyCook.Sample(
            cook => Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions { Audit = true }).WorstLedgerError < 0.01,
            iter: 150
        );

    [Fact]
    public void A_seeded_leak_is_found_in_any_cook_that_has_liquor_to_leak() =>
        AnyCook.Sample(
            cook =>
            {
                // A pot that is drained as soon as it is filled has nothing to lose.
                var wet =
                    Kitchens
                        .Model.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true))
                        .Samples.Count(s => s.LiquorMillilitres > 5) >= 3;
                return !wet
                    || Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions { LeakGramsPerSecond = 0.01 }).WorstLedgerError
                        > 0.01;
            },
            iter: 40
        );

    [Fact]
    public void No_state_is_negative_overfull_or_not_a_number_in_any_cook() =>
        AnyCook.Sample(
            cook =>
            {
                var run = Kitchens.Model.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true));
                foreach (var s in run.Samples)
                {
                    if (
                        !(s.Celsius is >= -0.1 and <= 135)
                        || !(s.LiquorMillilitres >= 0)
                        || !double.IsFinite(s.LevelCentimetres)
                        || s.Doneness.Any(d => !(d is >= 0 and < 20_000))
                    )
                    {
                        throw new InvalidOperationException(s.ToString());
                    }
                }

                var pulse = ((PulseIngredient)cook.Ingredients[0]).Pulse;
                return run.Final.All(s => s is { Hydration: >= -1e-6, Swelling: >= 0, SaltGrams: >= -1e-6 })
                    && run.Final[0].Hydration <= pulse.ColdCeiling + 0.01
                    && run.Final[0].Uptake <= pulse.Absorbed.High + 0.02
                    && run.Vessels.All(v => v.LiquorGrams >= 0 && v.SaltGrams >= -1e-6 && v.SteamGrams >= 0);
            },
            iter: 150
        );

    [Fact]
    public void Many_pots_side_by_side_do_as_a_plain_loop_does_to_half_a_percent() =>
        Gen.Select(AnyCook, Any.Of(8, 16))
            .Sample(
                (cook, width) =>
                {
                    var jobs = PotTraits.Many(cook, Kitchens.Model.Constants, 16).Select(t => new PotJob(cook, t)).ToList();
                    var many = Kitchens.Model.RunOnOneCore(jobs, new RunOptions(), width);
                    var plain = Kitchens.Model.RunOnOneCore(jobs, new RunOptions(), 1);
                    static bool Near(double a, double b) => Math.Abs(a - b) <= Math.Max(0.5, 0.005 * Math.Max(Math.Abs(a), Math.Abs(b)));
                    static bool Alike(PotRun a, PotRun b) =>
                        a.StalledAt == b.StalledAt
                        && (a.StalledAt is not null || Near(a.EndSeconds, b.EndSeconds))
                        && a.Final.Zip(b.Final)
                            .All(s => Near(s.First.Doneness, s.Second.Doneness) && Near(100 * s.First.Uptake, 100 * s.Second.Uptake))
                        && Near(a.FinalLiquor, b.FinalLiquor);
                    static string Told(PotRun r) =>
                        $"{r.StalledAt} {(r.StalledAt is null ? r.EndSeconds : 0)} s, {r.FinalLiquor} g, {string.Join(", ", r.Final)}, {string.Join(", ", r.Happenings)}";
                    return many.Zip(plain).FirstOrDefault(p => !Alike(p.First, p.Second)) is { First: { } one, Second: { } other }
                        ? throw new InvalidOperationException($"{Told(one)}\n{Told(other)}")
                        : true;
                },
                iter: 40
            );

    [Fact]
    public void The_same_seed_gives_the_same_answer_on_one_thread_and_on_many()
    {
        var cook = AnyCook.Single();
        var jobs = PotTraits.Many(cook, Kitchens.Model.Constants, 64).Select(t => new PotJob(cook, t)).ToList();
        var many = Kitchens.Model.RunMany(jobs);
        var one = Kitchens.Model.RunOnOneCore(jobs, new RunOptions(), 16);
        Assert.Equal(many.Select(r => r.FinalLiquor), one.Select(r => r.FinalLiquor));
        Assert.Equal(many.SelectMany(r => r.Final), one.SelectMany(r => r.Final));
    }

    private static double Minutes(
        Core.Catalogue.Pulse pulse,
        double soak = 8,
        double altitude = 0,
        double hardness = 0,
        double soda = 0,
        double years = 0
    )
    {
        var cook = Cook(
            Kitchens.Pot(26, 9),
            [
                new PulseIngredient("p", Mass.FromGrams(250), pulse, new Pace(1, 0))
                {
                    Lot = new Lot(years, Core.Catalogue.Storage.Cupboard),
                },
                .. soda > 0.05 ? [Extra("soda", soda)] : Array.Empty<Ingredient>(),
            ],
            [
                .. Soak(soak),
                Add("p"),
                Water(4000),
                .. soda > 0.05 ? [Add("soda")] : Array.Empty<CookAction>(),
                Lid(Core.Cooking.Lid.On),
                Heat(Flame.Full),
                Heat(Flame.Lively, Boils()),
                UntilTender(),
            ],
            altitude,
            hardness
        );
        var run = cook.Run();
        return run.StalledAt is null ? run.FromBoil() : double.PositiveInfinity;
    }

    /// <summary>Looks ten seconds apart: two runs may differ by one of them.</summary>
    private const double Grain = 0.2;

    [Fact]
    public void Hotter_softer_fresher_longer_soaked_and_more_soda_are_never_slower() =>
        Gen.Select(AnyPulse, Gen.Double[0, 2500], Gen.Double[0, 400], Gen.Double[0.5, 10], Gen.Double[0, 4], Gen.Double[0, 4])
            .Sample(
                (pulse, altitude, hardness, soak, soda, years) =>
                {
                    var usual = Minutes(pulse, soak, altitude, hardness, soda, years) + Grain;
                    return Minutes(pulse, soak, altitude * 0.5, hardness, soda, years) <= usual
                        && Minutes(pulse, soak, altitude, hardness * 0.5, soda, years) <= usual
                        && Minutes(pulse, soak + 1.5, altitude, hardness, soda, years) <= usual
                        && Minutes(pulse, soak, altitude, hardness, soda + 2, years) <= usual
                        && Minutes(pulse, soak, altitude, hardness, soda, years * 0.5) <= usual;
                },
                iter: 40
            );

    [Fact]
    public void Nothing_is_allocated_by_a_step()
    {
        // Twice as many hours in the pot, not a byte more: only actions and results allocate.
        long Bytes(double hours)
        {
            var cook = Cook(
                Kitchens.Pot(26, 9),
                [Pulse("pinto", 300), Rice("long_white", 200)],
                [
                    Add("p"),
                    Add("r"),
                    Water(4000),
                    Lid(Core.Cooking.Lid.On),
                    Heat(Flame.Full),
                    Heat(Flame.Gentle, Boils()),
                    Serve(Trigger.Later(Duration.FromHours(hours))),
                ]
            );
            var jobs = new[] { new PotJob(cook, PotTraits.Reference(cook)) };
            Kitchens.Model.RunOnOneCore(jobs, new RunOptions { Heights = false }, 16);
            var before = GC.GetAllocatedBytesForCurrentThread();
            Kitchens.Model.RunOnOneCore(jobs, new RunOptions { Heights = false }, 16);
            return GC.GetAllocatedBytesForCurrentThread() - before;
        }

        Assert.Equal(Bytes(2), Bytes(4));
    }
}
