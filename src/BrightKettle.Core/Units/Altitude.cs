namespace BrightKettle.Core.Units;

/// <summary>How high a kitchen lies, held in metres over the sea.</summary>
/// <remarks>Default: sea level.</remarks>
public readonly record struct Altitude
{
    /// <summary>The lowest and the highest place where people cook, m.</summary>
    public const double LeastMetres = -400;
    public const double MostMetres = 5500;

    private Altitude(double metres) => Metres = metres;

    public static Altitude SeaLevel => default;

    public double Metres { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="metres"/> is not between the ends, both included.</exception>
    public static Altitude FromMetres(double metres) =>
        metres is >= LeastMetres and <= MostMetres ? new(metres) : throw new ArgumentOutOfRangeException(nameof(metres));

    public static bool operator >(Altitude a, Altitude b) => a.Metres > b.Metres;

    public static bool operator <(Altitude a, Altitude b) => a.Metres < b.Metres;

    public override string ToString() => $"{Metres:0} m";
}
