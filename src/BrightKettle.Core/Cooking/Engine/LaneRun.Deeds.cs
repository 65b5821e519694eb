using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>What each action does to the pot.</summary>
internal sealed partial class LaneRun
{
    private void Do(int at)
    {
        var action = _script.Actions[at];
        var v = _script.VesselOf[at];
        _doneAt[at] = _pot.Now;
        if (_options.Moments)
        {
            Note(at, action, v);
        }
        else
        {
            Act(v, action);
        }

        if (_options.Heights)
        {
            NotePeaks();
        }

        IsOver |= action is CookAction.Serve;
    }

    /// <summary>Does it, and notes what it found and did.</summary>
    private void Note(int at, CookAction action, int v)
    {
        var before = _pot.Liquor(v);
        var heights = _options.Heights || action is CookAction.SetLiquor or CookAction.TopUp or CookAction.Drain;
        var overBefore = heights ? OverBed(v) : 0;
        Act(v, action);
        var doneness = new double[_script.Ingredients.Length];
        for (var i = 0; i < doneness.Length; i++)
        {
            doneness[i] = _pot.Doneness(i);
        }

        // Flame and lid move neither bed nor liquor.
        var overAfter = !heights || action is CookAction.Heat or CookAction.Cover or CookAction.Serve ? overBefore : OverBed(v);
        _done[at] = new(_pot.Now, before, _pot.Liquor(v), doneness, _pot.Celsius(v), overBefore, overAfter)
        {
            Took = _boilsDown.Took,
            BoiledDown = _boilsDown.Grams,
        };
    }

    private void Act(int v, CookAction action)
    {
        switch (action)
        {
            case CookAction.Soak a:
                _pot.Fill(_cook.IndexOf(a.IngredientId), a.Water.Grams, a.Temperature.Celsius, a.SaltShare, a.SodaGramsPerLitre);
                break;
            case CookAction.Drain { IngredientId: { } id }:
                _pot.EmptyBowl(_cook.IndexOf(id));
                break;
            case CookAction.Drain a:
                _pot.DrainVessel(v, a.Keep);
                break;
            case CookAction.Chill a:
                _pot.ChillBowl(_cook.IndexOf(a.IngredientId), a.Temperature.Celsius);
                break;
            case CookAction.Rinse a:
                _pot.Rinse(_cook.IndexOf(a.IngredientId));
                break;
            case CookAction.Add a:
                _pot.IntoVessel(v, _cook.IndexOf(a.IngredientId));
                break;
            case CookAction.TakeOut a:
                _pot.TakeOut(_cook.IndexOf(a.IngredientId));
                break;
            case CookAction.AddWater a:
                _pot.PourWater(v, a.Water.Grams, a.Temperature.Celsius, a.IceShare);
                break;
            case CookAction.AddSalt a:
                _pot.AddSalt(v, a.Salt.Grams);
                break;
            case CookAction.SetLiquor a when a.Liquor.Grams > _pot.Liquor(v):
                _pot.PourWater(v, a.Liquor.Grams - _pot.Liquor(v), _pot.BoilingCelsius);
                break;
            case CookAction.SetLiquor { BoilDown: not null } a when _pot.Liquor(v) > a.Liquor.Grams + Ladle(a.Liquor.Grams) + 1:
                // It would not come down in time, and what there is too much of stays.
                break;
            case CookAction.SetLiquor a:
                _pot.PourOff(v, _pot.Liquor(v) - a.Liquor.Grams, keep: true);
                break;
            case CookAction.TopUp a:
                TopUp(v, a.OverBedCentimetres, a.Temperature.Celsius);
                break;
            case CookAction.KeepLevel a:
                (_tracks[v].Kept, _tracks[v].KeptDue) = (a.OverBedCentimetres ?? double.NaN, _pot.Now + KeepsEverySeconds);
                break;
            case CookAction.PourBack a:
                _pot.PourBack(v, a.Liquor.Grams);
                break;
            case CookAction.Heat a:
                _pot.SetFlame(v, a.Flame, a.Net?.Watts);
                break;
            case CookAction.Cover a:
                _pot.SetLid(v, a.Lid);
                break;
            case CookAction.Pressurise a:
                _tracks[v].Lock(_happenings.Count);
                _pot.Lock(v, a.High);
                break;
            case CookAction.Release { Kind: ReleaseKind.Natural }:
                _tracks[v].ByItself = true;
                break;
            case CookAction.Release:
                _tracks[v].ByItself = false;
                _pot.Open(v);
                break;
            case CookAction.Transfer a:
                _pot.Move(
                    v,
                    _cook.Kitchen.IndexOf(a.To),
                    a.What,
                    a.IngredientId is { } moved ? _cook.IndexOf(moved) : -1,
                    a.Most?.Grams ?? double.PositiveInfinity
                );
                break;
            case CookAction.Mash a:
                _pot.Mash(_cook.IndexOf(a.IngredientId), a.Share);
                break;
            case CookAction.Thicken a:
                _pot.Thicken(v, a.Starch.Grams, a.Water.Grams);
                break;
        }
    }

    private bool DoBowls()
    {
        var any = false;
        while (_bowl < _script.Bowls.Length && _script.Bowls[_bowl].Due <= _pot.Now + 1e-3)
        {
            Do(_script.Bowls[_bowl++].Action);
            any = true;
        }

        return any;
    }
}
