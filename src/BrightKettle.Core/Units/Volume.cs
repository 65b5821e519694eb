namespace BrightKettle.Core.Units;

/// <summary>A volume, held in millilitres. Millilitres of water always belong to a temperature: see <see cref="OfWater"/>.</summary>
public readonly record struct Volume
{
    private Volume(double millilitres) => Millilitres = millilitres;

    public double Millilitres { get; }

    /// <exception cref="ArgumentOutOfRangeException"><paramref name="millilitres"/> is negative, NaN or infinite.</exception>
    public static Volume FromMillilitres(double millilitres) =>
        millilitres is >= 0 and < double.PositiveInfinity ? new(millilitres) : throw new ArgumentOutOfRangeException(nameof(millilitres));

    /// <summary>What a jug shows for this much water at this temperature.</summary>
    /// <remarks>Between 4 and 100 °C, within 0.2 %.</remarks>
    public static Volume OfWater(Mass water, Temperature temperature) =>
        FromMillilitres(Math.Max(0, water.Grams) / WaterDensity(temperature));

    /// <summary>What this much water weighs at this temperature.</summary>
    /// <remarks>Between 4 and 100 °C, within 0.2 %.</remarks>
    public Mass MassOfWater(Temperature temperature) => Mass.FromGrams(Millilitres * WaterDensity(temperature));

    /// <summary>Density of water, g/mL, by a parabola through 4, 20 and 100 °C (0.99997, 0.9982, 0.9584; CRC handbook values, within 0.2
    /// %).</summary>
    public static double WaterDensity(Temperature temperature)
    {
        var t = Math.Clamp(temperature.Celsius, 4, 100) - 4;
        return 0.99997 - (5.65e-5 * t) - (3.92e-6 * t * t);
    }

    public override string ToString() => $"{Millilitres:0} mL";
}
