namespace BrightKettle.Core.Catalogue;

/// <summary>A range from a table, both ends included, in the unit that its owner names.</summary>
public readonly record struct Span(double Low, double High)
{
    /// <summary>Geometric middle: times spread as ratios. Zero when the low end is zero.</summary>
    public double Middle => Math.Sqrt(Low * High);

    /// <summary>Whether the value lies within the range widened at both ends by <paramref name="slack"/> (0.05 = 5 %).</summary>
    public bool Contains(double value, double slack = 0) => value >= Low * (1 - slack) && value <= High * (1 + slack);
}

/// <summary>A low, a typical and a high figure, in the unit that its owner names.</summary>
public readonly record struct Triple(double Low, double Typical, double High);
