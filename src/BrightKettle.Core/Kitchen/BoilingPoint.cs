using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>Where water boils, by height above the sea.</summary>
public static class BoilingPoint
{
    /// <summary>Boiling point at this altitude in mean weather; a storm moves it by 0.8 °C.</summary>
    /// <remarks>Barometric formula of the standard atmosphere, then Antoine's equation for water (both widely published, exact to 0.1
    /// °C).</remarks>
    public static Temperature At(Altitude altitude) => UnderPressure(altitude, 0);

    /// <summary>Where water boils under a lid that holds this much pressure over the air's.</summary>
    /// <param name="gaugeKilopascals">0 to 120 kPa.</param>
    public static Temperature UnderPressure(Altitude altitude, double gaugeKilopascals)
    {
        var kilopascals = (101.325 * Math.Pow(1 - (2.25577e-5 * altitude.Metres), 5.25588)) + gaugeKilopascals;
        return Temperature.FromCelsius((1730.63 / (8.07131 - Math.Log10(kilopascals * 7.50062))) - 233.426);
    }
}
