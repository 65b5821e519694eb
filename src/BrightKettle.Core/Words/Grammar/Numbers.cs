using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Words.Grammar;

/// <summary>Numbers that are said and not written: two, half, a dozen, ½.</summary>
internal static class Numbers
{
    internal static readonly Dictionary<string, double> Said = PulseCatalogue
        .ReadList<SaidNumber>("numbers.json")
        .ToDictionary(n => n.Word, n => n.Value);

    private sealed record SaidNumber(string Word, double Value);

    internal static readonly Dictionary<char, double> Signs = new()
    {
        ['½'] = 0.5,
        ['¼'] = 0.25,
        ['¾'] = 0.75,
        ['⅓'] = 1.0 / 3,
        ['⅔'] = 2.0 / 3,
        ['⅛'] = 0.125,
    };
}
