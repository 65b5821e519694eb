using NodaTime;

namespace BrightKettle.Core.Planning.Beside;

public enum ClashKind
{
    /// <summary>Both want the same pot.</summary>
    Pot,

    /// <summary>Both want the same burner.</summary>
    Burner,

    /// <summary>Both want the cook's hands.</summary>
    Hands,
}

/// <summary>Two dishes of an evening that want the same at once.</summary>
/// <param name="With">The other dish.</param>
/// <param name="Id">The pot, the burner, or this dish's step.</param>
/// <param name="TheirStep">For hands: what the other dish wants of them.</param>
/// <param name="To">When both have what they want again.</param>
public sealed record Clash(ClashKind Kind, Neighbour With, string Id, string? TheirStep, Instant From, Instant To)
{
    /// <summary>A pot or a burner cannot be in two places; hands can hurry.</summary>
    public bool IsOfThings => Kind != ClashKind.Hands;

    /// <summary>All that two dishes want at once: a pot and a burner once each, with the whole span; hands moment by moment.</summary>
    public static IReadOnlyList<Clash> Between(Neighbour mine, IEnumerable<Neighbour> others)
    {
        ArgumentNullException.ThrowIfNull(mine);
        ArgumentNullException.ThrowIfNull(others);
        return
        [
            .. others.SelectMany(other =>
                Spans(ClashKind.Pot, other, mine.Pots, other.Pots)
                    .Concat(Spans(ClashKind.Burner, other, mine.Burners, other.Burners))
                    .Concat(
                        from m in mine.Hands
                        from o in other.Hands
                        where m.Meets(o)
                        select new Clash(ClashKind.Hands, other, m.Id, o.Id, Instant.Max(m.From, o.From), Instant.Max(m.To, o.To))
                    )
            ),
        ];
    }

    private static IEnumerable<Clash> Spans(ClashKind kind, Neighbour with, IReadOnlyList<Busy> mine, IReadOnlyList<Busy> theirs) =>
        from m in mine
        from t in theirs
        where m.Id == t.Id && m.Meets(t)
        group (From: Instant.Max(m.From, t.From), To: Instant.Min(m.To, t.To)) by m.Id into spans
        select new Clash(kind, with, spans.Key, null, spans.Min(s => s.From), spans.Max(s => s.To));
}
