using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Units;

namespace BrightKettle.Core.Cooking;

/// <summary>Something with a dry weight that goes into the pot.</summary>
/// <param name="Id">Unique within the cook.</param>
/// <param name="Dry">As sold, more than 0 g.</param>
public abstract record Ingredient(string Id, Mass Dry);

/// <summary>A pulse from one bag.</summary>
/// <param name="Pace">What is known of the bag's speed.</param>
public sealed record PulseIngredient(string Id, Mass Dry, Pulse Pulse, Pace Pace) : Ingredient(Id, Dry);

/// <summary>Rice.</summary>
/// <param name="RateFactor">1 for the table's rice; 0.5 takes twice as long. 0.2 to 5.</param>
public sealed record RiceIngredient(string Id, Mass Dry, Rice Rice, double RateFactor = 1) : Ingredient(Id, Dry);

/// <summary>A bag's speed against the reference: log-normal.</summary>
/// <param name="Median">1 is the reference, 2 cooks in half the time. 0.1 to 5.</param>
/// <param name="Spread">Standard deviation of ln(pace), 0 to 1.</param>
public sealed record Pace(double Median, double Spread)
{
    /// <summary>The pace that this share of such bags stays below.</summary>
    public double Quantile(double share) =>
        Median * Math.Exp(Spread * MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, share));
}
