using BrightKettle.Core.Cooking;
using NodaTime;

namespace BrightKettle.Core.Practice.Dinners;

/// <summary>How often somebody is called away from a practice dinner.</summary>
public enum PracticeLevel
{
    /// <summary>Never.</summary>
    Calm,

    /// <summary>Twice, for some minutes.</summary>
    Usual,

    /// <summary>Four times, and longer.</summary>
    Busy,
}

/// <summary>What calls somebody away.</summary>
public enum CalledBy
{
    Doorbell,
    Telephone,
    Child,
    Neighbour,
}

/// <summary>Somebody is away from the stove: what is due or heard meanwhile waits.</summary>
public sealed record Interruption(CalledBy By, Instant At, Duration Away)
{
    public Instant Back => At + Away;

    /// <summary>Those of one dinner, in their order and never two at once; the same for the same seed.</summary>
    /// <param name="from">When the flame is lit by the plan.</param>
    /// <param name="to">When it is to be on the table.</param>
    public static IReadOnlyList<Interruption> Of(PracticeLevel level, int seed, Instant from, Instant to)
    {
        var (count, least, most) = level switch
        {
            PracticeLevel.Usual => (2, 3, 6),
            PracticeLevel.Busy => (4, 4, 10),
            _ => (0, 0, 0),
        };
        var dice = SplitMix.Of(seed, (int)level, 7);
        var who = dice.Permutation(Enum.GetValues<CalledBy>().Length);
        var each = (to - from) / Math.Max(1, count);
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(i =>
                {
                    var away = Duration.FromMinutes(Math.Round(least + (dice.Uniform() * (most - least))));
                    // Each in a part of the evening of its own; a quick dinner has no room for all.
                    var room = each - away;
                    return (
                        Fits: room > Duration.Zero,
                        new Interruption((CalledBy)who[i], from + (each * i) + (room * dice.Uniform()), away)
                    );
                })
                .Where(x => x.Fits)
                .Select(x => x.Item2),
        ];
    }
}
