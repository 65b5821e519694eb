using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>The nearest changes that make a refused dish possible. Each is planned before it is offered.</summary>
internal sealed class AlternativeFinder(Planner planner)
{
    private const int Most = 3;

    public IReadOnlyList<Alternative> For(Dish dish, PlanRefusal refusal)
    {
        IEnumerable<Alternative> found = refusal.Code switch
        {
            PlanRefusal.TooSoon or PlanRefusal.FlameWhileAsleep or PlanRefusal.FlameWhileAway or PlanRefusal.AwayFromStove =>
            [
                .. Later(dish, null),
                .. WithoutSoak(dish),
            ],
            PlanRefusal.SoakTooLate => [.. WithoutSoak(dish), .. Tomorrow(dish)],
            PlanRefusal.PotTooSmall or PlanRefusal.PotTooSmallForRice => [.. OtherPot(dish), .. Smaller(dish, refusal)],
            // What would stand lukewarm while nobody is at home is begun on coming home.
            PlanRefusal.GateBlocks when StandsWhileOut(dish, refusal) => Later(dish, null),
            PlanRefusal.GateBlocks => Soaked(dish),
            PlanRefusal.Unlikely => [.. OtherWays(dish), .. Wetter(dish)],
            _ => [],
        };
        return [.. found.Take(Most)];
    }

    private bool Works(Dish dish) => planner.Probe(dish).Refusal is null;

    /// <summary>How many of a few pots come out as wanted; 0 for what is refused.</summary>
    private double Share(Dish dish) => planner.Probe(dish) is { Refusal: null, Plan: { } plan } ? plan.ShareTender : 0;

    /// <summary>The earliest table at which the same dish works, in steps of five minutes and at most a day on.</summary>
    private IEnumerable<Alternative> Later(Dish dish, Soaking? soak)
    {
        var changed = soak is null ? dish : dish.With(soak);
        for (var i = 0; i < 4; i++)
        {
            var (solved, _, refusal) = planner.Probe(changed);
            if (refusal is null)
            {
                yield return new("serve_at", changed.ServeAt, Soak: soak?.Choice);
                yield break;
            }

            if (refusal.Code == PlanRefusal.FlameWhileAsleep)
            {
                // Light when somebody gets up next.
                var awake = dish.Household.NextAwake(NotAwake(changed, solved.Way.LightAt));
                changed = changed with { ServeAt = Five(awake + (changed.ServeAt - solved.Way.LightAt)) };
            }
            else if (refusal.Code is PlanRefusal.FlameWhileAway or PlanRefusal.AwayFromStove || StandsWhileOut(changed, refusal))
            {
                // Light on coming home.
                var home = dish.Away.Max(a => a.End);
                var moved = Five(home + (changed.ServeAt - solved.Way.LightAt));
                if (moved <= changed.ServeAt)
                {
                    yield break;
                }

                changed = changed with { ServeAt = moved };
            }
            else if (refusal.Facts.EarliestTable is { } earliest && earliest > changed.ServeAt)
            {
                changed = changed with { ServeAt = Five(earliest) };
            }
            else
            {
                yield break;
            }
        }
    }

    private static bool StandsWhileOut(Dish dish, PlanRefusal refusal) => refusal.Gate == HoldGate.TooCool && dish.Away.Count > 0;

    private static Instant NotAwake(Dish dish, Instant light)
    {
        var at = light;
        while (dish.Household.AwakeAt(at) && at < dish.ServeAt)
        {
            at += Duration.FromMinutes(10);
        }

        return at;
    }

    private IEnumerable<Alternative> WithoutSoak(Dish dish)
    {
        if (dish.How.Soak is Unsoaked or SoaksAlready)
        {
            return [];
        }

        var unsoaked = new Unsoaked();
        return Works(dish.With(unsoaked)) ? [new Alternative("unsoaked", Soak: unsoaked.Choice)] : Later(dish, unsoaked);
    }

    /// <summary>A soak that is poured away opens most gates: overnight or quick, at the same hour or as early as it can be had.</summary>
    private IEnumerable<Alternative> Soaked(Dish dish)
    {
        foreach (var later in SoakedOn(dish))
        {
            yield return later;
        }

        if (dish.How.Soak is not Unsoaked || !dish.CanSoak)
        {
            yield break;
        }

        foreach (var soak in new Soaking[] { new OvernightSoak(), new HotSoak() })
        {
            if (
                Later(dish, soak).Concat(Tomorrow(dish.With(soak)).Select(t => t with { Soak = soak.Choice })).FirstOrDefault() is { } offer
            )
            {
                yield return offer;
            }
        }
    }

    /// <summary>What soaks too short by the hour is soaked for long enough by a later one.</summary>
    private IEnumerable<Alternative> SoakedOn(Dish dish)
    {
        if (dish.How.Soak.Since is not { } since)
        {
            return [];
        }

        var (solved, _, _) = planner.Probe(dish);
        var missing = since + LectinGate.LeastSoak - solved.Way.LightAt;
        return missing > Duration.Zero ? Later(dish with { ServeAt = Five(dish.ServeAt + missing) }, null) : [];
    }

    private IEnumerable<Alternative> Tomorrow(Dish dish)
    {
        var home = dish.Household;
        var day = dish with { ServeAt = home.InstantOf(home.LocalOf(dish.ServeAt).PlusDays(1)) };
        return Works(day) ? [new Alternative("serve_at", day.ServeAt)] : [];
    }

    /// <summary>Under pressure it is the cooker that is too small, and no pot mends that.</summary>
    private IEnumerable<Alternative> OtherPot(Dish dish) =>
        dish
            .OtherVessels.Where(v =>
                dish.How.Pulses.Into(dish) == dish.Vessel && v.Cooker is null && v.Brim.Millilitres > dish.Vessel.Brim.Millilitres
            )
            .OrderBy(v => v.Brim.Millilitres)
            .Where(v => Works(dish with { Vessel = v }))
            .Take(1)
            .Select(v => new Alternative("vessel", VesselId: v.Id));

    /// <summary>Of the amount, what is tried next where something else than the amount is in the way.</summary>
    private const double Elsewhere = 0.8;

    /// <summary>A tenth of a dinner is none.</summary>
    private const double LeastShare = 0.1;

    /// <summary>The largest amount in steps of a twentieth that fits this pot.</summary>
    private IEnumerable<Alternative> Smaller(Dish dish, PlanRefusal refusal)
    {
        var (scale, facts) = (1.0, refusal.Facts);
        while (true)
        {
            // What was too much says how much too much.
            var share = facts is { UsableMillilitres: { } usable, NeededMillilitres: { } needed } ? usable / needed : Elsewhere;
            scale = Math.Min(Math.Floor(scale * share * 20) / 20, scale - 0.05);
            if (scale < LeastShare)
            {
                return [];
            }

            var tried = planner.Probe(dish.Scaled(scale) with { RiceDry = dish.RiceDry * scale });
            if (tried.Refusal is null)
            {
                return [new Alternative("amount", Scale: Math.Round(scale, 2))];
            }

            facts = tried.Refusal.Facts;
        }
    }

    /// <summary>Ways that nearly always come out: in the open pot, and with the rice in a pot of its own.</summary>
    private IEnumerable<Alternative> OtherWays(Dish dish)
    {
        var open = dish.With(new OpenPot()).With(new InThePot());
        Soaking[] soaks =
            dish.How.Soak is SoaksAlready ? [dish.How.Soak]
            : dish.CanSoak ? [dish.How.Soak, new Unsoaked(), new OvernightSoak()]
            : [new Unsoaked()];
        foreach (var tried in soaks.Distinct().Select(open.With).Where(d => (d.Method, d.How.Soak) != (dish.Method, dish.How.Soak)))
        {
            if (Share(tried) >= Sure)
            {
                yield return new("way", Soak: tried.Soak, Method: tried.Method);
                yield break;
            }
        }

        // What goes soft too soon in company may all be creamy.
        if (dish.OtherPulses.Count > 0 && dish.PulseTarget is null)
        {
            var creamy = open with { PulseTarget = PulseTarget.Creamy };
            if (Share(creamy) >= Sure)
            {
                yield return new("way", Soak: creamy.Soak, Method: creamy.Method, PulseTarget: creamy.PulseTarget);
            }
        }

        foreach (var apart in WayFinder.RiceBeside(open).Select(open.With).Where(d => Share(d) >= Sure).Take(1))
        {
            yield return new("way", Soak: apart.Soak, Method: apart.Method, RiceVesselId: apart.RiceVessel!.Vessel.Id);
        }
    }

    /// <summary>The same way with more liquid at the table: what has to boil down for long, or is short of water, spoils by it.</summary>
    private IEnumerable<Alternative> Wetter(Dish dish) =>
        Enum.GetValues<Style>()
            .Where(s => s > dish.Style && Share(dish with { Style = s }) >= Sure)
            .Take(1)
            .Select(s => new Alternative("style", Style: s));

    /// <summary>What is offered instead comes out nearly always.</summary>
    private const double Sure = 0.8;

    private static Instant Five(Instant t) => Instant.FromUnixTimeSeconds((long)Math.Ceiling(t.ToUnixTimeSeconds() / 300.0) * 300);
}
