using System.Globalization;
using System.Text;

namespace BrightKettle.Server.Answers;

/// <summary>Whether a name can be shown on every screen as it was typed.</summary>
public static class DisplayableText
{
    /// <summary>No control characters, no marks that turn the line around, no halves of letters.</summary>
    public static bool Is(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        // A half of a pair is read as the replacement character, which nobody types.
        return text.EnumerateRunes()
            .All(r =>
                r != Rune.ReplacementChar
                && Rune.GetUnicodeCategory(r)
                    is not (
                        UnicodeCategory.Control
                        or UnicodeCategory.LineSeparator
                        or UnicodeCategory.ParagraphSeparator
                        or UnicodeCategory.PrivateUse
                        or UnicodeCategory.OtherNotAssigned
                    )
                && r.Value is not (>= 0x202A and <= 0x202E) and not (>= 0x2066 and <= 0x2069)
            );
    }
}
