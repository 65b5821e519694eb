using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;

namespace BrightKettle.Server.Words;

/// <summary>What a line says of the soak, by the kitchen's clock: soaked for a table tonight means that they stand in water now.</summary>
internal sealed class LineSoaks(KitchenState kitchen, Instant now)
{
    /// <summary>No soak of a night fits between now and a table nearer than this; so many hours do not fit before one that is nearer than
    /// they are long.</summary>
    private static readonly Duration ANight = Duration.FromHours(10);

    /// <summary>Nobody says "since eight" of the last minutes.</summary>
    private static readonly Duration Standing = Duration.FromMinutes(30);

    /// <param name="dish">With its hour.</param>
    public DishDto In(DishDto dish, DishWish wish)
    {
        var plain = dish with { Soak = ClosedSet.Word(wish.Soak!.Value), SoakHours = null, SoakedSinceLocal = null, SoaksCold = null };
        var soaking = wish.Soaking;
        if (wish.Soak != SoakChoice.Overnight || soaking is null)
        {
            return plain;
        }

        var left = LocalTimes.Read(dish.ServeAtLocal) is { } table ? kitchen.Household.InstantOf(table) - now : ANight;
        var stands = soaking.Stood || (left > Duration.Zero && left < (soaking.For ?? ANight));
        return stands
                ? plain with
                {
                    Soak = ClosedSet.Word(SoakChoice.Already),
                    SoakedSinceLocal = LocalTimes.Write(kitchen.Household.LocalOf(Since(soaking))),
                    SoaksCold = soaking.Cold ? true : null,
                }
            : soaking.For is { } span
                ? plain with
                {
                    Soak = ClosedSet.Word(SoakChoice.Hours),
                    SoakHours = Math.Clamp(span.TotalHours, 0.5, 24),
                }
            : plain;
    }

    private Instant Since(LineSoak soaking)
    {
        if (soaking.For is { } span)
        {
            return now - span;
        }

        var home = kitchen.Household;
        var today = home.LocalOf(now).Date;
        // The last time that the clock showed it; of a bare hour, in the morning or in the evening.
        Instant Last(LocalTime at)
        {
            var then = home.InstantOf(today + at);
            return then <= now - Standing ? then : home.InstantOf(today.PlusDays(-1) + at);
        }

        return soaking.Since is not { } said ? home.InstantOf(today.PlusDays(-1) + home.SoaksAt)
            : soaking.Sure ? Last(said)
            : Instant.Max(Last(said), Last(said.PlusHours(12)));
    }

    /// <summary>The soak of a dish in a few words.</summary>
    public static string Said(DishDto dish) =>
        Messages.Messages.LineSoak(dish.Soak, dish.SoakHours ?? 0, dish.SoakedSinceLocal is { } since ? since[11..] : "none");
}
