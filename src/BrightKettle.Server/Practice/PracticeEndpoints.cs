using BrightKettle.Core.Practice.Scenes;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Practice;

/// <summary>The practice pot: scenes, one hidden pot of each, and how every answer ends on it.</summary>
public static class PracticeEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/practice", (SceneRunner runner) =>
            TypedResults.Ok<IReadOnlyList<PracticeSceneDto>>([.. runner.Scenes.Select(Dto)])
        );
        routes.MapGet("/api/practice/{scene}/{pot:int}", See);
        routes.MapPost("/api/practice/{scene}/{pot:int}", Decide);
    }

    /// <summary>What the cook has to go by.</summary>
    public static async Task<Results<Ok<PracticePotDto>, ProblemHttpResult>> See(
        string scene,
        int pot,
        SceneRunner runner,
        RequestWork work
    )
    {
        if (runner.Find(scene) is not { } found || pot is < 0 or >= Scene.Pots)
        {
            return KettleProblems.Missing("practice.no_such_pot");
        }

        var sight = await work.RunAsync(WorkLength.Quick, _ => runner.See(found, pot));
        return TypedResults.Ok(
            new PracticePotDto(
                Math.Round(sight.MinutesSinceStart),
                sight.MinutesSinceBoil is { } boils ? Math.Round(boils) : null,
                ClosedSet.Word(sight.Pulses),
                sight.Rice is { } rice ? ClosedSet.Word(rice) : null,
                sight.OverBedCentimetres,
                sight.BedCentimetres,
                sight.LiquidCentimetres,
                found.Vessel.HeightCentimetres,
                Math.Round(sight.Celsius)
            )
        );
    }

    /// <summary>What was decided, what it led to, and what each other answer would have.</summary>
    public static async Task<Results<Ok<PracticeInsideDto>, ProblemHttpResult>> Decide(
        string scene,
        int pot,
        PracticeDecision decision,
        SceneRunner runner,
        RequestWork work
    )
    {
        if (runner.Find(scene) is not { } found || pot is < 0 or >= Scene.Pots)
        {
            return KettleProblems.Missing("practice.no_such_pot");
        }

        if (decision.Choice is not { } choice || !found.Choices.Contains(choice))
        {
            return KettleProblems.Invalid(decision.Choice is null ? "request.missing" : "request.unknown_word", "choice");
        }

        var (sight, ends) = await work.RunAsync(WorkLength.Quick, _ => (runner.See(found, pot), runner.Outcomes(found, pot)));
        var wanted = found.Targets.Window(found.Pulse);
        return TypedResults.Ok(
            new PracticeInsideDto(
                choice,
                ends.MaxBy(e => e.Score.Points)!.Choice,
                sight.MinutesSinceStart,
                wanted.Low,
                Bounded(wanted.High),
                [.. ends.Select(Dto)]
            )
        );
    }

    /// <summary>The upper end of a window; null where it has none.</summary>
    internal static double? Bounded(double high) => double.IsFinite(high) ? high : null;

    private static PracticeSceneDto Dto(Scene s) =>
        new(
            s.Id,
            s.Pulse.Id,
            s.Pulse.Said,
            s.PulseDry.Grams,
            s.Rice?.Said,
            s.RiceDry.Grams,
            ClosedSet.Word(s.Style),
            s.Choices,
            Scene.Pots
        );

    private static PracticeEndingDto Dto(SceneOutcome e) =>
        new(
            e.Choice,
            e.Forbidden,
            e.Spoilt is { } spoilt ? ClosedSet.Word(spoilt) : null,
            ClosedSet.Word(e.Pulses),
            e.Rice is { } rice ? ClosedSet.Word(rice) : null,
            Math.Round(e.LiquorGrams),
            Math.Round(e.Minutes),
            Math.Round(e.Score.Points),
            Math.Round(e.Score.Texture),
            Math.Round(e.Score.Liquid),
            Math.Round(e.Score.Time),
            [.. e.Points.Select(p => new PracticePointDto(p.Minutes, p.Pulses, p.Rice, p.BedCentimetres, p.LevelCentimetres))]
        );
}
