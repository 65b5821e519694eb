using BrightKettle.Core.Kitchen;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Answers;

/// <summary>What a vessel is called: pots by the household, bowls that every kitchen has by us.</summary>
public static class VesselNames
{
    public static string Of(Vessel vessel)
    {
        ArgumentNullException.ThrowIfNull(vessel);
        return vessel.Id switch
        {
            RiceBowl.Id => Said.VesselBowlAbove(),
            RiceBowl.OutId => Said.VesselBowlOut(),
            PulseBowl.Id => Said.VesselPulseBowl(),
            _ => vessel.Name,
        };
    }
}
