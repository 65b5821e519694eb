using System.Globalization;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>From a dish that cannot be planned to an answer with its reason and what works instead.</summary>
public static class PlanProblems
{
    public static ProblemHttpResult Refused(PlanRefusal refusal, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(refusal);
        ArgumentNullException.ThrowIfNull(dish);
        var (title, detail) = Words(refusal, dish);
        return KettleProblems.Make(StatusCodes.Status422UnprocessableEntity, refusal.Code, refusal.Field, title, detail, new()
        {
            ["alternatives"] = WayMapper.Alternatives(refusal, dish),
        });
    }

    /// <summary>Why the dish cannot be planned, without a title.</summary>
    public static string Detail(PlanRefusal refusal, Dish dish) => Words(refusal, dish).Detail;

    /// <summary>Why the dish cannot be planned, in the cook's words and on the kitchen's clock.</summary>
    internal static (string Title, string Detail) Words(PlanRefusal refusal, Dish dish)
    {
        var facts = refusal.Facts;
        var name = dish.Pulse.Said;
        return refusal.Code switch
        {
            PlanRefusal.TooSoon => (
                "Not by then",
                $"{name} need {Span(facts.Minutes)} from the flame, slow bags allowed for. The earliest table is {Clock(dish, facts.EarliestTable)}."),
            PlanRefusal.SoakTooLate => (
                "Too late to soak",
                $"The soak would have had to start by {Clock(dish, facts.LatestSoak)}."),
            PlanRefusal.PotTooSmall => ("The pot is too small", Full(dish, facts, "the pulses and their water")),
            PlanRefusal.PotTooSmallForRice => ("The pot is too small for this much rice", Full(dish, facts, "the rice, what it drinks and what is in the pot already")),
            PlanRefusal.RiceAboveHard => ("The rice would stay hard", $"{name} are done under pressure before this rice is. Let it join them, or cook it beside."),
            PlanRefusal.RiceAboveSoft => ("The rice would be mush", $"{name} need so long under pressure that this rice above them falls apart. Brown rice stands it better; or cook it beside."),
            PlanRefusal.FlameWhileAsleep => (
                "A flame while you sleep",
                $"It needs {Span(facts.Minutes)} of flame, and part of that lies in the night. No flame is planned while nobody is up."),
            PlanRefusal.NeverBoils => ("This burner is too weak", $"It does not bring the {(dish.Cooker ?? dish.Vessel).Name} to the boil."),
            PlanRefusal.NeverTender => ("It does not get tender", $"{name} would still be firm after nine hours on this flame."),
            PlanRefusal.FlameWhileAway => (
                "A flame while you are out",
                $"The flame lit at {Clock(dish, facts.At)} would burn while nobody is at home."),
            PlanRefusal.AwayFromStove => ("You would be out", $"Somebody has to be at the stove at {Clock(dish, facts.At)}."),
            PlanRefusal.GateBlocks when refusal.Gate is { } gate && !gate.StartsWith("lectin", StringComparison.Ordinal) =>
                (CautionTexts.For(gate).Title, CautionTexts.For(gate).Text),
            PlanRefusal.GateBlocks => ("Not safe this way", $"{name} carry a lectin. Soak them five hours or more, throw the water away and boil them hard, or keep them boiling until nothing is firm."),
            _ => throw new InvalidOperationException($"No sentence for {refusal.Code}."),
        };
    }

    private static string Full(Dish dish, PlanFacts facts, string what) => string.Create(
        CultureInfo.InvariantCulture,
        $"It would be filled with {facts.NeededMillilitres / 1000:0.0} L: {what}. The {(dish.Cooker ?? dish.Vessel).Name} takes {facts.UsableMillilitres / 1000:0.0} L with room to bubble.");

    private static string Span(double? minutes) => minutes is { } m
        ? m < 100 ? $"{Math.Round(m)} minutes" : string.Create(CultureInfo.InvariantCulture, $"{m / 60:0.0} hours")
        : "more time";

    private static string Clock(Dish dish, Instant? instant)
    {
        if (instant is not { } at)
        {
            return "later";
        }

        var local = dish.Household.LocalOf(at);
        var today = dish.Household.LocalOf(dish.Now).Date;
        var day = local.Date == today ? "today" : local.Date == today.PlusDays(1) ? "tomorrow" : local.ToString("dddd d MMMM", CultureInfo.InvariantCulture);
        return $"{local.ToString("HH:mm", CultureInfo.InvariantCulture)} {day}";
    }
}
