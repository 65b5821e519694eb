using System.Globalization;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Server.Problems;

/// <summary>The words for every code that a request can be refused with.</summary>
public static class Sentences
{
    private static readonly Dictionary<string, string> Fields = new()
    {
        ["request.missing"] = "This is missing.",
        ["request.too_long"] = "This is too long.",
        ["request.letters"] = "This has a character in it that cannot be shown.",
        ["request.not_found"] = "There is nothing at this address.",
        ["request.method"] = "This address does not take that kind of request.",
        ["request.type"] = "This address takes JSON, as application/json in UTF-8.",
        ["request.too_large"] = "This is more than is taken at once.",
        ["request.too_slow"] = "This came too slowly and was given up.",
        ["request.id_taken"] = "Something else was stored under this id before. Nothing of this was saved.",
        ["request.changed_elsewhere"] = "This was changed elsewhere at the same moment. Nothing of this change was saved: look at it again and repeat it.",
        ["limit.simulated_hours"] = "This cook would go on for longer than a week. Look for an action that waits for something that does not come.",
        ["limit.steps"] = "This would take more computing than one request may. Try it with fewer or shorter actions.",
        ["limit.milliseconds"] = "This took too long and was called off. Try again when the machine has less to do.",
        ["server.busy"] = "Too much is being computed just now. Try again in a moment.",
        ["server.stopping"] = "The kettle is being stopped. Nothing was saved.",
        ["server.fault"] = "Something went wrong here. Nothing was saved.",
        ["storage.full"] = "The disk is full, so nothing was saved. Make room and try again.",
        ["storage.damaged"] = "The database cannot be read or written. Stop the kettle, start it again and see what it says.",
        ["stream.too_many"] = "This device follows too many dinners at once. Close a page or two.",
        ["request.malformed"] = "This could not be read.",
        ["request.unknown_word"] = "This word is not known here.",
        ["request.time"] = "Please give a date and a time, such as 2026-11-25T19:00.",
        ["request.zone"] = "This time zone is not known.",
        ["request.event_id"] = "The event needs an id of its own.",
        ["catalogue.unknown_pulse"] = "No pulse of this name is in the catalogue.",
        ["catalogue.unknown_rice"] = "No rice of this name is in the catalogue.",
        ["kitchen.unknown_vessel"] = "No such pot is in the kitchen.",
        ["kitchen.unknown_burner"] = "No such burner is in the kitchen.",
        ["kitchen.unknown_cooker"] = "No such cooker is in the kitchen.",
        ["kitchen.last_vessel"] = "The kitchen needs one pot at least.",
        ["kitchen.vessel_in_use"] = "Dinners that are still to come use this pot. It can go from the list; those dinners keep it.",
        ["kitchen.too_many"] = "A kitchen has at most 60 pots. Remove one that is not used.",
        ["kitchen.stale"] = "The kitchen was changed elsewhere meanwhile. Nothing of this change was saved.",
        ["plan.nothing_to_pull"] = "This dinner has no plan to pull at.",
        ["words.too_long"] = "This is too long to be read at once.",
        ["slip.unknown"] = "This kind of slip is not known.",
        ["slip.value"] = "This slip needs a figure or a name.",
        ["dish.not_on_shelf"] = "Nothing of it is on the shelf; say what is there under My pots.",
        ["dish.others"] = "At most four pulses in one pot, each once.",
        ["dish.extras"] = "At most twelve things beside pulses and rice, each once.",
        ["extra.not_blanched"] = "Only cured meat is blanched.",
        ["dish.bowl_above"] = "A bowl of rice stands above the pulses in a pressure cooker only.",
        ["dish.rice_pot"] = "The rice needs a plain pot of its own, another one than the pulses'.",
        ["dish.one_burner"] = "Two pots need two burners.",
        ["dish.away"] = "You come back after you leave, within a day.",
        ["dish.past"] = "This time has passed.",
        ["dish.too_far"] = "Plans reach a fortnight ahead.",
        ["cook.starts"] = "A cook starts between 1970 and 2200.",
        ["cook.format"] = "This is not a cook of version 1.",
        ["catalogue.unknown_extra"] = "Nothing of this name is in the kitchen's vocabulary.",
        ["cook.ingredients"] = "A cook has one to sixteen ingredients.",
        ["cook.ingredient_amount"] = "An ingredient weighs at least 0.01 g and at most 60 kg.",
        ["cook.vessels"] = "A cook has at most four vessels, each with an id of its own.",
        ["cook.unknown_vessel"] = "This action names a vessel that the cook does not have, or the same one twice.",
        ["cook.unknown_mark"] = "No action before this one carries that mark.",
        ["cook.lid_locked"] = "The lid is locked under pressure: let the pressure go first.",
        ["cook.not_locked"] = "No lid is locked here, so no pressure comes up and none can be let go.",
        ["cook.not_released"] = "The pin falls only after the cooker was left to lose its pressure.",
        ["cook.no_whistle"] = "Only a weight whistles.",
        ["cook.no_pressure"] = "This vessel holds no pressure.",
        ["cook.bowl_above"] = "A bowl in the steam has no heat and no lid of its own.",
        ["cook.slow_setting"] = "A slow cooker knows off, warm, low and high.",
        ["cook.count"] = "A whistle is counted from 1 to 60.",
        ["cook.after_the_end"] = "Nothing comes after serve.",
        ["cook.not_an_extra"] = "Pulses and rice are not taken out piece by piece; transfer them.",
        ["cook.not_a_pulse"] = "Only pulses are mashed.",
        ["cook.salt_share"] = "A brine has at most 5 % of salt.",
        ["cook.soda_share"] = "A soak has at most 10 g of soda a litre.",
        ["cook.share"] = "A share lies between 0 and 1.",
        ["cook.ingredient_twice"] = "Two ingredients have the same id.",
        ["cook.actions"] = "A cook has one to 200 actions.",
        ["cook.no_end"] = "The last action must be serve.",
        ["cook.unknown_action"] = "This action is not known.",
        ["cook.unknown_ingredient"] = "This action names an ingredient that the cook does not have.",
        ["cook.already_in_pot"] = "This ingredient is in the pot already.",
        ["cook.not_in_pot"] = "This cannot be looked at, since it is not in the pot yet.",
        ["cook.bowl_by_clock"] = "What happens in a bowl goes by the clock: no event and no look.",
        ["cook.look"] = "A look asks for a doneness from 0 to 200 and does not come again at once.",
        ["cook.delay"] = "A delay is at least 0 minutes and at most two days.",
        ["cook.too_far"] = "An action lies before the start of the cook or more than four days after it.",
        ["cook.amount"] = "An amount is at least 0 g and at most 60 kg.",
        ["pair.needed"] = "This screen is not paired with the kettle yet.",
        ["pair.off"] = "The kettle was started for this machine alone. Start it with ./kettle serve --lan to let phones in.",
        ["pair.here_only"] = "Only the machine on which the kettle runs may do that.",
        ["pair.wrong"] = "That is not the code. Look at the kettle's own screen.",
        ["pair.wait"] = "Too many tries. Wait a while, then type the code again.",
        ["request.origin"] = "This came from a page of another site, so nothing was done.",
        ["pair.spent"] = "The code is used up or too old. Make a new one on the kettle's own screen.",
        ["stove.missing"] = "This dinner is not at the stove.",
        ["stove.entries"] = "One to 200 entries at a time.",
        ["stove.time"] = "That lies in the future, or more than four days back.",
        ["stove.unknown_moment"] = "The plan has changed: this step is no longer in it.",
        ["stove.nothing_to_undo"] = "There is nothing of that kind to take back.",
        ["stove.not_inside"] = "No more of these are inside.",
        ["stove.id_taken"] = "Something else was stored under this entry's id before.",
        ["stove.after_the_table"] = "The dinner was on the table by then.",
        ["stove.undo_later_first"] = "What was told later does not fit without this. Take the later ones back first.",
        ["stove.too_old"] = "This dinner was started more than four days ago. Close it; what was told is kept.",
        ["stove.impossible"] = "That does not go with what was told before it. Take the other back first.",
        ["stove.no_such_answer"] = "That can no longer be done as it was offered. Ask again.",
        ["cook.under_way"] = "This dinner is at the stove: change it there.",
        ["cook.exists"] = "This dinner is kept already. Open it to change it.",
        ["cook.deleted"] = "This dinner was deleted. Bring it back first.",
        ["cook.missing"] = "This dinner is not here.",
        ["cook.conflict"] = "This dinner was changed elsewhere meanwhile. Nothing of this change was saved.",
    };

    public static string For(FieldFault fault) => fault is { Code: "request.out_of_range", Low: { } low, High: { } high }
        ? string.Create(CultureInfo.InvariantCulture, $"From {low:0.##} to {high:0.##}, please.")
        : For(fault.Code);

    /// <summary>A short word for a status, where no better one is known.</summary>
    public static string TitleOf(int status) => status switch
    {
        StatusCodes.Status400BadRequest => "This could not be read",
        StatusCodes.Status404NotFound => "Not here",
        StatusCodes.Status503ServiceUnavailable => "Not just now",
        StatusCodes.Status507InsufficientStorage => "No room",
        >= 500 => "Our fault",
        _ => "That did not work",
    };

    public static string For(string code) => Fields.TryGetValue(code, out var text)
        ? text
        : throw new InvalidOperationException($"No sentence for {code}.");

    /// <summary>Why the dish cannot be planned, in the cook's words and on the kitchen's clock.</summary>
    public static (string Title, string Detail) For(PlanRefusal refusal, Dish dish)
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
