using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class WaterBalanceTests
{
    private static readonly Gen<Cook> AnyCook =
        from pulse in Any.Of<Core.Catalogue.Pulse>([.. Kitchens.Catalogue.Pulses])
        from rice in Any.Of<Core.Catalogue.Rice>([.. Kitchens.Catalogue.Rices])
        from grams in Gen.Double[50, 800]
        from riceGrams in Gen.Double[50, 800]
        from water in Gen.Double[50, 4000]
        from set in Gen.Double[0, 3000]
        from flame in Any.Of(Flame.Lowest, Flame.Gentle, Flame.Lively, Flame.Rolling, Flame.Full)
        from lid in Gen.Enum<Lid>()
        from minutes in Gen.Int[1, 120]
        from soakHours in Gen.Int[0, 14]
        from diameter in Gen.Double[14, 32]
        from altitude in Gen.Double[0, 3500]
        select new Cook(
            new CookKitchen(Pot(diameter, 8), Burner(), Altitude.FromMetres(altitude), Temperature.FromCelsius(20)),
            [
                new PulseIngredient("p", Mass.FromGrams(grams), pulse, new Pace(1, 0)),
                new RiceIngredient("r", Mass.FromGrams(riceGrams), rice),
            ],
            [
                new CookAction.Soak(Trigger.Next, "p", Mass.FromGrams(grams * 3), Temperature.FromCelsius(20)),
                new CookAction.Drain(Trigger.Later(Duration.FromHours(soakHours)), "p"),
                new CookAction.Add(Trigger.Next, "p"),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(water), Temperature.FromCelsius(20)),
                new CookAction.Cover(Trigger.Next, lid),
                new CookAction.Heat(Trigger.Next, flame),
                new CookAction.SetLiquor(Trigger.Later(Duration.FromMinutes(minutes)), Mass.FromGrams(set)),
                new CookAction.Add(Trigger.Next, "r"),
                new CookAction.Cover(Trigger.Next, Lid.Sealed),
                new CookAction.Heat(Trigger.Later(Duration.FromMinutes(25)), Flame.Off),
                new CookAction.Serve(Trigger.Later(Duration.FromMinutes(10))),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );

    [Fact]
    public void Water_balances_in_two_accounts_at_every_step_of_any_cook() =>
        AnyCook.Sample(
            cook => Model.Run(cook, PotTraits.Reference(cook), new RunOptions { Audit = true }).WorstLedgerError < 0.01,
            iter: 150
        );

    [Fact]
    public void A_leak_of_a_milligram_a_second_is_caught() =>
        AnyCook.Sample(
            cook => Model.Run(cook, PotTraits.Reference(cook), new RunOptions { LeakGramsPerSecond = 0.001 }).WorstLedgerError > 0.01,
            iter: 20
        );

    [Fact]
    public void No_state_is_negative_or_not_a_number_in_any_cook() =>
        AnyCook.Sample(
            cook =>
            {
                var run = Run(cook, sample: true);
                return run.FinalLiquor >= -1e-9
                    && run.Samples.All(s => double.IsFinite(s.Celsius) && s.LiquorMillilitres >= 0 && double.IsFinite(s.LevelCentimetres))
                    && run.Final.All(s => s is { Hydration: >= 0, Swelling: >= 0, Doneness: >= 0 } && double.IsFinite(s.Doneness));
            },
            iter: 80
        );

    [Fact]
    public void What_is_poured_in_is_found_again_in_seeds_liquor_and_steam()
    {
        // 250 g chickpeas in 2500 g water, open pot: liquor left + uptake + steam = 2500 g; steam is what is missing, so it is bounded by
        // the burner.
        var cook = Simmer(Pulse("chickpea"), lid: Lid.Open);
        var run = Run(cook);
        var uptake = run.Final[0].Uptake * 250;
        var steam = 2500 - run.FinalLiquor - uptake;
        var hours = (run.EndSeconds - run.BoilsAt[0]) / 3600;
        Assert.InRange(uptake / 250, 1.1, 1.4);
        // An uncovered lively simmer of a 24 cm pot loses 500 to 1200 mL an hour.
        Assert.InRange(steam / hours, 500, 1200);
    }
}
