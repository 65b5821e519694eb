namespace BrightKettle.Core.Units;

/// <summary>Power that reaches the pot's contents, held in watts.</summary>
public readonly record struct Power
{
    private Power(double watts) => Watts = watts;

    public double Watts { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="watts"/> is negative, NaN or infinite.</exception>
    public static Power FromWatts(double watts) =>
        watts is >= 0 and < double.PositiveInfinity ? new(watts) : throw new ArgumentOutOfRangeException(nameof(watts));

    public override string ToString() => $"{Watts:0} W";
}
