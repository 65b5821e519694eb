using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Sweep;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Planning;

/// <summary>Refusing raises nothing: the cells of must-be-offered.txt have a plan, and three quarters of each kind come out.</summary>
public sealed class MustBeOfferedTests(ITestOutputHelper output)
{
    private sealed record Cell(string Kind, string Pulse, string Rice, string Style);

    private static IEnumerable<Cell> Cells =>
        Lines().Where(l => l.Length > 0 && l[0] != '#').Select(l => l.Split(' ')).Select(p => new Cell(p[0], p[1], p[2], p[3]));

    private static string[] Lines()
    {
        using var file = typeof(MustBeOfferedTests).Assembly.GetManifestResourceStream("must-be-offered.txt")!;
        return new StreamReader(file).ReadToEnd().Split('\n');
    }

    private static Dish Asked(Cell cell)
    {
        var (pulse, style) = (Pulse(cell.Pulse), Enum.Parse<Style>(cell.Style, ignoreCase: true));
        var dinner = new Dinner(pulse, cell.Rice == "-" ? null : Rice(cell.Rice), style);
        var dish = Dinners
            .Dish(dinner)
            .With(pulse.SoakHours.High > 0 && pulse.SimmerUnsoakedMinutes.Middle > 80 ? new OvernightSoak() : new Unsoaked());
        PulseCooking pressure = new UnderPressure(dish.OtherVessels.Single(v => v.Id == "electric"));
        return cell.Kind switch
        {
            "one_pot" => dish,
            "par_cook" => dish.With(new AfterDraining()),
            "beside" => dish.With(WayFinder.RiceBeside(dish).First()),
            "pressure_soaked" => dish.With(pressure).With(new OvernightSoak()),
            "pressure_unsoaked" => dish.With(pressure).With(new Unsoaked()),
            "tin" => dish.With(new Warmed(CookedFrom.Tin)).With(new Unsoaked()),
            _ => dish with { PulseTarget = Enum.Parse<PulseTarget>(cell.Kind["alone_".Length..], ignoreCase: true) },
        };
    }

    [Fact]
    public void Every_cell_that_must_be_offered_has_a_plan_and_three_in_four_of_a_kind_come_out()
    {
        var tried = Cells
            .AsParallel()
            .AsOrdered()
            .Select(c => (Cell: c, Answer: Plans.Plan(Asked(c), 64, rough: true)))
            .Select(t => (t.Cell, Share: (t.Answer as PlanAnswer.Planned)?.Plan.ShareTender, (t.Answer as PlanAnswer.Refused)?.Refusal))
            .ToList();
        Assert.True(tried.Count > 500, $"{tried.Count}");
        Assert.All(tried, t => Assert.True(t.Share >= 0.5, $"{t.Cell}: {t.Share} {t.Refusal?.Code} {t.Refusal?.Gate}"));
        foreach (var kind in tried.GroupBy(t => t.Cell.Kind))
        {
            var good = kind.Count(t => t.Share >= 0.8);
            output.WriteLine($"{kind.Key}: {good} of {kind.Count()} at 0.8");
            Assert.True(good >= 0.75 * kind.Count(), $"{kind.Key}: {good} of {kind.Count()}");
        }
    }
}
