using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>From a plan of the core to what a page shows.</summary>
public static class PlanMapper
{
    /// <summary>Where rice cooks in it nobody knows: what a grain gives is not followed.</summary>
    private static SauceDto? Sauce(Plan plan) =>
        plan.Dish is { Style: Style.Saucy or Style.Soup } and { RiceInPot: null }
        && plan.Forecast.Vessels is [{ Thickness: { } hot, OnThePlate: { } plate }, ..]
            ? new(ClosedSet.Word(hot), ClosedSet.Word(plate))
            : null;

    /// <summary>Who starts and who joins: pulse_alone, pulse_first, together or rice_first.</summary>
    public static string OrderOf(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return plan.IsAlone ? "pulse_alone"
            : plan.RiceStarts ? "rice_first"
            : plan.BothStart ? "together"
            : "pulse_first";
    }

    /// <param name="bag">Of the pulse that leads; null where nobody asks for it.</param>
    public static PlanDto Map(Plan plan, int people, double cupMillilitres, PlanBagDto? bag = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var dish = plan.Dish;
        var hands = HandsPlanner.For(plan, dish.BurnerCount);
        return new(
            Said.DishTitle(Pulses(dish), dish.Rice?.Said),
            dish.Pulse.Said,
            dish.Rice?.Said,
            OrderOf(plan),
            dish.ServeAt.ToDateTimeOffset(),
            plan.ShareTender,
            plan.BlindShare,
            ClosedSet.Word(plan.Base),
            Sauce(plan),
            Join(plan),
            MeasureOut(plan, people, cupMillilitres),
            PlanSteps.Of(plan),
            HandsMapper.Map(plan, hands),
            HandsMapper.Facts(WayFacts.Of(plan, hands)),
            new(
                ClosedSet.Word(dish.Salt),
                plan.KeepsSoakWater,
                dish.SoaksInBowl && dish.How.Soak.Since is null && !dish.Pulse.BoilsFirst && dish.Salt != SaltSchool.InTheSoak
            ),
            ForecastMapper.Map(plan.Forecast, plan.Gates, plan.Cautions),
            CookWriter.Write(plan.Cook),
            [.. plan.LeftOut.Select(ClosedSet.Word)],
            BesideMapper.Neighbours(dish),
            BesideMapper.Clashes(plan),
            WayMapper.Alternatives(plan.Apart, dish),
            bag
        );
    }

    public static SavedSummaryDto Summary(Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var table = plan.Forecast.Find(StepIds.Table)!;
        return new(
            plan.Begins.ToDateTimeOffset(),
            plan.Forecast.Find(StepIds.Light)!.Reference.ToDateTimeOffset(),
            plan.Forecast.Find(StepIds.Join)?.Reference.ToDateTimeOffset(),
            table.Early.ToDateTimeOffset(),
            table.Reference.ToDateTimeOffset(),
            table.Late.ToDateTimeOffset(),
            plan.ShareTender
        );
    }

    private static JoinDto? Join(Plan plan) =>
        plan.Join is not { } join
            ? null
            : new(
                plan.RiceStarts ? "pulse" : "rice",
                Math.Round(join.Doneness),
                ClosedSet.Word(join.Felt),
                plan.Waits is { } state ? ClosedSet.Word(state) : null,
                join.ChalkyOfFive is { } chalky ? Math.Round(chalky, 1) : null,
                Math.Round(join.NeededMillilitres / 10) * 10,
                ForecastMapper.Band(join.FoundMillilitres),
                ForecastMapper.Band(join.AddedMillilitres),
                Math.Round(join.OverBedCentimetres, 1)
            );

    private static MeasureOutDto MeasureOut(Plan plan, int people, double cupMillilitres)
    {
        var dish = plan.Dish;
        double Cold(Mass water) => Math.Round(Volume.OfWater(water, dish.Household.Room).Millilitres / 10) * 10;
        double Cups(double grams, double gramsPerCup) => Math.Round(Portions.CupsOfGrams(grams, gramsPerCup, cupMillilitres), 2);
        var cooked = dish.Method == Method.Cooked;
        return new(
            Math.Round(cooked ? dish.PulseDry.Grams : plan.OnTheScale()),
            Cups(plan.OnTheScale(), cooked ? dish.Pulse.CookedGramsPerCup : DishAmounts.GramsPerCup(dish.Pulse, dish.PulseState)),
            cooked ? Math.Round(plan.OnTheScale()) : null,
            dish.Rice is null ? null : Math.Round(plan.RiceOnTheScale),
            dish.Rice is { } rice ? Cups(plan.RiceOnTheScale, DishAmounts.GramsPerCup(rice, dish.RiceState)) : null,
            dish.Rinse,
            plan.Amounts.SoakWater is { } soak ? Cold(soak) : null,
            Cold(plan.Amounts.FirstWater),
            // Boiling water to have ready: what the drier pots will want at the join.
            plan.Join
                is { } join
            && join.AddedMillilitres.High > 20
                ? Math.Ceiling(join.AddedMillilitres.High / 50) * 50
                : null,
            Math.Round(plan.Amounts.Edible.Grams),
            Math.Round(plan.Amounts.Edible.Grams / people / 10) * 10,
            [
                .. dish.OtherPulses.Select(o => new OtherLineDto(
                    o.Pulse.Id,
                    o.Pulse.Said,
                    Math.Round(o.Dry.Grams),
                    cooked ? Math.Round(plan.OnTheScale(o.Id)) : null,
                    Collapsed(plan, o)
                )),
            ],
            [
                .. dish
                    .Extras.Where(x => !x.IsRest)
                    .Select(x => new ExtraLineDto(
                        x.Extra.Id,
                        x.Extra.Name,
                        Whole(dish, x) is var grams && grams < 10 ? Math.Round(grams, 1) : Math.Round(grams),
                        ClosedSet.Word(x.Time),
                        x.Pieces,
                        x.Blanched,
                        x.Frozen
                            ? dish.CanThaw
                                ? "thawed"
                                : "frozen"
                            : null,
                        x.Extra.Note,
                        dish.Extras.Any(rest => rest.IsRest && rest.Extra.Id == x.Extra.Id)
                    )),
            ],
            Salt(plan),
            dish.RiceVessel is { } apart ? VesselNames.Of(apart.Vessel) : null,
            dish.RiceVessel is { } own
                ? Cold(plan.Cook.Actions.OfType<CookAction.AddWater>().Last(a => a.In == own.Vessel.Id).Water)
                : null,
            dish.LittleOnes,
            Math.Round(plan.Amounts.Edible.Grams / people * LittleShare / 10) * 10,
            LittleSalty(plan),
            ClosedSet.Word(dish.PulseState),
            ClosedSet.Word(dish.RiceState)
        );
    }

    /// <summary>All of an extra, with what is kept back of it, g.</summary>
    private static double Whole(Dish dish, DishExtra extra) =>
        dish.Extras.Where(x => x.Extra.Id == extra.Extra.Id).Sum(x => x.Amount.Grams);

    /// <summary>Whether it will have fallen apart in the reference pot by the table.</summary>
    private static bool Collapsed(Plan plan, OtherPulse other) =>
        Doneness.Felt(plan.Forecast.Reference.Final[plan.Cook.IndexOf(other.Id)].Doneness, other.Pulse.FallsApartAt)
        == FeltState.FallingApart;

    private static string Pulses(Dish dish) =>
        dish.OtherPulses.Count == 0
            ? dish.Pulse.Said
            : Said.ListAnd(
                string.Join(", ", dish.OtherPulses.SkipLast(1).Select(o => Small(o.Pulse.Said)).Prepend(dish.Pulse.Said)),
                Small(dish.OtherPulses[^1].Pulse.Said)
            );

    private static string Small(string name) => char.ToLowerInvariant(name[0]) + name[1..];

    /// <summary>A little one's plate against a grown-up's (confidence C).</summary>
    private const double LittleShare = 0.5;

    /// <summary>What keeps the little ones' portion from being without salt; null for nothing, or for no little ones.</summary>
    internal static IReadOnlyList<string>? LittleSalty(Plan plan) =>
        plan.Dish.LittleOnes > 0 && SaltedBefore.In(new CookTrace(plan.Cook)) is { Count: > 0 } salty
            ? [.. salty.Select(id => Name(plan, id).ToLowerInvariant())]
            : null;

    private static SaltDto Salt(Plan plan)
    {
        var sheet = plan.Amounts.Sheet;
        var grams = Math.Round(plan.Amounts.Salt.Grams);
        return new(
            Math.Round(sheet.PercentNow, 2),
            sheet.TargetPercent,
            grams,
            Math.Round(SaltSpoons.TeaspoonsOf(grams, SaltSpoons.Fine) * 4) / 4,
            sheet.Finding,
            [
                .. sheet.Sources.Select(s => new SaltSourceDto(
                    Name(plan, s.What),
                    Math.Round(s.Low, 1),
                    Math.Round(s.Grams, 1),
                    Math.Round(s.High, 1),
                    Math.Round(s.SodiumGrams, 2)
                )),
            ]
        );
    }

    private static string Name(Plan plan, string id) =>
        plan.Dish.Extras.FirstOrDefault(x => x.Id == id)?.Extra.Name
        ?? plan.Dish.OtherPulses.FirstOrDefault(o => o.Id == id)?.Pulse.Said
        ?? (
            id == "pulse" ? plan.Dish.Pulse.Said
            : id == "brine" ? Said.SaltBrineSource()
            : Said.SaltPlainSource()
        );
}
