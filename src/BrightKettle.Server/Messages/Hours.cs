using System.Globalization;
using NodaTime;

namespace BrightKettle.Server.Messages;

/// <summary>How an hour of the day is written in sentences. The page's time.ts writes it alike.</summary>
public static class Hours
{
    private static readonly AsyncLocal<bool> Spoken = new();

    /// <summary>Whether what is being answered is said as 6:07 pm; as 18:07 where nobody chose.</summary>
    public static bool AmPm
    {
        get => Spoken.Value;
        set => Spoken.Value = value;
    }

    /// <summary>18:07 or 6:07 pm.</summary>
    public static string Of(LocalTime at) =>
        AmPm
            ? string.Create(CultureInfo.InvariantCulture, $"{(at.Hour + 11) % 12 + 1}:{at.Minute:00} {(at.Hour < 12 ? "am" : "pm")}")
            : at.ToString("HH:mm", CultureInfo.InvariantCulture);

    /// <inheritdoc cref="Of(LocalTime)"/>
    public static string Of(LocalDateTime at) => Of(at.TimeOfDay);
}
