namespace BrightKettle.Core.Cooking.Engine;

/// <summary>What kind of equations an ingredient follows.</summary>
internal enum IngredientKind
{
    Pulse,
    Rice,
    Extra,
}

/// <summary>Where each figure of a pot stands in the rows of a group. Pots with the same layout can run side by side.</summary>
internal sealed record Layout(int Vessels, string Kinds, string Above, bool Chemistry)
{
    // Rows of floats that a lane has once.
    public const int Step = 0;
    public const int ToGrid = 1;
    public const int Grid = 2;
    public const int Reached = 3;
    public const int Elapsed = 4;
    private const int LaneFloats = 5;

    // Rows of floats for each vessel, from VesselFloat.
    public const int Celsius = 0;
    public const int Ceiling = 1;
    public const int Room = 2;
    public const int Hold = 3;
    public const int Most = 4;
    public const int Least = 5;
    public const int Vigour = 6;
    public const int Loss = 7;
    public const int Shell = 8;
    public const int Evaporation = 9;
    public const int BelowBoil = 10;
    public const int Boiling = 11;
    public const int Vented = 12;
    public const int DrySeconds = 13;
    public const int DryEnergy = 14;
    public const int Rate = 15;
    public const int Net = 16;
    public const int Surface = 17;
    public const int Power = 18;
    public const int FromBelow = 19;
    public const int RatesAt = 20;
    public const int Softening = 21;
    public const int RiceRate = 22;
    public const int VapourAt = 23;
    public const int Vapour = 24;
    public const int Thick = 25;
    public const int Energy = 26;

    /// <summary>Solids that liquor has brought into the vessel from another; negative where it has taken some away.</summary>
    public const int Carried = 27;

    /// <summary>How fast seeds soften for standing out of the liquor: 1 where the bed is covered.</summary>
    public const int Bathed = 28;

    /// <summary>Alkali that the water of a kept soak has brought into the liquor, mmol.</summary>
    public const int Alkali = 29;

    /// <summary>°C above which what keeps a temperature is off.</summary>
    public const int OffAbove = 30;
    private const int VesselFloats = 31;

    // Rows of floats for each ingredient, from IngredientFloat.
    public const int Place = 0;
    public const int Dry = 1;
    public const int PerDry = 2;
    public const int Rate98 = 3;
    public const int EnergyK = 4;
    public const int CoatRate = 5;

    /// <summary>Of rice, which has no coat to open: the pull of its uptake, over the fluffy amount.</summary>
    public const int Headroom = CoatRate;
    public const int Coat = 6;
    public const int Ceil = 7;
    public const int Cooked = 8;
    public const int Over = 9;
    public const int Soft98 = 10;
    public const int Soft = 11;
    public const int Solids = 12;
    public const int SoftFactor = 13;
    public const int WetFactor = 14;
    public const int Drink = 15;
    public const int Swell = 16;
    public const int HydrationNow = 17;
    public const int CoatNow = 18;
    public const int Acid = 19;
    public const int Warm = 20;
    public const int SaltRate = 21;
    public const int LotFactor = 22;
    public const int Capacity = 23;

    /// <summary>How long a pulse has been cooked, in times that it would need wet through at 98 °C: its dry minutes counted in.</summary>
    public const int Ran = 24;

    /// <summary>The same when it came to tender; 0 before.</summary>
    public const int RanTender = 25;
    private const int IngredientFloats = 26;

    // Rows of doubles: amounts in g that the physics holds, and the two books beside them.
    public const int Now = 0;
    public const int Due = 1;
    public const int Tap = 2;
    public const int Steam = 3;
    public const int Gone = 4;
    public const int Jug = 5;
    public const int Shelf = 6;
    public const int JugBook = 7;
    public const int SaltAdded = 8;
    public const int SaltGone = 9;
    public const int SaltJug = 10;
    public const int SaltJugBook = 11;
    private const int LaneDoubles = 12;

    public const int Liquor = 0;
    public const int LiquorBook = 1;
    public const int Salt = 2;
    public const int SaltBook = 3;
    private const int VesselDoubles = 4;

    public const int Wet = 0;
    public const int Swollen = 1;
    public const int Book = 2;
    public const int SaltIn = 3;
    public const int SaltInBook = 4;
    public const int Bowl = 5;
    public const int BowlBook = 6;
    public const int SaltBowl = 7;
    private const int IngredientDoubles = 8;

    public int Ingredients => Kinds.Length;

    public int FloatRows => LaneFloats + (Vessels * VesselFloats) + (Ingredients * IngredientFloats);

    public int DoubleRows => LaneDoubles + (Vessels * VesselDoubles) + (Ingredients * IngredientDoubles);

    public static int VesselFloat(int vessel) => LaneFloats + (vessel * VesselFloats);

    public int IngredientFloat(int ingredient) => LaneFloats + (Vessels * VesselFloats) + (ingredient * IngredientFloats);

    public static int VesselDouble(int vessel) => LaneDoubles + (vessel * VesselDoubles);

    public int IngredientDouble(int ingredient) => LaneDoubles + (Vessels * VesselDoubles) + (ingredient * IngredientDoubles);

    public IngredientKind KindOf(int ingredient) =>
        Kinds[ingredient] switch
        {
            'p' => IngredientKind.Pulse,
            'r' => IngredientKind.Rice,
            _ => IngredientKind.Extra,
        };

    /// <summary>Whether this vessel stands in the steam of the first.</summary>
    public bool IsAbove(int vessel) => Above[vessel] == '^';

    public static Layout Of(Cook cook) =>
        new(
            cook.Kitchen.VesselCount,
            string.Concat(
                cook.Ingredients.Select(i =>
                    i switch
                    {
                        PulseIngredient => 'p',
                        RiceIngredient => 'r',
                        _ => 'x',
                    }
                )
            ),
            string.Concat(Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => cook.Kitchen[v].Above ? '^' : '.')),
            NeedsChemistry(cook)
        );

    /// <summary>Salt, acid, sugar and soda are followed only where there are any.</summary>
    private static bool NeedsChemistry(Cook cook) =>
        cook.Actions.Any(a => a is CookAction.AddSalt or CookAction.Soak { SaltShare: > 0 } or CookAction.Soak { SodaGramsPerLitre: > 0 })
        || cook.Ingredients.Any(i =>
            i
                is PulseIngredient { CookedSaltShare: > 0 }
                    or ExtraIngredient { Extra: { AcidMillimoles: not 0 } or { Sugar: > 0 } or { Salt.High: > 0 } }
        );
}
