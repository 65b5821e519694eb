namespace BrightKettle.Core.Words;

/// <summary>One amount of somebody's notes.</summary>
/// <param name="Kind">pulse, rice, extra, water, salt or unknown.</param>
/// <param name="Id">In the catalogue; null for water, salt and what is not known.</param>
/// <param name="Grams">Null when the line gives none.</param>
/// <param name="Cooked">From a tin or cooked already.</param>
public sealed record NoteAmount(string Line, string Kind, string? Id, string Name, double? Grams, bool Cooked = false);

/// <summary>One step of somebody's notes.</summary>
/// <param name="Minutes">Low and high; null when the step gives none.</param>
public sealed record NoteStep(string Line, NoteAct Act, (double Low, double High)? Minutes, int? Whistles);

/// <summary>A fact that the notes leave out and the cook depends on.</summary>
/// <param name="Code">pulse, pulse_grams, rice_grams, water, minutes, lid, clock_start, release, salt, soak or pressure.</param>
public sealed record NoteQuestion(string Code, IReadOnlyList<string> Choices);

/// <summary>Something that can hardly be meant.</summary>
/// <param name="Code">too_much_water, too_little_water, too_short, too_long, too_much_salt or low_for_lectin.</param>
/// <param name="Said">What the notes say: mL, minutes or percent.</param>
/// <param name="Low">What would be usual, from this to High, in the same unit.</param>
public sealed record NoteDoubt(string Code, double Said, double Low, double High);

/// <summary>Notes as they were understood.</summary>
public sealed record Notes(string? Title, int? People, IReadOnlyList<NoteAmount> Amounts, IReadOnlyList<NoteStep> Steps)
{
    public NoteAmount? Pulse => Amounts.FirstOrDefault(a => a.Kind == "pulse");

    public NoteAmount? Rice => Amounts.FirstOrDefault(a => a.Kind == "rice");

    /// <summary>All the water that is named, g; null when none is.</summary>
    public double? WaterGrams =>
        Amounts.Where(a => a.Kind == "water" && a.Grams is not null).Select(a => a.Grams).DefaultIfEmpty(null).Sum() is > 0 and var sum
            ? sum
            : null;

    public bool Has(NoteAct act) => Steps.Any(s => s.Act == act);

    /// <summary>The step in which the pulses are cooked.</summary>
    public NoteStep? Cooking =>
        Steps.FirstOrDefault(s =>
            s.Act is NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow && (s.Minutes is not null || s.Whistles is not null)
        )
        ?? Steps.FirstOrDefault(s => s.Act is NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow)
        ?? BeforeRice.FirstOrDefault(s => s.Act is NoteAct.Simmer && s.Minutes is not null)
        ?? BeforeRice.FirstOrDefault(s => s.Act is NoteAct.Boil && s.Minutes is not null)
        ?? Steps.FirstOrDefault(s => s.Act is NoteAct.Simmer && s.Minutes is not null);

    /// <summary>What comes with the rice is the rice's.</summary>
    private IEnumerable<NoteStep> BeforeRice => Steps.TakeWhile(s => s.Act != NoteAct.RiceIn);
}
