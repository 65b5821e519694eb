namespace BrightKettle.Core.Units;

/// <summary>An amount of matter, held in grams.</summary>
/// <remarks>Default: zero. Negative only as a difference.</remarks>
public readonly record struct Mass : IComparable<Mass>
{
    private Mass(double grams) => Grams = grams;

    public static Mass Zero => default;

    public double Grams { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="grams"/> is NaN or infinite.</exception>
    public static Mass FromGrams(double grams) =>
        double.IsFinite(grams) ? new(grams) : throw new ArgumentOutOfRangeException(nameof(grams));

    public static Mass operator +(Mass a, Mass b) => new(a.Grams + b.Grams);

    public static Mass operator -(Mass a, Mass b) => new(a.Grams - b.Grams);

    public static Mass operator *(Mass a, double factor) => FromGrams(a.Grams * factor);

    public static bool operator <(Mass a, Mass b) => a.Grams < b.Grams;

    public static bool operator >(Mass a, Mass b) => a.Grams > b.Grams;

    public static bool operator <=(Mass a, Mass b) => a.Grams <= b.Grams;

    public static bool operator >=(Mass a, Mass b) => a.Grams >= b.Grams;

    /// <summary>To the nearest so many grams, as a jug or a scale is read; halves to the even one.</summary>
    public Mass RoundedTo(double grams) => FromGrams(Math.Round(Grams / grams) * grams);

    public static Mass Max(Mass a, Mass b) => a > b ? a : b;

    public int CompareTo(Mass other) => Grams.CompareTo(other.Grams);

    public override string ToString() => $"{Grams:0.#} g";
}
