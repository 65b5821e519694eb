using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Words;

/// <summary>What must be asked before notes become a cook, and what must be doubted.</summary>
public sealed class NotesCheck(PulseCatalogue catalogue)
{
    /// <summary>Water by weight of dry pulse and rice together, least and most that is usual, the pot's boil-off counted in (confidence
    /// C).</summary>
    private const double LeastWater = 1.5;
    private const double MostWater = 9;

    /// <summary>Exactly the facts that are missing; what the notes answer is not asked.</summary>
    public IReadOnlyList<NoteQuestion> Questions(Notes notes)
    {
        ArgumentNullException.ThrowIfNull(notes);
        var asked = new List<NoteQuestion>();
        void Ask(string code, params string[] choices) => asked.Add(new(code, choices));
        if (notes.Pulse is not { } pulse)
        {
            Ask("pulse");
            return asked;
        }

        if (pulse.Grams is null)
        {
            Ask("pulse_grams");
        }

        if (notes.Rice is { Grams: null })
        {
            Ask("rice_grams");
        }

        if (notes.WaterGrams is null)
        {
            Ask("water");
        }

        if (
            !pulse.Cooked
            && !notes.Has(NoteAct.Soak)
            && !notes.Has(NoteAct.QuickSoak)
            && !notes.Has(NoteAct.Unsoaked)
            && catalogue.FindPulse(pulse.Id!)!.SoakHours.High > 0
        )
        {
            Ask("soak", "none", "overnight", "quick");
        }

        var cooking = notes.Cooking;
        if (cooking is null || (cooking.Minutes is null && cooking.Whistles is null))
        {
            Ask("minutes");
        }

        if (cooking?.Act == NoteAct.Pressure)
        {
            Ask("clock_start", "pressure_up", "heat_on");
            if (!notes.Steps.Any(s => ReleaseSaid(s.Line)))
            {
                Ask("release", "natural", "quick");
            }
        }
        else if (cooking?.Act is NoteAct.Simmer or NoteAct.Boil)
        {
            if (
                !notes.Steps.Any(s =>
                    s.Line.Contains("lid", StringComparison.OrdinalIgnoreCase)
                    || s.Line.Contains("cover", StringComparison.OrdinalIgnoreCase)
                )
            )
            {
                Ask("lid", "on", "ajar", "open");
            }

            if (!notes.Steps.Any(s => s.Line.Contains("boil", StringComparison.OrdinalIgnoreCase)))
            {
                Ask("clock_start", "boil", "heat_on");
            }
        }

        if (
            notes.Amounts.All(a => a.Kind != "salt" || a.Grams is null)
            && !notes.Amounts.Any(a => a.Kind == "extra" && catalogue.FindExtra(a.Id!)!.Salt.Typical > 0.3)
        )
        {
            Ask("salt");
        }

        return asked;
    }

    /// <summary>Figures that can hardly be meant, each with what is usual.</summary>
    public IReadOnlyList<NoteDoubt> Doubts(Notes notes)
    {
        ArgumentNullException.ThrowIfNull(notes);
        var doubts = new List<NoteDoubt>();
        if (notes.Pulse is not { Id: { } id, Grams: { } grams } line || catalogue.FindPulse(id) is not { } pulse)
        {
            return doubts;
        }

        var dry = grams + (notes.Rice?.Grams ?? 0);
        if (notes.WaterGrams is { } water && !line.Cooked)
        {
            if (water > MostWater * dry)
            {
                doubts.Add(new("too_much_water", Math.Round(water), Math.Round(LeastWater * dry), Math.Round(MostWater * dry)));
            }
            else if (water < LeastWater * dry)
            {
                doubts.Add(new("too_little_water", Math.Round(water), Math.Round(LeastWater * dry), Math.Round(MostWater * dry)));
            }
        }

        if (notes.Cooking is { Act: NoteAct.Simmer or NoteAct.Boil, Minutes: { } minutes } && !line.Cooked)
        {
            var soaked = notes.Has(NoteAct.Soak) || notes.Has(NoteAct.QuickSoak);
            var range = soaked ? pulse.SimmerSoakedMinutes : pulse.SimmerUnsoakedMinutes;
            var all = notes.Steps.Where(s => s.Act is NoteAct.Simmer or NoteAct.Boil).Sum(s => s.Minutes?.High ?? 0);
            if (all < range.Low * Fast)
            {
                doubts.Add(new("too_short", all, range.Low, range.High));
            }
            else if (minutes.Low > range.High * Slow)
            {
                doubts.Add(new("too_long", minutes.Low, range.Low, range.High));
            }
        }

        if (
            notes.Amounts.FirstOrDefault(a => a.Kind == "salt" && a.Grams > 0) is { Grams: { } salt }
            && 100 * salt / (dry * EatenPerDry) is > 2 and var percent
        )
        {
            doubts.Add(new("too_much_salt", Math.Round(percent, 1), 0.7, 1.1));
        }

        if (notes.Cooking?.Act == NoteAct.Slow && pulse.BoilsFirst && !line.Cooked && !notes.Has(NoteAct.Boil))
        {
            doubts.Add(new("low_for_lectin", 0, Safety.LectinGate.HardBoil.TotalMinutes, Safety.LectinGate.HardBoilCautious.TotalMinutes));
        }

        return doubts;
    }

    /// <summary>The quickest and the slowest bag against the table's range (reference: ×0.6 to ×1.8 from bag to bag).</summary>
    private const double Fast = 0.6;
    private const double Slow = 1.8;

    /// <summary>What a gram of dry pulse or rice weighs on the plate with its liquor.</summary>
    private const double EatenPerDry = 3;

    private static bool ReleaseSaid(string line) =>
        line.Contains("release", StringComparison.OrdinalIgnoreCase)
        || line.Contains("pin", StringComparison.OrdinalIgnoreCase)
        || line.Contains("by itself", StringComparison.OrdinalIgnoreCase)
        || line.Contains("naturally", StringComparison.OrdinalIgnoreCase);
}
