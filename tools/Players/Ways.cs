using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Sweep;

namespace BrightKettle.Players;

/// <summary>A way that is played, with the dinners that are cooked so.</summary>
internal sealed record PlayedWay(string Name, Func<Dinner, bool> Cooks, Func<Dish, Dinner, Dish> As);

/// <summary>Six ways with rice, and two without.</summary>
internal static class Ways
{
    private static readonly Burner Back = new("back", "back", Power.FromWatts(1500), Power.FromWatts(100));

    private static readonly CookVessel RicePot = new(
        new Vessel("rice20", "20 cm pot", Length.FromCentimetres(20), Volume.FromMillilitres(3500)),
        Back
    );

    private static Dish Soaked(Dish dish, Dinner dinner) => dinner.Quick ? dish.With(new Unsoaked()) : dish.With(new OvernightSoak());

    private static Dish Locked(Dish dish) =>
        dish.With(new UnderPressure(dish.OtherVessels.First(v => v.Cooker is { UnderPressure: true })));

    public static readonly IReadOnlyList<PlayedWay> All =
    [
        new("one pot, quick pulses, not soaked", d => d.Quick && d.Rice is not null, (x, d) => Soaked(x, d)),
        new("one pot, soaked overnight", d => !d.Quick && d.Rice is not null, (x, d) => Soaked(x, d)),
        new("rice into the drained pulses", d => d.Quick && d.Rice is not null, (x, d) => Soaked(x, d).With(new AfterDraining())),
        new("rice in the measured liquor", d => d.Rice is not null, (x, d) => Soaked(x, d).With(new InTheLiquor())),
        new("pressure, then the rice", d => !d.Quick && d.Rice is not null, (x, d) => Locked(Soaked(x, d))),
        new("rice in its own pot", d => d.Rice is not null, (x, d) => Soaked(x, d).With(new InItsOwnPot(RicePot))),
        new("no rice", d => d.Rice is null, (x, d) => Soaked(x, d)),
        new("no rice, under pressure, not soaked", d => !d.Quick && d.Rice is null, (x, _) => Locked(x.With(new Unsoaked()))),
    ];
}
