using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Cooking.Trace;

/// <summary>The one walk over a cook's actions: how each vessel stands, and where each ingredient is, before and after each of them.</summary>
/// <remarks>
/// It follows the actions as they are listed, which within a vessel is the order of the clock; vessels follow each other only by
/// what is moved. Names of steps mean nothing to it. Nothing is refused here: that is for <see cref="CookRules"/>.
/// </remarks>
public sealed class CookTrace
{
    /// <summary>On the shelf, in a bowl, or out again.</summary>
    public const int Outside = -1;

    private readonly Cook _cook;
    private readonly VesselTrace[][] _vessels;
    private readonly int[][] _places;
    private readonly BowlTrace[][] _bowls;
    private readonly int[] _vesselOf;

    private readonly IReadOnlyList<Instant?> _doneAt;

    /// <param name="cook">Every vessel and ingredient that its actions name is one of the cook's, or the action changes nothing.</param>
    /// <param name="doneAt">When each action was done, by who did it; null for those that were not, and where nothing is done
    /// yet.</param>
    public CookTrace(Cook cook, IReadOnlyList<Instant?>? doneAt = null)
    {
        ArgumentNullException.ThrowIfNull(cook);
        _cook = cook;
        _doneAt = doneAt ?? [];
        _vesselOf = [.. cook.Actions.Select(cook.VesselOf)];
        _vessels = new VesselTrace[cook.Actions.Count + 1][];
        _places = new int[cook.Actions.Count + 1][];
        _vessels[0] = [.. Enumerable.Repeat(new VesselTrace(), cook.Kitchen.VesselCount)];
        _places[0] = [.. Enumerable.Repeat(Outside, cook.Ingredients.Count)];
        _bowls = new BowlTrace[cook.Actions.Count + 1][];
        _bowls[0] = new BowlTrace[cook.Ingredients.Count];
        for (var i = 0; i < cook.Actions.Count; i++)
        {
            (_vessels[i + 1], _places[i + 1], _bowls[i + 1]) = ([.. _vessels[i]], [.. _places[i]], [.. _bowls[i]]);
            FollowBowl(i, _bowls[i + 1]);
            Follow(cook.Actions[i], _vessels[i + 1], _places[i + 1], _bowls[i]);
        }
    }

    public Cook Cook => _cook;

    /// <summary>When an action was done at the stove; null for what is still to do.</summary>
    public Instant? DoneAt(int action) => action < _doneAt.Count ? _doneAt[action] : null;

    public VesselTrace Before(int action, int vessel) => _vessels[action][vessel];

    public VesselTrace After(int action, int vessel) => _vessels[action + 1][vessel];

    /// <summary>The vessel that an action is done to, just before it.</summary>
    public VesselTrace Before(int action) => Before(action, VesselOf(action));

    /// <inheritdoc cref="Before(int)"/>
    public VesselTrace After(int action) => After(action, VesselOf(action));

    /// <summary>The vessel that an action is done to as it finds it: one that waits for the pin finds the lid free to open.</summary>
    public VesselTrace Found(int action) => Found(_cook.Actions[action], Before(action));

    private static VesselTrace Found(CookAction action, VesselTrace before) =>
        action.Trigger.After == PotEvent.PinDown ? before with { Locked = false, Releasing = false } : before;

    /// <summary>Number of the vessel that holds an ingredient after this action; <see cref="Outside"/> for none.</summary>
    public int PlaceAfter(int action, string ingredientId) =>
        _cook.IndexOf(ingredientId) is >= 0 and var i ? _places[action + 1][i] : Outside;

    public int PlaceBefore(int action, string ingredientId) => _cook.IndexOf(ingredientId) is >= 0 and var i ? _places[action][i] : Outside;

    public int VesselOf(int action) => _vesselOf[action];

    /// <summary>Actions that are done to a vessel; bowls are apart.</summary>
    public IEnumerable<int> In(int vessel) =>
        Enumerable.Range(0, _cook.Actions.Count).Where(i => VesselOf(i) == vessel && !BowlLane.Holds(_cook.Actions[i]));

    /// <summary>How an ingredient's own bowl stands before an action.</summary>
    public BowlTrace BowlBefore(int action, string ingredientId) =>
        _cook.IndexOf(ingredientId) is >= 0 and var i ? _bowls[action][i] : default;

    /// <summary>Actions by which a bowl stops standing as it stood, in water: out of it, or into the fridge.</summary>
    /// <returns>The action, the ingredient and its bowl just before.</returns>
    public IReadOnlyList<(int Action, string IngredientId, BowlTrace Before)> StandsNoMore =>
        field ??= [
            .. from action in Enumerable.Range(0, _cook.Actions.Count)
            from i in Enumerable.Range(0, _cook.Ingredients.Count)
            let before = _bowls[action][i]
            let after = _bowls[action + 1][i]
            where before is { Wet: true, Soaked: not null } && !(after.Wet && after.Chilled == before.Chilled)
            select (action, _cook.Ingredients[i].Id, before),
        ];

    /// <summary>How its bowl was left.</summary>
    public BowlTrace BowlAtEnd(string ingredientId) => BowlBefore(_cook.Actions.Count, ingredientId);

    /// <inheritdoc cref="BowlBefore"/>
    public BowlTrace BowlAfter(int action, string ingredientId) => BowlBefore(action + 1, ingredientId);

    /// <summary>Actions that are done to the vessel in which an ingredient is, or that bring it there or take it away; bowls are apart.</summary>
    public IEnumerable<int> Around(string ingredientId)
    {
        for (var i = 0; i < _cook.Actions.Count; i++)
        {
            var (before, after, vessel) = (PlaceBefore(i, ingredientId), PlaceAfter(i, ingredientId), VesselOf(i));
            if (!BowlLane.Holds(_cook.Actions[i]) && vessel >= 0 && (vessel == before || vessel == after))
            {
                yield return i;
            }
        }
    }

    private void FollowBowl(int i, BowlTrace[] bowls)
    {
        var action = _cook.Actions[i];
        var id = BowlLane.IngredientOf(action) ?? (action as CookAction.Add)?.IngredientId;
        if (id is null || _cook.IndexOf(id) is not (>= 0 and var k))
        {
            return;
        }

        bowls[k] = action switch
        {
            CookAction.Soak => new(i, null, null, true),
            CookAction.Chill => bowls[k] with { Chilled = i },
            CookAction.Drain => bowls[k] with { Wet = false, Drained = i },
            CookAction.Add => bowls[k] with { Wet = false },
            _ => bowls[k],
        };
    }

    /// <summary>Water of its soak that goes into the pot with an ingredient.</summary>
    private Mass KeptWater(CookAction.Add add, BowlTrace[] bowls) =>
        bowls[_cook.IndexOf(add.IngredientId)] is { Wet: true, Soaked: { } at } && _cook.Actions[at] is CookAction.Soak soak
            ? soak.Water
            : Mass.Zero;

    private void Follow(CookAction action, VesselTrace[] vessels, int[] places, BowlTrace[] bowls)
    {
        var v = _cook.VesselOf(action);
        if (v < 0 || BowlLane.Holds(action))
        {
            return;
        }

        var was = Found(action, vessels[v]);
        vessels[v] = action switch
        {
            CookAction.Add add when Move(add.IngredientId, v, places) is { } added => was with
            {
                Inside = was.Inside.Add(add.IngredientId),
                Liquor = was.Liquor + (added is ExtraIngredient x ? x.Dry * x.Extra.FreeWater : Mass.Zero) + KeptWater(add, bowls),
            },
            CookAction.TakeOut take when Move(take.IngredientId, Outside, places) is not null => was with
            {
                Inside = was.Inside.Remove(take.IngredientId),
            },
            CookAction.AddWater water => was with { Liquor = was.Liquor + water.Water },
            // How much that is, is known only at the stove.
            CookAction.TopUp or CookAction.KeepLevel => was with { Received = true },
            CookAction.PourBack back => was with { Liquor = was.Liquor + back.Liquor },
            CookAction.Thicken thicken => was with { Liquor = was.Liquor + thicken.Water },
            CookAction.SetLiquor set => was with { Liquor = set.Liquor, Received = false },
            CookAction.Drain { IngredientId: null } => was with { Liquor = Mass.Zero, Received = false },
            CookAction.Heat heat => was with { Flame = heat.Flame },
            CookAction.Cover cover => was with { Lid = cover.Lid, Seal = cover.With },
            CookAction.Pressurise => was with { Locked = true, Releasing = false, Locking = was.Locking + 1, Lid = Lid.On, Seal = null },
            CookAction.Release { Kind: ReleaseKind.Quick } => was with { Locked = false, Releasing = false },
            CookAction.Release => was with { Releasing = true },
            _ => was,
        };
        if (action is CookAction.Transfer transfer && _cook.Kitchen.IndexOf(transfer.To) is >= 0 and var to && to != v)
        {
            Transfer(transfer, v, to, vessels, places);
        }
    }

    private void Transfer(CookAction.Transfer transfer, int from, int to, VesselTrace[] vessels, int[] places)
    {
        var (source, target) = (vessels[from], vessels[to] with { Received = true });
        switch (transfer.What)
        {
            case TransferWhat.Everything:
                foreach (var id in source.Inside)
                {
                    Move(id, to, places);
                }

                target = target with { Inside = target.Inside.AddRange(source.Inside), Liquor = target.Liquor + source.Liquor };
                source = source with { Inside = [], Liquor = Mass.Zero, Received = false };
                break;
            case TransferWhat.Ingredient when transfer.IngredientId is { } id && source.Inside.Contains(id):
                Move(id, to, places);
                (source, target) = (source with { Inside = source.Inside.Remove(id) }, target with { Inside = target.Inside.Add(id) });
                break;
            case TransferWhat.Liquor:
                var moved = transfer.Most is { } most && most < source.Liquor ? most : source.Liquor;
                (source, target) = (source with { Liquor = source.Liquor - moved }, target with { Liquor = target.Liquor + moved });
                break;
        }

        (vessels[from], vessels[to]) = (source, target);
    }

    /// <summary>The ingredient that is moved, or null where the cook has none of this id.</summary>
    private Ingredient? Move(string id, int to, int[] places)
    {
        if (_cook.IndexOf(id) is not (>= 0 and var i))
        {
            return null;
        }

        places[i] = to;
        return _cook.Ingredients[i];
    }
}
