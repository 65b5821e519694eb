using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>What is done at a moment, action by action.</summary>
public static partial class StoveMapper
{
    private static DeedDto? Deed(CookAction action, Cook cook)
    {
        DeedDto Make(
            string name,
            string? ingredient = null,
            double? millilitres = null,
            double? grams = null,
            string? flame = null,
            string? lid = null,
            string? to = null,
            double? celsius = null,
            int? pieces = null
        ) => new(name, ingredient is null ? null : Name(cook, ingredient), millilitres, grams, flame, lid, to, celsius, pieces);
        double Cold(Mass water, double celsius) =>
            Math.Round(Volume.OfWater(water, Temperature.FromCelsius(celsius)).Millilitres / 10) * 10;
        return action switch
        {
            CookAction.Soak a => Make("soak", a.IngredientId, Cold(a.Water, 20), cook.Ingredients[cook.IndexOf(a.IngredientId)].Dry.Grams),
            CookAction.Drain { IngredientId: { } id } => Make("drain", id),
            CookAction.Drain => Make("drain_pot"),
            CookAction.Chill a => Make("chill", a.IngredientId),
            CookAction.Rinse a => Make("rinse", a.IngredientId),
            CookAction.Add a => Make(
                "add",
                a.IngredientId,
                grams: Math.Round(
                    (
                        cook.Ingredients[cook.IndexOf(a.IngredientId)] switch
                        {
                            PulseIngredient p => p.OnTheScale,
                            RiceIngredient r => r.OnTheScale,
                            var other => other.Dry,
                        }
                    ).Grams,
                    1
                ),
                pieces: cook.Ingredients[cook.IndexOf(a.IngredientId)] is ExtraIngredient { Pieces: > 0 } x ? x.Pieces : null
            ),
            CookAction.TakeOut a => Make(
                "take_out",
                a.IngredientId,
                pieces: cook.Ingredients[cook.IndexOf(a.IngredientId)] is ExtraIngredient { Pieces: > 0 } x ? x.Pieces : null
            ),
            CookAction.AddWater a => Make("water", millilitres: Cold(a.Water, a.Temperature.Celsius), celsius: a.Temperature.Celsius),
            CookAction.AddSalt a => Make("salt", grams: Math.Round(a.Salt.Grams)),
            CookAction.SetLiquor a => Make("measure", millilitres: Round(Millilitres(a.Liquor.Grams))),
            CookAction.Heat { Net: not null } => Make("flame", flame: "medium"),
            CookAction.Heat a => Make("flame", flame: ClosedSet.Word(a.Flame)),
            CookAction.Cover a => Make("lid", lid: ClosedSet.Word(a.Lid)),
            CookAction.Pressurise => Make("lock"),
            CookAction.Release { Kind: ReleaseKind.Quick } => Make("release"),
            CookAction.Release => Make("leave_alone"),
            CookAction.Transfer a => Make(
                "move",
                to: cook.Kitchen.IndexOf(a.To) is var v && v >= 0 ? VesselNames.Of(cook.Kitchen[v].Vessel) : a.To
            ),
            CookAction.Stir => Make("stir"),
            CookAction.Mash a => Make("mash", a.IngredientId),
            CookAction.Serve => Make("serve"),
            _ => null,
        };
    }

    internal static string Name(Cook cook, string id) =>
        cook.Ingredients[cook.IndexOf(id)] switch
        {
            PulseIngredient p => p.Pulse.Said,
            RiceIngredient r => r.Rice.Said,
            ExtraIngredient x => x.Extra.Name,
            var other => other.Id,
        };

    internal static string Kind(Cook cook, string id) => cook.Ingredients[cook.IndexOf(id)] is RiceIngredient ? "rice" : "pulse";
}
