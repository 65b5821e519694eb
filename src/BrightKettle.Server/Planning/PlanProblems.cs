using System.Globalization;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Messages;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>From a dish that cannot be planned to an answer with its reason and what works instead.</summary>
public static class PlanProblems
{
    public static ProblemHttpResult Refused(PlanRefusal refusal, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(refusal);
        ArgumentNullException.ThrowIfNull(dish);
        var (title, detail) = Words(refusal, dish);
        return KettleProblems.Make(
            StatusCodes.Status422UnprocessableEntity,
            refusal.Code,
            refusal.Field,
            title,
            detail,
            new() { ["alternatives"] = WayMapper.Alternatives(refusal, dish) }
        );
    }

    /// <summary>Why the dish cannot be planned, without a title.</summary>
    public static string Detail(PlanRefusal refusal, Dish dish) => Words(refusal, dish).Detail;

    /// <summary>Why the dish cannot be planned, in the cook's words and on the kitchen's clock.</summary>
    internal static (string Title, string Detail) Words(PlanRefusal refusal, Dish dish)
    {
        var facts = refusal.Facts;
        var code = refusal.Code.Split('.')[^1];
        if (refusal.Code == PlanRefusal.GateBlocks)
        {
            if (refusal.Gate is { } gate && !gate.StartsWith("lectin", StringComparison.Ordinal))
            {
                return (Said.Say($"caution.{gate}.title"), Said.Say($"caution.{gate}.text"));
            }

            code = "lectin";
        }

        var given = new MessageFacts(
            new Dictionary<string, object?>
            {
                ["pulse"] = dish.Pulse.Said,
                ["vessel"] = (dish.Cooker ?? dish.Vessel).Name,
                ["span"] = Span(facts.Minutes),
                ["at"] = Clock(dish, facts.EarliestTable ?? facts.LatestSoak ?? facts.At),
                ["needed"] = facts.NeededMillilitres / 1000,
                ["usable"] = facts.UsableMillilitres / 1000,
                ["share"] = facts.Share is { } share ? Math.Round(10 * share) : null,
                ["rice"] = facts.RiceSoakMinutes is null ? null : dish.Rice!.Said,
                ["soak"] = Span(facts.RiceSoakMinutes),
                ["spoilt"] = facts.SpoiltBy is { } spoilt ? ClosedSet.Word(spoilt) : null,
            }
        );
        return (Said.Say($"refusal.{code}.title", given), Said.Say($"refusal.{code}.detail", given));
    }

    private static string Span(double? minutes) =>
        minutes switch
        {
            null => Said.SpanMore(),
            < LongMinutes => Said.SpanMinutes(Math.Round(minutes.Value)),
            _ => Said.SpanHours(minutes / 60),
        };

    /// <summary>From here on a span is said in hours.</summary>
    private const double LongMinutes = 100;

    private static string Clock(Dish dish, Instant? instant)
    {
        if (instant is not { } at)
        {
            return Said.MomentLater();
        }

        var local = dish.Household.LocalOf(at);
        var clock = Hours.Of(local);
        return (local.Date - dish.Household.LocalOf(dish.Now).Date).Days switch
        {
            0 => Said.MomentToday(clock),
            1 => Said.MomentTomorrow(clock),
            _ => Said.MomentDay(clock, local.ToString("dddd d MMMM", CultureInfo.InvariantCulture)),
        };
    }
}
