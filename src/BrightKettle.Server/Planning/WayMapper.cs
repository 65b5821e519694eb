using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;

namespace BrightKettle.Server.Planning;

/// <summary>From a way of the core to a line of the list.</summary>
public static class WayMapper
{
    public static WayDto Map(WayOffer way, Dish dish, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(way);
        ArgumentNullException.ThrowIfNull(dish);
        ArgumentNullException.ThrowIfNull(catalogue);
        var plan = way.Plan;
        var table = plan?.Forecast.Find(StepIds.Table);
        var why = way.Refusal is { } refusal ? PlanProblems.Words(refusal, plan?.Dish ?? dish) : ((string Title, string Detail)?)null;
        return new(
            ClosedSet.Word(way.Method),
            ClosedSet.Word(way.Soak),
            way.CookerId,
            dish.OtherVessels.FirstOrDefault(v => v.Id == way.CookerId)?.Name,
            way.PulseId,
            way.PulseId is { } id ? catalogue.FindPulse(id)?.Said : null,
            plan?.Begins.ToDateTimeOffset(),
            table?.Early.ToDateTimeOffset(),
            table?.Reference.ToDateTimeOffset(),
            table?.Late.ToDateTimeOffset(),
            plan?.ShareTender,
            way.Facts is { } facts ? HandsMapper.Facts(facts) : null,
            why?.Title,
            why?.Detail,
            way.Refusal is { } refused ? Alternatives(refused, dish) : [],
            way.RiceVesselId,
            ClosedSet.Word(dish.CookedAtHand),
            ClosedSet.Word(way.RiceJoin),
            plan?.Clashes.FirstOrDefault(c => c.IsOfThings)?.With.Title
        );
    }

    public static IReadOnlyList<AlternativeDto> Alternatives(PlanRefusal refusal, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(refusal);
        return Alternatives(refusal.Alternatives, dish);
    }

    public static IReadOnlyList<AlternativeDto> Alternatives(IReadOnlyList<Alternative> offers, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(dish);
        return
        [
            .. offers.Select(a => new AlternativeDto(
                a.Kind,
                a.ServeAt is { } at ? LocalTimes.Write(dish.Household.LocalOf(at)) : null,
                a.VesselId,
                dish.OtherVessels.Append(dish.Vessel).FirstOrDefault(v => v.Id == a.VesselId)?.Name,
                a.Scale,
                a.Soak is { } soak ? ClosedSet.Word(soak) : null,
                a.Method is { } method ? ClosedSet.Word(method) : null,
                a.RiceVesselId,
                a.PulseTarget is { } target ? ClosedSet.Word(target) : null,
                a.BurnerId,
                dish.Burners.FirstOrDefault(b => b.Id == a.BurnerId)?.Name,
                a.Style is { } style ? ClosedSet.Word(style) : null
            )),
        ];
    }
}
