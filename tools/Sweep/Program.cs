using System.Diagnostics;
using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Sweep;

// Plans every ordinary dinner in every way of an ordinary kitchen and writes how many come out.
// Usage: Sweep REPORT.md [POTS [strangers]]    with "strangers" only those, and nothing is written
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var pots = args.Length > 1 ? int.Parse(args[1], CultureInfo.InvariantCulture) : 512;
var catalogue = PulseCatalogue.Shipped;
var finder = new WayFinder(new Planner(new Simulator(catalogue.Constants)), catalogue);
var watch = Stopwatch.StartNew();
List<Cell> Planned(IEnumerable<Dinner> dinners)
{
    var cells = new List<Cell>();
    var count = 0;
    foreach (var dinner in dinners)
    {
        cells.AddRange(finder.For(Dinners.Dish(dinner), pots).Where(o => o.PulseId is null).Select(o => new Cell(dinner, o)));
        if (++count % 96 == 0)
        {
            Console.WriteLine($"{count} dinners: {watch.Elapsed.TotalSeconds:0} s");
        }
    }

    return cells;
}

const int Fresh = 20261201;
var strangers = Planned([
    .. Dinners.OfStrangers(catalogue),
    .. Dinners.ByLot(catalogue, 20),
    .. Dinners.PairsByLot(catalogue, 20),
    .. Dinners.ByLot(catalogue, 20, Fresh),
]);
foreach (var line in Report.Strangers(strangers))
{
    Console.WriteLine(line);
}

if (args is [_, _, "strangers"])
{
    return;
}

var cells = Planned(Dinners.All(catalogue));
File.WriteAllText(args[0], Report.Write(cells, strangers, pots));
Console.WriteLine(Report.InShort(cells));
