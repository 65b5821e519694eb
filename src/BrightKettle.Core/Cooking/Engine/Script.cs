using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>A cook made ready to be run: what is looked up once for all pots that follow it.</summary>
internal sealed class Script
{
    public Script(Cook cook, ModelConstants constants)
    {
        Cook = cook;
        Layout = Layout.Of(cook);
        Vessels = [.. Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => cook.Kitchen[v])];
        Ingredients = [.. cook.Ingredients];
        Actions = [.. cook.Actions];
        VesselOf = Array.ConvertAll(Actions, cook.VesselOf);
        InBowl = Array.ConvertAll(Actions, BowlLane.Holds);
        LookedAt = Array.ConvertAll(Actions, a => a.Trigger.Look is { } look ? cook.IndexOf(look.IngredientId) : -1);
        AlsoAt = Array.ConvertAll(Actions, a =>
            a.Trigger.Look is { Also.Count: > 0 } look ? look.Also.Select(o => (cook.IndexOf(o.IngredientId), o.Doneness)).ToArray() : []
        );
        WaitsFor = Array.ConvertAll(Actions, a => a.Trigger.AfterStep is { } mark ? Marked(mark) : null);
        Boils = BoilingPoint.At(cook.Kitchen.Altitude).Celsius;
        BoilsHigh = Array.ConvertAll(Vessels, v => UnderPressure(v.Vessel.Cooker?.HighKilopascals));
        BoilsLow = Array.ConvertAll(Vessels, v => UnderPressure(v.Vessel.Cooker?.LowKilopascals));
        LotFactor = Array.ConvertAll(Ingredients, i =>
            i is PulseIngredient p
                ? (float)(Chemistry.Age(p.Lot, constants) * constants.Curve("hardness").Typical(cook.Kitchen.HardnessMilligramsPerLitre))
                : 1
        );
        EnergyK = Array.ConvertAll(Ingredients, i =>
            i is PulseIngredient { Pulse: var p }
                ? (float)RateLaws.EnergyKBetween(p.HydrationPerHourAt20C.Typical, p.HydrationPerHourAt98C)
                : 0
        );
        Bowls =
        [
            .. BowlLane
                .Due(cook)
                .Select(b => (b.Action, (b.At - cook.Starts).TotalSeconds))
                .OrderBy(b => b.TotalSeconds)
                .ThenBy(b => b.Action),
        ];
    }

    public Cook Cook { get; }

    public Layout Layout { get; }

    public CookVessel[] Vessels { get; }

    public Ingredient[] Ingredients { get; }

    public CookAction[] Actions { get; }

    /// <summary>Where water boils here, °C.</summary>
    public double Boils { get; }

    /// <summary>In each vessel where it boils under its high pressure, °C; as in the open where it has none.</summary>
    public double[] BoilsHigh { get; }

    /// <summary>The same under its low pressure, °C.</summary>
    public double[] BoilsLow { get; }

    /// <summary>Of each ingredient the time factor of its age and the kitchen's water; 1 for what is no pulse.</summary>
    public float[] LotFactor { get; }

    /// <summary>Of each pulse the activation energy of its uptake over R, K.</summary>
    public float[] EnergyK { get; }

    /// <summary>Of each action the vessel that it is done to.</summary>
    public int[] VesselOf { get; }

    /// <summary>Whether each action is done to an ingredient's own bowl, by the clock.</summary>
    public bool[] InBowl { get; }

    /// <summary>Of each action the ingredient that is looked at; -1 for none.</summary>
    public int[] LookedAt { get; }

    /// <summary>For each action what else its look asks for: ingredient and doneness.</summary>
    public (int Ingredient, double Doneness)[][] AlsoAt { get; }

    /// <summary>Of each action those that carry the mark which it waits for; null when it waits for none.</summary>
    public int[]?[] WaitsFor { get; }

    /// <summary>What is done to bowls, and at which second, in this order.</summary>
    public (int Action, double Due)[] Bowls { get; }

    private double UnderPressure(double? kilopascals) =>
        kilopascals is { } k ? BoilingPoint.UnderPressure(Cook.Kitchen.Altitude, k).Celsius : Boils;

    private int[] Marked(string mark) => [.. Enumerable.Range(0, Actions.Length).Where(i => Actions[i].StepId == mark)];

    /// <summary>The action after this one in a vessel; -1 when there is none.</summary>
    public int NextOf(int vessel, int after)
    {
        for (var i = after + 1; i < Actions.Length; i++)
        {
            if (!InBowl[i] && VesselOf[i] == vessel)
            {
                return i;
            }
        }

        return -1;
    }
}
