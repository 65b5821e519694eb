using System.Globalization;
using System.Text;

namespace BrightKettle.Core.Words;

/// <summary>What people type, made the same for every reader: one form for each letter, and figures of every script as 0 to 9.</summary>
public static class PlainText
{
    /// <summary>The text in composed form, with the figures of other scripts as ASCII digits and halves of letters as a mark that no word
    /// has. `Of("٣٠٠ g")` → `"300 g"`.</summary>
    public static string Of(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var plain = new StringBuilder(text.Length);
        foreach (var rune in text.EnumerateRunes())
        {
            // A half of a pair comes as the replacement character; normalizing it as it was would throw.
            if (rune.Value > '9' && Rune.GetUnicodeCategory(rune) == UnicodeCategory.DecimalDigitNumber)
            {
                plain.Append((char)('0' + (int)Rune.GetNumericValue(rune)));
            }
            else if (rune.Value == ArabicDecimal)
            {
                plain.Append('.');
            }
            else
            {
                plain.Append(rune.ToString());
            }
        }

        return plain.ToString().Normalize(NormalizationForm.FormC);
    }

    /// <summary>Small letters without accents and marks, as names are compared, with a blank for all that is no letter and no figure.
    /// `Folded("Fríjol-negro!")` → `"frijol negro "`.</summary>
    public static string Folded(string text)
    {
        var folded = new StringBuilder(text.Length);
        foreach (var c in Of(text).Normalize(NormalizationForm.FormD))
        {
            if (char.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
            {
                folded.Append(char.IsLetterOrDigit(c) ? char.ToLowerInvariant(c) : ' ');
            }
        }

        return folded.ToString();
    }

    /// <summary>The decimal point of Arabic figures.</summary>
    private const int ArabicDecimal = 0x066B;
}
