using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Calibration;

/// <summary>One rice, two cups alone, against what is right (textures, 4).</summary>
/// <param name="AtOff">Doneness when the flame goes off.</param>
/// <param name="AfterRest">Doneness after the rest.</param>
/// <param name="LeftShare">Free liquor after the rest, share of the water that went in.</param>
/// <param name="DryAfter">When the surface was dry, share of the printed time; NaN where it never was.</param>
internal sealed record RiceCell(Rice Rice, double AtOff, double AfterRest, double LeftShare, double DryAfter)
{
    private bool Instant => Rice.Method == "cover";

    public bool Absorbs => Rice.Method == "absorb" && !RiceCooks.IsOpen(Rice);

    public bool DoneAtOff => Instant || AtOff >= 92;

    public bool DoneAfterRest => Instant ? AfterRest >= 92 : AfterRest is >= 96 and <= 110;

    /// <summary>White rices leave at most a twentieth, those in their bran or parboiled a quarter.</summary>
    public bool LeavesLittle => !Absorbs || LeftShare <= (Rice.DrinksOn ? 0.25 : 0.05);

    public bool DryInTime => !Absorbs || DryAfter is >= 0.55 and <= 0.85;

    /// <summary>The first moment at which no liquor is seen any more, on the line between two samples; NaN for never.</summary>
    private static double DrySeconds(PotRun run)
    {
        static double Over(PotSample s) => (s.LevelCentimetres / s.BedCentimetres[0]) - PotGeometry.DryVoids;
        foreach (var (before, after) in Pairs([.. run.Samples.Where(s => s.BedCentimetres[0] > 0)]))
        {
            if (Over(after) < 0)
            {
                return before.Seconds + ((after.Seconds - before.Seconds) * Math.Clamp(Over(before) / (Over(before) - Over(after)), 0, 1));
            }
        }

        return double.NaN;
    }

    private static IEnumerable<(PotSample Before, PotSample After)> Pairs(IReadOnlyList<PotSample> samples) => samples.Zip(samples.Skip(1));

    public static IReadOnlyList<RiceCell> Run(Simulator simulator, IReadOnlyList<Rice> rices) =>
        [
            .. rices.Select(rice =>
            {
                var printed = rice.SimmerMinutes.Typical;
                var cook = RiceCooks.Alone(rice, printed);
                var run = simulator.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true));
                var off = cook.Actions.ToList().FindIndex(a => a.StepId == RiceCooks.Off);
                var boil = run.Nth(PotEvent.Boils) ?? double.NaN;
                return new RiceCell(
                    rice,
                    run.At(off).Doneness[0],
                    run.Final[0].Doneness,
                    Math.Max(0, run.FinalLiquor - (simulator.Constants.Cling * cook.Ingredients[0].Dry.Grams)) / RiceCooks.Water(rice),
                    (DrySeconds(run) - boil) / 60 / printed
                );
            }),
        ];
}
