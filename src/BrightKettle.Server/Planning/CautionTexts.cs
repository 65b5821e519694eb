namespace BrightKettle.Server.Planning;

/// <summary>The words for every caution and gate, each with where it comes from.</summary>
public static class CautionTexts
{
    private static readonly Dictionary<string, (string Title, string Text, string Source)> Texts = new()
    {
        ["lectin.hard_boil"] = (
            "Boil them hard first",
            "These carry a lectin that makes people ill. Soak five hours or more, throw the water away, then a full rolling boil in fresh water: 10 minutes counted from when you see it, 30 above 1000 m or in the cautious setting.",
            "Guidance of several national food agencies, the stricter parts joined"),
        ["lectin.keep_boiling"] = (
            "Keep them boiling until nothing is firm",
            "Unsoaked, these are safe only in a pot that keeps boiling until every one is soft. Taste five or more. Never a slow cooker, never the lowest heat before that.",
            "Guidance of several national food agencies; for the unsoaked way less is written, so the check is strict"),
        ["lectin.not_boiled"] = (
            "Not safe this way",
            "These carry a lectin that gentle heat does not destroy. Soak, drain and boil hard, or keep the pot boiling until nothing is firm.",
            "Guidance of several national food agencies"),
        ["lectin.soak_water_kept"] = (
            "Throw the soak water away",
            "These give some of their lectin to the water they were soaked in. Drain, rinse, and cook them in fresh water.",
            "Guidance of several national food agencies"),
        ["cooker.overfilled"] = ("Too full for its lid", "With what they will drink they would stand over the fill line: half of the cooker, a third where they foam. Cook less at a time.", "Cooker manuals"),
        ["cooker.too_dry"] = ("Too little liquid", "Locked with less liquid than its manual asks for, it boils dry before the pressure is up. Add water first.", "Cooker manuals"),
        ["cooker.quick_with_foam"] = ("Let it lose its pressure by itself", "These foam: a quick release spits boiling starch. Leave it alone until the pin is down, ten minutes at least.", "Cooker manuals"),
        ["cooker.vent_unchecked"] = ("Vent first", "Look through the vent, feel the gasket, move the float. Then lock the lid.", "Cooker manuals"),
        ["cooker.still_up"] = ("The pin is still up", "There is pressure under the lid. Wait until the pin has fallen by itself; never force it.", "Cooker manuals"),
        ["flame.unattended"] = ("A flame with nobody there", "No flame burns while nobody is at home and awake. Soaking, chilling, or an appliance whose manual allows it can go on.", "Fire-safety guidance in many countries"),
        ["flame.appliance_alone"] = ("It runs on alone", "Part of this lies in hours when nobody is there: only if the manual of your appliance allows it.", "Appliance manuals"),
        ["soak.too_long"] = ("The soak is too long for this room", "Drain them and put them into the fridge, or soak in the fridge from the start.", "Common practice; no agency gives a figure"),
        ["hold.too_cool"] = ("Too long in the warm", "Below 60 °C for more than two hours. Heat it through, keep it hot, or chill it.", "The stricter of several national guidelines"),
        ["seal.melts"] = ("Not with that", "Plastic and waxed paper melt or catch. Foil or parchment; a towel only with the heat off.", "General kitchen safety"),
        ["seal.towel_over_heat"] = ("A towel over a flame", "Heat off first, then the towel, its ends tied up.", "General kitchen safety"),
        ["comes_out.still_in"] = ("Something is still in it", "Count out the leaves, stalks, whole spices and the chilli before it is served.", "Common kitchen experience"),
        ["cooker.fill"] = ("How full", "Pulses and rice with their water to half of the cooker at most, swelling counted in; to a third where they foam. Never less liquid than its manual asks for.", "Cooker manuals"),
        ["cooker.vent"] = ("Look through the vent", "Each time: vent clear, gasket whole, float free. No leaf, paper or foil near it.", "Cooker manuals"),
        ["cooker.silent"] = ("A silent cooker", "No hiss and no whistle after 15 minutes on the heat: turn it off and leave it alone until it has cooled by itself.", "Cooker manuals"),
        ["cooker.never_force"] = ("Never force the lid", "If the pin is up, wait. Tilt the lid away from you when it opens.", "Cooker manuals"),
        ["cooker.release"] = ("Let foam settle", "Foaming pots lose their pressure by themselves, ten minutes at least; a quick release spits boiling starch. A cold tap only for stovetop cookers whose manual allows it.", "Cooker manuals"),
        ["slow_cooker"] = ("Slow cooker", "It never boils hard: what must be boiled is boiled before. Nothing frozen, half to two thirds full, lid on for the first two hours.", "Appliance manuals and food agencies"),
        ["hold_hot"] = ("Keep it at 60 °C or more", "Check with a probe. Below that it is eaten or chilled within two hours.", "The stricter of several national guidelines"),
        ["seal"] = ("What seals a pot", "Foil or parchment, or a towel with the heat off, its ends tied up. Never plastic or waxed paper, and nothing over a vent.", "General kitchen safety"),
        ["soda"] = ("Baking soda", "Food grade, level, and only what is said here: it brings sodium. Leave it out for infants and where salt is restricted.", "General food-safety teaching"),
        ["soda.too_much"] = ("Too much soda", "More than 2.5 g in a litre to cook in, or 5 g to soak in, tastes of soap and brings a lot of sodium.", "General food-safety teaching"),
        ["meat"] = ("Meat in the pot", "Smoked and cured is not cooked: 71 °C in sausage and mince, 74 °C in poultry. Keep it cold until it goes in.", "The stricter of several national guidelines"),
        ["comes_out"] = ("It comes out again", "Count what went in; a whole chilli comes out before it bursts.", "Common kitchen experience"),
        ["cyanogen"] = ("Lid off at first", "Soak five hours or more, throw the water away, and start the boil with the lid off. Coloured or wild seed: change the water once.", "General food-safety teaching"),
        ["favism"] = ("Favism", "People who lack the enzyme G6PD can fall seriously ill from these, cooked or not. Dark urine or yellow skin within days: urgent care.", "Widely agreed medical guidance"),
        ["allergy_soy"] = ("Soy is an allergen", "Tell those who eat with you.", "Food labelling law in many countries"),
        ["allergy_lupin"] = ("Lupin is an allergen", "People with a peanut allergy may react to it.", "Food labelling law in many countries"),
        ["bitter_lupin"] = ("Sweet lupin only", "Bitter lupin is poisonous until it has been leached for days. It is not covered here.", "Widely agreed"),
        ["allergy_peanut_like"] = ("A cousin of the peanut", "A cross-allergy with peanut is possible.", "Sparse reports"),
        ["stone_seeds"] = ("Stone-hard seeds", "In some bags up to one seed in ten never swells and stays hard as stone, however long it cooks. Pick out what is still small and smooth after the soak.", "General food-science teaching"),
        ["foam"] = ("It foams", "Leave a third of the pot free and the lid ajar; turn down at the first foam.", "Cooker manuals"),
        ["boil_over"] = ("Stay for the first boil", "A boil-over can put a gas flame out. Valve off, windows open, wait, then clean and light again.", "Hob manuals"),
        ["keep_rice"] = ("Leftovers", "Spread flat, into the fridge within the hour, rice eaten within a day. Keep hot at 60 °C or more.", "The stricter of several national guidelines"),
        ["keep_pulses"] = ("Leftovers", "Spread flat, into the fridge within the hour, eaten within three days. Keep hot at 60 °C or more.", "The stricter of several national guidelines"),
        ["local_guidance"] = ("First of all", "Your appliance's manual and your local food-safety guidance come before anything said here.", "House rule"),
    };

    public static IReadOnlyCollection<string> Codes => Texts.Keys;

    public static CautionDto For(string code) => Texts.TryGetValue(code, out var t)
        ? new(code, t.Title, t.Text, t.Source)
        : throw new InvalidOperationException($"No words for the caution {code}.");
}
