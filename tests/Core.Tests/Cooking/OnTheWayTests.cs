using System.Text.Json;
using BrightKettle.Calibration;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>Doneness that a hand would agree with, on the way and at the end: the calibration's own yardstick.</summary>
public class OnTheWayTests(ITestOutputHelper output)
{
    private static readonly JsonSerializerOptions Web = new(JsonSerializerDefaults.Web);

    private static readonly Lazy<IReadOnlyList<Cell>> All = new(() =>
    {
        using var file = typeof(OnTheWayTests).Assembly.GetManifestResourceStream("conditions.json")!;
        var conditions = JsonSerializer.Deserialize<Conditions>(file, Web)!;
        return Cells.Run(Model, conditions, Kitchens.Catalogue.Pulses, Cells.Own);
    });

    [Fact]
    public void Times_are_inside_in_nine_cells_of_ten_and_no_column_in_less_than_eight()
    {
        var times = All.Value.Where(c => c.IsTime).ToList();
        Assert.InRange(times.Count(c => c.Inside) / (double)times.Count, 0.9, 1);
        Assert.All(times.GroupBy(c => c.Column), column => Assert.InRange(column.Count(c => c.Inside) / (double)column.Count(), 0.8, 1));
    }

    [Fact]
    public void Pressure_leaves_nine_pots_of_ten_in_the_state_that_the_table_means()
    {
        var pressure = All.Value.Where(c => c.Column is >= Column.PressureSoaked and < Column.WaySoaked).ToList();
        Assert.Equal(4 * 49, pressure.Count);
        Assert.InRange(pressure.Count(c => c.Inside) / (double)pressure.Count, 0.9, 1);
    }

    [Fact]
    public void A_hand_agrees_on_the_way_soaked_and_unsoaked()
    {
        var states = All.Value.Where(c => c.Column >= Column.WaySoaked).ToList();
        Assert.Equal(49 * 2 * 7, states.Count);
        output.WriteLine($"{states.Count(c => c.Inside)} of {states.Count} inside");
        Assert.InRange(states.Count(c => c.Inside) / (double)states.Count, 0.92, 1);
        Assert.All(states, c => Assert.InRange(c.Value, c.Range.Low - 8, c.Range.High + 10));
    }

    [Fact]
    public void An_unsoaked_seed_lags_a_soaked_one_most_in_the_first_third_and_ever_less_after_it()
    {
        var lags = Cells.OnTheWay.Select(share =>
        {
            double[] Of(Column column) => [.. All.Value.Where(c => c.Column == column && c.Range == share.Felt).Select(c => c.Value)];
            return Of(Column.WaySoaked).Zip(Of(Column.WayUnsoaked), (soaked, dry) => soaked - dry).ToArray();
        });
        var median = lags.Select(l => l.Order().ElementAt(l.Length / 2)).ToList();
        Assert.All(median.Skip(1).Zip(median.Skip(2)), pair => Assert.True(pair.Second <= pair.First + 0.5));
        Assert.InRange(median[0], 0, 22);
        Assert.InRange(median[^2], -2, 6);
    }

    /// <summary>Two pots that came by different ways to the same softness and hydration are equally done.</summary>
    [Fact]
    public void Doneness_is_a_state_whatever_the_past()
    {
        var compared = 0;
        Gen.Select(
                Gen.Int[0, Kitchens.Catalogue.Pulses.Count - 1].Select(i => Kitchens.Catalogue.Pulses[i]),
                Gen.Double[0, 12],
                Gen.Double[5, 120],
                Gen.Double[5, 120]
            )
            .Sample(
                (pulse, soak, first, second) =>
                {
                    var a = After(pulse, soak, first);
                    var b = After(pulse, 0, second);
                    if (a.Doneness >= Doneness.Tender || b.Doneness >= Doneness.Tender)
                    {
                        return;
                    }

                    // The one that is as wet and as soft is as done; wetter and softer is never less done.
                    if (a.Hydration >= b.Hydration && a.Swelling >= b.Swelling)
                    {
                        compared++;
                        Assert.True(a.Doneness >= b.Doneness - 1.5, $"{pulse.Id}: {a} against {b}");
                    }
                },
                iter: 400,
                threads: 1
            );
        Assert.True(compared > 60, $"{compared} pairs");
    }

    private static SeedState After(Pulse pulse, double soakHours, double minutes)
    {
        var cook = Simmer(pulse, soakHours);
        var actions = cook.Actions.ToList();
        actions[^1] = new CookAction.Serve(Trigger.Later(Duration.FromMinutes(minutes)));
        return Run(cook with { Actions = actions }).Final[0];
    }

    [Fact]
    public void Past_tender_it_is_time_whatever_the_pulse_and_its_soak() => Assert.All(Kitchens.Catalogue.Pulses, pulse =>
        {
            foreach (var hours in new[] { 0.0, 8 })
            {
                var minutes = MinutesFromBoil(Simmer(pulse, hours));
                var cook = Simmer(pulse, hours);
                var boil = cook.Actions.ToList().FindIndex(a => a.Trigger.After == PotEvent.Boils);
                var actions = cook
                    .Actions.Take(boil + 1)
                    .Append(new CookAction.Serve(Trigger.Later(Duration.FromMinutes(1.6 * minutes))))
                    .ToList();
                Assert.InRange(Run(cook with { Actions = actions }).Final[0].Doneness, 145, 165);
            }
        });

    [Fact]
    public void A_bed_above_its_liquor_softens_in_steam_at_about_half_the_rate()
    {
        double Gain(double liquor)
        {
            var cook = Simmer(Pulse("pinto"), 10);
            var boil = cook.Actions.ToList().FindIndex(a => a.Trigger.After == PotEvent.Boils);
            CookAction[] rest =
            [
                new CookAction.SetLiquor(Trigger.Later(Duration.FromMinutes(20)), Units.Mass.FromGrams(liquor)) { StepId = "from" },
                new CookAction.Cover(Trigger.Next, Lid.Sealed),
                new CookAction.Serve(Trigger.Later(Duration.FromMinutes(15))),
            ];
            var changed = cook with { Actions = [.. cook.Actions.Take(boil + 1), .. rest] };
            var run = Run(changed);
            return run.Final[0].Doneness - run.At(changed.Actions.ToList().FindIndex(a => a.StepId == "from")).Doneness[0];
        }

        Assert.InRange(Gain(40) / Gain(2000), 0.4, 0.75);
    }

    [Fact]
    public void Tinned_pulses_stay_whole_through_twenty_minutes_with_rice()
    {
        double After(bool tin) =>
            Run(
                Pots.Cook(
                    Pot(),
                    [Pots.Pulse("pinto", 150) with { Start = new SeedStart(Units.Temperature.FromCelsius(20)) { FromTin = tin } }],
                    [
                        Pots.Add("p"),
                        Pots.Water(600),
                        Pots.Heat(Flame.Full),
                        Pots.Heat(Flame.Gentle, Pots.Boils()),
                        Pots.Serve(Pots.After(20)),
                    ]
                )
            )
                .Final[0]
                .Doneness;
        Assert.InRange(After(true), 105, TargetWindows.Of(Pulse("pinto"), PulseTarget.Whole).High);
        Assert.True(After(false) > After(true) + 10);
    }

    [Fact]
    public void The_felt_state_of_every_pulse_rises_smoothly_and_passes_each_state_in_turn() =>
        Assert.All(Kitchens.Catalogue.Pulses, pulse =>
        {
            foreach (var hours in new[] { 0.0, 8 })
            {
                var run = Run(Simmer(pulse, hours), sample: true);
                var after = run.Samples.Where(s => s.Seconds >= run.BoilsAt[0]).Select(s => s.Doneness[0]).ToList();
                var minutes = MinutesFromBoil(Simmer(pulse, hours));
                var steps = after.Zip(after.Skip(1), (a, b) => b - a).ToList();
                // Never a jump: in a minute at most three times its mean pace.
                Assert.All(steps, s => Assert.InRange(s, -1e-3, Math.Max(3, 300 / minutes)));
                var felt = after.Select(d => Doneness.Felt(d, null)).Distinct().ToList();
                Assert.Equal(felt.Order(), felt);
            }
        });
}
