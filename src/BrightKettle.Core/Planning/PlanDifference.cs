using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Manners;

namespace BrightKettle.Core.Planning;

/// <summary>One thing in which two plans differ.</summary>
/// <param name="Amount">After minus before: minutes, mL, g, or a share from 0 to 1; null where words tell it.</param>
/// <param name="Before">A felt state, a method or a name; null where the amount tells it.</param>
public sealed record Difference(DifferenceCode Code, double? Amount, string? Before = null, string? After = null)
{
    /// <summary>It makes the dinner worse: later, less sure, firmer or softer than wanted, drier than wanted.</summary>
    public bool Worse { get; init; }
}

/// <summary>What changes from one plan to another, in the order in which a cook would ask.</summary>
public static class PlanDifference
{
    /// <summary>Less than this is not worth a word: minutes, mL, g.</summary>
    private const double Minutes = 1.5;
    private const double Millilitres = 25;
    private const double Grams = 4;
    private const double Share = 0.04;

    public static IReadOnlyList<Difference> Between(Plan before, Plan after)
    {
        ArgumentNullException.ThrowIfNull(before);
        ArgumentNullException.ThrowIfNull(after);
        var list = new List<Difference>();
        Names(list, before.Dish, after.Dish);
        Moment(list, DifferenceCode.Table, StepIds.Table, before, after, laterIsWorse: true);
        if ((after.Cook.Starts - before.Cook.Starts).TotalMinutes is var begins && Math.Abs(begins) > Minutes)
        {
            list.Add(new(DifferenceCode.Begins, Math.Round(begins)));
        }

        Moment(list, DifferenceCode.Flame, StepIds.Light, before, after, laterIsWorse: false);
        Moment(list, DifferenceCode.Join, StepIds.Join, before, after, laterIsWorse: false);
        // Shares of different numbers of pots are not compared.
        if (after.Forecast.Pots == before.Forecast.Pots && after.ShareTender - before.ShareTender is var chance && Math.Abs(chance) > Share)
        {
            list.Add(new(DifferenceCode.Chance, chance) { Worse = chance < 0 });
        }

        States(list, before, after);
        Amounts(list, before, after);
        return list;
    }

    private static void Names(List<Difference> list, Dish before, Dish after)
    {
        void Word(DifferenceCode code, string? from, string? to)
        {
            if (from != to)
            {
                list.Add(new(code, null, from, to));
            }
        }

        Word(DifferenceCode.Pulse, before.Pulse.Said, after.Pulse.Said);
        Word(DifferenceCode.RiceKind, before.Rice?.Said, after.Rice?.Said);
        Word(DifferenceCode.Pot, before.Vessel.Name, after.Vessel.Name);
        Word(DifferenceCode.Burner, before.Burner.Name, after.Burner.Name);
        Word(DifferenceCode.Soak, before.Soak.ToString(), after.Soak.ToString());
        if (before.How.Soak is SoakOfHours was && after.How.Soak is SoakOfHours now)
        {
            Amount(list, DifferenceCode.SoakHours, 60 * was.Hours, 60 * now.Hours, Minutes);
        }

        Word(DifferenceCode.Method, before.Method.ToString(), after.Method.ToString());
        Word(DifferenceCode.PulseState, before.PulseState.ToString(), after.PulseState.ToString());
        Word(DifferenceCode.RiceState, before.RiceState.ToString(), after.RiceState.ToString());
        list.AddRange(before.Asked.Except(after.Asked).Select(s => new Difference(DifferenceCode.Stage, null, s.ToString())));
        list.AddRange(after.Asked.Except(before.Asked).Select(s => new Difference(DifferenceCode.Stage, null, null, s.ToString())));

        Amount(list, DifferenceCode.PulseGrams, before.PulseDry.Grams, after.PulseDry.Grams, Grams);
        Amount(
            list,
            DifferenceCode.RiceGrams,
            before.Rice is null ? 0 : before.RiceDry.Grams,
            after.Rice is null ? 0 : after.RiceDry.Grams,
            Grams
        );
    }

    private static void Moment(List<Difference> list, DifferenceCode code, string mark, Plan before, Plan after, bool laterIsWorse)
    {
        if (
            before.Forecast.Find(mark) is { } from
            && after.Forecast.Find(mark) is { } to
            && (to.Reference - from.Reference).TotalMinutes is var minutes
            && Math.Abs(minutes) > Minutes
        )
        {
            list.Add(new(code, Math.Round(minutes)) { Worse = laterIsWorse && minutes > 0 });
        }
    }

    private static void States(List<Difference> list, Plan before, Plan after)
    {
        void State(DifferenceCode code, int from, int to, double? apart, Span wanted)
        {
            var (was, now) = (before.Forecast.Reference.Final[from].Doneness, after.Forecast.Reference.Final[to].Doneness);
            var (feltBefore, feltAfter) = (Doneness.Felt(was, apart), Doneness.Felt(now, apart));
            var softer = now > wanted.High * 1.05 && now > was;
            if (feltBefore != feltAfter || softer)
            {
                list.Add(
                    new(code, Math.Round(now - was), feltBefore.ToString(), feltAfter.ToString()) { Worse = now < wanted.Low || softer }
                );
            }
        }

        State(
            DifferenceCode.Pulses,
            before.Cook.IndexOf(Way.PulseId),
            after.Cook.IndexOf(Way.PulseId),
            after.Dish.Pulse.FallsApartAt,
            after.Dish.Targets.Window(after.Dish.Pulse)
        );
        if (before.Dish.Rice is not null && after.Dish.Rice is { } rice)
        {
            State(
                DifferenceCode.Rice,
                before.Cook.IndexOf(Way.RiceId),
                after.Cook.IndexOf(Way.RiceId),
                null,
                after.Dish.Targets.Window(rice)
            );
        }

        if (after.Forecast.Reference.DrySeconds > 60 && after.Forecast.Reference.DrySeconds > before.Forecast.Reference.DrySeconds + 30)
        {
            list.Add(new(DifferenceCode.Dry, Math.Round(after.Forecast.Reference.DrySeconds / 60)) { Worse = true });
        }

        if (before.Base != after.Base)
        {
            list.Add(
                new(DifferenceCode.Base, null, before.Base.ToString(), after.Base.ToString()) { Worse = after.Base == BaseState.Scorched }
            );
        }
    }

    private static void Amounts(List<Difference> list, Plan before, Plan after)
    {
        var liquor =
            PotGeometry.LiquorMillilitres(after.Forecast.Reference.FinalLiquor, 90)
            - PotGeometry.LiquorMillilitres(before.Forecast.Reference.FinalLiquor, 90);
        if (Math.Abs(liquor) > Millilitres)
        {
            list.Add(new(DifferenceCode.Liquor, Math.Round(liquor / 10) * 10) { Worse = liquor < 0 });
        }

        Amount(
            list,
            DifferenceCode.Boiling,
            Math.Max(0, before.Join?.AddedMillilitres.Reference ?? 0),
            Math.Max(0, after.Join?.AddedMillilitres.Reference ?? 0),
            Millilitres
        );
        Amount(list, DifferenceCode.FirstWater, before.Amounts.FirstWater.Grams, after.Amounts.FirstWater.Grams, Millilitres);
    }

    private static void Amount(List<Difference> list, DifferenceCode code, double before, double after, double least)
    {
        if (Math.Abs(after - before) > least)
        {
            list.Add(new(code, Math.Round(after - before)));
        }
    }
}
