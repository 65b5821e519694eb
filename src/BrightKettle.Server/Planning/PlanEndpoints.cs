using System.Text;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Planning;

public static class PlanEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/plans", Plan);
        routes.MapPost("/api/plans/pulled", Pulled);
        routes.MapPost("/api/plans/slip", PlanAdjustments.Mend);
        routes.MapPost("/api/plans/compare", Compare);
        routes.MapPost("/api/plans/calendar", Calendar);
        routes.MapPost("/api/ways/stream", WaysOneByOne.Run).Produces<WayEventDto>(contentType: "application/x-ndjson");
        routes.MapPost("/api/ways", Ways);
        routes.MapPost("/api/forecast", Forecast);
        routes.MapGet("/api/schemas/cook-1.json", Schema);
    }

    /// <summary>A dish in, a plan out; 422 with a code and what would work when it cannot be had.</summary>
    public static async Task<Results<Ok<PlanDto>, ProblemHttpResult>> Plan(DishDto dish, DishRequestReader dishes, CancellationToken cancel)
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        return asked.Dish is null
            ? asked.Problem
            : await dishes.PlanAsync(asked) switch
            {
                PlanAnswer.Planned { Plan: var plan } => TypedResults.Ok(DishRequestReader.Dto(plan, asked)),
                PlanAnswer.Refused { Refusal: var refusal } => PlanProblems.Refused(refusal, asked.Dish),
                _ => throw Neither(),
            };
    }

    /// <summary>A dish and a pull in, the pulled forecast and its price out. Nothing is solved, so it keeps up with a finger.</summary>
    public static async Task<Results<Ok<PulledDto>, ProblemHttpResult>> Pulled(
        PullRequest request,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        if (request.Pull is null)
        {
            return KettleProblems.Invalid("request.missing", "pull");
        }

        // Pulls are counted from the best plan, whatever was pulled before.
        var asked = await dishes.ReadAsync(request.Dish is null ? null : request.Dish with { Pull = null }, cancel);
        var pull = DishMapper.Pull(request.Pull, "pull", asked.Checks);
        if (asked.Dish is null || asked.Checks.Any)
        {
            return asked.Problem;
        }

        if (await dishes.PlanAsync(asked) is not PlanAnswer.Planned { Plan: var best })
        {
            return KettleProblems.Invalid("plan.nothing_to_pull", "dish");
        }

        var pulled = await dishes.Work.RunAsync(WorkLength.Quick, simulator =>
            new Planner(simulator).Pulled(best, pull, request.Quick ? QuickPots : Forecaster.DefaultPots)
        );
        return TypedResults.Ok(
            new PulledDto(
                pulled.Plan.Dish.ServeAt.ToDateTimeOffset(),
                pulled.Plan.ShareTender,
                PlanSteps.Of(pulled.Plan),
                ForecastMapper.Map(pulled.Plan.Forecast, [], []).Series,
                DifferenceDto.Of(pulled.Differences),
                pulled.Obstacle is { } obstacle ? PlanProblems.Detail(obstacle, pulled.Plan.Dish) : null
            )
        );
    }

    /// <summary>Two groups of eight lanes, one for each core of a small machine.</summary>
    private const int QuickPots = 16;

    /// <summary>Two dishes in, the plan of the second and what it changes out: for the other school, or another pot.</summary>
    public static async Task<Results<Ok<ComparedDto>, ProblemHttpResult>> Compare(
        CompareRequest request,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        var first = await dishes.ReadAsync(request.Before, cancel, field: "before");
        var second = await dishes.ReadAsync(request.After, cancel, first.Checks, "after");
        if (first.Dish is null || second.Dish is null)
        {
            return second.Problem;
        }

        return (await dishes.PlanAsync(first), await dishes.PlanAsync(second)) switch
        {
            (_, PlanAnswer.Refused { Refusal: var refusal }) => PlanProblems.Refused(refusal, second.Dish),
            (PlanAnswer.Planned { Plan: var old }, PlanAnswer.Planned { Plan: var other }) => TypedResults.Ok(
                new ComparedDto(DishRequestReader.Dto(other, second), DifferenceDto.Of(PlanDifference.Between(old, other)))
            ),
            (_, PlanAnswer.Planned { Plan: var only }) => TypedResults.Ok(new ComparedDto(DishRequestReader.Dto(only, second), [])),
            _ => throw Neither(),
        };
    }

    /// <summary>A dish in, its calendar file out: one entry a moment that must not be missed, each with an alarm.</summary>
    public static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Calendar(
        DishDto dish,
        DishRequestReader dishes,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        return asked.Dish is null
            ? asked.Problem
            : await dishes.PlanAsync(asked) switch
            {
                PlanAnswer.Planned { Plan: var plan } => TypedResults.File(
                    Encoding.UTF8.GetBytes(CalendarWriter.Write(plan, DishRequestReader.Dto(plan, asked), clock.GetUtcNow())),
                    "text/calendar",
                    "dinner.ics"
                ),
                PlanAnswer.Refused { Refusal: var refusal } => PlanProblems.Refused(refusal, asked.Dish),
                _ => throw Neither(),
            };
    }

    /// <summary>A dish in, all ways of this kitchen out: those that work first, the others with the reason.</summary>
    public static async Task<Results<Ok<IReadOnlyList<WayDto>>, ProblemHttpResult>> Ways(
        DishDto dish,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        if (asked.Dish is not { } wanted)
        {
            return asked.Problem;
        }

        var ways = await dishes.Work.RunAsync(WorkLength.Lengthy, simulator =>
            new WayFinder(new Planner(simulator), dishes.Catalogue).For(wanted)
        );
        return TypedResults.Ok<IReadOnlyList<WayDto>>([.. ways.Select(w => WayMapper.Map(w, wanted, dishes.Catalogue))]);
    }

    /// <summary>A cook in, its whole forecast out. Gates are told, not enforced: this runs what it is given.</summary>
    public static async Task<Results<Ok<ForecastDto>, ProblemHttpResult>> Forecast(
        CookDocument cook,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        if (new CookReader(dishes.Catalogue, checks).Read(cook) is not { } read)
        {
            return KettleProblems.Invalid(checks);
        }

        var home = (await dishes.KitchenAsync(cancel)).Household;
        var house = GateHouse.Of(home) with { RoomCelsius = read.Kitchen.Room.Celsius };
        var forecast = await dishes.Work.RunAsync(WorkLength.Lengthy, simulator =>
            new Forecaster(simulator).RunForeign(read, Targets.Lenient, house)
        );
        return TypedResults.Ok(ForecastMapper.Map(forecast, forecast.Gates, Core.Safety.Cautions.For(read, forecast.Gates)));
    }

    private static InvalidOperationException Neither() => new("A planner answers with a plan or a refusal.");

    public static ContentHttpResult Schema()
    {
        using var stream = typeof(PlanEndpoints).Assembly.GetManifestResourceStream("cook-1.schema.json")!;
        using var reader = new StreamReader(stream);
        return TypedResults.Content(reader.ReadToEnd(), "application/schema+json");
    }
}
