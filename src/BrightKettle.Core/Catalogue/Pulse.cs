namespace BrightKettle.Core.Catalogue;

/// <summary>How strongly a pulse is suspected of the lectin that boiling must destroy.</summary>
public enum LectinRisk
{
    Low,
    Medium,
    High,
}

/// <summary>How freely the boiling liquor foams.</summary>
public enum Foam
{
    Low,
    Medium,
    High,
}

/// <summary>One dried pulse of the catalogue: what the tables say and what the fit found.</summary>
/// <remarks>Times are to tender in 95 of 100 seeds, at sea level, in soft water, from stock under a year old. A simmer is counted from
/// the boil.</remarks>
public sealed record Pulse
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>As a household says it, in a title: "Chickpeas".</summary>
    public required string Said { get; init; }

    public required IReadOnlyList<string> Aliases { get; init; }

    /// <summary>bean, lentil, pea or split.</summary>
    public required PulseKind Kind { get; init; }

    /// <summary>Grams of dry seed in a cup of 236.6 mL, heaped loosely and struck off.</summary>
    public required double GramsPerCup { get; init; }

    /// <summary>Grams of cooked, drained seed in a cup of 236.6 mL.</summary>
    public required double CookedGramsPerCup { get; init; }

    /// <summary>The usual soak at room temperature; 0 to 0 when none is usual.</summary>
    public required Span SoakHours { get; init; }

    public required Span SimmerSoakedMinutes { get; init; }

    public required Span SimmerUnsoakedMinutes { get; init; }

    /// <summary>The usual minutes at a simmer, of a bag that was soaked as is usual for it, or was not.</summary>
    public double SimmerMinutes(bool soaked) => (soaked ? SimmerSoakedMinutes : SimmerUnsoakedMinutes).Middle;

    /// <summary>Minutes held at an electric cooker's high, from a cold start, opened after natural release.</summary>
    public required Span PressureSoakedMinutes { get; init; }

    public required Span PressureUnsoakedMinutes { get; init; }

    /// <summary>Hours in a slow cooker that starts with boiling liquid.</summary>
    public required Span SlowHighHours { get; init; }

    public required Span SlowLowHours { get; init; }

    /// <summary>When an unsoaked simmer has made it fall apart; null when the tables do not say.</summary>
    public Span? CollapsedSimmerUnsoakedMinutes { get; init; }

    /// <summary>Water taken up from dry to fully cooked, g per g dry as sold.</summary>
    public required Triple Absorbed { get; init; }

    /// <summary>Most water a cold soak can give, g per g dry as sold.</summary>
    public required double ColdCeiling { get; init; }

    /// <summary>Solids that leave the cooked seed for the liquor, share of the dry seed.</summary>
    public required double SolidsLoss { get; init; }

    /// <summary>First-order hydration rate at 20 °C, per hour.</summary>
    public required Triple HydrationPerHourAt20C { get; init; }

    /// <summary>How long the coat holds water off at 20 °C, hours.</summary>
    public required double LagHoursAt20C { get; init; }

    public required Foam Foam { get; init; }

    /// <summary>1 melts, 5 keeps its shape.</summary>
    public required int HoldsShape { get; init; }

    public required LectinRisk LectinRisk { get; init; }

    /// <summary>It is boiled hard before any gentle heat: for its lectin, or because that is advised of it (broad beans, horse gram).</summary>
    public required bool BoilsFirst { get; init; }

    /// <summary>Codes of cautions that belong to this pulse; their sentences are not here.</summary>
    public required IReadOnlyList<string> Cautions { get; init; }

    public required string Note { get; init; }

    /// <summary>The same picked green; null where nobody sells it so.</summary>
    public GreenSeed? Green { get; init; }

    /// <summary>What a planner reckons with where it is cooked green: its minutes, and nothing that is soaked.</summary>
    /// <exception cref="InvalidOperationException">Nobody sells it so.</exception>
    public Pulse PickedGreen()
    {
        var green = Green ?? throw new InvalidOperationException($"{Id} is not sold green.");
        return this with
        {
            SoakHours = new(0, 0),
            SimmerSoakedMinutes = green.Minutes,
            SimmerUnsoakedMinutes = green.Minutes,
            SofteningMinutesAt98C = green.Minutes.Middle,
            // What is advised of dry broad beans is not of green ones (textures, 8: common beans and limas, also fresh).
            BoilsFirst = LectinRisk != LectinRisk.Low,
        };
    }

    /// <summary>Fitted: minutes at 98 °C from wet through to tender in the slow seeds.</summary>
    public required double SofteningMinutesAt98C { get; init; }

    /// <summary>Fitted: first-order hydration rate at 98 °C, per hour.</summary>
    public required double HydrationPerHourAt98C { get; init; }

    /// <summary>Doneness at which it falls apart, or null for one that never does in a household's time.</summary>
    public double? FallsApartAt => HoldsShape == 5 ? null : TargetWindows.Of(this, PulseTarget.Melted).Low;
}
