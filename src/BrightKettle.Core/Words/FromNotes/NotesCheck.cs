using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>What must be asked before notes become a cook, and what must be doubted.</summary>
public sealed class NotesCheck(PulseCatalogue catalogue)
{
    /// <summary>Water by weight of dry pulse and rice together, least and most that is usual, the pot's boil-off counted in (confidence
    /// C).</summary>
    private const double LeastWater = 1.5;
    private const double MostWater = 9;

    /// <summary>Exactly the facts that are missing and matter, each with what is usual; what the notes answer is not asked.</summary>
    public IReadOnlyList<NoteQuestion> Questions(Notes notes)
    {
        ArgumentNullException.ThrowIfNull(notes);
        var asked = new List<NoteQuestion>();
        void Ask(string code, string? likely, params string[] choices) => asked.Add(new(code, choices, likely));
        if (notes.Pulse is not { } pulse)
        {
            Ask("pulse", null);
            return asked;
        }

        var bag = catalogue.FindPulse(pulse.Id!)!;
        var eaters = notes.People ?? UsualEaters;
        if (pulse.Grams is null)
        {
            Ask("pulse_grams", Round(eaters * Portions.PulseGramsEach(notes.Rice is not null)));
        }

        if (notes.Rice is { Grams: null })
        {
            Ask("rice_grams", Round(eaters * Portions.RiceGramsEach));
        }

        var dry = (pulse.Grams ?? eaters * Portions.PulseGramsEach(notes.Rice is not null)) + (notes.Rice?.Grams ?? 0);
        if (notes.WaterGrams is null && !notes.CoversWithWater && !notes.Amounts.Any(a => IsLiquid(a, dry)))
        {
            Ask("water", Round(pulse.Cooked ? dry : UsualWater * dry));
        }

        var soaked = notes.Has(NoteAct.Soak) || notes.Has(NoteAct.QuickSoak);
        if (!pulse.Cooked && !soaked && !notes.Has(NoteAct.Unsoaked) && bag.SoakHours.High > 0)
        {
            Ask("soak", bag.SimmerUnsoakedMinutes.Middle > LongMinutes ? "overnight" : "none", "none", "overnight", "quick");
        }

        AskCooking(notes, bag, soaked, Ask);
        if (
            notes.Amounts.All(a => a.Kind != "salt" || a.Grams is null)
            && !notes.Amounts.Any(a => a.Kind == "extra" && catalogue.FindExtra(a.Id!)!.Salt.Typical > 0.3)
        )
        {
            Ask("salt", (UsualSalt * dry).ToString("0", CultureInfo.InvariantCulture));
        }

        return asked;
    }

    private static void AskCooking(Notes notes, Pulse bag, bool soaked, Action<string, string?, string[]> ask)
    {
        var cooking = notes.Cooking;
        if (cooking is null || cooking is { Minutes: null, Whistles: null, Until: null })
        {
            var usual =
                cooking?.Act == NoteAct.Pressure ? (soaked ? bag.PressureSoakedMinutes : bag.PressureUnsoakedMinutes).Middle
                : cooking?.Act == NoteAct.Slow ? UsualSlowMinutes
                : notes.Pulse!.Cooked ? UsualWarmMinutes
                : bag.SimmerMinutes(soaked || bag.SimmerUnsoakedMinutes.Middle > LongMinutes);
            ask("minutes", Round(usual), []);
        }

        if (cooking?.Act == NoteAct.Pressure && cooking.Whistles is null)
        {
            ask("clock_start", "pressure_up", ["pressure_up", "heat_on"]);
            if (!notes.Has(NoteAct.Release))
            {
                ask("release", "natural", ["natural", "quick"]);
            }
        }
        else if (cooking is { Act: NoteAct.Simmer or NoteAct.Boil })
        {
            if (notes.Steps.All(s => s.Lid is null))
            {
                ask("lid", "ajar", ["on", "ajar", "open"]);
            }

            if (!notes.Has(NoteAct.Boil) && cooking is { Until: null, FromBoil: false })
            {
                ask("clock_start", "boil", ["boil", "heat_on"]);
            }
        }
    }

    /// <summary>Stock or coconut milk, and enough of it: a tin of tomatoes cooks no beans.</summary>
    private bool IsLiquid(NoteAmount amount, double dry) =>
        amount is { Kind: "extra", Id: { } id } && amount.Grams >= dry && catalogue.FindExtra(id)?.Kind == ExtraKind.Liquid;

    private static string Round(double value) =>
        (value >= 100 ? Math.Round(value / 10) * 10 : Math.Round(value)).ToString("0", CultureInfo.InvariantCulture);

    private const double UsualEaters = 4;

    /// <summary>Of dry pulses and rice, by weight, where nobody says how much (confidence C).</summary>
    private const double UsualWater = 4;

    /// <summary>1 % of what is eaten, which is three times what is dry.</summary>
    private const double UsualSalt = 0.03;

    /// <summary>What simmers longer than this unsoaked is usually soaked, minutes.</summary>
    private const double LongMinutes = 60;

    private const double UsualSlowMinutes = 420;

    private const double UsualWarmMinutes = 10;

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
}
