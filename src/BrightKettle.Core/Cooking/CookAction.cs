using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>How the pot is covered.</summary>
public enum Lid
{
    Open,
    Ajar,
    On,

    /// <summary>Lid shut tight, with foil or parchment if it fits badly.</summary>
    Sealed,

    /// <summary>Lid on, off the heat, in blankets or straw.</summary>
    Wrapped,
}

/// <summary>What is laid between pot and lid so that it shuts tight.</summary>
public enum SealMaterial
{
    Foil,
    Parchment,

    /// <summary>A cloth under the lid: only with the heat off.</summary>
    Towel,
    Plastic,
    WaxedPaper,
}

/// <summary>How a cooker is brought back from pressure. A partial release is a natural one and, some minutes later, a quick one.</summary>
public enum ReleaseKind
{
    /// <summary>Left alone until the pin is down.</summary>
    Natural,

    /// <summary>The valve is opened at once: steam flashes off and the pot falls to the boil.</summary>
    Quick,
}

/// <summary>What a transfer takes along.</summary>
public enum TransferWhat
{
    Liquor,

    /// <summary>One ingredient, drained, with the film that clings to it.</summary>
    Ingredient,
    Everything,
}

/// <summary>One thing done to a pot. The set is closed.</summary>
/// <param name="Trigger">What it waits for, after the action before it in the same vessel.</param>
public abstract record CookAction(Trigger Trigger)
{
    /// <summary>What this action is in the plan, from <see cref="StepIds"/>; null where nobody asks.</summary>
    public string? StepId { get; init; }

    /// <summary>Id of the vessel it is done to; null for the first.</summary>
    public string? In { get; init; }

    /// <summary>Cover with water in a bowl.</summary>
    public sealed record Soak(Trigger Trigger, string IngredientId, Mass Water, Temperature Temperature) : CookAction(Trigger)
    {
        /// <summary>Salt in the water, g per g of water; 0 to 0.05.</summary>
        public double SaltShare { get; init; }

        /// <summary>Bicarbonate in the water, g per litre; 0 to 10.</summary>
        public double SodaGramsPerLitre { get; init; }
    }

    /// <summary>Pour a bowl's water away, or all the free liquor of the pot when no ingredient is named.</summary>
    public sealed record Drain(Trigger Trigger, string? IngredientId) : CookAction(Trigger)
    {
        /// <summary>Into the jug instead of the sink.</summary>
        public bool Keep { get; init; }
    }

    /// <summary>Put an ingredient, with the bowl it is in, into the fridge.</summary>
    public sealed record Chill(Trigger Trigger, string IngredientId, Temperature Temperature) : CookAction(Trigger);

    /// <summary>Rinse: a film of water clings to what was rinsed.</summary>
    public sealed record Rinse(Trigger Trigger, string IngredientId) : CookAction(Trigger);

    /// <summary>An ingredient into the pot.</summary>
    public sealed record Add(Trigger Trigger, string IngredientId) : CookAction(Trigger);

    /// <summary>Pieces out of the pot: a leaf, a stick, a whole chilli.</summary>
    public sealed record TakeOut(Trigger Trigger, string IngredientId) : CookAction(Trigger);

    /// <summary>Water into the pot.</summary>
    public sealed record AddWater(Trigger Trigger, Mass Water, Temperature Temperature) : CookAction(Trigger)
    {
        /// <summary>Of it, as ice; 0 to 1.</summary>
        public double IceShare { get; init; }
    }

    /// <summary>Salt into the pot.</summary>
    public sealed record AddSalt(Trigger Trigger, Mass Salt) : CookAction(Trigger);

    /// <summary>Measure the free liquor and bring it to this mass: add boiling water, or pour off into the jug.</summary>
    public sealed record SetLiquor(Trigger Trigger, Mass Liquor) : CookAction(Trigger)
    {
        /// <summary>What is too much is not poured off but boiled down first, full flame and lid off, for at most so long; what is left then
        /// stays. Up to a day; null: it is poured off.</summary>
        public Duration? BoilDown { get; init; }
    }

    /// <summary>Water into the pot until the liquor stands so high over the bed; nothing where it stands higher already.</summary>
    /// <param name="OverBedCentimetres">-20 to 40; negative under the bed's surface.</param>
    public sealed record TopUp(Trigger Trigger, double OverBedCentimetres, Temperature Temperature) : CookAction(Trigger);

    /// <summary>From here on somebody keeps the level: whenever the liquor has fallen half a centimetre under it, or a third of a thin
    /// bed, boiling water goes in up to it. Not under a locked lid.</summary>
    /// <param name="OverBedCentimetres">-20 to 40; null: it is kept no more.</param>
    public sealed record KeepLevel(Trigger Trigger, double? OverBedCentimetres) : CookAction(Trigger);

    /// <summary>From the jug back into the pot, at most what is there.</summary>
    public sealed record PourBack(Trigger Trigger, Mass Liquor) : CookAction(Trigger);

    public sealed record Heat(Trigger Trigger, Flame Flame) : CookAction(Trigger)
    {
        /// <summary>Net watts of a burner's numbered mark, where one is meant instead of a word; null otherwise.</summary>
        public Power? Net { get; init; }
    }

    public sealed record Cover(Trigger Trigger, Lid Lid) : CookAction(Trigger)
    {
        /// <summary>What the seal is made of; null where it is not said.</summary>
        public SealMaterial? With { get; init; }
    }

    /// <summary>Lock the lid of a pressure cooker.</summary>
    public sealed record Pressurise(Trigger Trigger, bool High = true) : CookAction(Trigger);

    /// <summary>Let the pressure go; after a natural release the next action waits for <see cref="PotEvent.PinDown"/>.</summary>
    public sealed record Release(Trigger Trigger, ReleaseKind Kind) : CookAction(Trigger);

    /// <summary>From one vessel to another, or into its own bowl above.</summary>
    /// <param name="To">Id of the vessel that receives.</param>
    public sealed record Transfer(Trigger Trigger, string To, TransferWhat What) : CookAction(Trigger)
    {
        public string? IngredientId { get; init; }

        /// <summary>Of the liquor, at most this much; null for all.</summary>
        public Mass? Most { get; init; }
    }

    public sealed record Stir(Trigger Trigger) : CookAction(Trigger);

    /// <summary>Crush a share of a pulse: it thickens the liquor.</summary>
    /// <param name="Share">0 to 1.</param>
    public sealed record Mash(Trigger Trigger, string IngredientId, double Share) : CookAction(Trigger);

    /// <summary>Stir in starch, wetted with a little cold water.</summary>
    public sealed record Thicken(Trigger Trigger, Mass Starch, Mass Water) : CookAction(Trigger);

    /// <summary>On the table: the forecast ends here.</summary>
    public sealed record Serve(Trigger Trigger) : CookAction(Trigger);
}
