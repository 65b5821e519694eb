using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>The words for what an answer at the stove changes, and for what can be done.</summary>
public static class StoveSentences
{
    /// <summary>Less is not worth a word.</summary>
    private const double LeastMinutes = 1.5;

    private static readonly Dictionary<string, (string Title, string Text)> Answers = new()
    {
        ["lid_on"] = ("Lid on", "It keeps its steam and comes up to the full boil."),
        ["more_heat"] = ("More flame", "A lively simmer, not a rolling one."),
        ["pressure"] = ("Under pressure for the rest", "All of it over into the cooker, vent looked through, lid locked; held, then left alone until the pin is down."),
        ["soda"] = ("A little baking soda", "Level, stirred in. Skins soften sooner and taste a trace of it; no more than this."),
        ["rice_apart"] = ("Cook the rice apart", "In its own pot now, folded in when both are done."),
        ["later"] = ("Eat later", "Nothing changes but the hour."),
        ["water_and_steam"] = ("Boiling water, lid shut tight", "Sprinkle it over, do not stir; lowest flame that still bubbles."),
        ["boil_on"] = ("Boil on", "There is liquid enough. Lively, and no more water."),
        ["as_planned"] = ("It may go on as planned", "The liquid is set anyway when the rice goes in."),
        ["cover_again"] = ("Cover them again", "Boiling water only: cold would stall them."),
        ["pour_off"] = ("Pour off into the jug", "Flame off, lid on, let it stand; keep the liquid, it may be wanted."),
        ["boil_off"] = ("Boil it off", "Lid off, lively, do not stir rice."),
        ["loosen"] = ("Water, less flame, no scraping", "Pour it down the side. What sticks stays where it is."),
        ["other_pot"] = ("Into a clean pot", "Pour and lift it over without scraping; taste before you go on."),
        ["wipe_and_fill"] = ("Flame down, lid ajar, fill up", "Replace what went over. On gas: is it still lit?"),
        ["heat_again"] = ("Light it again", "It goes on from where it has cooled to."),
        ["lid_back"] = ("Lid back on", "What it lost in steam is counted."),
        ["together_on"] = ("Let them go on together", "The rice will be softer than planned; boiling water so that both end tender."),
        ["off_and_back"] = ("Flame off, lid on, go", "No flame burns while nobody is there. Full flame when you are back."),
        ["go"] = ("You can go", "No flame is burning."),
        ["reduce"] = ("Boil it down", "Lid off, lively; stir the bottom of a pot without rice."),
        ["crush"] = ("Crush a ladle of them", "Against the side of the pot: about one step thicker."),
        ["thin"] = ("Boiling water, stir", "It thickens again as it cools."),
        ["swap"] = ("Swap liquid for fresh water", "Pour off so much and put boiling water in its place."),
        [LidInspection.LookAndLock] = ("Look, then lock it again", "Heat off, left alone until the pin is down. Taste five."),
        [LidInspection.OpenForGood] = ("Open it now and finish without", "Heat off, left alone until the pin is down; then a lively simmer, looked at until they are soft."),
        [LidInspection.StayOpen] = ("Leave the lid unlocked", "A lively simmer, looked at until they are soft."),
        ["off_and_alone"] = ("Heat off, leave it alone", "Only when it has cooled and the pin is down: open, look at ring and liquid."),
        ["more_plain"] = ("Serve it with more plain food", "Unsalted rice, potato or pulses beside it, so much by weight."),
    };

    public static IReadOnlyCollection<string> Codes => Answers.Keys;

    public static StoveAnswerDto For(Answer answer, EveningForecast now)
    {
        ArgumentNullException.ThrowIfNull(answer);
        ArgumentNullException.ThrowIfNull(now);
        var (title, text) = Answers.TryGetValue(answer.Code, out var words) ? words : throw new InvalidOperationException($"No words for the answer {answer.Code}.");
        var caution = answer.Caution is { } code ? $" {CautionTexts.For(code).Text}" : string.Empty;
        var table = answer.After.Table;
        return new(
            answer.Code,
            title,
            text + caution,
            answer.Temperature is null && answer.Code is not ("pour_off" or "reduce") ? null : answer.Amount is { } water ? Math.Round(PotGeometry.LiquorMillilitres(Math.Abs(water.Grams), 98) / 10) * 10 : null,
            answer.Temperature is null && answer.Code is not ("pour_off" or "reduce") && answer.Amount is { } amount ? Math.Round(amount.Grams, 1) : null,
            answer.Temperature?.Celsius,
            answer.For?.TotalMinutes,
            table is null ? null : new(table.Early.ToDateTimeOffset(), table.At.ToDateTimeOffset(), table.Late.ToDateTimeOffset()),
            table is null || now.Table is null ? null : Whole(table.At - now.Table.At),
            answer.Costs is { } costs ? Whole(costs) : null,
            FeltAtTable<PulseIngredient>(answer.After.Cook, answer.After.Forecast.Reference),
            FeltAtTable<RiceIngredient>(answer.After.Cook, answer.After.Forecast.Reference),
            Math.Round(answer.After.Forecast.ShareTender, 2));
    }

    /// <summary>Whole minutes, never a minus nought.</summary>
    private static double Whole(Duration span) => Math.Round(span.TotalMinutes) + 0.0;

    /// <summary>The state in which the first ingredient of a kind ends; null where there is none in a pot.</summary>
    public static string? FeltAtTable<T>(Cook cook, PotRun run)
        where T : Ingredient
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(run);
        var at = cook.Ingredients.ToList().FindIndex(i => i is T);
        return at < 0 || run.Final[at].Vessel < 0 ? null : ClosedSet.Word(Doneness.Felt(run.Final[at].Doneness, cook.Ingredients[at] is PulseIngredient p ? p.Pulse.FallsApartAt : null));
    }

    /// <summary>What the last entry changed: the table, the join, the bag.</summary>
    public static IReadOnlyList<DifferenceDto> Changes(EveningForecast before, EveningForecast after, Household home)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        ArgumentNullException.ThrowIfNull(home);
        var list = new List<DifferenceDto>();
        void Moved(string code, string what, Instant? from, Instant? to)
        {
            if (from is { } was && to is { } now && (now - was).TotalMinutes is var minutes && Math.Abs(minutes) > LeastMinutes)
            {
                list.Add(new(code, string.Create(CultureInfo.InvariantCulture, $"{Math.Abs(minutes):0} minutes {(minutes > 0 ? "more" : "less")}: {what} {Clock(now, home)}"), minutes > 0));
            }
        }

        Instant? Join(EveningForecast s) => s.Due.FirstOrDefault(d => s.Evening.Find(d.MomentId)!.Moment.Has(StepIds.Join))?.At;
        Moved("join", "rice in about", Join(before), Join(after));
        Moved("table", "table about", before.Table?.At, after.Table?.At);
        foreach (var (id, pace) in after.Belief.Paces)
        {
            if (before.Belief.Paces.TryGetValue(id, out var was) && Math.Abs(Math.Log(pace.Median / was.Median)) > 0.04 && after.Evening.Cook.Ingredients[after.Evening.Cook.IndexOf(id)] is PulseIngredient)
            {
                list.Add(new("bag", pace.Median < was.Median ? "This bag is slower than it looked" : "This bag is quicker than it looked", pace.Median < was.Median));
            }
        }

        return list;
    }

    private static string Clock(Instant at, Household home) => home.LocalOf(at).ToString("HH:mm", CultureInfo.InvariantCulture);
}
