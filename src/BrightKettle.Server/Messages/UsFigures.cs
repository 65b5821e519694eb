namespace BrightKettle.Server.Messages;

/// <summary>Figures as a household with cups, ounces and inches reads them; the page's usFigures.ts writes them alike. Exact factors: oz
/// 28.3495 g, cup 236.588 mL, inch 2.54 cm.</summary>
internal static class UsFigures
{
    private const double Ounce = 28.3495;
    private const double Cup = 236.588;
    private const double Tablespoon = Cup / 16;
    private const double Teaspoon = Cup / 48;

    /// <summary>Up to here scales of any kitchen show grams better than a tenth of an ounce, g.</summary>
    private const double FewGrams = 28;

    /// <summary>So many cups are poured by the quarter cup, without spoons.</summary>
    private const double ManyCups = 6;

    private static readonly string[] Eighths = ["", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"];

    /// <summary>12 g, 5.3 oz, 1 lb 2 oz.</summary>
    public static string Grams(double value)
    {
        var ounces = value / Ounce;
        if (value < FewGrams)
        {
            return $"{Figures.Whole(value)} g";
        }

        var whole = Math.Floor(ounces + 0.5);
        return whole < 16 ? $"{Figures.Number(ounces, 0, 1)} oz"
            : whole % 16 == 0 ? $"{Figures.Whole(whole / 16)} lb"
            : $"{Figures.Whole(Math.Floor(whole / 16))} lb {Figures.Whole(whole % 16)} oz";
    }

    /// <summary>½ tsp, 2 tbsp, 1½ cups + 1 tbsp, 8¼ cups.</summary>
    public static string Millilitres(double value)
    {
        if (value < 3 * Teaspoon)
        {
            var teaspoons = Math.Floor((value / Teaspoon * 4) + 0.5) / 4;
            return $"{Mixed(teaspoons)} tsp";
        }

        var spoons = Math.Floor((value / Tablespoon) + 0.5);
        if (spoons < 4)
        {
            return $"{Figures.Whole(spoons)} tbsp";
        }

        if (value >= ManyCups * Cup)
        {
            spoons = Math.Floor((spoons / 4) + 0.5) * 4;
        }

        var quarters = Math.Floor(spoons / 4) / 4;
        var over = spoons % 4;
        return $"{Mixed(quarters)} {(quarters > 1 ? "cups" : "cup")}{(over > 0 ? $" + {Figures.Whole(over)} tbsp" : "")}";
    }

    public static string Litres(double value) => Millilitres(value * 1000);

    public static string Celsius(double value, int least, int most) => $"{Figures.Number((value * 9 / 5) + 32, least, most)} °F";

    /// <summary>1¼ in, to an eighth.</summary>
    public static string Centimetres(double value)
    {
        var sign = value < 0 ? "-" : "";
        return $"{sign}{Mixed(Math.Floor((Math.Abs(value) / 2.54 * 8) + 0.5) / 8)} in";
    }

    private static string Mixed(double value)
    {
        var whole = Math.Floor(value);
        var eighths = (int)Math.Floor(((value - whole) * 8) + 0.5);
        return eighths == 0 ? Figures.Whole(whole)
            : whole == 0 ? Eighths[eighths]
            : $"{Figures.Whole(whole)}{Eighths[eighths]}";
    }
}
