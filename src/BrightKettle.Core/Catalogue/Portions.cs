namespace BrightKettle.Core.Catalogue;

/// <summary>Cups and plates. A household's starting point, to be changed freely (confidence C).</summary>
public static class Portions
{
    /// <summary>The cup of the tables, mL.</summary>
    public const double TableCupMillilitres = 236.6;

    /// <summary>Dry pulses for one person, g: beside rice, or as the dish itself.</summary>
    public static double PulseGramsEach(bool withRice) => withRice ? 60 : 90;

    /// <summary>Dry rice for one person, g.</summary>
    public const double RiceGramsEach = 75;

    public static double GramsOfCups(double cups, double gramsPerTableCup, double cupMillilitres) =>
        cups * gramsPerTableCup * cupMillilitres / TableCupMillilitres;

    public static double CupsOfGrams(double grams, double gramsPerTableCup, double cupMillilitres) =>
        grams / gramsPerTableCup * TableCupMillilitres / cupMillilitres;
}
