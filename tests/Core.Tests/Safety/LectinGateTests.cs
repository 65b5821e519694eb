using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Safety;

public class LectinGateTests
{
    private static readonly Instant Boiled = Instant.FromUtc(2026, 11, 25, 17, 0);

    public static TheoryData<string> AtRisk => [.. Kitchens.Catalogue.Pulses.Where(p => p.LectinRisk != LectinRisk.Low).Select(p => p.Id)];

    private static Cook WithBoil(string id, double soakHours, double hardMinutes, double altitude = 0)
    {
        var cook = Simmer(Pulse(id), soakHours, altitude);
        var actions = cook.Actions.ToList();
        var boil = actions.FindIndex(a => a.StepId == StepIds.Boils);
        actions[boil] = new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Rolling);
        actions.Insert(boil + 1, new CookAction.Heat(Trigger.Later(Duration.FromMinutes(hardMinutes)), Flame.Off));
        return cook with { Actions = actions };
    }

    private static GateFinding Judge(Cook cook, bool cautious = false) => Assert.Single(LectinGate.Judge(new(cook), cautious));

    [Theory]
    [MemberData(nameof(AtRisk))]
    public void Soaked_drained_and_boiled_hard_for_ten_minutes_passes(string id)
    {
        var finding = Judge(WithBoil(id, 5, 10));
        Assert.Equal(("lectin.hard_boil", false), (finding.Code, finding.Blocks));
    }

    [Theory]
    [InlineData(4.9, 10, 0, false)] // soaked too short
    [InlineData(0, 30, 0, false)] // boiling dry seed clears nothing
    [InlineData(8, 9, 0, false)] // boiled too short
    [InlineData(8, 10, 1200, false)] // above 1000 m it takes 30
    [InlineData(8, 10, 0, true)] // and in the cautious setting
    public void Less_than_that_blocks_gentle_cooking(double soakHours, double minutes, double altitude, bool cautious)
    {
        var finding = Judge(WithBoil("kidney_red", soakHours, minutes, altitude), cautious);
        Assert.Equal(("lectin.not_boiled", true), (finding.Code, finding.Blocks));
        Assert.NotNull(finding.Action);
    }

    [Fact]
    public void Unsoaked_in_a_pot_that_keeps_boiling_until_nothing_is_firm_passes_with_a_caution()
    {
        var finding = Judge(Simmer(Pulse("black")));
        Assert.Equal(("lectin.keep_boiling", false), (finding.Code, finding.Blocks));
    }

    [Fact]
    public void A_texture_short_of_tender_never_clears_it()
    {
        var cook = Simmer(Pulse("kidney_red"));
        var actions = cook.Actions.ToList();
        actions[^1] = new CookAction.Serve(new Trigger(Look: new Look("p", 92, Duration.FromMinutes(5))));
        Assert.True(Judge(cook with { Actions = actions }).Blocks);
    }

    [Fact]
    public void A_pulse_of_low_risk_has_no_finding() => Assert.Empty(LectinGate.Judge(new(WithBoil("chickpea", 0, 1)), false));

    [Fact]
    public void The_minutes_count_from_the_last_time_the_full_boil_was_seen()
    {
        var cook = WithBoil("kidney_red", 8, 10);
        var seen = new Observation[]
        {
            new Observation.Seen(Boiled, PotEvent.Boils),
            new Observation.Seen(Boiled + Duration.FromMinutes(6), PotEvent.Boils),
        };
        Assert.Equal(Boiled + Duration.FromMinutes(16), LectinGate.ClearsAt(new(cook), "p", seen, false));
        Assert.Null(LectinGate.ClearsAt(new(cook), "p", [], false));
        Assert.Null(LectinGate.ClearsAt(new(WithBoil("kidney_red", 0, 10)), "p", seen, false));
    }

    [Fact]
    public void The_pot_may_go_gentle_only_after_what_was_seen_and_felt()
    {
        var soaked = WithBoil("kidney_red", 8, 10);
        var dry = Simmer(Pulse("kidney_red"));
        var boil = new Observation.Seen(Boiled, PotEvent.Boils);
        var soft = new Observation.FeltAs(Boiled + Duration.FromMinutes(90), "p", FeltState.Soft);
        var bite = soft with { State = FeltState.BiteNoChalk };
        Assert.False(LectinGate.MayGoGentle(new(soaked), "p", [boil], Boiled + Duration.FromMinutes(9), false));
        Assert.True(LectinGate.MayGoGentle(new(soaked), "p", [boil], Boiled + Duration.FromMinutes(10), false));
        Assert.False(LectinGate.MayGoGentle(new(dry), "p", [boil, bite], Boiled + Duration.FromHours(2), false));
        Assert.True(LectinGate.MayGoGentle(new(dry), "p", [boil, soft], Boiled + Duration.FromHours(2), false));
        // Pressure is over the boil, and so is a whistle; but soft they must be all the same.
        foreach (var what in new[] { PotEvent.PressureUp, PotEvent.Whistle })
        {
            Assert.True(LectinGate.MayGoGentle(new(dry), "p", [boil with { What = what }, soft], Boiled + Duration.FromHours(2), false));
            Assert.False(LectinGate.MayGoGentle(new(dry), "p", [boil with { What = what }, bite], Boiled + Duration.FromHours(2), false));
            Assert.False(LectinGate.MayGoGentle(new(soaked), "p", [boil with { What = what }], Boiled + Duration.FromHours(2), false));
        }

        // Felt soft but never seen to boil: no.
        Assert.False(LectinGate.MayGoGentle(new(dry), "p", [soft], Boiled + Duration.FromHours(2), false));
    }

    [Fact]
    public void From_dry_seed_the_flame_may_come_down_to_a_lively_simmer_but_not_below_before_all_are_soft()
    {
        var (dry, soaked) = (WithBoil("kidney_red", 0, 10), WithBoil("kidney_red", 8, 10));
        IReadOnlyList<Observation> boil = [new Observation.Seen(Boiled, PotEvent.Boils)];
        GateFinding? Down(Cook cook, Flame flame)
        {
            var at = cook.Actions.ToList().FindIndex(a => a.Trigger.Delay is not null && a is CookAction.Heat);
            var actions = cook.Actions.ToList();
            actions[at] = new CookAction.Heat(actions[at].Trigger, flame) { StepId = StepIds.HardBoilOver };
            return Gates.Before(new(cook with { Actions = actions }), at, boil, Boiled + Duration.FromMinutes(4), GateHouse.Unknown);
        }

        Assert.Null(Down(dry, Flame.Lively));
        Assert.Equal("lectin.not_boiled", Down(dry, Flame.Off)?.Code);
        Assert.Equal("lectin.not_boiled", Down(soaked, Flame.Lively)?.Code);
    }

    [Theory]
    [InlineData(18, 12)]
    [InlineData(24, 8)]
    [InlineData(27, 4)]
    [InlineData(31, 2)]
    public void A_warmer_counter_allows_a_shorter_soak(double celsius, double hours) =>
        Assert.Equal(Duration.FromHours(hours), SoakLimit.OnCounter(Temperature.FromCelsius(celsius)));
}
