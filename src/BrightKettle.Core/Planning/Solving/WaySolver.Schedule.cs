using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Solving;

/// <summary>When to light and when to look, so that slow bags are ready and nobody is missed.</summary>
internal sealed partial class WaySolver
{
    /// <summary>The same where a flame may burn no longer: fewer than one pot in twenty are slower, whatever else is in them.</summary>
    private const double SlowestShare = 0.02;

    /// <summary>The first look stands a little before a fast bag is there.</summary>
    private const double EarlyLook = 0.95;

    /// <summary>Of a pulse's own time, what may pass between two looks.</summary>
    private const double BetweenLooks = 0.12;

    /// <summary>The flame is out a little before the house is left.</summary>
    private static readonly Duration BeforeTheDoor = Duration.FromMinutes(5);

    private Way Schedule(Way way, double slow, double middle, double fast)
    {
        if (way.JoinsOnLook)
        {
            // The middle bag makes the hour; looks stand close, since what they find does not wait.
            var lit = way.JoinAt - Duration.FromSeconds(middle);
            return way with
            {
                LightAt = lit,
                FirstLook = lit + Duration.FromSeconds(fast * EarlyLook),
                LookAgain = Looked(way, Duration.FromMinutes(Math.Clamp(Math.Round((slow - fast) / 300), dish.IsGreen ? 1 : 2, 5))),
            };
        }

        // Tender pulses may wait, so they are ready before the house is left; what comes after waits for the return. A bag that is slower
        // than nearly all must not keep its flame.
        var wanted = way.OtherWait is null ? way.JoinAt : way.OtherAt;
        var leaves = dish
            .Away.Where(a => !dish.How.Pulses.RunsAlone && a.Start < way.JoinAt && a.End > way.JoinAt - Duration.FromSeconds(slow))
            .Select(a => (Instant?)a.Start)
            .Min();
        var due = leaves is { } gone && gone < wanted ? gone : wanted;
        if (due < wanted && SecondsUntil(way, SlowestShare) is [{ } slowest])
        {
            slow = slowest;
        }

        // A quick pulse changes under the hand: look more often.
        // A slow cooker's lid stays on: half an hour to an hour between looks.
        // Between two looks it should not go on by more than a felt state.
        var again = dish.How.Pulses.RunsAlone
            ? Duration.FromMinutes(Math.Clamp(15 * Math.Round((slow - fast) / 900 / FewLifts), 30, 60))
            : Duration.FromMinutes(Math.Clamp(Math.Round(Math.Min(slow / 600, dish.Pulse.SofteningMinutesAt98C * BetweenLooks)), 3, 10));
        again = Looked(way, again);
        var looks = Math.Max(0, (int)Math.Ceiling((slow - fast) / again.TotalSeconds));
        // Whoever finds them hard at the last look before the door has one more.
        due = due < wanted ? due - again : due;
        var light = due - Duration.FromSeconds(slow);
        var first = due - (again * looks);
        if (dish.How.Pulses.RunsAlone)
        {
            (light, first) = WhileAttended(light, first);
            var there = (due - light).TotalSeconds;
            way = way with
            {
                SlowOnLow =
                    way.SlowOnLow
                    || (
                        there > LowFrom * slow && SecondsUntil(way with { SlowOnLow = true }, SlackOf(way)) is [{ } onLow] && onLow <= there
                    ),
            };
        }

        return way with
        {
            LightAt = light,
            LookAgain = again,
            FirstLook = first > light ? first : light,
            HotUntil = due < wanted ? leaves - BeforeTheDoor : null,
            BackAt = dish.Away.Where(a => a.Start == leaves).Select(a => a.End + Settle).FirstOrDefault(),
        };
    }

    /// <summary>What is poured off when it is found so goes no further, and is looked at twice as often.</summary>
    private Duration Looked(Way way, Duration again) =>
        way.DrainsAtLook(dish) || way.List.ThrowsLiquor
            ? Duration.FromMinutes(Math.Clamp(Math.Round(again.TotalMinutes / 2), 2, 5))
            : again;

    /// <summary>A slow cooker may run alone, overnight or while everybody is out: it is filled and lit before, and looked into
    /// after.</summary>
    private (Instant Light, Instant First) WhileAttended(Instant light, Instant first)
    {
        var filling = AtRisk ? BoilAndFill : Fill;
        bool There(Instant at) => dish.AttendedAt(at - Settle) && dish.AttendedAt(at) && dish.AttendedAt(at + filling);
        bool Back(Instant at) => dish.AttendedAt(at - Settle) && dish.AttendedAt(at);
        // Nobody plans further ahead than a day.
        var (earliest, latest) = (light - Duration.FromDays(1), first + Duration.FromDays(1));
        var lit = light;
        while (!There(lit) && lit > earliest)
        {
            lit -= AStep;
        }

        var looked = first;
        while (!Back(looked) && looked < latest)
        {
            looked += AStep;
        }

        return (There(lit) ? lit : light, Back(looked) ? looked : first);
    }

    /// <summary>Lit so many times earlier than high wants, low is enough (effects: low takes 1.5 to 2 times as long).</summary>
    private const double LowFrom = 2;

    private static readonly Duration AStep = Duration.FromMinutes(5);

    /// <summary>Nobody lights or looks in the first minutes after getting up or coming home.</summary>
    private static readonly Duration Settle = Duration.FromMinutes(10);

    /// <summary>To fill a slow cooker, and to boil hard before.</summary>
    private static readonly Duration Fill = Duration.FromMinutes(25);
    private static readonly Duration BoilAndFill = Duration.FromMinutes(70);

    /// <summary>Times that the lid of a slow cooker is lifted between a fast and a slow bag.</summary>
    private const double FewLifts = 4;
}
