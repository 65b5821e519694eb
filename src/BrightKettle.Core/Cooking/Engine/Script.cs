namespace BrightKettle.Core.Cooking.Engine;

/// <summary>A cook made ready to be run: what is looked up once for all pots that follow it.</summary>
internal sealed class Script
{
    public Script(Cook cook)
    {
        Cook = cook;
        Layout = Layout.Of(cook);
        Vessels = [.. Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => cook.Kitchen[v])];
        Ingredients = [.. cook.Ingredients];
        Actions = [.. cook.Actions];
        VesselOf = [.. Actions.Select(cook.VesselOf)];
        InBowl = [.. Actions.Select(BowlLane.Holds)];
        LookedAt = [.. Actions.Select(a => a.When.Look is { } look ? cook.IndexOf(look.IngredientId) : -1)];
        WaitsFor = [.. Actions.Select(a => a.When.AfterMark is { } mark ? Enumerable.Range(0, Actions.Length).Where(i => Actions[i].Mark == mark).ToArray() : null)];
        Bowls = [.. BowlLane.Due(cook).Select(b => (b.Action, (b.At - cook.Starts).TotalSeconds)).OrderBy(b => b.TotalSeconds).ThenBy(b => b.Action)];
    }

    public Cook Cook { get; }

    public Layout Layout { get; }

    public CookVessel[] Vessels { get; }

    public Ingredient[] Ingredients { get; }

    public CookAction[] Actions { get; }

    /// <summary>Of each action the vessel that it is done to.</summary>
    public int[] VesselOf { get; }

    /// <summary>Whether each action is done to an ingredient's own bowl, by the clock.</summary>
    public bool[] InBowl { get; }

    /// <summary>Of each action the ingredient that is looked at; -1 for none.</summary>
    public int[] LookedAt { get; }

    /// <summary>Of each action those that carry the mark which it waits for; null when it waits for none.</summary>
    public int[]?[] WaitsFor { get; }

    /// <summary>What is done to bowls, and at which second, in this order.</summary>
    public (int Action, double Due)[] Bowls { get; }

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
