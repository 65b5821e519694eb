using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Calibration;

/// <summary>Each column forecast by pulses that were fitted without it.</summary>
internal static class LeftOut
{
    public static IReadOnlyList<Cell> Run(Fit fit, Simulator simulator, Conditions conditions, IReadOnlyList<Pulse> pulses) =>
        [
            .. Cells.Own.SelectMany(column =>
            {
                var others = Cells.Own.Where(c => c != column).ToArray();
                return Cells.Run(simulator, conditions, fit.Pulses(simulator, pulses, others, 48), [column]);
            }),
        ];
}
