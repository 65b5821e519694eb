namespace BrightKettle.Server.Messages;

/// <summary>The language in which what is being answered is said.</summary>
public static class SpokenLanguage
{
    private static readonly AsyncLocal<string?> Spoken = new();

    /// <summary>One of <see cref="Messages.Languages"/>; English where nobody asked for another.</summary>
    public static string Current
    {
        get => Spoken.Value ?? "en";
        set => Spoken.Value = Messages.Languages.Contains(value) ? value : null;
    }

    /// <summary>The first language of an Accept-Language header that can be spoken here; English where there is none.</summary>
    public static string Of(string? accepted) =>
        (accepted ?? string.Empty)
            .Split(',')
            .Select(l => l.Split(';')[0].Split('-')[0].Trim().ToLowerInvariant())
            .FirstOrDefault(Messages.Languages.Contains)
        ?? "en";
}
