using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Planning.Manners;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>What one compares ways by.</summary>
/// <param name="HandsOnMinutes">Visits and attended side tasks together.</param>
/// <param name="BeThere">When somebody must be at the stove, visits that are close together joined.</param>
/// <param name="EnergyKilowattHours">That reaches the pots; a gas flame takes about twice as much, an electric ring a quarter more.</param>
/// <param name="Texture">Stable code: whole, tender, soft_edges or melting.</param>
/// <param name="Why">Stable code of the one reason that speaks for it.</param>
public sealed record WayFacts(
    double HandsOnMinutes,
    IReadOnlyList<Interval> BeThere,
    double EnergyKilowattHours,
    string Texture,
    string Why
)
{
    /// <summary>Between two visits closer than this nobody leaves the kitchen.</summary>
    private static readonly Duration Near = Duration.FromMinutes(10);

    public static WayFacts Of(Plan plan, HandsPlan hands)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(hands);
        return new(
            hands.HandsOnMinutes,
            Joined(hands.Visits),
            plan.Forecast.Reference.Vessels.Sum(v => v.EnergyJoules) / 3.6e6,
            TextureOf(plan),
            WhyOf(plan.Dish)
        );
    }

    private static List<Interval> Joined(IReadOnlyList<Visit> visits)
    {
        var list = new List<Interval>();
        foreach (var visit in visits)
        {
            if (list.Count > 0 && visit.From - list[^1].End < Near)
            {
                list[^1] = new(list[^1].Start, Instant.Max(list[^1].End, visit.To));
            }
            else
            {
                list.Add(new(visit.From, visit.To));
            }
        }

        return list;
    }

    /// <summary>By the reference bag at the table, and whether one bag in ten would be past holding its shape.</summary>
    private static string TextureOf(Plan plan)
    {
        var pulse = plan.Dish.Pulse;
        var middle = plan.Forecast.Reference.Final[plan.Cook.IndexOf(Way.PulseId)].Doneness;
        var fast = middle * plan.Dish.Pace.Quantile(0.9) / plan.Dish.Pace.Median;
        return pulse.FallsApartAt is not { } apart ? "whole"
            : middle >= apart ? "melting"
            : fast >= apart ? "soft_edges"
            : pulse.HoldsShape >= 4 ? "whole"
            : "tender";
    }

    private static string WhyOf(Dish dish) =>
        dish.How.Pulses.Why(dish) ?? dish.How.Soak.Why ?? (dish.Pulse.SoakHours.High <= 0 ? "needs_no_soak" : "nothing_ahead");
}
