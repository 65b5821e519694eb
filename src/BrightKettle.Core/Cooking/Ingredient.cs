using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking;

/// <summary>Something with a weight that goes into the pot.</summary>
/// <param name="Id">Unique within the cook.</param>
/// <param name="Dry">As sold, more than 0 g; for what is cooked already, the dry weight that it came from.</param>
public abstract record Ingredient(string Id, Mass Dry);

/// <summary>A pulse from one bag.</summary>
/// <param name="Pace">What is known of the bag's speed.</param>
public sealed record PulseIngredient(string Id, Mass Dry, Pulse Pulse, Pace Pace) : Ingredient(Id, Dry)
{
    /// <summary>How long and how the bag was stored.</summary>
    public Lot Lot { get; init; } = Lot.Fresh;

    /// <summary>How far along it is already; null for dry seed, and for green seed at the room's temperature.</summary>
    public SeedStart? Start { get; init; }

    /// <summary>Picked green, fresh or frozen: never dried, so that it is tender in minutes.</summary>
    public bool Green { get; init; }

    /// <summary>Cooked until soft, before this cook.</summary>
    public bool IsCooked => Start is { IsCooked: true };

    /// <summary>Salt that cooked pulses bring along, g per g of their cooked weight; 0 to 0.03.</summary>
    public double CookedSaltShare { get; init; }

    /// <summary>What stands on the scale: the dry seed, the green, or, of what is cooked already, the cooked and drained.</summary>
    public Mass OnTheScale =>
        Green ? Dry * (1 / Pulse.Green!.DryShare)
        : IsCooked ? CookedOf(Pulse, Dry)
        : Start is { } start ? Dry * (1 + (start.WetShare * Pulse.ColdCeiling))
        : Dry;

    /// <summary>Dry weight behind this weight of cooked, drained pulses.</summary>
    public static Mass DryOf(Pulse pulse, Mass cooked) => cooked * (1 / (1 + pulse.Absorbed.Typical - pulse.SolidsLoss));

    /// <summary>Weight, cooked and drained, of this dry weight.</summary>
    public static Mass CookedOf(Pulse pulse, Mass dry) => dry * (1 + pulse.Absorbed.Typical - pulse.SolidsLoss);
}

/// <summary>Rice.</summary>
/// <param name="RateFactor">1 for the table's rice; 0.5 takes twice as long. 0.2 to 5.</param>
public sealed record RiceIngredient(string Id, Mass Dry, Rice Rice, double RateFactor = 1) : Ingredient(Id, Dry)
{
    /// <summary>Stirred in hot fat first: the grain drinks a little more slowly and clings less.</summary>
    public bool Toasted { get; init; }

    /// <summary>How far along it is already; null for dry grain.</summary>
    public SeedStart? Start { get; init; }

    /// <summary>What stands on the scale: the dry grain, or the cooked.</summary>
    public Mass OnTheScale =>
        Start is { } start ? Dry * (1 + (Rice.Absorbed.Typical * Math.Min(1, start.Doneness / Doneness.Tender) * start.WetShare)) : Dry;
}

/// <summary>Anything else that brings water, salt, acid or pieces: stock, coconut milk, tomato, cured meat, leaves.</summary>
/// <param name="Dry">Its whole weight, g.</param>
public sealed record ExtraIngredient(string Id, Mass Dry, Extra Extra, Temperature Temperature) : Ingredient(Id, Dry)
{
    /// <summary>Pieces that must come out again; 0 to 50.</summary>
    public int Pieces { get; init; }

    /// <summary>Boiled for some minutes first, in water that is poured away: cured meat then brings less salt.</summary>
    public bool Blanched { get; init; }

    /// <summary>Salt that it brings, g per g.</summary>
    public Triple Salt
    {
        get
        {
            var left = Blanched ? Extra.SaltAfterBlanch ?? 1 : 1;
            return new(left * Extra.Salt.Low, left * Extra.Salt.Typical, left * Extra.Salt.High);
        }
    }
}

/// <summary>A bag's speed against the reference: log-normal.</summary>
/// <param name="Median">1 is the reference, 2 cooks in half the time. 0.1 to 5.</param>
/// <param name="Spread">Standard deviation of ln(pace), 0 to 1.</param>
public sealed record Pace(double Median, double Spread)
{
    /// <summary>The pace that this share of such bags stays below.</summary>
    public double Quantile(double share) => Median * Math.Exp(Spread * MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, share));
}

/// <summary>How long a bag was kept, and how.</summary>
/// <param name="Years">Since the harvest, 0 to 20.</param>
public sealed record Lot(double Years, Storage Storage)
{
    /// <summary>Under a year, cool and dry.</summary>
    public static Lot Fresh { get; } = new(0, Storage.Cool);
}
