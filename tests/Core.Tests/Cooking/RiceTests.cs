using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Cooking;

public class RiceTests
{
    private static PotRun CookRice(string id, double waterPerGram, double minutes, double grams = 370)
    {
        var rice = Rice(id);
        var cook = new Cook(
            new CookKitchen(Pot(20, 3), Burner(), Altitude.SeaLevel, Temperature.FromCelsius(20)),
            [new RiceIngredient("r", Mass.FromGrams(grams), rice)],
            [
                new CookAction.Add(Trigger.Next, "r"),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(grams * waterPerGram), Temperature.FromCelsius(20)),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle),
                new CookAction.Cover(Trigger.Next, Lid.Sealed),
                new CookAction.Heat(Trigger.Later(Duration.FromMinutes(minutes)), Flame.Off),
                new CookAction.Serve(Trigger.Later(Duration.FromMinutes(rice.RestMinutes.Typical))),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
        return Run(cook);
    }

    [Theory]
    [InlineData("long_white")]
    [InlineData("jasmine")]
    [InlineData("brown_basmati")]
    [InlineData("brown_short")]
    [InlineData("parboiled")]
    public void Two_cups_alone_are_done_by_the_named_method_in_the_printed_time(string id)
    {
        var rice = Rice(id);
        var run = CookRice(id, rice.Absorbed.Typical + 0.3, rice.SimmerMinutes.Typical);
        Assert.InRange(run.Final[0].Doneness, 90, 115);
    }

    [Fact]
    public void Rice_short_of_water_stays_hard_however_long_it_stands()
    {
        var run = CookRice("long_white", 1.0, 40);
        Assert.True(run.Final[0].Doneness < 80);
        Assert.True(run.FinalLiquor < 10);
    }

    [Fact]
    public void Rice_in_plenty_goes_on_swelling_to_mush()
    {
        var fluffy = CookRice("long_white", 2.05, 16).Final[0];
        var mush = CookRice("long_white", 5, 50).Final[0];
        Assert.True(mush.Doneness > 150);
        Assert.True(mush.Uptake > fluffy.Uptake + 0.4);
    }
}
