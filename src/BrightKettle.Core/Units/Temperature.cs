namespace BrightKettle.Core.Units;

/// <summary>A temperature, held in degrees Celsius.</summary>
public readonly record struct Temperature
{
    private Temperature(double celsius) => Celsius = celsius;

    public double Celsius { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="celsius"/> is not within -50 and 300, both included: nothing in a
    /// kitchen pot is.</exception>
    public static Temperature FromCelsius(double celsius) =>
        celsius is >= -50 and <= 300 ? new(celsius) : throw new ArgumentOutOfRangeException(nameof(celsius));

    public override string ToString() => $"{Celsius:0.#} °C";
}
