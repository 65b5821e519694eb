namespace BrightKettle.Core.Units;

/// <summary>A length, held in centimetres.</summary>
public readonly record struct Length
{
    private Length(double centimetres) => Centimetres = centimetres;

    public double Centimetres { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="centimetres"/> is negative, NaN or infinite.</exception>
    public static Length FromCentimetres(double centimetres) =>
        centimetres is >= 0 and < double.PositiveInfinity ? new(centimetres) : throw new ArgumentOutOfRangeException(nameof(centimetres));

    public override string ToString() => $"{Centimetres:0.#} cm";
}
