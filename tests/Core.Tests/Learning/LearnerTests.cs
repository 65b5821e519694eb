using BrightKettle.Core.Cooking;
using BrightKettle.Core.Learning;
using BrightKettle.Core.Units;
using CsCheck;
using NodaTime;
using Xunit;

namespace BrightKettle.Core.Tests.Learning;

public sealed class LearnerTests
{
    private static readonly Learner Learner = new(Kitchens.Model);

    /// <summary>Soaked chickpeas at a simmer for so long.</summary>
    private static Cook Simmering(double minutes)
    {
        var cook = Kitchens.Simmer(Kitchens.Pulse("chickpea"), soakHours: 10);
        return cook with
        {
            Ingredients = [.. cook.Ingredients.Select(i => i is PulseIngredient p ? p with { Pace = new Pace(1, 0.28) } : i)],
            Actions = [.. cook.Actions.SkipLast(1), new CookAction.Serve(Trigger.Later(Duration.FromMinutes(minutes)))],
        };
    }

    /// <summary>What an honest hand would say of a pot with these traits, at minutes after the boil.</summary>
    private static List<Observation> Honest(Cook cook, PotTraits hidden, params double[] minutes)
    {
        var run = Kitchens.Model.Run(cook, hidden, new RunOptions(Sample: true));
        var boil = run.BoilsAt[0];
        return
        [
            .. minutes
                .Select(m => run.Samples.Last(s => s.Seconds <= boil + (m * 60)))
                .Select(s => new Observation.FeltAs(
                    cook.Starts + Duration.FromSeconds(s.Seconds),
                    "p",
                    Doneness.Felt(s.Doneness[0], null)
                )),
        ];
    }

    [Fact]
    public void Honest_answers_lead_to_the_pace_of_the_hidden_bag() =>
        Gen.Double[-0.5, 0.5]
            .Sample(
                log =>
                {
                    var cook = Simmering(90);
                    var hidden = PotTraits.Reference(cook) with { Pace = [Math.Exp(log)] };
                    var traits = Learner.Learn(cook, Honest(cook, hidden, 15, 25, 35, 45, 55, 65));
                    var pace = traits.Paces["p"];
                    Assert.InRange(Math.Log(pace.Median) - log, -0.2, 0.2);
                    Assert.True(pace.Spread < 0.2, $"{pace}");
                    // The truth is not shut out.
                    Assert.InRange(Math.Abs(Math.Log(pace.Median) - log) / pace.Spread, 0, 3);
                },
                iter: 20
            );

    [Fact]
    public void More_answers_never_leave_more_doubt_and_none_leaves_it_as_it_was()
    {
        var cook = Simmering(90);
        var answers = Honest(cook, PotTraits.Reference(cook), 20, 30, 40, 50);
        var prior = Learner.Learn(cook, []).Paces["p"];
        Assert.Equal(new Pace(1, 0.28), prior);
        var spreads = Enumerable
            .Range(1, 4)
            .Select(n => Learner.Learn(cook, answers.Take(n).ToList()).Paces["p"].Spread)
            .Prepend(0.28)
            .ToList();
        Assert.All(spreads.Zip(spreads.Skip(1)), p => Assert.True(p.Second <= p.First * 1.03, string.Join(' ', spreads)));
    }

    [Fact]
    public void Chalk_in_five_tells_the_slow_bag_from_the_fast_one()
    {
        var cook = Simmering(45);
        var at = cook.Starts + Duration.FromSeconds(Kitchens.Run(cook).EndSeconds) - Duration.FromMinutes(10);
        double Pace(int chalky) => Learner.Learn(cook, [new Observation.ChalkyOf(at, "p", chalky, 5)]).Paces["p"].Median;
        var paces = Enumerable.Range(0, 6).Select(Pace).ToList();
        Assert.Equal(paces.OrderDescending(), paces);
        Assert.True(paces[0] > paces[5] * 1.2);
    }

    [Fact]
    public void A_boil_that_came_late_is_held_against_the_burner_and_a_low_liquor_against_the_pot()
    {
        var cook = Simmering(60);
        var boil = Kitchens.Run(cook).BoilsAt[0];
        Instant At(double seconds) => cook.Starts + Duration.FromSeconds(seconds);
        double Power(double minutesLater) =>
            Learner.Learn(cook, [new Observation.Seen(At(boil + (minutesLater * 60)), PotEvent.Boils)]).BurnerPower.Median;
        Assert.True(Power(5) < Power(0) && Power(0) < Power(-4));
        Assert.InRange(Power(0), 0.95, 1.05);

        var left = Kitchens.Model.Run(cook, PotTraits.Reference(cook)).FinalLiquor;
        double Steam(double share) =>
            Learner
                .Learn(cook, [new Observation.Liquor(At(Kitchens.Run(cook).EndSeconds - 1), null, left * share, LiquorBy.Jug)])
                .Evaporation.Median;
        Assert.True(Steam(0.85) > Steam(1) && Steam(1) > Steam(1.15));
    }

    [Fact]
    public void The_same_evening_is_learned_from_alike_each_time()
    {
        var cook = Simmering(60);
        var seen = Honest(cook, PotTraits.AtPaceShare(cook, 0.2), 20, 40);
        Assert.Equal(Learner.Learn(cook, seen).Paces["p"], Learner.Learn(cook, seen).Paces["p"]);
    }

    [Fact]
    public void Salt_in_one_answer_does_not_overrule_the_rest()
    {
        var cook = Simmering(90);
        var honest = Honest(cook, PotTraits.Reference(cook), 20, 30, 40, 50, 60);
        var odd = honest.Append(new Observation.FeltAs(honest[1].At, "p", FeltState.FallingApart)).ToList();
        Assert.InRange(Learner.Learn(cook, odd).Paces["p"].Median / Learner.Learn(cook, honest).Paces["p"].Median, 0.85, 1.15);
    }
}
