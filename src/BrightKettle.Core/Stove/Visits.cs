using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Something to see to beside the plan's own moments.</summary>
/// <param name="Code">boil_over, still_lit, level, sticking, silent, chilli, too_little, too_much or dry.</param>
/// <param name="At">When it should be seen to.</param>
/// <param name="IngredientId">What it is about; null for the pot.</param>
/// <param name="Grams">For too_little and too_much: of water.</param>
public sealed record Visit(string Code, string VesselId, Instant At, string? IngredientId = null, double? Grams = null);

/// <summary>What wants an eye while nothing of the plan is due: foam in the first minutes of a boil, a low flame of gas, a thick pot's
/// base.</summary>
public static class Visits
{
    public const string BoilOver = "boil_over";
    public const string StillLit = "still_lit";
    public const string Sticking = "sticking";

    /// <summary>Whether the liquid still covers them.</summary>
    public const string Level = "level";

    /// <summary>A locked cooker of which nothing is heard.</summary>
    public const string Silent = "silent";

    /// <summary>Less water went in than the plan says, or more.</summary>
    public const string TooLittle = "too_little";
    public const string TooMuch = "too_much";

    /// <summary>By the ledger nothing free is left under a flame.</summary>
    public const string Dry = "dry";

    /// <summary>Water that is off by less is no matter, g, and of what is in the pot.</summary>
    private const double MattersGrams = 120;

    /// <summary>Free liquor under which a pot counts as dry, mL.</summary>
    private const double DryMillilitres = 20;

    /// <summary>A whole chilli that nobody plans to take out.</summary>
    public const string Chilli = "chilli";

    /// <summary>A whole chilli simmers so long without bursting (confidence D).</summary>
    private static readonly Duration Holds = Duration.FromMinutes(20);

    private const string WholeChilli = "whole_chilli";

    /// <summary>Somebody who has said that there is liquid is asked again after so long.</summary>
    private static readonly Duration DryAgain = Duration.FromMinutes(8);

    /// <summary>A first boil foams for about so long (confidence C).</summary>
    private static readonly Duration Foams = Duration.FromMinutes(4);

    /// <summary>A turned-down flame is looked at once it has settled.</summary>
    private static readonly Duration Settles = Duration.FromMinutes(3);

    /// <summary>A thick pot is stirred from the bottom so often (confidence D).</summary>
    private static readonly Duration Stirs = Duration.FromMinutes(12);

    /// <summary>A simmering pot's level is looked at so often (confidence D).</summary>
    private static readonly Duration Levels = Duration.FromMinutes(25);

    /// <summary>No hiss and no whistle for so long after the heat: something is wrong with it (cooker manuals).</summary>
    private static readonly Duration SilentFor = Duration.FromMinutes(15);

    /// <summary>Doneness from which a split thickens its pot.</summary>
    private const double Thickens = 70;

    /// <param name="gas">Vessels whose burner is a flame of gas.</param>
    public static IReadOnlyList<Visit> Of(EveningForecast ahead, IReadOnlySet<string> gas)
    {
        ArgumentNullException.ThrowIfNull(ahead);
        ArgumentNullException.ThrowIfNull(gas);
        var evening = ahead.Evening;
        if (evening.ServedAt is not null)
        {
            return [];
        }

        var list = new List<Visit>();
        var now = ahead.Now;
        foreach (var moment in evening.Moments.Where(m => m is { State: MomentState.Done, Moment.Trigger.After: PotEvent.Boils }))
        {
            var boiled = moment.DoneAt!.Value;
            if (now < boiled + Foams && !Seen(evening, BoilOver, moment.Moment.Lane, boiled))
            {
                list.Add(new(BoilOver, moment.Moment.Lane, boiled));
            }
        }

        var pot = Conditions.Of(evening);
        var lastHeat = evening
            .ActionsDone()
            .Where(d => d.Action is CookAction.Heat && Moment.LaneOf(d.Action, evening.Cook.Kitchen) == pot.VesselId)
            .Select(d => (Instant?)d.At)
            .LastOrDefault();
        if (
            lastHeat is { } turned
            && pot.Flame is Flame.Gentle or Flame.Lowest
            && gas.Contains(pot.VesselId)
            && !Seen(evening, StillLit, pot.VesselId, turned)
        )
        {
            list.Add(new(StillLit, pot.VesselId, turned + Settles));
        }

        if (
            pot.Locked
            && lastHeat is { } heated
            && pot.Flame != Flame.Off
            && evening.Pending.FirstOrDefault(m => m.Lane == pot.VesselId)
                is { Trigger: { After: PotEvent.PressureUp or PotEvent.Whistle, Count: 1 } }
        )
        {
            var asked = evening.Seen.Where(o => o is Observation.Checked { What: Silent }).Select(o => o.At).Append(heated).Max();
            list.Add(new(Silent, pot.VesselId, asked + SilentFor));
        }

        if (evening.WrongWater is { } wrong && Math.Abs(wrong.Grams) > MattersGrams)
        {
            var code = wrong.Grams < 0 ? TooLittle : TooMuch;
            if (!Seen(evening, code, wrong.Lane, wrong.At))
            {
                list.Add(new(code, wrong.Lane, wrong.At, Grams: Math.Round(Math.Abs(wrong.Grams) / 10) * 10));
            }
        }

        // Rice may steam dry; pulses by themselves must not.
        if (
            ahead.Pot is { LiquorMillilitres: < DryMillilitres }
            && pot is { PulsesIn: true, RiceIn: false, Locked: false, Flame: not (Flame.Off or Flame.Warm) }
            && evening.Seen.OfType<Observation.Checked>().Where(o => o.What == Dry).All(o => now - o.At > DryAgain)
        )
        {
            list.Add(new(Dry, pot.VesselId, now));
        }

        list.AddRange(Chillies(evening).Select(c => new Visit(Chilli, pot.VesselId, c.At + Holds, c.IngredientId)));
        if (ThickPot(ahead) && pot is { Locked: false, RiceIn: false, Flame: not Flame.Off })
        {
            var last = evening
                .Seen.Where(o => o is Observation.Checked { What: Sticking } or Observation.Sticks)
                .Select(o => o.At)
                .Append(lastHeat ?? now)
                .Max();
            list.Add(new(Sticking, pot.VesselId, last + Stirs));
        }

        if (
            pot is { Locked: false, PulsesIn: true, RiceIn: false, Flame: Flame.Lively or Flame.Gentle or Flame.Rolling }
            && lastHeat is { } simmers
        )
        {
            var looked = evening
                .Seen.Where(o => o is Observation.OverBed or Observation.Liquor or Observation.Checked { What: Level })
                .Select(o => o.At)
                .Append(simmers)
                .Max();
            list.Add(new(Level, pot.VesselId, looked + Levels));
        }

        return [.. list.OrderBy(v => v.At)];
    }

    /// <summary>When each went in that is still inside and for which no moment is planned to take it out.</summary>
    private static IEnumerable<(Instant At, string IngredientId)> Chillies(EveningState evening)
    {
        var planned = evening.Pending.SelectMany(m => m.Actions).OfType<CookAction.TakeOut>().Select(t => t.IngredientId).ToHashSet();
        var inside = evening.ComesOut().Where(i => i.Left > 0 && !planned.Contains(i.IngredientId)).Select(i => i.IngredientId).ToHashSet();
        return evening
            .ActionsDone()
            .Where(d =>
                d.Action is CookAction.Add a
                && inside.Contains(a.IngredientId)
                && evening.Cook.Ingredients[evening.Cook.IndexOf(a.IngredientId)] is ExtraIngredient { Extra.Id: WholeChilli }
            )
            .Select(d => (d.At, ((CookAction.Add)d.Action).IngredientId));
    }

    private static bool Seen(EveningState evening, string code, string vessel, Instant since) =>
        evening
            .Seen.OfType<Observation.Checked>()
            .Any(o => o.What == code && (o.VesselId ?? evening.Cook.Kitchen.Vessel.Id) == vessel && o.At >= since);

    private static bool ThickPot(EveningForecast ahead)
    {
        var pulse = ahead.Cook.Ingredients.OfType<PulseIngredient>().First();
        return pulse.Pulse.Kind == PulseKind.Split && ahead.Pot?.Doneness[ahead.Cook.IndexOf(pulse.Id)] >= Thickens;
    }
}
