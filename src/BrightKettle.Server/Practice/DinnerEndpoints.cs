using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice;
using BrightKettle.Core.Practice.Dinners;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Practice;

/// <summary>Whole dinners to practise on.</summary>
public static class DinnerEndpoints
{
    public const int MostEntries = 300;

    private const int LongestTitle = 120;

    /// <summary>Minutes in one go.</summary>
    private const double MostMinutes = 1440;

    /// <summary>A dinner is on the table by then, days after it was planned.</summary>
    private const int MostDays = 7;

    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/practice/dinners", Ready);
        routes.MapPost("/api/practice/dinners", Play);
    }

    /// <summary>What can be practised in this kitchen without planning anything.</summary>
    public static async Task<Ok<IReadOnlyList<PracticeReadyDto>>> Ready(DishRequestReader dishes, CancellationToken cancel) =>
        TypedResults.Ok(ReadyDinners.In(await dishes.KitchenAsync(cancel), dishes.Catalogue, dishes.Now));

    /// <summary>Takes a practice dinner as far as it has come, lets time go on, and tells what is found then.</summary>
    public static async Task<Results<Ok<PracticeDinnerDto>, ProblemHttpResult>> Play(
        PracticeDinnerAsk asked,
        DishRequestReader dishes,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        var level = ClosedSet.Read<PracticeLevel>(asked.Level, "level", checks);
        checks.Within(asked.Seed, 0, 999_999, "seed");
        if (asked.Minutes is { } minutes)
        {
            checks.Within(minutes, 0, MostMinutes, "minutes");
        }

        foreach (var (told, field) in new[] { (asked.Entries, "entries"), (asked.Told, "told") })
        {
            if (told is not null && (told.Count > MostEntries || told.Any(e => e is null)))
            {
                checks.Add("practice.entries", field);
            }
        }

        checks.Text(asked.Title, LongestTitle, "title");
        // Years at the calendar's ends are no minutes of a kitchen.
        var at = asked.PlannedAt ?? dishes.Now.ToDateTimeOffset();
        if (at.Year is < 2000 or > 9000)
        {
            checks.Add("practice.minute", "plannedAt");
            return KettleProblems.Invalid(checks);
        }

        if (asked.Now is { } minute && (minute < at.AddDays(-MostDays) || minute > at.AddDays(MostDays)))
        {
            checks.Add("practice.minute", "now");
        }

        var kitchen = await dishes.KitchenAsync(cancel);
        if (asked.Dish is null)
        {
            checks.Add("request.missing", "dish");
            return KettleProblems.Invalid(checks);
        }

        var read = dishes.Map(asked.Dish, kitchen, Instant.FromDateTimeOffset(at), checks);
        if (read.Dish is not { } dish || checks.Any)
        {
            return read.Problem;
        }

        var answer = await dishes.PlanAsync(read);
        if (answer is not PlanAnswer.Planned { Plan: var plan })
        {
            return PlanProblems.Refused(((PlanAnswer.Refused)answer).Refusal, dish);
        }

        var evening = new PracticeEvening(dishes, kitchen, clock);
        var stands = await dishes.Work.RunAsync(WorkLength.Lengthy, simulator => evening.Play(asked, plan, level, simulator));
        if (stands.Served is not { } served)
        {
            return TypedResults.Ok(stands);
        }

        var advised = await AdviseAsync(evening, served, dishes.Work);
        return TypedResults.Ok(
            stands with
            {
                End = await dishes.Work.RunAsync(WorkLength.Lengthy, simulator => evening.End(served, advised, simulator)),
            }
        );
    }

    /// <summary>A whole evening in work of its own; null for one that is too much for it, which the page then says.</summary>
    private static async Task<PlayedDinner?> AdviseAsync(PracticeEvening evening, ServedDinner served, RequestWork work)
    {
        try
        {
            return await work.RunAsync(WorkLength.Lengthy, simulator => evening.Advise(served, simulator));
        }
        catch (OverBudgetException)
        {
            return null;
        }
    }
}
