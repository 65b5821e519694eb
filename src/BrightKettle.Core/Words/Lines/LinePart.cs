using BrightKettle.Core.Words.Grammar;
using NodaTime;

namespace BrightKettle.Core.Words.Lines;

/// <summary>Something that a line says.</summary>
/// <param name="Start">Where it stands in the line, from 0.</param>
/// <param name="Length">Letters that it takes there.</param>
public abstract record LinePart(int Start, int Length)
{
    public sealed record People(int Start, int Length, int Count, bool Little) : LinePart(Start, Length)
    {
        /// <summary>A number all alone: it may as well be the hour.</summary>
        public bool Bare { get; init; }
    }

    /// <summary>On the clock.</summary>
    public sealed record Time(int Start, int Length, LocalTime At) : LinePart(Start, Length);

    /// <summary>So long from now.</summary>
    public sealed record FromNow(int Start, int Length, Duration Span) : LinePart(Start, Length);

    public sealed record Day(int Start, int Length, int DaysOn) : LinePart(Start, Length);

    public sealed record Weekday(int Start, int Length, IsoDayOfWeek On) : LinePart(Start, Length);

    /// <summary>A pulse, a rice or an extra.</summary>
    /// <param name="Kind">pulse, rice or extra.</param>
    /// <param name="Ids">What it may mean, the likeliest first.</param>
    /// <param name="Without">It is not wanted.</param>
    public sealed record Named(int Start, int Length, string Kind, IReadOnlyList<string> Ids, SaidAmount? Amount, bool Without)
        : LinePart(Start, Length)
    {
        /// <summary>How it comes, each of <see cref="Quality"/>.</summary>
        public IReadOnlyList<string> Is { get; init; } = [];
    }

    /// <summary>An amount by itself.</summary>
    public sealed record Loose(int Start, int Length, SaidAmount Amount) : LinePart(Start, Length);

    /// <summary>An amount of each pulse that is named.</summary>
    public sealed record Each(int Start, int Length, SaidAmount Amount) : LinePart(Start, Length);

    /// <summary>A dish whose name says what is in it.</summary>
    /// <param name="Pulses">What its pulse may be, the likeliest first.</param>
    public sealed record Dish(
        int Start,
        int Length,
        IReadOnlyList<string> Pulses,
        string? Rice,
        string? Style,
        string? PulseTarget,
        string? RiceTarget,
        IReadOnlyList<string> Extras,
        string? RiceJoin
    ) : LinePart(Start, Length);

    /// <summary>A word with one meaning: style, soak, method, target.</summary>
    /// <param name="Of">style, soak, method, from, pulse, rice, join, stage or stood (since when they soak).</param>
    public sealed record Said(int Start, int Length, string Of, string Means) : LinePart(Start, Length);

    /// <summary>They have stood in water since this hour.</summary>
    /// <param name="Sure">Morning or evening was said.</param>
    public sealed record Since(int Start, int Length, LocalTime At, bool Sure) : LinePart(Start, Length);

    /// <summary>They stand in water for so long.</summary>
    /// <param name="Stood">They have stood so long already.</param>
    public sealed record SoakFor(int Start, int Length, Duration Span, bool Stood) : LinePart(Start, Length);

    /// <summary>A word that means nothing here.</summary>
    public sealed record Unread(int Start, int Length, string Word) : LinePart(Start, Length);
}
