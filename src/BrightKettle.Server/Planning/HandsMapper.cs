using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Safety;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>From the hands and flames of the core to lanes of a page.</summary>
public static class HandsMapper
{
    public static HandsDto Map(Plan plan, HandsPlan hands)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(hands);
        return new(
            [
                .. hands.Visits.Select(v => new HandDto(
                    v.Mark,
                    HandWords.Of(v.Mark),
                    v.From.ToDateTimeOffset(),
                    v.To.ToDateTimeOffset(),
                    true,
                    false
                )),
            ],
            [
                .. hands.Tasks.Select(t => new HandDto(
                    t.Task.Id,
                    HandWords.Of(t.Task),
                    t.From.ToDateTimeOffset(),
                    t.To.ToDateTimeOffset(),
                    t.Task.Attended,
                    t.Task.Burner
                )),
            ],
            [.. hands.Unplaced.Select(HandWords.Of)],
            [.. hands.DayBefore.Select(HandWords.Of)],
            Flames(plan),
            Math.Round(hands.InWaits),
            Math.Round(hands.Outside),
            Math.Round(hands.HandsOnMinutes)
        );
    }

    public static WayFactsDto Facts(WayFacts facts)
    {
        ArgumentNullException.ThrowIfNull(facts);
        return new(
            Math.Round(facts.HandsOnMinutes),
            [.. facts.BeThere.Select(i => new SpanDto(i.Start.ToDateTimeOffset(), i.End.ToDateTimeOffset()))],
            Math.Round(facts.EnergyKilowattHours, 2),
            facts.Texture,
            facts.Why
        );
    }

    private static List<LaneDto> Flames(Plan plan)
    {
        var kitchen = plan.Cook.Kitchen;
        var flames = FlameGate.Flames(plan.Trace, plan.Forecast.Reference).ToList();
        // A bowl that stands on no burner has no lane.
        return
        [
            .. Enumerable
                .Range(0, kitchen.VesselCount)
                .Where(v => !kitchen[v].Vessel.IsBowl)
                .Select(v => new LaneDto(
                    VesselNames.Of(kitchen[v].Vessel),
                    kitchen[v].Vessel.Cooker is { Stovetop: false } ? null : kitchen[v].Burner.Name,
                    [
                        .. flames
                            .Where(f => plan.Cook.VesselOf(plan.Cook.Actions[f.Action]) == v)
                            .OrderBy(f => f.From)
                            .Select(f => new SpanDto(f.From.ToDateTimeOffset(), f.To.ToDateTimeOffset())),
                    ]
                )),
        ];
    }
}
