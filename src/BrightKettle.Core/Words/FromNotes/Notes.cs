using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>One amount of somebody's notes.</summary>
/// <param name="Kind">pulse, rice, extra, water, salt or unknown.</param>
/// <param name="Id">In the catalogue; null for water, salt and what is not known.</param>
/// <param name="Grams">Null when the line gives none.</param>
/// <param name="Cooked">From a tin or cooked already.</param>
public sealed record NoteAmount(string Line, string Kind, string? Id, string Name, double? Grams, bool Cooked = false)
{
    /// <summary>Named by a step and not by the list: it goes in there.</summary>
    public bool InStep { get; init; }

    /// <summary>Named once for several uses.</summary>
    public bool IsDivided { get; init; }

    /// <summary>Ids of what else the name may mean; empty where it means one.</summary>
    public IReadOnlyList<string> Others { get; init; } = [];
}

/// <summary>Something that a step names.</summary>
/// <param name="Kind">pulse, rice, extra, water or salt.</param>
/// <param name="Id">Null for water and salt.</param>
/// <param name="Grams">Null where the step says no amount.</param>
/// <param name="Celsius">Of water; null for the tap's.</param>
/// <param name="OfListed">Of water: part of what the list names.</param>
public sealed record NotePut(string Kind, string? Id, double? Grams, double? Celsius = null, bool OfListed = false);

/// <summary>One step of somebody's notes.</summary>
/// <param name="Minutes">Low and high; null when the step gives none.</param>
public sealed record NoteStep(string Line, NoteAct Act, (double Low, double High)? Minutes, int? Whistles)
{
    public IReadOnlyList<NotePut> Puts { get; init; } = [];

    /// <summary>Null where nothing is said of it.</summary>
    public Lid? Lid { get; init; }

    /// <summary>Null where nothing is said of it.</summary>
    public Flame? Flame { get; init; }

    /// <summary>How far it shall be; null for by the clock.</summary>
    public NoteUntil? Until { get; init; }

    /// <summary>Of a release: at once, or left alone; null where nothing is said.</summary>
    public ReleaseKind? Release { get; init; }

    /// <summary>Only if it turns out so: it is done at the stove, and not counted.</summary>
    public bool IfNeeded { get; init; }

    /// <summary>All that is left goes in.</summary>
    public bool All { get; init; }

    /// <summary>What is left of something goes in: the remaining water.</summary>
    public bool Left { get; init; }

    /// <summary>A cloth comes under the lid.</summary>
    public bool HasTowel { get; init; }

    /// <summary>Its time counts from the boil.</summary>
    public bool FromBoil { get; init; }

    /// <summary>Water so high over what is in the pot; null where nothing is said of it.</summary>
    public double? OverCentimetres { get; init; }

    /// <summary>Brings heat to what is in the pot.</summary>
    public bool Heats => Act is NoteAct.Boil or NoteAct.Simmer or NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow;
}

/// <summary>A fact that the notes leave out and the cook depends on.</summary>
/// <param name="Code">pulse, pulse_grams, rice_grams, water, minutes, lid, clock_start, release, salt, soak or pressure.</param>
/// <param name="Likely">One of the choices, or a number: what is usual; null where nothing is.</param>
public sealed record NoteQuestion(string Code, IReadOnlyList<string> Choices, string? Likely = null);

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

    /// <summary>"Cover with water": as much as that takes.</summary>
    public bool CoversWithWater =>
        Steps.Any(s =>
            !s.IfNeeded
            && s.Act is not (NoteAct.Soak or NoteAct.QuickSoak or NoteAct.Rinse or NoteAct.TopUp or NoteAct.Drain or NoteAct.Reserve)
            && (s.OverCentimetres is not null || s.Puts.Any(p => p is { Kind: "water", Grams: null }))
        );

    public bool Has(NoteAct act) => Steps.Any(s => s.Act == act);

    /// <summary>The pulses leave their liquor before the rice.</summary>
    public bool DrainsBeforeRice =>
        Steps
            .SkipWhile(s => !s.Heats)
            .TakeWhile(s => s.Act is not (NoteAct.RiceIn or NoteAct.RiceApart))
            .Any(s => s.Act is NoteAct.Drain or NoteAct.Reserve) && Has(NoteAct.RiceIn);

    /// <summary>The step in which the pulses are cooked.</summary>
    public NoteStep? Cooking =>
        Steps.FirstOrDefault(s =>
            s.Act is NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow && (s.Minutes is not null || s.Whistles is not null)
        )
        ?? Steps.FirstOrDefault(s => s.Act is NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow)
        ?? BeforeRice.FirstOrDefault(s => s.Act is NoteAct.Simmer && (s.Minutes is not null || s.Until is not null))
        ?? BeforeRice.FirstOrDefault(s => s.Act is NoteAct.Boil && (s.Minutes is not null || s.Until is not null))
        ?? Steps.FirstOrDefault(s => s.Act is NoteAct.Simmer && s.Minutes is not null)
        ?? BeforeRice.FirstOrDefault(s => s.Act is NoteAct.Simmer)
        // What is cooked already only comes along with the rice.
        ?? Steps.FirstOrDefault(s => s.Act is NoteAct.RiceIn && s.Minutes is not null);

    /// <summary>What comes with the rice is the rice's.</summary>
    private IEnumerable<NoteStep> BeforeRice => Steps.TakeWhile(s => s.Act is not (NoteAct.RiceIn or NoteAct.RiceApart));
}
