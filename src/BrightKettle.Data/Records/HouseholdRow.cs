namespace BrightKettle.Data.Records;

/// <summary>The one household of this database.</summary>
public sealed class HouseholdRow
{
    public const int OnlyId = 1;

    public int Id { get; init; } = OnlyId;

    public required string Name { get; set; }

    /// <summary>IANA name.</summary>
    public required string Zone { get; set; }

    public double AltitudeMetres { get; set; }

    public double RoomCelsius { get; set; } = 20;

    public double FridgeCelsius { get; set; } = 5;

    public TimeOnly Wakes { get; set; } = new(7, 0);

    public TimeOnly Sleeps { get; set; } = new(23, 0);

    public TimeOnly SoaksAt { get; set; } = new(21, 30);

    /// <summary>237, 240 or 250 mL.</summary>
    public double CupMillilitres { get; set; } = 240;

    /// <summary>metric or us: how sentences write what is stored in grams, mL, cm and °C.</summary>
    public string Units { get; set; } = "metric";

    /// <summary>24 or am_pm: how the hours of a day are written.</summary>
    public string Hours { get; set; } = "24";

    public bool Cautious { get; set; }

    /// <summary>Of the tap's water, mg/L as calcium carbonate.</summary>
    public double HardnessMilligramsPerLitre { get; set; }

    /// <summary>in_the_soak, at_the_start, with_the_rice or at_the_table.</summary>
    public string SaltSchool { get; set; } = "with_the_rice";

    /// <summary>Of all that is eaten, %.</summary>
    public double SaltPercent { get; set; } = 0.9;

    public bool KeepsSoakWater { get; set; }

    /// <summary>What joins the pot is stirred in once; else it is left as it lies.</summary>
    public bool StirsAtJoin { get; set; } = true;

    /// <summary>Whose rule of chilling and keeping holds: cautious, uk, us, au_nz or ca.</summary>
    public string StorageRule { get; set; } = "cautious";

    /// <summary>The first questions were answered or skipped.</summary>
    public bool IsSetUp { get; set; } = true;

    public int Version { get; set; } = 1;

    /// <summary>Counts what was learned of the bags: what was worked out of an older one is out of date.</summary>
    public int LearnedVersion { get; set; }
}

/// <summary>A pot of the household.</summary>
public sealed class VesselRow
{
    public required string Id { get; init; }

    public required string Name { get; set; }

    public double DiameterCentimetres { get; set; }

    public double BrimMillilitres { get; set; }

    /// <summary>weight, spring, electric or slow; null for a plain pot.</summary>
    public string? CookerKind { get; set; }

    /// <summary>Sorted by this, then by name.</summary>
    public int Position { get; set; }

    /// <summary>Gone from the kitchen's list, and kept for the dinners that use it.</summary>
    public bool Removed { get; set; }

    /// <summary>A change that knows an older one is a conflict.</summary>
    public int Version { get; set; } = 1;
}

/// <summary>A bag of a pulse or a rice: what was bought in one go.</summary>
public sealed class BagRow
{
    public required string Id { get; init; }

    /// <summary>A pulse or a rice of the catalogue.</summary>
    public required string FoodId { get; init; }

    /// <summary>As the household calls it; empty where the food's own name will do.</summary>
    public required string Name { get; set; }

    /// <summary>What is left; 0 where it was used up.</summary>
    public double Grams { get; set; }

    public DateOnly? BoughtOn { get; set; }

    public DateOnly? BestBefore { get; set; }

    /// <summary>First cooked from; null while nobody did.</summary>
    public DateOnly? OpenedOn { get; set; }

    /// <summary>cool, cupboard, warm or hot.</summary>
    public required string Storage { get; set; }

    /// <summary>Gone from the cupboard, and kept for what was learned of it.</summary>
    public bool Removed { get; set; }

    /// <summary>A change that knows an older one is a conflict.</summary>
    public int Version { get; set; } = 1;
}

/// <summary>A burner of the household, by what reaches the pot.</summary>
public sealed class BurnerRow
{
    public required string Id { get; init; }

    public required string Name { get; set; }

    public double MostWatts { get; set; }

    public double LeastWatts { get; set; }

    /// <summary>A flame that a draught or a boil-over can put out.</summary>
    public bool Gas { get; set; }

    public int Position { get; set; }

    /// <summary>Gone from the kitchen's list, and kept for the dinners that use it.</summary>
    public bool Removed { get; set; }

    /// <summary>A change that knows an older one is a conflict.</summary>
    public int Version { get; set; } = 1;
}
