using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>What an answer at the stove changes, and what can be done.</summary>
public static class StoveAnswers
{
    /// <summary>Less is not worth a word.</summary>
    private const double LeastMinutes = 1.5;

    /// <summary>A smaller change of a bag's speed, as ln of a factor, is not worth a word.</summary>
    private const double LeastPaceChange = 0.04;

    public static StoveAnswerDto For(Answer answer, EveningForecast now)
    {
        ArgumentNullException.ThrowIfNull(answer);
        ArgumentNullException.ThrowIfNull(now);
        var table = answer.After.Table;
        return new(
            answer.Code,
            answer.Caution,
            answer.Temperature is null && answer.Code is not ("pour_off" or "reduce") ? null
                : answer.Amount is { } water ? Math.Round(PotGeometry.LiquorMillilitres(Math.Abs(water.Grams), 98) / 10) * 10
                : null,
            answer.Temperature is null && answer.Code is not ("pour_off" or "reduce") && answer.Amount is { } amount
                ? Math.Round(amount.Grams, 1)
                : null,
            answer.Temperature?.Celsius,
            answer.For?.TotalMinutes,
            table is null ? null : new(table.Early.ToDateTimeOffset(), table.At.ToDateTimeOffset(), table.Late.ToDateTimeOffset()),
            table is null || now.Table is null ? null : Whole(table.At - now.Table.At),
            answer.Costs is { } costs ? Whole(costs) : null,
            FeltAtTable<PulseIngredient>(answer.After.Cook, answer.After.Forecast.Reference),
            FeltAtTable<RiceIngredient>(answer.After.Cook, answer.After.Forecast.Reference),
            Math.Round(answer.After.Forecast.ShareTender, 2),
            answer.Into?.Name
        );
    }

    /// <summary>Whole minutes, never a minus nought.</summary>
    private static double Whole(Duration span) => Math.Round(span.TotalMinutes) + 0.0;

    /// <summary>The state in which the first ingredient of a kind ends; null where there is none in a pot.</summary>
    public static string? FeltAtTable<T>(Cook cook, PotRun run)
        where T : Ingredient
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(run);
        var at = cook.Ingredients.ToList().FindIndex(i => i is T);
        return at < 0 || run.Final[at].Vessel < 0
            ? null
            : ClosedSet.Word(
                Doneness.Felt(run.Final[at].Doneness, cook.Ingredients[at] is PulseIngredient p ? p.Pulse.FallsApartAt : null)
            );
    }

    /// <summary>What the last entry changed: the table, the join, the bag.</summary>
    public static IReadOnlyList<StoveChangeDto> Changes(EveningForecast before, EveningForecast after)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var list = new List<StoveChangeDto>();
        void Moved(string code, Instant? from, Instant? to)
        {
            if (from is { } was && to is { } now && (now - was).TotalMinutes is var minutes && Math.Abs(minutes) > LeastMinutes)
            {
                list.Add(new(code, minutes > 0, Whole(now - was), now.ToDateTimeOffset()));
            }
        }

        Instant? Join(EveningForecast s) => s.Due.FirstOrDefault(d => s.Evening.Find(d.MomentId)!.Moment.Has(StepIds.Join))?.At;
        Moved("join", Join(before), Join(after));
        Moved("table", before.Table?.At, after.Table?.At);
        foreach (var (id, pace) in after.Traits.Paces)
        {
            if (
                before.Traits.Paces.TryGetValue(id, out var was)
                && Math.Abs(Math.Log(pace.Median / was.Median)) > LeastPaceChange
                && after.Evening.Cook.Ingredients[after.Evening.Cook.IndexOf(id)] is PulseIngredient
            )
            {
                list.Add(new("bag", pace.Median < was.Median, null, null));
            }
        }

        return list;
    }
}
