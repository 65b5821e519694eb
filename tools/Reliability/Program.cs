// Tries to break the published server, on loopback and in bounds, and writes what came of it into docs/reliability.md:
//   Reliability APP REPORT kills|starts|faults|limits|fuzz [how many]
using System.Globalization;
using BrightKettle.Reliability;
using BrightKettle.Reliability.Fuzz;
using BrightKettle.Reliability.Kills;
using BrightKettle.Reliability.Limits;

var (app, report, what) = (args[0], args[1], args[2]);
int Many(int usual) => args.Length > 3 ? int.Parse(args[3], CultureInfo.InvariantCulture) : usual;
var outcome = what switch
{
    "kills" => await WorkKills.RunAsync(app, Many(200)),
    "starts" => await StartKills.RunAsync(app, Many(100)),
    "faults" => await StartFaults.RunAsync(app),
    "limits" => await LimitsTried.RunAsync(app),
    "fuzz" => await FuzzRun.RunAsync(app, Many(20_000)),
    _ => throw new ArgumentException($"Nothing is tried by the name of {what}."),
};
await ReportFile.WriteAsync(report, outcome);
Console.WriteLine(outcome.Line);
return outcome.Good ? 0 : 1;
