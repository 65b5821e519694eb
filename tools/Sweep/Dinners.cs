using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Sweep;

/// <summary>One ordinary wish.</summary>
/// <param name="Grams">Of pulses and of rice, dry; null for the usual amounts.</param>
/// <param name="Also">A second pulse, in the same pot; null for none.</param>
/// <param name="Years">Since the harvest.</param>
internal sealed record Dinner(
    Pulse Pulse,
    Rice? Rice,
    Style Style,
    (double Pulse, double Rice)? Grams = null,
    Pulse? Also = null,
    double Years = 0,
    PulseTarget? Target = null
)
{
    public bool Quick => Dinners.Quick.Contains(Pulse.Id);

    public string Name =>
        $"{Pulse.Said}{(Also is null ? "" : $" and {Also.Said}")}{(Target is { } t ? $" ({t.ToString().ToLowerInvariant()})" : "")}{(Grams is { } g ? $" {g.Pulse:0} g" : "")}{(Years > 0 ? $", {Years:0} years old" : "")}, {Rice?.Said ?? "no rice"}{(Rice is not null && Grams is { Rice: var r } ? $" {r:0} g" : "")}, {Style.ToString().ToLowerInvariant()}";
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

    /// <summary>As strangers wish: other pulses, rices and amounts, old bags, two pulses in a pot, salads.</summary>
    public static IEnumerable<Dinner> OfStrangers(PulseCatalogue catalogue)
    {
        Dinner Of(
            string pulse,
            string? rice,
            Style style,
            double grams = 200,
            double riceGrams = 300,
            string? also = null,
            double years = 0,
            PulseTarget? target = null
        ) =>
            new(
                catalogue.FindPulse(pulse)!,
                rice is null ? null : catalogue.FindRice(rice),
                style,
                (grams, rice is null ? 0 : riceGrams),
                also is null ? null : catalogue.FindPulse(also),
                years,
                target
            );
        return
        [
            Of("runner_large", "basmati_unsoaked", Style.Moist, 250, 200),
            Of("runner_large", "medium_white", Style.Saucy, 180, 350),
            Of("flageolet", null, Style.Saucy, 500),
            Of("tepary", "brown_short", Style.Moist, 150, 250),
            Of("horse_gram", null, Style.Soup, 160),
            Of("soybean", "sushi_short", Style.Dry, 120, 240),
            Of("fava_split", null, Style.Soup, 400),
            Of("mung_split_skin", "broken", Style.Soup, 150, 150),
            Of("urad_split_hulled", "long_white", Style.Saucy, 220, 260),
            Of("rice_bean", "red", Style.Moist, 170, 300),
            Of("bambara", "parboiled", Style.Saucy, 300, 300),
            Of("pea_marrowfat", null, Style.Saucy, 350),
            Of("lentil_yellow_split", "parboiled_quick", Style.Saucy, 180, 200),
            Of("small_red", "black", Style.Moist, 200, 200),
            Of("canary", "arborio", Style.Saucy, 150, 200),
            Of("pink", "spanish_short", Style.Moist, 200, 250),
            Of("chickpea", "long_white", Style.Moist, 250, 250, years: 4),
            Of("black", null, Style.Soup, 300, years: 6),
            Of("lentil_brown", "brown_long", Style.Dry, 200, 200, years: 3),
            Of("chickpea", "long_white", Style.Saucy, 150, 250, also: "lentil_green"),
            Of("pinto", null, Style.Soup, 200, also: "split_pea_yellow"),
            Of("lentil_french", null, Style.Dry, 90, target: PulseTarget.Firm),
            Of("cowpea_red_brown", null, Style.Moist, 250, target: PulseTarget.Firm),
            Of("great_northern", "jasmine", Style.Saucy, 700, 400),
        ];
    }

    /// <summary>Drawn by lot: any pulse, rice or none, amounts, style and age of the bag, by nobody's choice; the same each time.</summary>
    /// <param name="seed">Of another draw, for dinners that nothing was ever mended by.</param>
    public static IEnumerable<Dinner> ByLot(PulseCatalogue catalogue, int count, int seed = 20261129)
    {
        var lot = new Random(seed);
        for (var i = 0; i < count; i++)
        {
            var rice = lot.Next(4) == 0 ? null : catalogue.Rices[lot.Next(catalogue.Rices.Count)];
            yield return new(
                catalogue.Pulses[lot.Next(catalogue.Pulses.Count)],
                rice,
                (Style)lot.Next(4),
                (10 * lot.Next(9, 51), rice is null ? 0 : 10 * lot.Next(12, 41)),
                Years: lot.Next(5) < 3 ? 0 : lot.Next(1, 7)
            );
        }
    }

    /// <summary>Two of a kind in a pot, drawn by lot: the mixed pots that people cook are mostly such, lentils with lentils, beans with
    /// beans.</summary>
    public static IEnumerable<Dinner> PairsByLot(PulseCatalogue catalogue, int count)
    {
        var lot = new Random(20261130);
        var kinds = catalogue.Pulses.GroupBy(p => p.Kind).Where(g => g.Count() > 1).Select(g => g.ToList()).ToList();
        for (var i = 0; i < count; i++)
        {
            var kind = kinds[lot.Next(kinds.Count)];
            var first = kind[lot.Next(kind.Count)];
            var others = kind.Where(p => p != first).ToList();
            var rice = lot.Next(2) == 0 ? null : catalogue.FindRice(Rices[lot.Next(Rices.Length - 1)]!);
            var second = others[lot.Next(others.Count)];
            // As a dish is read: the one that takes longest leads.
            var (slow, quick) = first.SimmerMinutes(soaked: true) > second.SimmerMinutes(soaked: true) ? (first, second) : (second, first);
            yield return new(slow, rice, (Style)lot.Next(4), (10 * lot.Next(9, 31), rice is null ? 0 : 10 * lot.Next(12, 41)), quick);
        }
    }

    /// <summary>Wishes by lot as somebody has them in the afternoon: pulses in water since some hour or for some hours, stages added, an old
    /// bag, one pot or two. Each with a table for which there is time.</summary>
    public static IEnumerable<Dish> OfTheAfternoon(PulseCatalogue catalogue, int count, int seed = 20261202)
    {
        var lot = new Random(seed);
        var stages = Enum.GetValues<AskedStage>();
        foreach (var dinner in ByLot(catalogue, count, seed))
        {
            var evening = Dish(dinner);
            var asked = evening with
            {
                Now = evening.ServeAt - Duration.FromHours(lot.Next(5, 9)),
                Asked = lot.Next(3) == 0 ? [] : [stages[lot.Next(stages.Length)]],
            };
            RiceCooking rice = dinner.Rice is not null && lot.Next(2) == 0 ? new InItsOwnPot(new(Pot(20, 3), Back)) : new InThePot();
            yield return (lot.Next(4), dinner.Pulse.SoakHours.High > 0) switch
            {
                (0, true) => asked.With(new SoakOfHours(lot.Next(1, 4))).With(rice),
                (_, true) => asked.With(new SoaksAlready(asked.Now - Duration.FromHours(lot.Next(1, 10)), lot.Next(4) == 0)).With(rice),
                _ => asked.With(rice),
            };
        }
    }

    /// <summary>Two dishes of an evening by lot, the second to be had within half an hour of the first; each as it would be asked for alone.</summary>
    public static IEnumerable<(Dish First, Dish Second)> EveningsByLot(PulseCatalogue catalogue, int count, int seed = 20261203)
    {
        var lot = new Random(seed);
        foreach (var pair in ByLot(catalogue, 2 * count, seed).Chunk(2))
        {
            var dishes = pair.Select(d => Dish(d).With(d.Pulse.SimmerUnsoakedMinutes.Middle > 80 ? new OvernightSoak() : new Unsoaked()))
                .ToList();
            yield return (dishes[0], dishes[1] with { ServeAt = dishes[1].ServeAt + Duration.FromMinutes(15 * lot.Next(-2, 3)) });
        }
    }

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
        var (grams, rice) = dinner.Grams ?? (dinner.Rice is null ? (300, 0) : (200, 300));
        return new Dish(
            dinner.Pulse,
            Mass.FromGrams(grams),
            new Pace(1, 0.28),
            dinner.Rice,
            Mass.FromGrams(rice),
            Manner.Usual,
            dinner.Style,
            // A pound of beans wants the large pot.
            grams + rice
            > 650
                ? Pot(28, 8)
                : Pot(24, 6),
            [
                Pot(24, 6),
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
            OtherPulses = dinner.Also is { } also ? [new OtherPulse(also, Mass.FromGrams(grams / 2))] : [],
            Lot = dinner.Years > 0 ? new Lot(dinner.Years, Storage.Cupboard) : Lot.Fresh,
            PulseTarget = dinner.Target,
            OtherBurner = Back,
            Burners = [Front, Back],
            BurnerCount = 2,
        };
    }
}
