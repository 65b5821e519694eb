using System.Diagnostics;
using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice;
using BrightKettle.Players;
using BrightKettle.Sweep;

// Cooks ordinary dinners in kitchens that nobody knows, by the product's advice and by a printed clock, and writes how many come out.
// Usage: Players REPORT.md [KITCHENS [WAY]]    with a way's number only that one, and nothing is written
CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;
var kitchens = args.Length > 1 ? int.Parse(args[1], CultureInfo.InvariantCulture) : 50;
var catalogue = PulseCatalogue.Shipped;
var watch = Stopwatch.StartNew();
var only = args.Length > 2 ? int.Parse(args[2], CultureInfo.InvariantCulture) : (int?)null;
List<WayPlayed> played = [];
for (var w = 0; w < Ways.All.Count; w++)
{
    if (only is null || only == w)
    {
        played.Add(new Table(catalogue, w).Play(kitchens));
        Console.WriteLine($"{played[^1].Line()}    {watch.Elapsed.TotalSeconds:0} s");
    }
}

if (only is not null)
{
    foreach (var one in played[0].Dinners.Where(d => d.Advice.Spoilt is not null))
    {
        Console.WriteLine(
            $"{one.Number}: {one.Advice.Spoilt}, chance {one.Plan.ShareTender:0.00}, {one.Dinner.Name}; "
                + string.Join(" ", one.Advice.Final.Select(f => $"{f:0}"))
                + $"; paces {string.Join(" ", one.Hidden.Pace.Select(p => $"{p:0.00}"))} thirst {one.Hidden.RiceThirst:0.00} steam {one.Hidden.Evaporation:0.00} flame {one.Hidden.BurnerPower:0.00}"
        );
    }

    return 0;
}

File.WriteAllText(args[0], Report.Write(played));
return 0;
