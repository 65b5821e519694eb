using Superpower.Model;

namespace BrightKettle.Core.Words.Grammar;

/// <content>How high water stands over the beans: an inch, two fingers, 3 cm.</content>
internal abstract partial class SpokenGrammar
{
    private const double Inch = 2.54;

    /// <summary>A finger lying on the beans, cm (confidence D: 1.5 to 2).</summary>
    private const double Finger = 1.7;

    /// <summary>To the first joint of the thumb, cm (confidence D).</summary>
    private const double Knuckle = 2.5;

    /// <summary>Centimetres of a height over the beans.</summary>
    protected static double? Height(IReadOnlyList<Token<LineToken>> t, int at) =>
        Is(t, at, "inch", "inches", "in") ? Inch
        : Is(t, at, "finger", "fingers", "dedo", "dedos", "doigt", "doigts", "fingerbreit", "dito", "dita", "parmak") ? Finger
        : Is(t, at, "knuckle", "knuckles") ? Knuckle
        : Is(t, at, "mm") ? 0.1
        : Is(t, at, "cm") ? 1
        : null;
}
