using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Planning;

/// <summary>What the dish wants of its pulses and of its rice, and so what counts as right at the table.</summary>
/// <param name="Style">Gives the usual target where none was named.</param>
/// <param name="Pulse">Named by the cook; null for what is usual.</param>
/// <param name="Rice">The same.</param>
public sealed record Targets(Style Style, PulseTarget? Pulse = null, RiceTarget? Rice = null)
{
    /// <summary>Named for one pulse among several, by its id.</summary>
    public IReadOnlyDictionary<string, PulseTarget> Each { get; init; } = new Dictionary<string, PulseTarget>();

    /// <summary>The pulses were cooked before: they are eaten as they come, and longer is no fault, also with a spoon.</summary>
    public bool ComeCooked { get; init; }

    private PulseTarget? Named(Pulse pulse) => Each.TryGetValue(pulse.Id, out var own) ? own : Pulse;

    /// <summary>Where nobody can see the pot before it is served: what a cook elsewhere would not send back.</summary>
    public static Targets Lenient { get; } = new(Style.Saucy);

    /// <summary>Shapes up to this melt by themselves: in a dry dish they are right from soft on.</summary>
    private const int Melting = 2;

    /// <summary>What is usual, unless the cook named it: with a spoon splits are eaten melted, or creamy where they hold their
    /// shape.</summary>
    public PulseTarget Usual(Pulse pulse)
    {
        ArgumentNullException.ThrowIfNull(pulse);
        var split = pulse.Kind == PulseKind.Split;
        return Named(pulse)
            ?? Style switch
            {
                Style.Soup => split ? PulseTarget.Melted
                : ComeCooked ? PulseTarget.Whole
                : PulseTarget.Creamy,
                Style.Saucy when split => pulse.HoldsShape <= Melting ? PulseTarget.Melted : PulseTarget.Creamy,
                _ => PulseTarget.Whole,
            };
    }

    /// <summary>The span of doneness that counts as right for this pulse.</summary>
    public Span Window(Pulse pulse)
    {
        ArgumentNullException.ThrowIfNull(pulse);
        // A bean gravy is right whole or creamy, and a split of a melting kind from soft on.
        var longerIsNoFault =
            Named(pulse) is null
            && (Style != Style.Soup || (ComeCooked && pulse.Kind != PulseKind.Split))
            && (Style is Style.Saucy or Style.Soup || (pulse.Kind == PulseKind.Split && pulse.HoldsShape <= Melting));
        return longerIsNoFault
            ? TargetWindows.Of(pulse, PulseTarget.Whole) with
            {
                High = double.PositiveInfinity,
            }
            : TargetWindows.Of(pulse, Usual(pulse));
    }

    /// <summary>The doneness that a pulse is cooked to: the least of what is usual for it, which may lie over the least that counts as
    /// right.</summary>
    public double CookTo(Pulse pulse) => TargetWindows.Of(pulse, Usual(pulse)).Low;

    /// <summary>The span of doneness that counts as right for this rice: in what is eaten with a spoon it may be soft.</summary>
    public Span Window(Rice rice)
    {
        ArgumentNullException.ThrowIfNull(rice);
        var window = TargetWindows.Of(rice, Rice ?? RiceTarget.Fluffy);
        return Rice is null && Style is Style.Saucy or Style.Soup
            ? window with
            {
                High = TargetWindows.Of(rice, RiceTarget.Soft).High,
            }
            : window;
    }

    /// <summary>The doneness to aim at where nobody can look: as far from too hard as from too soft, in ratio.</summary>
    public double Aim(Pulse pulse)
    {
        var (low, high) = (CookTo(pulse), Window(pulse).High);
        return Math.Sqrt(low * Math.Min(high, MostAimedOver * low));
    }

    /// <summary>Aimed at no further than this over the least, as a factor: looks see a slow bag through.</summary>
    private const double MostAimedOver = 1.3;
}
