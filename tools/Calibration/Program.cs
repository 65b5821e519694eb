using System.Globalization;
using System.Text.Json;
using BrightKettle.Calibration;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

// Fits the model to the columns of times, the states and the rices and writes what it found beside the catalogue, with a report.
// Usage: Calibration CATALOGUE-FOLDER CONDITIONS.json REPORT.md DRAWING.svg [quick | as_is | rice]
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var web = new JsonSerializerOptions(JsonSerializerDefaults.Web);
var conditions = JsonSerializer.Deserialize<Conditions>(File.ReadAllText(args[1]), web)!;
var catalogue = PulseCatalogue.Shipped;
var fit = new Fit(catalogue, conditions);
var mode = args.Length > 4 ? args[4] : "";
if (mode == "rice")
{
    // Only looks at the rices, and writes nothing.
    Console.Write(Report.OfRices(RiceCell.Run(new Simulator(catalogue.Constants), catalogue.Rices)));
    return;
}

// "as_is" judges the figures that stand, "quick" fits the pulses under the shared figures that stand.
var (constants, pulses) =
    mode == "as_is" ? (catalogue.Constants, catalogue.Pulses)
    : mode == "quick" ? (catalogue.Constants, fit.Pulses(new Simulator(catalogue.Constants), catalogue.Pulses, Cells.Own, 120))
    : fit.All(Console.WriteLine);
var simulator = new Simulator(constants);
var rices = RiceCell.Run(simulator, catalogue.Rices);
var cells = Cells.Run(simulator, conditions, pulses, Cells.Own);
var leftOut = LeftOut.Run(fit, simulator, conditions, pulses);
Output.Write(args[0], constants, pulses);
File.WriteAllText(args[2], Report.Write(constants, cells, leftOut, rices));
File.WriteAllText(args[3], Drawing.Write(cells));
foreach (var column in cells.GroupBy(c => c.Column))
{
    Console.WriteLine($"{column.Key}: {column.Count(c => c.Inside)} of {column.Count()} inside");
}

Console.WriteLine($"all: {cells.Count(c => c.Inside)} of {cells.Count} inside ({100.0 * cells.Count(c => c.Inside) / cells.Count:0.0} %)");
