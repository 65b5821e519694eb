using System.Globalization;
using System.Text.Json;
using BrightKettle.Calibration;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

// Fits two figures per pulse (softening time and hydration rate at 98 °C) to the middles of its two simmer columns,
// and writes them beside the catalogue with a report. Usage: Calibration KINETICS.json REPORT.md
var catalogue = PulseCatalogue.Shipped;
var simulator = new Simulator(catalogue.Constants);
var fitted = catalogue.Pulses.AsParallel().AsOrdered().Select(p => Fit.Pulse(simulator, p)).ToList();
var json = new JsonSerializerOptions(JsonSerializerDefaults.Web);
File.WriteAllText(args[0], "[\n" + string.Join(",\n", fitted.Select(f => "  " + JsonSerializer.Serialize(
    new Kinetics(f.Id, Math.Round(f.SofteningMinutesAt98C, 2), Math.Round(f.HydrationPerHourAt98C, 3)), json))) + "\n]\n");

var cells = catalogue.Pulses.SelectMany(p =>
{
    var pulse = p with { SofteningMinutesAt98C = Math.Round(fitted.First(f => f.Id == p.Id).SofteningMinutesAt98C, 2), HydrationPerHourAt98C = Math.Round(fitted.First(f => f.Id == p.Id).HydrationPerHourAt98C, 3) };
    return new[]
    {
        (pulse.Name, Column: "soaked", Range: p.SimmerSoakedMinutes, Minutes: Conditions.SimmerMinutes(simulator, pulse, true)),
        (pulse.Name, Column: "unsoaked", Range: p.SimmerUnsoakedMinutes, Minutes: Conditions.SimmerMinutes(simulator, pulse, false)),
    };
}).ToList();
File.WriteAllText(args[1], Report.Write(cells));
foreach (var column in cells.GroupBy(c => c.Column))
{
    Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"simmer, {column.Key}: {column.Count(c => c.Range.Contains(c.Minutes, 0.05))} of {column.Count()} inside the table's range"));
}
