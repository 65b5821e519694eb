using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Practice;

/// <summary>Dinners to practise on in a kitchen as it is, one for each way that it has the pots for.</summary>
public static class ReadyDinners
{
    private sealed record Ready(string Id, string Pulse, double Grams, string? Rice, double RiceGrams, string Soak, string Style)
    {
        public bool Cooker { get; init; }
    }

    private const int People = 4;

    private static readonly Ready[] All =
    [
        new("quick_pot", "lentil_brown", 220, "long_white", 260, "none", "saucy"),
        new("long_night", "chickpea", 300, "brown_basmati", 300, "overnight", "moist"),
        new("thick_soup", "split_pea_yellow", 300, null, 0, "none", "soup"),
        new("hard_boil_first", "kidney_red", 300, null, 0, "overnight", "saucy"),
        new("small_green", "mung_whole", 200, "basmati_unsoaked", 260, "none", "dry"),
        new("under_pressure", "black", 300, "long_white", 300, "none", "moist") { Cooker = true },
    ];

    /// <summary>Those that this kitchen has a pot and a burner for, each for seven in the evening of tomorrow.</summary>
    /// <param name="now">Of their plans.</param>
    public static IReadOnlyList<PracticeReadyDto> In(KitchenState kitchen, PulseCatalogue catalogue, Instant now)
    {
        ArgumentNullException.ThrowIfNull(kitchen);
        ArgumentNullException.ThrowIfNull(catalogue);
        var pot = kitchen.Vessels.Where(v => v.Cooker is null).OrderByDescending(v => v.Brim.Millilitres).FirstOrDefault();
        var cooker = kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind is CookerKind.Weight or CookerKind.Spring or CookerKind.Electric);
        var tomorrow = now.InZone(kitchen.Household.Zone).Date.PlusDays(1);
        return
        [
            .. All.Where(r => pot is not null && kitchen.Burners.Count > 0 && (!r.Cooker || cooker is not null))
                .Where(r => catalogue.FindPulse(r.Pulse) is not null)
                .Select(r => new PracticeReadyDto(
                    r.Id,
                    catalogue.FindPulse(r.Pulse)!.Said,
                    r.Rice is null ? null : catalogue.FindRice(r.Rice)!.Said,
                    new DishDto(
                        r.Pulse,
                        new AmountDto(r.Grams, "g"),
                        r.Rice,
                        r.Rice is null ? null : new AmountDto(r.RiceGrams, "g"),
                        People,
                        r.Soak,
                        r.Style,
                        pot!.Id,
                        null,
                        $"{tomorrow.ToString("uuuu-MM-dd", null)}T19:00",
                        7,
                        Method: r.Cooker ? "pressure" : "open_pot",
                        CookerId: r.Cooker ? cooker!.Id : null
                    ),
                    now.ToDateTimeOffset()
                )),
        ];
    }
}
