using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;

namespace BrightKettle.Core.Practice;

/// <summary>What a pot at its end loses for its texture.</summary>
internal static class Ending
{
    /// <summary>All of it, where something is scorched or never done.</summary>
    public const double MostForTexture = 60;

    /// <summary>A tenth outside its window costs a tenth of so much.</summary>
    private const double PointsOutside = 150;

    /// <param name="targets">What is wanted.</param>
    /// <returns>0 where all is within its window, to <see cref="MostForTexture"/>.</returns>
    public static double TextureLost(Cook cook, PotRun run, Targets targets, ModelConstants constants)
    {
        if (run.StalledAt is not null || Crust.Of(run, constants) == BaseState.Scorched)
        {
            return MostForTexture;
        }

        var lost = 0.0;
        for (var i = 0; i < cook.Ingredients.Count; i++)
        {
            var window = cook.Ingredients[i] switch
            {
                PulseIngredient pulse => targets.Window(pulse.Pulse),
                RiceIngredient rice => targets.Window(rice.Rice),
                _ => (Span?)null,
            };
            if (window is not { } wanted)
            {
                continue;
            }

            var doneness = run.Final[i].Doneness;
            lost +=
                doneness < wanted.Low ? PointsOutside * (wanted.Low - doneness) / wanted.Low
                : doneness > wanted.High ? PointsOutside * (doneness - wanted.High) / wanted.High
                : 0;
        }

        return Math.Min(MostForTexture, lost);
    }
}
