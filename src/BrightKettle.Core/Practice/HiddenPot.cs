using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>A pot with traits that nobody knows, and a cook beside it who does what the plan says, looks when it asks, and tells
/// both.</summary>
public sealed class HiddenPot(Simulator simulator)
{
    /// <summary>The reference pot but for its pulses, which have this pace, and for whose hand looks.</summary>
    public static PotTraits Traits(Cook cook, double pace, Hand hand)
    {
        ArgumentNullException.ThrowIfNull(cook);
        var middle = PotTraits.Reference(cook);
        return middle with { Pace = [.. cook.Ingredients.Select((x, i) => x is PulseIngredient ? pace : middle.Pace[i])], Hand = hand };
    }

    /// <param name="cook">Valid by <see cref="CookRules"/>.</param>
    /// <param name="traits">Of this pot; its hand decides what is felt at the looks that are acted on.</param>
    /// <param name="seed">Of the hand in all other looks, and of the ids.</param>
    /// <returns>What was told of the whole evening up to the table, each at its minute; null where the pot never gets there.</returns>
    public IReadOnlyList<Entry>? Told(Cook cook, PotTraits traits, int seed)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(traits);
        var run = simulator.Run(cook, traits, new RunOptions(Sample: true));
        if (run.StalledAt is not null)
        {
            return null;
        }

        var told = new List<(Instant At, int Order, Entry Entry)>();
        void Tell(double seconds, Func<Guid, Instant, Entry> entry)
        {
            var at = cook.Starts + Duration.FromSeconds(Math.Round(seconds));
            told.Add((at, told.Count, entry(new Guid(seed, 0, 0, 0, 0, 0, 0, 0, 0, (byte)(told.Count >> 8), (byte)told.Count), at)));
        }

        foreach (var moment in Moment.Of(cook.Actions, cook.Kitchen, 0))
        {
            var action = Enumerable.Range(0, cook.Actions.Count).First(i => ReferenceEquals(cook.Actions[i], moment.Actions[0]));
            if (run.Done[action] is not { } done)
            {
                continue;
            }

            if (moment.Trigger is { After: { } happened and (PotEvent.Boils or PotEvent.PressureUp) } since)
            {
                var seen = done.Seconds - (since.Delay ?? Duration.Zero).TotalSeconds;
                Tell(seen, (id, at) => new Entry.Saw(id, at, new Observation.Seen(at, happened) { VesselId = moment.Lane }));
            }

            if (moment.Trigger.Look is { } look)
            {
                foreach (var (seconds, ingredient, felt) in Looks(cook, run, action, look, seed))
                {
                    Tell(seconds, (id, at) => new Entry.Saw(id, at, new Observation.FeltAs(at, ingredient, felt)));
                }
            }

            Tell(done.Seconds, (id, at) => new Entry.Done(id, at, moment.Id));
        }

        return [.. told.OrderBy(t => t.At).ThenBy(t => t.Order).Select(t => t.Entry)];
    }

    /// <summary>The looks at the pulses: each that said not yet, and the one that said yes.</summary>
    private static IEnumerable<(double Seconds, string Ingredient, FeltState Felt)> Looks(
        Cook cook,
        PotRun run,
        int action,
        Look look,
        int seed
    )
    {
        var done = run.At(action).Seconds;
        var trigger = cook.Actions[action].Trigger;
        var before = Enumerable.Range(0, action).Select(i => run.Done[i]?.Seconds ?? 0).Where(s => s <= done).DefaultIfEmpty(0).Max();
        var first = Math.Max(
            before + (trigger.Delay ?? Duration.Zero).TotalSeconds,
            trigger.NotBefore is { } from ? (from - cook.Starts).TotalSeconds : 0
        );
        var count = (int)Math.Max(0, Math.Floor((done - first) / look.Again.TotalSeconds + 1e-6));
        var wanted = look.Also.Select(a => (a.IngredientId, a.Doneness)).Prepend((look.IngredientId, look.Doneness)).ToList();
        for (var k = count; k >= 0; k--)
        {
            var seconds = done - (k * look.Again.TotalSeconds);
            foreach (var (id, doneness) in wanted)
            {
                if (cook.IndexOf(id) is var at && cook.Ingredients[at] is not PulseIngredient pulse)
                {
                    continue;
                }

                var felt = run.DonenessAt(at, seconds) + (Hand.Spread * SplitMix.Of(seed, action, k, at, 2).Normal());
                // What was acted on was felt so; where one thing alone is looked for, what was not was felt to be not there.
                felt =
                    k == 0 ? Math.Max(felt, doneness)
                    : wanted.Count == 1 ? Math.Min(felt, doneness - 1e-6)
                    : felt;
                yield return (seconds, id, Doneness.Felt(felt, pulse.Pulse.FallsApartAt));
            }
        }
    }
}
