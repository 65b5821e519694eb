using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>Rice in a pot of its own, timed so that both pots reach the table together: its water and minutes, by running that pot.</summary>
internal sealed class OwnPotSolver(Simulator simulator, Dish dish, CookVessel pot)
{
    private const int MostTries = 12;

    /// <summary>A first guess.</summary>
    private const double FirstCrustMinutes = 4;

    /// <summary>Water for a first guess beyond what rice drinks, over its dry weight: what leaves as steam.</summary>
    private const double SteamShare = 0.25;

    private static readonly Duration Early = Duration.FromMinutes(10);

    /// <summary>Done when the dish goes to the table.</summary>
    public OwnPotNumbers Together()
    {
        var (numbers, seconds) = Solved();
        // It keeps its rice warm, and is switched on early.
        seconds += numbers.SwitchesItself ? Early.TotalSeconds : 0;
        return numbers with
        {
            LightAt = Instant.FromUnixTimeSeconds((long)Math.Round((dish.ServeAt.ToUnixTimeSeconds() - seconds) / 60) * 60),
        };
    }

    /// <summary>Its actions, rested at an instant or as soon as can be; there is no time left for a soak. The last carries
    /// <see cref="StepIds.RiceRested"/>.</summary>
    public IReadOnlyList<CookAction> Before(Instant rested)
    {
        var (numbers, seconds) = Solved();
        var lit = Instant.Max(dish.Now, rested - Duration.FromSeconds(seconds));
        return RiceBeside.Actions(dish, pot, numbers with { LightAt = lit, Soaks = false });
    }

    /// <summary>With the seconds from its flame to rested.</summary>
    private (OwnPotNumbers Numbers, double Seconds) Solved()
    {
        var rice = dish.Rice!;
        var settling = new Settling(simulator, dish, Alone, RunOptions.Search);
        var way = new Way(WayLists.PulsesAlone, dish.ServeAt)
        {
            OwnPot = new(
                dish.ServeAt,
                dish.RiceDry * (dish.Has(AskedStage.Plenty) ? InItsOwnPot.PlentyShare : rice.Absorbed.Typical + SteamShare),
                rice.SimmerMinutes.Typical
            )
            {
                SwitchesItself = pot.Vessel.Cooker is { IsForRice: true },
                InPlenty = dish.Has(AskedStage.Plenty),
                SaltGrams = RiceStart.SaltOf(dish) * InItsOwnPot.PlentyShare / rice.Absorbed.Typical,
                CrustMinutes = dish.Has(AskedStage.Crust) ? FirstCrustMinutes : 0,
            },
        };
        var tried = settling.Of(way, new RiceBeside().Frees(way), MostTries);
        var numbers = tried.Way.OwnPot!;
        var rounded = numbers with
        {
            Water = numbers.Water.RoundedTo(10),
            Minutes = Math.Round(numbers.Minutes),
            CrustMinutes = Math.Round(numbers.CrustMinutes),
        };
        var off = OwnPotMinutes.AtOff(settling.Try(way with { OwnPot = rounded }));
        return (rounded with { Off = off }, tried.Run.EndSeconds - RiceStart.LeadOf(dish).TotalSeconds);
    }

    /// <summary>That pot by itself.</summary>
    private Cook Alone(Way way)
    {
        var home = dish.Household;
        return new(
            new CookKitchen(pot.Vessel, pot.Burner, home.Altitude, home.Room)
            {
                HardnessMilligramsPerLitre = home.HardnessMilligramsPerLitre,
            },
            [Way.RiceOf(dish), .. dish.RiceExtras.Select(x => Way.ExtraOf(dish, x))],
            [.. RiceBeside.Actions(dish, pot, way.OwnPot!), new CookAction.Serve(Trigger.Next)],
            way.OwnPot!.LightAt - RiceStart.LeadOf(dish),
            dish.Seed
        );
    }
}
