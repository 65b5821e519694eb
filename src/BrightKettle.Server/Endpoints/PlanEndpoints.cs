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
        var wanted = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(request.Dish, checks);
        var pull = request.Pull;
        checks.Within(pull.Table, -1440, 1440, "pull.table");
        checks.Within(pull.Light, -600, 600, "pull.light");
        checks.Within(pull.Join, -240, 240, "pull.join");
        checks.Within(pull.Seal, 0, 60, "pull.seal");
        checks.Within(pull.FlameOff, -60, 120, "pull.flameOff");
        if (wanted is null || checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (plans.Plan(request.Dish, wanted, kitchen) is not PlanAnswer.Planned { Plan: var best })
        {
            return KettleProblems.Invalid("plan.nothing_to_pull", "dish");
        }

        var pulled = planner.Pulled(best, new(pull.Table, pull.Light, pull.Join, pull.Seal, pull.FlameOff));
        return TypedResults.Ok(new PulledDto(
            pulled.Plan.Dish.ServeAt.ToDateTimeOffset(),
            pulled.Plan.ShareTender,
            PlanSteps.Of(pulled.Plan),
            ForecastMapper.Map(pulled.Plan.Forecast, [], []).Series,
            DifferenceSentences.For(pulled.Differences),
            pulled.Obstacle is { } obstacle ? Sentences.For(obstacle, pulled.Plan.Dish).Detail : null));
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

        var gates = Gates.Judge(read, GateHouse.Unknown);
        return TypedResults.Ok(ForecastMapper.Map(forecaster.Run(read, meltingIsWelcome: true), gates, Core.Safety.Cautions.For(read, gates)));
    }

    public static ContentHttpResult Schema()
    {
        using var stream = typeof(PlanEndpoints).Assembly.GetManifestResourceStream("cook-1.schema.json")!;
        using var reader = new StreamReader(stream);
        return TypedResults.Content(reader.ReadToEnd(), "application/schema+json");
    }
}
