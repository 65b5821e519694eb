namespace BrightKettle.Core.Catalogue;

/// <summary>What a dish wants of its pulse.</summary>
public enum PulseTarget
{
    /// <summary>A bite, no chalk: for salads, or to be folded into rice.</summary>
    Firm,

    /// <summary>Soft, whole to the eye.</summary>
    Whole,

    /// <summary>Breaks at a touch and thickens its liquor.</summary>
    Creamy,

    /// <summary>No grain left.</summary>
    Melted,
}

/// <summary>What a dish wants of its rice.</summary>
public enum RiceTarget
{
    Fluffy,
    Soft,
    Porridge,
}

/// <summary>A row of targets.json: the doneness from which, and up to which, each target is met.</summary>
/// <param name="From">By how the pulse holds its shape, 1 to 5.</param>
/// <param name="To">The same; null where there is no upper limit.</param>
/// <param name="OtherFrom">Pulses that differ from their shape.</param>
/// <param name="OtherTo">The same for the upper end.</param>
public sealed record TargetRow(
    PulseTarget Target,
    IReadOnlyList<double> From,
    IReadOnlyList<double>? To = null,
    IReadOnlyDictionary<string, double>? OtherFrom = null,
    IReadOnlyDictionary<string, double>? OtherTo = null
);

/// <summary>The span of doneness that counts as right.</summary>
public static class TargetWindows
{
    /// <summary>Where a pulse melts at all, it is no longer whole from this share of its melting on.</summary>
    private const double WholeOfMelted = 0.8;

    private static readonly Dictionary<PulseTarget, TargetRow> Rows = PulseCatalogue
        .ReadList<TargetRow>("targets.json")
        .ToDictionary(r => r.Target);

    /// <summary>For this pulse; the upper end is infinite where longer is never a fault.</summary>
    /// <remarks>Confidence C. Where the tables tell when a pulse falls apart, melted begins there.</remarks>
    public static Span Of(Pulse pulse, PulseTarget target)
    {
        ArgumentNullException.ThrowIfNull(pulse);
        var row = Rows[target];
        var shape = pulse.HoldsShape - 1;
        var from = row.OtherFrom is { } others && others.TryGetValue(pulse.Id, out var own) ? own : row.From[shape];
        var melts = pulse.CollapsedSimmerUnsoakedMinutes is { } apart
            ? (double?)Cooking.Doneness.Tender * apart.Middle / pulse.SimmerUnsoakedMinutes.Middle
            : null;
        if (target == PulseTarget.Melted)
        {
            return new(melts ?? from, double.PositiveInfinity);
        }

        var to =
            row.OtherTo is { } tops && tops.TryGetValue(pulse.Id, out var top) ? top
            : row.To is { } all ? all[shape]
            : double.PositiveInfinity;
        return new(from, target == PulseTarget.Whole && melts is { } m ? Math.Min(to, WholeOfMelted * m) : to);
    }

    /// <summary>For this rice. Confidence C.</summary>
    public static Span Of(Rice rice, RiceTarget target)
    {
        ArgumentNullException.ThrowIfNull(rice);
        return target switch
        {
            RiceTarget.Fluffy => new(94, rice.IsParboiled ? 130 : 118),
            RiceTarget.Soft => new(105, 150),
            _ => new(130, double.PositiveInfinity),
        };
    }
}
