using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>What somebody answered to the questions; null where the notes say it.</summary>
public sealed record NoteAnswers(
    string? PulseId = null,
    double? PulseGrams = null,
    double? RiceGrams = null,
    double? WaterGrams = null,
    double? Minutes = null,
    string? Soak = null,
    string? Lid = null,
    string? ClockStart = null,
    string? Release = null,
    double? SaltGrams = null
)
{
    /// <summary>What is usual put in where nothing was answered; which codes that were.</summary>
    public NoteAnswers WithLikely(IReadOnlyList<NoteQuestion> questions)
    {
        ArgumentNullException.ThrowIfNull(questions);
        var all = this;
        foreach (var q in questions.Where(q => q.Likely is not null))
        {
            double? number = double.TryParse(q.Likely, System.Globalization.CultureInfo.InvariantCulture, out var n) ? n : null;
            all = q.Code switch
            {
                "pulse_grams" => all with { PulseGrams = all.PulseGrams ?? number },
                "rice_grams" => all with { RiceGrams = all.RiceGrams ?? number },
                "water" => all with { WaterGrams = all.WaterGrams ?? number },
                "minutes" => all with { Minutes = all.Minutes ?? number },
                "salt" => all with { SaltGrams = all.SaltGrams ?? number },
                "soak" => all with { Soak = all.Soak ?? q.Likely },
                "lid" => all with { Lid = all.Lid ?? q.Likely },
                "clock_start" => all with { ClockStart = all.ClockStart ?? q.Likely },
                "release" => all with { Release = all.Release ?? q.Likely },
                _ => all,
            };
        }

        return all;
    }

    /// <summary>The notes with the answers put in, so that the check has nothing left to ask of them.</summary>
    public Notes PutInto(Notes notes, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(notes);
        ArgumentNullException.ThrowIfNull(catalogue);
        var amounts = notes.Amounts.ToList();
        if (notes.Pulse is null && PulseId is { } id && catalogue.FindPulse(id) is { } pulse)
        {
            amounts.Add(new(pulse.Said, "pulse", pulse.Id, pulse.Said, PulseGrams));
        }

        amounts = amounts.ConvertAll(a =>
            a switch
            {
                { Kind: "pulse", Grams: null } => a with { Grams = PulseGrams },
                { Kind: "rice", Grams: null } => a with { Grams = RiceGrams },
                { Kind: "salt", Grams: null } => a with { Grams = SaltGrams },
                _ => a,
            }
        );
        if (notes.WaterGrams is null && WaterGrams is { } water)
        {
            amounts.Add(new("water", "water", null, "water", water));
        }

        if (SaltGrams is { } salt && amounts.TrueForAll(a => a.Kind != "salt"))
        {
            amounts.Add(new("salt", "salt", null, "salt", salt));
        }

        return notes with
        {
            Amounts = amounts,
            Steps = [.. Timed(Soaked(notes), notes)],
        };
    }

    private List<NoteStep> Soaked(Notes notes)
    {
        var steps = notes.Steps.ToList();
        NoteAct? soak = Soak switch
        {
            "overnight" => NoteAct.Soak,
            "quick" => NoteAct.QuickSoak,
            "none" => NoteAct.Unsoaked,
            _ => null,
        };
        if (soak is { } act && !notes.Has(NoteAct.Soak) && !notes.Has(NoteAct.QuickSoak) && !notes.Has(NoteAct.Unsoaked))
        {
            steps.Insert(0, new("soak", act, null, null));
        }

        return steps;
    }

    private List<NoteStep> Timed(List<NoteStep> steps, Notes notes)
    {
        if (Minutes is not { } minutes || notes.Cooking is { Minutes: not null } or { Whistles: not null } or { Until: not null })
        {
            return steps;
        }

        var timed = new NoteStep("simmer", notes.Cooking?.Act ?? NoteAct.Simmer, (minutes, minutes), null);
        if (notes.Cooking is { } untimed && steps.IndexOf(untimed) is var at and >= 0)
        {
            steps[at] = steps[at] with { Minutes = timed.Minutes };
        }
        else
        {
            var rice = steps.FindIndex(s => s.Act is NoteAct.RiceIn);
            steps.Insert(rice < 0 ? steps.Count : rice, timed);
        }

        return steps;
    }
}
