using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Something that a line of notes says, where it stands in it.</summary>
/// <param name="Start">From 0.</param>
/// <param name="Length">Letters.</param>
internal abstract record NotePiece(int Start, int Length)
{
    public int End => Start + Length;

    /// <summary>A verb, or a place that says as much.</summary>
    /// <param name="Rank">The stronger, the smaller: in a phrase only the strongest count.</param>
    public sealed record Does(int Start, int Length, NoteAct Act, VerbRank Rank) : NotePiece(Start, Length)
    {
        /// <summary>Of a release that says how; null otherwise.</summary>
        public ReleaseKind? Release { get; init; }
    }

    /// <summary>A pulse, a rice or an extra.</summary>
    public sealed record Named(
        int Start,
        int Length,
        string Kind,
        IReadOnlyList<string> Ids,
        string Name,
        SaidAmount? Amount,
        IReadOnlyList<string> Is
    ) : NotePiece(Start, Length);

    /// <param name="Celsius">Null where nothing is said of it.</param>
    /// <param name="OfListed">Part of what the list names: 2 cups of the water.</param>
    public sealed record Water(int Start, int Length, SaidAmount? Amount, double? Celsius, bool OfListed) : NotePiece(Start, Length);

    public sealed record Salt(int Start, int Length, SaidAmount? Amount) : NotePiece(Start, Length);

    /// <summary>Among how a thing comes: soaked before it is weighed.</summary>
    public const string Soaked = "soaked";

    /// <summary>Water so high over what is in the pot.</summary>
    public sealed record Over(int Start, int Length, double Centimetres) : NotePiece(Start, Length);

    /// <summary>An amount of something that has no name here.</summary>
    public sealed record Loose(int Start, int Length, SaidAmount Of) : NotePiece(Start, Length);

    /// <param name="Low">Minutes.</param>
    public sealed record Lasts(int Start, int Length, double Low, double High) : NotePiece(Start, Length);

    public sealed record Whistled(int Start, int Length, int Count) : NotePiece(Start, Length);

    public sealed record Covered(int Start, int Length, Lid Lid) : NotePiece(Start, Length);

    public sealed record AtFlame(int Start, int Length, Flame Flame) : NotePiece(Start, Length);

    public sealed record Until(int Start, int Length, NoteUntil State) : NotePiece(Start, Length);

    /// <summary>if, apart, all, left, away, from_boil, rice_cooker, divided, late, tinned, each, towel, quick, natural, overnight or few.</summary>
    public sealed record Said(int Start, int Length, string What) : NotePiece(Start, Length);

    public sealed record People(int Start, int Length, int Count) : NotePiece(Start, Length);

    /// <summary>A comma or an "and".</summary>
    public sealed record Break(int Start, int Length) : NotePiece(Start, Length)
    {
        /// <summary>What follows stands in brackets.</summary>
        public bool Opens { get; init; }
    }

    /// <summary>The end of a sentence.</summary>
    public sealed record Stop(int Start, int Length) : NotePiece(Start, Length);

    /// <summary>A word that nothing reads.</summary>
    public sealed record Unread(int Start, int Length, string Word) : NotePiece(Start, Length);
}

/// <summary>How much a verb says.</summary>
internal enum VerbRank
{
    /// <summary>Soak, boil, drain.</summary>
    Strong,

    /// <summary>Cook, heat: anything that has a flame under it.</summary>
    Generic,

    /// <summary>Put, leave, let.</summary>
    Weak,
}

/// <summary>How far something shall be.</summary>
public enum NoteUntil
{
    Half,
    Bite,
    Tender,
    Creamy,
    Melted,

    /// <summary>Of what fries, not of pulses.</summary>
    Brown,

    /// <summary>No water is to be seen.</summary>
    Dry,
}
