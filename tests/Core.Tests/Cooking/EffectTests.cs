using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>What speeds or slows: each factor is measured between two whole simulations and must lie within the reference's own
/// range.</summary>
public class EffectTests
{
    private const double Dry = 300;
    private const double WaterGrams = 2000;

    /// <summary>Minutes from the boil to tender for a soaked pinto bean in plenty of water.</summary>
    private static double Minutes(
        Extra? extra = null,
        double extraGrams = 0,
        double saltGrams = 0,
        double hardness = 0,
        Lot? lot = null,
        double soakHours = 10,
        double brine = 0,
        double soda = 0,
        double altitude = 0,
        string pulse = "pinto",
        double dry = Dry,
        double extraAfterMinutes = 0,
        double water = WaterGrams
    )
    {
        var ingredients = new List<Ingredient> { Pulse(pulse, dry) with { Lot = lot ?? Lot.Fresh } };
        List<CookAction> actions = [.. soakHours > 0 ? Soak(soakHours, dry, salt: brine, soda: soda) : [], Add("p"), Water(water)];
        if (saltGrams > 0)
        {
            actions.Add(Salt(saltGrams));
        }

        if (extra is not null)
        {
            ingredients.Add(new ExtraIngredient("x", Mass.FromGrams(extraGrams), extra, Temperature.FromCelsius(20)));
            if (extraAfterMinutes == 0)
            {
                actions.Add(Add("x"));
            }
        }

        actions.AddRange([Lid(Core.Cooking.Lid.On), Heat(Flame.Full), Heat(Flame.Lively, Boils())]);
        if (extraAfterMinutes > 0)
        {
            actions.AddRange([new CookAction.Add(After(extraAfterMinutes), "x"), Heat(Flame.Full), Heat(Flame.Lively, Boils())]);
        }

        actions.Add(UntilTender());
        var run = Cook(Kitchens.Pot(24, 6), ingredients, actions, altitude, hardness).Run();
        return run.StalledAt is null ? run.FromBoil() : double.PositiveInfinity;
    }

    private static Extra Extra(string id) => Kitchens.Catalogue.FindExtra(id)!;

    private static double Factor(double changed) => changed / Minutes();

    [Theory]
    [InlineData(150)]
    [InlineData(300)]
    [InlineData(400)]
    public void Hard_water_in_soak_and_pot_is_worse_than_in_the_pot_alone(double hardness)
    {
        // The size is a guess (confidence D); together they stay within what hard water does at most.
        var alone = Minutes(hardness: hardness, soakHours: 0) / Minutes(soakHours: 0);
        var both = Factor(Minutes(hardness: hardness));
        Assert.InRange(both / alone, 1.01, 1.2);
        Assert.True(both <= Kitchens.Model.Constants.Curve("hardness").Range(hardness).High);
    }

    [Theory]
    [InlineData(100, 1.02, 1.15)]
    [InlineData(150, 1.05, 1.25)]
    [InlineData(200, 1.1, 1.35)]
    [InlineData(300, 1.2, 1.7)]
    [InlineData(400, 1.35, 2.2)]
    public void Hard_water_slows(double hardness, double low, double high) =>
        Assert.InRange(Factor(Minutes(hardness: hardness)), low, high);

    [Theory]
    [InlineData(0.4, 0.75, 0.95)]
    [InlineData(1, 0.6, 0.85)]
    [InlineData(2.5, 0.4, 0.7)]
    [InlineData(5, 0.3, 0.6)]
    public void Soda_in_the_pot_speeds(double gramsPerLitre, double low, double high) =>
        Assert.InRange(Factor(Minutes(Extra("soda"), gramsPerLitre * WaterGrams / 1000)), low, high);

    [Theory]
    [InlineData("tomato_tin", 240, 1.15, 1.4)] // one tin of 400 g to 500 g dry beans
    [InlineData("tomato_tin", 480, 1.4, 1.8)] // two tins
    [InlineData("vinegar", 36, 1.4, 2.0)] // 60 mL to 500 g
    [InlineData("tamarind", 24, 1.8, 3)] // 40 g of pulp to 500 g
    public void Acid_at_the_start_slows_as_the_worked_examples_say(string id, double grams, double low, double high) =>
        Assert.InRange(Factor(Minutes(Extra(id), grams)), low * 0.93, high * 1.07);

    [Fact]
    public void Acid_that_goes_in_late_slows_less_than_acid_at_the_start()
    {
        var late = Minutes(Extra("vinegar"), 36, extraAfterMinutes: 35);
        Assert.True(late < Minutes(Extra("vinegar"), 36) - 8);
        Assert.True(late > Minutes());
    }

    [Fact]
    public void A_seed_in_strong_acid_never_softens_and_the_run_says_so()
    {
        var cook = Cook(
            Kitchens.Pot(24, 6),
            [Pulse("pinto", 300), Pots.Extra("citrus_juice", 400)],
            [.. Soak(10, 300), Add("p"), Water(1500), Add("citrus_juice"), Heat(Flame.Full), Heat(Flame.Lively, Boils()), Serve(After(180))]
        );
        var bean = cook.Run().Final[0];
        Assert.True(bean.NeverSoftens);
        Assert.True(bean.Doneness < 60);
    }

    [Fact]
    public void Salt_at_ordinary_strength_hardly_matters()
    {
        // 0.75 % of 2 L: soaked 0.85 to 1.05, unsoaked 0.95 to 1.15 (slower uptake).
        Assert.InRange(Factor(Minutes(saltGrams: 15)), 0.85, 1.05);
        Assert.InRange(Minutes(saltGrams: 15, soakHours: 0) / Minutes(soakHours: 0), 0.95, 1.15);
    }

    [Fact]
    public void Very_salty_liquor_slows() => Assert.InRange(Factor(Minutes(saltGrams: 80)), 1.0, 1.5);

    [Theory]
    [InlineData(2, 1.0, 1.1)]
    [InlineData(5, 1.08, 1.2)]
    [InlineData(10, 1.18, 1.4)]
    [InlineData(20, 1.38, 2)]
    public void Sugar_slows(double percent, double low, double high) =>
        Assert.InRange(Factor(Minutes(Extra("sugar"), percent / (100 - percent) * (WaterGrams + 300))), low, high);

    [Fact]
    public void Molasses_slows_more_than_the_same_sugar()
    {
        var ratio = Minutes(Extra("molasses"), 330) / Minutes(Extra("sugar"), 231);
        Assert.InRange(ratio, 1.2, 2.2);
    }

    [Theory]
    [InlineData(0.01, 0.75, 1.0)]
    [InlineData(0.0175, 0.65, 0.95)]
    public void A_brine_soak_speeds(double salt, double low, double high) => Assert.InRange(Factor(Minutes(brine: salt)), low, high);

    [Theory]
    [InlineData(1)]
    [InlineData(5)]
    public void A_soak_in_soda_speeds(double gramsPerLitre) => Assert.InRange(Factor(Minutes(soda: gramsPerLitre)), 0.6, 0.93);

    [Theory]
    [InlineData(Storage.Cool, 2, 1.0, 1.1)]
    [InlineData(Storage.Cupboard, 1, 1.05, 1.15)]
    [InlineData(Storage.Cupboard, 3, 1.3, 1.8)]
    [InlineData(Storage.Warm, 1, 1.3, 2)]
    [InlineData(Storage.Hot, 0.5, 1.6, 4)]
    public void Age_slows_by_how_it_was_kept(Storage storage, double years, double low, double high) =>
        Assert.InRange(Factor(Minutes(lot: new Lot(years, storage))), low * 0.99, high);

    [Fact]
    public void A_bag_kept_hot_for_years_never_softens() => Assert.True(double.IsPositiveInfinity(Minutes(lot: new Lot(2, Storage.Hot))));

    [Fact]
    public void A_full_soak_shortens_a_simmer_of_common_beans()
    {
        foreach (var id in new[] { "kidney_red", "pinto", "black", "navy", "borlotti" })
        {
            // A full soak of red and black coats takes all of twelve hours.
            Assert.InRange(Minutes(pulse: id, soakHours: 12) / Minutes(pulse: id, soakHours: 0), 0.5, 0.8);
        }
    }

    [Theory]
    [InlineData(0.0175, 0)]
    [InlineData(0, 3)]
    public void A_soak_works_whether_its_water_is_kept_or_not(double salt, double soda)
    {
        double Boils_(double brine, double alkali, bool kept)
        {
            var soak = Soak(10, 300, salt: brine, soda: alkali).ToList();
            return Cook(
                    Kitchens.Pot(24, 6),
                    [Pulse("pinto", 300)],
                    [
                        .. kept ? soak.Take(1) : soak,
                        new CookAction.Add(kept ? After(600) : Trigger.Next, "p"),
                        Water(kept ? 1500 : 2400),
                        Heat(Flame.Full),
                        Heat(Flame.Lively, Boils()),
                        UntilTender(),
                    ]
                )
                .Run()
                .FromBoil();
        }

        var poured = Boils_(salt, soda, kept: false) / Boils_(0, 0, kept: false);
        var kept = Boils_(salt, soda, kept: true) / Boils_(0, 0, kept: true);
        Assert.InRange(poured, 0.5, 0.93);
        // What is kept works on in the pot: soda as soda in the pot does, salt a little.
        Assert.InRange(kept, soda > 0 ? 0.3 : poured - 0.1, soda > 0 ? poured - 0.05 : poured + 0.1);
    }

    [Fact]
    public void All_helpers_together_stay_within_the_cap()
    {
        // Soda 5 g/L (0.42) on a brine soak (0.82) would be 0.34: the cap is 0.35.
        Assert.InRange(Factor(Minutes(Extra("soda"), 10, brine: 0.0175)), 0.34, 0.6);
        // Acid and hard water and age: at most six times, or never.
        var slow = Factor(Minutes(Extra("vinegar"), 40, hardness: 400, lot: new Lot(2, Storage.Cupboard)));
        Assert.True(slow is > 2.5 and <= 6.2 || double.IsPositiveInfinity(slow));
    }

    [Fact]
    public void Hours_at_fifty_to_seventy_degrees_firm_a_bean_for_good()
    {
        // Six hours in blankets from 64 or from 48 °C, then boiled: both drink alike, only the first is firmed, by 1.05 to 1.5.
        double AfterHold(double celsius) =>
            Cook(
                    Kitchens.Pot(24, 6),
                    [Pulse("pinto", 300)],
                    [
                        .. Soak(12, 300),
                        Add("p"),
                        Water(3000, celsius + 4),
                        Lid(Core.Cooking.Lid.Wrapped),
                        new CookAction.Cover(After(360), Core.Cooking.Lid.On),
                        Heat(Flame.Full),
                        Heat(Flame.Lively, Boils()),
                        UntilTender(),
                    ]
                )
                .Run()
                .FromBoil();
        Assert.InRange(AfterHold(64) / AfterHold(48), 1.05, 1.5);
    }

    [Fact]
    public void A_quick_soak_gives_nearly_what_a_night_gives()
    {
        double Uptake(IEnumerable<CookAction> actions) =>
            Cook(Kitchens.Pot(22, 4.5), [Pulse("great_northern", 300)], actions).Run().Final[0].Hydration;
        var quick = Uptake([
            Add("p"),
            Water(1500),
            Lid(Core.Cooking.Lid.On),
            Heat(Flame.Full),
            Heat(Flame.Off, Boils(2.5)),
            Serve(After(60)),
        ]);
        var night = Uptake([.. Soak(12, 300), Add("p"), Serve()]);
        Assert.InRange(quick / night, 0.75, 1.05);
    }
}
