using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;

namespace BrightKettle.Core.Tests.Kitchen;

public class HouseholdTests
{
    [Theory]
    [InlineData(0, 100.0)]
    [InlineData(1500, 95.0)]
    [InlineData(3000, 90.0)]
    public void Water_boils_cooler_higher_up(double metres, double celsius) =>
        Assert.Equal(celsius, BoilingPoint.At(Altitude.FromMetres(metres)).Celsius, 0.15);

    [Fact]
    public void Refuses_an_altitude_where_nobody_cooks() => Assert.Throws<ArgumentOutOfRangeException>(() => Altitude.FromMetres(9000));

    [Fact]
    public void A_skipped_time_moves_forward_and_a_repeated_one_is_the_first()
    {
        var home = Kitchens.Home();
        // 29 March 2026: 02:00 jumps to 03:00, so 02:30 becomes 03:30, which is 01:30 UTC.
        Assert.Equal(Instant.FromUtc(2026, 3, 29, 1, 30), home.InstantOf(new LocalDateTime(2026, 3, 29, 2, 30)));
        // 25 October 2026: 03:00 falls back to 02:00; the first 02:30 is still summer time, 00:30 UTC.
        Assert.Equal(Instant.FromUtc(2026, 10, 25, 0, 30), home.InstantOf(new LocalDateTime(2026, 10, 25, 2, 30)));
    }

    [Theory]
    [InlineData(6, 59, false)]
    [InlineData(7, 0, true)]
    [InlineData(23, 0, true)]
    [InlineData(23, 1, false)]
    public void Somebody_is_up_between_waking_and_sleeping(int hour, int minute, bool awake)
    {
        var home = Kitchens.Home();
        Assert.Equal(awake, home.AwakeAt(home.InstantOf(new LocalDateTime(2026, 11, 25, hour, minute))));
    }

    [Fact]
    public void The_next_waking_after_midnight_is_the_same_morning()
    {
        var home = Kitchens.Home();
        var night = home.InstantOf(new LocalDateTime(2026, 11, 25, 1, 0));
        Assert.Equal(new LocalDateTime(2026, 11, 25, 7, 0), home.LocalOf(home.NextAwake(night)));
    }
}
