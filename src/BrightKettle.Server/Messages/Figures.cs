using System.Globalization;

namespace BrightKettle.Server.Messages;

/// <summary>How facts are written in sentences. The page's figures.ts writes them alike, and a test compares the two.</summary>
public static class Figures
{
    private static readonly AsyncLocal<bool> Spoken = new();

    /// <summary>Whether what is being answered is said in ounces, cups, inches and °F; in the units of the model where nobody chose.</summary>
    public static bool Us
    {
        get => Spoken.Value;
        set => Spoken.Value = value;
    }

    /// <summary>Rounded half away from zero to as many decimals as given; beyond the least, noughts at the end are left out.</summary>
    public static string Number(double value, int least = 0, int most = 0) =>
        value.ToString($"0.{new string('0', least)}{new string('#', Math.Max(0, most - least))}", CultureInfo.InvariantCulture);

    /// <summary>300 g, and 1.2 kg from a kilogram on.</summary>
    public static string Grams(double value) =>
        Us ? UsFigures.Grams(value)
        : value >= 1000 ? $"{Number(value / 1000, 0, 2)} kg"
        : $"{Whole(value)} g";

    /// <summary>700 mL, and 1.14 L from a litre on.</summary>
    public static string Millilitres(double value) =>
        Us ? UsFigures.Millilitres(value)
        : value >= 1000 ? $"{Number(value / 1000, 0, 2)} L"
        : $"{Whole(value)} mL";

    public static string Litres(double value, int least = 0, int most = 0) =>
        Us ? UsFigures.Litres(value) : $"{Number(value, least, most)} L";

    public static string Minutes(double value) => $"{Whole(value)} min";

    public static string Hours(double value, int least = 0, int most = 0) => $"{Number(value, least, most)} h";

    public static string Celsius(double value, int least = 0, int most = 0) =>
        Us ? UsFigures.Celsius(value, least, most) : $"{Number(value, least, most)} °C";

    public static string Centimetres(double value, int least = 0, int most = 0) =>
        Us ? UsFigures.Centimetres(value) : $"{Number(value, least, most)} cm";

    public static string Percent(double value) => $"{Whole(value * 100)} %";

    /// <summary>A sentence that begins with a name begins with a capital.</summary>
    public static string Capital(string sentence)
    {
        ArgumentNullException.ThrowIfNull(sentence);
        return sentence.Length == 0 ? sentence : char.ToUpperInvariant(sentence[0]) + sentence[1..];
    }

    internal static string Whole(double value) => Math.Floor(value + 0.5).ToString("0", CultureInfo.InvariantCulture);
}
