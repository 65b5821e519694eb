using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Calibration;

/// <summary>Each column forecast by pulses that were fitted without it.</summary>
internal static class LeftOut
{
    public static IReadOnlyList<Cell> Run(Fit fit, Simulator simulator, Conditions conditions, IReadOnlyList<Pulse> pulses) =>
        [
            .. Cells.Columns.SelectMany(column =>
            {
                var others = Cells.Columns.Where(c => c != column).ToArray();
                return Cells.Run(simulator, conditions, fit.Pulses(simulator, pulses, others, 48), [column]);
            }),
        ];
}

/// <summary>When an unsoaked simmer has come to the printed time of falling apart: how done the model says it is then.</summary>
internal static class Collapse
{
    /// <summary>By pulse; pulses without a printed time are left out.</summary>
    public static IReadOnlyDictionary<string, double> Anchors(Simulator simulator, Conditions conditions, IReadOnlyList<Pulse> pulses)
    {
        var with = pulses.Where(p => p.CollapsedSimmerUnsoakedMinutes is not null).ToList();
        var jobs = with.ConvertAll(p =>
        {
            var cook = conditions.CookOf(p, Column.SimmerUnsoaked);
            var clock = cook.Actions.ToList().FindIndex(a => a.StepId == "clock");
            var minutes = NodaTime.Duration.FromMinutes(p.CollapsedSimmerUnsoakedMinutes!.Value.Middle);
            cook = cook with { Actions = [.. cook.Actions.Take(clock + 1), new CookAction.Serve(Trigger.Later(minutes))] };
            return new PotJob(cook, PotTraits.Reference(cook));
        });
        var runs = simulator.RunMany(jobs);
        return with.Select((p, i) => (p.Id, Math.Round(runs[i].Final[0].Doneness))).ToDictionary(x => x.Id, x => x.Item2);
    }
}
