using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>Somebody who cooks by the minutes of a printed sheet: waits for the boil and for the pin, since nothing goes on before, and
/// otherwise does each thing so long after the one before as it stands there. Looks at nothing.</summary>
public sealed class ClockPlayer(Simulator simulator)
{
    private readonly Forecaster _judge = new(simulator);

    /// <inheritdoc cref="AdvicePlayer.Play"/>
    public PlayedDinner Play(Plan plan, PotTraits hidden)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var kitchen = new SimulatedKitchen(simulator, plan.Cook, hidden);
        var printed = plan.Forecast.Reference;
        var waiting = Moment.Of(plan.Cook.Actions, plan.Cook.Kitchen, 0).ToList();
        var last = new Dictionary<string, (Instant Real, double Printed)>();
        var marks = new Dictionary<string, Instant>();
        Instant? served = null;
        while (waiting.Count > 0 && served is null)
        {
            var leads = waiting.GroupBy(m => m.Lane).Select(g => g.First());
            var next = leads.Select(m => (Moment: m, At: When(m))).Where(x => x.At is not null).MinBy(x => x.At);
            if (next is not { Moment: { } moment, At: { } at })
            {
                break;
            }

            foreach (var action in moment.Actions)
            {
                if (action is CookAction.Serve)
                {
                    served = at;
                    break;
                }

                at = Instant.Max(at, kitchen.Do(at, action));
                _ = action.StepId is { } mark && marks.TryAdd(mark, at);
            }

            last[moment.Lane] = (at, Printed(moment));
            _ = waiting.Remove(moment);
        }

        if (served is not { } table)
        {
            return new(Spoilt.NeverDone, null, [], 0, []);
        }

        var run = kitchen.Served(table);
        return new(_judge.SpoiltBy(plan.Cook, run, plan.Dish.Targets), table, [], 0, [.. run.Final.Select(f => f.Doneness)]);

        int First(Moment moment) =>
            Enumerable.Range(0, plan.Cook.Actions.Count).First(i => ReferenceEquals(plan.Cook.Actions[i], moment.Actions[0]));

        double Printed(Moment moment) => printed.Done[First(moment)]?.Seconds ?? 0;

        Instant? When(Moment moment)
        {
            var when = moment.Trigger;
            if (when.AfterStep is { } step && !marks.ContainsKey(step))
            {
                return null;
            }

            var since = last.TryGetValue(moment.Lane, out var before)
                ? before.Real + Duration.FromSeconds(Printed(moment) - before.Printed)
                : plan.Cook.Starts + Duration.FromSeconds(Printed(moment));
            if (when.After is { } what)
            {
                return kitchen.When(moment.Lane, what, when.Count) is { } heard ? heard + (when.Delay ?? Duration.Zero) : null;
            }

            return when.AfterStep is { } done ? Instant.Max(since, marks[done]) : since;
        }
    }
}
