using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Safety;

/// <summary>No meat goes frozen into a slow cooker: its middle stays lukewarm for hours.</summary>
public static class FrozenMeatGate
{
    public const string Frozen = "meat.frozen";

    /// <summary>Colder than this it has ice in it, °C.</summary>
    private const double FreezesAt = -1;

    public static IReadOnlyList<GateFinding> Judge(CookTrace trace)
    {
        ArgumentNullException.ThrowIfNull(trace);
        var cook = trace.Cook;
        return
        [
            .. cook
                .Actions.Select((action, i) => (action, i))
                .Where(a =>
                    a.action is CookAction.Add add
                    && cook.Ingredients[cook.IndexOf(add.IngredientId)] is ExtraIngredient { Extra.Kind: ExtraKind.Meat } meat
                    && meat.Temperature.Celsius < FreezesAt
                    && cook.Kitchen[cook.VesselOf(a.action)].Vessel.Cooker?.Kind == CookerKind.Slow
                )
                .Select(a => new GateFinding(Frozen, ((CookAction.Add)a.action).IngredientId, a.i, true)),
        ];
    }
}
