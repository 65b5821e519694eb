using NodaTime;
using NodaTime.Text;

namespace BrightKettle.Server.Exchange;

/// <summary>A time on the kitchen's clock as requests and answers write it: 2026-11-25T19:00.</summary>
public static class LocalTimes
{
    private static readonly LocalDateTimePattern Pattern = LocalDateTimePattern.CreateWithInvariantCulture("uuuu'-'MM'-'dd'T'HH':'mm");

    public static string Write(LocalDateTime time) => Pattern.Format(time);

    /// <summary>The time, or null when the text is none.</summary>
    public static LocalDateTime? Read(string? text) =>
        Pattern.Parse(text ?? string.Empty) is { Success: true } parsed ? parsed.Value : null;
}
