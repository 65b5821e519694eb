namespace BrightKettle.Core.Catalogue;

/// <summary>Something of the kitchen beside pulses and rice. Shares are g per g of it as it goes in.</summary>
public sealed record Extra
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required IReadOnlyList<string> Aliases { get; init; }

    /// <summary>liquid, acid, alkali, salt, sweet, meat, vegetable, dough, leaf, fat or powder.</summary>
    public required ExtraKind Kind { get; init; }

    /// <summary>Frozen water.</summary>
    public bool IsIce => Id == "ice";

    /// <summary>It is kept in tubs in the freezer.</summary>
    public bool Freezes => Kind == ExtraKind.Liquid && !IsIce;

    /// <summary>Water that is free at once.</summary>
    public required double FreeWater { get; init; }

    /// <summary>Water that it holds when it goes in.</summary>
    public double BoundWater { get; init; }

    /// <summary>Water that it holds when it is cooked: less gives juice, more drinks.</summary>
    public double CookedWater { get; init; }

    /// <summary>Minutes in which it comes 63 % of that way.</summary>
    public double Minutes { get; init; } = 20;

    /// <summary>Salt, low to high.</summary>
    public Triple Salt { get; init; }

    /// <summary>Share of the salt that is left after a blanch that is poured away; null where none is usual.</summary>
    public double? SaltAfterBlanch { get; init; }

    /// <summary>Minutes in which 63 % of its salt has gone into the pot; 0 at once.</summary>
    public double SaltMinutes { get; init; }

    /// <summary>Sugar.</summary>
    public double Sugar { get; init; }

    /// <summary>Acid that beans feel, mmol per g; negative for an alkali.</summary>
    public double AcidMillimoles { get; init; }

    /// <summary>Factor on the sugar's slowing, for calcium in it; 1 for none.</summary>
    public double Firming { get; init; } = 1;

    /// <summary>Sodium that does not taste of salt, g per g.</summary>
    public double HiddenSodium { get; init; }

    /// <summary>Solids that bind the liquor, g per g: at once from what is liquid, else as it cooks.</summary>
    public double Binds { get; init; }

    /// <summary>Dried leaves for a litre of it, g, where it is an infusion (confidence D); null for anything else.</summary>
    public double? Leaves { get; init; }

    /// <summary>An infusion that is boiled, and not steeped cold.</summary>
    public bool Boils { get; init; }

    /// <summary>Cooks fry it in fat before the liquid comes.</summary>
    public bool Fries { get; init; }

    /// <summary>It must come out again before the table.</summary>
    public bool ComesOut { get; init; }

    /// <summary>Usual amount for each who eats, g (confidence C).</summary>
    public required double GramsEach { get; init; }

    /// <summary>Weight of one piece, tin or cube, g; 0 where nobody counts it.</summary>
    public double PieceGrams { get; init; }

    /// <summary>A to D.</summary>
    public required string Confidence { get; init; }

    public string Note { get; init; } = string.Empty;
}
