using System.Text;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Data;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

public static class PlanEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost("/api/plans", Plan);
        routes.MapPost("/api/plans/pulled", Pulled);
        routes.MapPost("/api/plans/slip", Slips.Mend);
        routes.MapPost("/api/plans/compare", Compare);
        routes.MapPost("/api/plans/calendar", Calendar);
        routes.MapPost("/api/ways/stream", WaysOneByOne.Run).Produces<WayEventDto>(contentType: "application/x-ndjson");
        routes.MapPost("/api/ways", Ways);
        routes.MapPost("/api/forecast", Forecast);
        routes.MapGet("/api/schemas/cook-1.json", Schema);
    }

    /// <summary>A dish in, a plan out; 422 with a code and what would work when it cannot be had.</summary>
    public static async Task<Results<Ok<PlanDto>, ProblemHttpResult>> Plan(
        DishDto dish, KettleDb db, PulseCatalogue catalogue, PlanMemory plans, TimeProvider clock, CancellationToken cancel)
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        var mapper = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow()));
        if (mapper.Map(dish, checks) is not { } wanted)
        {
            return KettleProblems.Invalid(checks);
        }

        return plans.Plan(dish, wanted, kitchen) switch
        {
            PlanAnswer.Planned { Plan: var plan } => TypedResults.Ok(PlanMapper.Map(plan, dish.People, kitchen.Row.CupMillilitres)),
            PlanAnswer.Refused { Refusal: var refusal } => KettleProblems.Refused(refusal, wanted),
            _ => throw new InvalidOperationException("A planner answers with a plan or a refusal."),
        };
    }

    /// <summary>A dish and a pull in, the pulled forecast and its price out. Nothing is solved, so it keeps up with a finger.</summary>
    public static async Task<Results<Ok<PulledDto>, ProblemHttpResult>> Pulled(
        PullRequest request, KettleDb db, PulseCatalogue catalogue, Planner planner, PlanMemory plans, TimeProvider clock, CancellationToken cancel)
    {
        var checks = new FieldChecks();
        if (request.Dish is null || request.Pull is null)
        {
            return KettleProblems.Invalid("request.missing", request.Dish is null ? "dish" : "pull");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        // Pulls are counted from the best plan, whatever was pulled before.
        var asked = request.Dish with { Pull = null };
        var wanted = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(asked, checks);
        var pull = DishMapper.Pull(request.Pull, "pull", checks);
        if (wanted is null || checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (plans.Plan(asked, wanted, kitchen) is not PlanAnswer.Planned { Plan: var best })
        {
            return KettleProblems.Invalid("plan.nothing_to_pull", "dish");
        }

        var pulled = planner.Pulled(best, pull, request.Quick ? QuickPots : Forecaster.DefaultPots);
        return TypedResults.Ok(new PulledDto(
            pulled.Plan.Dish.ServeAt.ToDateTimeOffset(),
            pulled.Plan.ShareTender,
            PlanSteps.Of(pulled.Plan),
            ForecastMapper.Map(pulled.Plan.Forecast, [], []).Series,
            DifferenceSentences.For(pulled.Differences),
            pulled.Obstacle is { } obstacle ? Sentences.For(obstacle, pulled.Plan.Dish).Detail : null));
    }

    /// <summary>Two groups of eight lanes, one for each core of a small machine.</summary>
    private const int QuickPots = 16;

    /// <summary>Two dishes in, the plan of the second and what it changes out: for the other school, or another pot.</summary>
    public static async Task<Results<Ok<ComparedDto>, ProblemHttpResult>> Compare(
        CompareRequest request, KettleDb db, PulseCatalogue catalogue, PlanMemory plans, TimeProvider clock, CancellationToken cancel)
    {
        if (request.Before is null || request.After is null)
        {
            return KettleProblems.Invalid("request.missing", request.Before is null ? "before" : "after");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        var mapper = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow()));
        var (first, second) = (mapper.Map(request.Before, checks), mapper.Map(request.After, checks));
        if (first is null || second is null)
        {
            return KettleProblems.Invalid(checks);
        }

        return (plans.Plan(request.Before, first, kitchen), plans.Plan(request.After, second, kitchen)) switch
        {
            (_, PlanAnswer.Refused { Refusal: var refusal }) => KettleProblems.Refused(refusal, second),
            (PlanAnswer.Planned { Plan: var old }, PlanAnswer.Planned { Plan: var other }) => TypedResults.Ok(new ComparedDto(
                PlanMapper.Map(other, request.After.People, kitchen.Row.CupMillilitres), DifferenceSentences.For(PlanDifference.Between(old, other)))),
            (_, PlanAnswer.Planned { Plan: var only }) => TypedResults.Ok(new ComparedDto(PlanMapper.Map(only, request.After.People, kitchen.Row.CupMillilitres), [])),
            _ => throw new InvalidOperationException("A planner answers with a plan or a refusal."),
        };
    }

    /// <summary>A dish in, its calendar file out: one entry a moment that must not be missed, each with an alarm.</summary>
    public static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Calendar(
        DishDto dish, KettleDb db, PulseCatalogue catalogue, PlanMemory plans, TimeProvider clock, CancellationToken cancel)
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        if (new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(dish, checks) is not { } wanted)
        {
            return KettleProblems.Invalid(checks);
        }

        return plans.Plan(dish, wanted, kitchen) switch
        {
            PlanAnswer.Planned { Plan: var plan } => TypedResults.File(
                Encoding.UTF8.GetBytes(CalendarWriter.Write(plan, PlanMapper.Map(plan, dish.People, kitchen.Row.CupMillilitres), clock.GetUtcNow())), "text/calendar", "dinner.ics"),
            PlanAnswer.Refused { Refusal: var refusal } => KettleProblems.Refused(refusal, wanted),
            _ => throw new InvalidOperationException("A planner answers with a plan or a refusal."),
        };
    }

    /// <summary>A dish in, all ways of this kitchen out: those that work first, the others with the reason.</summary>
    public static async Task<Results<Ok<IReadOnlyList<WayDto>>, ProblemHttpResult>> Ways(
        DishDto dish, KettleDb db, PulseCatalogue catalogue, WayFinder ways, TimeProvider clock, CancellationToken cancel)
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        var mapper = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow()));
        return mapper.Map(dish, checks) is { } wanted
            ? TypedResults.Ok<IReadOnlyList<WayDto>>([.. ways.For(wanted, cancel: cancel).Select(w => WayMapper.Map(w, wanted, catalogue))])
            : KettleProblems.Invalid(checks);
    }

    /// <summary>A cook in, its whole forecast out. Gates are told, not enforced: this runs what it is given.</summary>
    public static Results<Ok<ForecastDto>, ProblemHttpResult> Forecast(CookDocument cook, PulseCatalogue catalogue, Forecaster forecaster)
    {
        var checks = new FieldChecks();
        if (new CookReader(catalogue, checks).Read(cook) is not { } read)
        {
            return KettleProblems.Invalid(checks);
        }

        var forecast = forecaster.Run(read, meltingIsWelcome: true);
        var gates = Gates.Judge(read, GateHouse.Unknown with { RoomCelsius = read.Kitchen.RoomCelsius }, forecast.Reference);
        return TypedResults.Ok(ForecastMapper.Map(forecast, gates, Core.Safety.Cautions.For(read, gates)));
    }

    public static ContentHttpResult Schema()
    {
        using var stream = typeof(PlanEndpoints).Assembly.GetManifestResourceStream("cook-1.schema.json")!;
        using var reader = new StreamReader(stream);
        return TypedResults.Content(reader.ReadToEnd(), "application/schema+json");
    }
}
