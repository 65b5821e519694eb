using System.Diagnostics;
using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Sweep;

// Plans every ordinary dinner in every way of an ordinary kitchen and writes how many come out.
// Usage: Sweep REPORT.md [POTS]
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var pots = args.Length > 1 ? int.Parse(args[1], CultureInfo.InvariantCulture) : 512;
var catalogue = PulseCatalogue.Shipped;
var finder = new WayFinder(new Planner(new Simulator(catalogue.Constants)), catalogue);
var watch = Stopwatch.StartNew();
var dinners = Dinners.All(catalogue).ToList();
var cells = new List<Cell>();
foreach (var dinner in dinners)
{
    cells.AddRange(finder.For(Dinners.Dish(dinner), pots).Where(o => o.PulseId is null).Select(o => new Cell(dinner, o)));
    if (cells.Select(c => c.Dinner).Distinct().Count() % 96 == 0)
    {
        Console.WriteLine($"{dinner.Pulse.Id}: {watch.Elapsed.TotalSeconds:0} s");
    }
}

File.WriteAllText(args[0], Report.Write(cells, pots));
Console.WriteLine(Report.InShort(cells));
