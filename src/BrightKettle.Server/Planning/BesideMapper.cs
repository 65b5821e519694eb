using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>From the other dishes of the evening, and what is wanted twice, to what a page shows.</summary>
public static class BesideMapper
{
    public static IReadOnlyList<NeighbourDto> Neighbours(Dish dish)
    {
        ArgumentNullException.ThrowIfNull(dish);
        return
        [
            .. dish.Beside.Select(n => new NeighbourDto(
                n.Id,
                n.Title,
                [
                    .. n.Burners.Select(b => new BurnDto(
                        dish.Burners.FirstOrDefault(x => x.Id == b.Id)?.Name ?? b.Id,
                        b.From.ToDateTimeOffset(),
                        b.To.ToDateTimeOffset()
                    )),
                ],
                [.. n.Hands.Select(h => new SpanDto(h.From.ToDateTimeOffset(), h.To.ToDateTimeOffset()))]
            )),
        ];
    }

    public static IReadOnlyList<ClashDto> Clashes(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return
        [
            .. plan
                .Clashes.OrderBy(c => c.Kind)
                .ThenBy(c => c.From)
                .Select(c => new ClashDto(
                    ClosedSet.Word(c.Kind),
                    c.With.Id,
                    NameOf(c, plan),
                    c.TheirStep is { } theirs ? HandWords.Of(theirs) : null,
                    c.From.ToDateTimeOffset(),
                    c.To.ToDateTimeOffset()
                )),
        ];
    }

    private static string NameOf(Clash clash, Plan plan)
    {
        var kitchen = plan.Cook.Kitchen;
        var vessels = Enumerable.Range(0, kitchen.VesselCount).Select(v => kitchen[v]).ToList();
        return clash.Kind switch
        {
            ClashKind.Pot => VesselNames.Of(vessels.First(v => v.Vessel.Id == clash.Id).Vessel),
            ClashKind.Burner => vessels.First(v => v.Burner.Id == clash.Id).Burner.Name,
            _ => HandWords.Of(clash.Id),
        };
    }
}
