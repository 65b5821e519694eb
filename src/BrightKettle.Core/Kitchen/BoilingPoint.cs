using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>Where water boils, by height above the sea.</summary>
public static class BoilingPoint
{
    /// <summary>Boiling point at this altitude in mean weather; a storm moves it by 0.8 °C.</summary>
    /// <param name="altitudeMetres">-400 to 5500.</param>
    /// <exception cref="ArgumentOutOfRangeException">Outside that range.</exception>
    /// <remarks>Barometric formula of the standard atmosphere, then Antoine's equation for water (both widely published, exact to 0.1 °C).</remarks>
    public static Temperature At(double altitudeMetres)
    {
        if (altitudeMetres is not (>= -400 and <= 5500))
        {
            throw new ArgumentOutOfRangeException(nameof(altitudeMetres));
        }

        var kilopascals = 101.325 * Math.Pow(1 - (2.25577e-5 * altitudeMetres), 5.25588);
        return Temperature.FromCelsius((1730.63 / (8.07131 - Math.Log10(kilopascals * 7.50062))) - 233.426);
    }
}
