using System.Diagnostics;
using System.Globalization;
using BrightKettle.Households;

// Lets simulated households cook, learn from what they were told, and writes how well they know their bags.
// Usage: Households REPORT.md [HOUSEHOLDS]
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var count = args.Length > 1 ? int.Parse(args[1], CultureInfo.InvariantCulture) : 80;
var watch = Stopwatch.StartNew();
List<IReadOnlyList<Cooked>> houses = [];
for (var house = 0; house < count; house++)
{
    houses.Add(new SimulatedHouse(house).Cook());
    if (house % 8 == 7)
    {
        Console.WriteLine($"{house + 1} households: {watch.Elapsed.TotalSeconds:0} s");
    }
}

var report = new Report(houses);
File.WriteAllText(args[0], report.Write());
Console.WriteLine(report.InShort());
return report.Holds ? 0 : 1;
