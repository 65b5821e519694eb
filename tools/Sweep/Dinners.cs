using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Sweep;

/// <summary>One ordinary wish.</summary>
internal sealed record Dinner(Pulse Pulse, Rice? Rice, Style Style)
{
    public bool Quick => Dinners.Quick.Contains(Pulse.Id);

    public string Name => $"{Pulse.Said}, {Rice?.Said ?? "no rice"}, {Style.ToString().ToLowerInvariant()}";
}

/// <summary>Ordinary wishes in an ordinary kitchen, none chosen to fit: quick and slow pulses × usual rices and none × styles.</summary>
internal static class Dinners
{
    public static readonly IReadOnlyList<string> Quick =
    [
        "lentil_brown",
        "lentil_green",
        "lentil_french",
        "lentil_black",
        "lentil_red_split",
        "mung_whole",
        "mung_split_hulled",
        "toor_split",
        "split_pea_green",
        "black_eyed_pea",
        "adzuki",
        "moth_bean",
    ];

    private static readonly string[] Slow =
    [
        "chickpea",
        "pinto",
        "black",
        "kidney_red",
        "navy",
        "cannellini",
        "pigeon_pea",
        "chana_dal",
        "cowpea_red_brown",
        "urad_whole",
        "lima_large",
        "borlotti",
    ];

    private static readonly string?[] Rices = ["long_white", "basmati_unsoaked", "jasmine", "parboiled", "brown_long", null];

    public static IEnumerable<Dinner> All(PulseCatalogue catalogue) =>
        from pulse in Quick.Concat(Slow)
        from rice in Rices
        from style in Enum.GetValues<Style>()
        select new Dinner(catalogue.FindPulse(pulse)!, rice is null ? null : catalogue.FindRice(rice), style);

    private static readonly Burner Front = new("front", "front", Power.FromWatts(1500), Power.FromWatts(120));
    private static readonly Burner Back = new("back", "back", Power.FromWatts(1500), Power.FromWatts(100));

    private static readonly Household Home = new(
        DateTimeZoneProviders.Tzdb["Europe/Paris"],
        Altitude.FromMetres(50),
        Temperature.FromCelsius(19),
        Temperature.FromCelsius(5),
        new LocalTime(7, 0),
        new LocalTime(23, 0),
        new LocalTime(21, 30),
        false
    );

    private static Vessel Pot(double centimetres, double litres) =>
        new($"pot{centimetres}", $"{centimetres}", Length.FromCentimetres(centimetres), Volume.FromMillilitres(1000 * litres));

    /// <summary>For four or five: dinner at seven, known since the evening before; two burners, three pots, an electric cooker and a slow
    /// one; the bag unknown.</summary>
    public static Dish Dish(Dinner dinner)
    {
        var grams = dinner.Rice is null ? 300 : 200;
        var rice = dinner.Rice is null ? 0 : 300;
        return new Dish(
            dinner.Pulse,
            Mass.FromGrams(grams),
            new Pace(1, 0.28),
            dinner.Rice,
            Mass.FromGrams(rice),
            SoakChoice.None,
            dinner.Style,
            Pot(24, 6),
            [
                Pot(20, 3.5),
                Pot(28, 8),
                new("electric", "electric", Length.FromCentimetres(22), Volume.FromMillilitres(6000)) { Cooker = Cooker.Electric(6000) },
                new("slow", "slow", Length.FromCentimetres(24), Volume.FromMillilitres(6000)) { Cooker = Cooker.SlowPot(6000) },
            ],
            Front,
            Home,
            Home.InstantOf(new LocalDateTime(2026, 11, 25, 19, 0)),
            Home.InstantOf(new LocalDateTime(2026, 11, 24, 20, 0)),
            7
        )
        {
            OtherBurner = Back,
            BurnerCount = 2,
        };
    }
}
