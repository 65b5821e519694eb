using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>How pressure is held and ended: by minutes, or on a weight by whistles where they are few enough to count.</summary>
public static class PressureHold
{
    /// <summary>More than these are not counted by anybody: the flame goes to its lowest and minutes count from the first
    /// whistle.</summary>
    public const int MostWhistles = 8;

    /// <summary>Net watts of a medium flame after the first whistle: 1.5 to 3.5 minutes a whistle (effects 6.3, confidence C).</summary>
    private const double MediumWatts = 550;

    /// <summary>A medium flame, as far as the burner has one.</summary>
    public static Power MediumFlame(Burner burner)
    {
        ArgumentNullException.ThrowIfNull(burner);
        return Power.FromWatts(Math.Min(MediumWatts, burner.Most.Watts));
    }

    /// <summary>What is heard or seen when the pressure is there: a weight whistles, a pin rises.</summary>
    public static PotEvent Up(Cooker cooker)
    {
        ArgumentNullException.ThrowIfNull(cooker);
        return cooker.Kind == CookerKind.Weight ? PotEvent.Whistle : PotEvent.PressureUp;
    }

    /// <summary>From the pressure being there to the heat going off, which is marked <see cref="StepIds.HoldOver"/>.</summary>
    /// <param name="minutes">Held, where no whistles are counted.</param>
    /// <param name="whistles">Counted from the first one; 0 to go by minutes.</param>
    public static IReadOnlyList<CookAction> Actions(Cooker cooker, Burner burner, double minutes, int whistles = 0)
    {
        var off =
            whistles > 0
                ? new CookAction.Heat(Trigger.Once(PotEvent.Whistle) with { Count = whistles }, Flame.Off) { StepId = StepIds.HoldOver }
                : new CookAction.Heat(Trigger.Later(Duration.FromMinutes(minutes)), Flame.Off) { StepId = StepIds.HoldOver };
        return whistles switch
        {
            0 => [new CookAction.Heat(Trigger.Once(Up(cooker)), Flame.Gentle), off],
            1 => [off],
            _ => [new CookAction.Heat(Trigger.Once(PotEvent.Whistle), Flame.Full) { Net = MediumFlame(burner) }, off],
        };
    }
}
