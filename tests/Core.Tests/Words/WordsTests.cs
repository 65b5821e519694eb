using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Core.Words.Measures;
using CsCheck;
using NodaTime;
using Xunit;
using static BrightKettle.Core.Tests.Kitchens;

namespace BrightKettle.Core.Tests.Words;

/// <summary>What people say, read; nothing is made up.</summary>
public class WordsTests
{
    private static readonly DishLine Lines = new(Kitchens.Catalogue);
    private static readonly VagueWords Vague = new(Kitchens.Catalogue, Model);

    private static WordsKitchen In(Vessel pot) => new(pot, Pulse("chickpea"), Mass.FromGrams(250), Burner(), null, null, 240, 20);

    [Theory]
    [InlineData("3 cups", 720, 720)]
    [InlineData("1 1/2 cups", 360, 360)]
    [InlineData("1½ cups", 360, 360)]
    [InlineData("½ tsp", 2.5, 2.5)]
    [InlineData("half a cup", 120, 120)]
    [InlineData("half cup", 120, 120)]
    [InlineData("two and a half cups", 600, 600)]
    [InlineData("a couple of cups", 480, 480)]
    [InlineData("2-3 cups", 480, 720)]
    [InlineData("2 to 3 cups", 480, 720)]
    [InlineData("1,5 l", 1500, 1500)]
    [InlineData("three quarters of a cup", 180, 180)]
    [InlineData("un litro y medio", 1500, 1500)]
    [InlineData("medio litro", 500, 500)]
    public void A_number_is_read_as_it_is_written(string text, double low, double high) =>
        Assert.Equal((low, high), Vague.Answer(text, In(Pot())) is [var first, ..] ? (first.Low, first.High) : default);

    [Fact]
    public void Any_text_is_read_without_a_fault() =>
        Gen.String.Sample(
            text => _ = (Lines.Read(text), Vague.Answer(text, In(Pot())), new NotesReader(Kitchens.Catalogue).Read(text, 240)),
            iter: 300
        );

    [Theory]
    [InlineData("chickpeas with white rice, from a tin", CookedFrom.Tin)]
    [InlineData("chickpeas with white rice, cooked, from the fridge", CookedFrom.Fridge)]
    [InlineData("at seven: chickpeas from our freezer with white rice", CookedFrom.Freezer)]
    public void Where_cooked_pulses_come_from_is_understood(string text, CookedFrom from)
    {
        var wish = Lines.Read(text);
        Assert.Equal((Method.Cooked, from), (wish.Method, wish.CookedFrom));
        Assert.Equal(["chickpea"], wish.PulseIds);
        Assert.Empty(wish.NotUnderstood);
    }

    [Fact]
    public void A_dinner_is_said_in_one_line()
    {
        var wish = Lines.Read("for four, at seven: chickpeas with brown basmati, saucy, with tomato and onion");
        Assert.Equal((4, new LocalTime(19, 0), "brown_basmati", Style.Saucy), (wish.People, wish.At, wish.RiceId, wish.Style));
        Assert.Equal(["chickpea"], wish.PulseIds);
        Assert.Equal(["tomato_tin", "onion"], wish.ExtraIds);
        Assert.Empty(wish.NotUnderstood);
    }

    [Theory]
    [InlineData("at half past six", 18, 30)]
    [InlineData("at quarter to eight", 19, 45)]
    [InlineData("at 19:15", 19, 15)]
    [InlineData("7.30 pm", 19, 30)]
    [InlineData("at 11 am", 11, 0)]
    [InlineData("at 12:30", 12, 30)]
    [InlineData("at six o'clock", 18, 0)]
    public void A_time_is_read(string text, int hour, int minute) => Assert.Equal(new LocalTime(hour, minute), Lines.Read(text).At);

    [Theory]
    [InlineData("borlotti, no rice, quick soaked, under pressure", SoakChoice.Quick, Method.Pressure, true)]
    [InlineData("lentils not soaked in the slow cooker", SoakChoice.None, Method.SlowCooker, false)]
    [InlineData("chickpeas from a tin", null, Method.Cooked, false)]
    [InlineData("soaked black beans", SoakChoice.Overnight, null, false)]
    public void Soak_and_method_are_read(string text, SoakChoice? soak, Method? method, bool noRice)
    {
        var wish = Lines.Read(text);
        Assert.Equal((soak, method, noRice), (wish.Soak, wish.Method, wish.NoRice));
        Assert.Single(wish.PulseIds);
    }

    [Fact]
    public void Two_pulses_keep_their_order_and_what_is_not_understood_is_told()
    {
        var wish = Lines.Read("red lentils and mung with snorkels");
        Assert.Equal(2, wish.PulseIds.Count);
        Assert.Equal(["snorkels"], wish.NotUnderstood);
    }

    private static VagueAnswer Only(string phrase, string code, Vessel? pot = null) =>
        Assert.Single(Vague.Answer(phrase, In(pot ?? Pot())), a => a.Code == code);

    [Fact]
    public void An_inch_over_is_another_amount_in_another_pot()
    {
        var (narrow, wide) = (Only("an inch over", "cover_dry", Pot(18, 3)).Typical, Only("an inch over", "cover_dry", Pot(28, 8)).Typical);
        // 2.54 cm over 254 and 616 cm², and the gaps of the bed beside.
        Assert.InRange(narrow, 646, 900);
        Assert.InRange(wide - narrow, 900, 935);
        Assert.True(Only("2 cm over", "cover_dry").Typical < Only("an inch over", "cover_dry").Typical);
    }

    [Theory]
    [InlineData("a glass", "volume", 180, 250)]
    [InlineData("half a cup", "volume", 120, 120)]
    [InlineData("a tin", "drained", 220, 260)]
    [InlineData("a handful of leaves", "mass", 5, 40)]
    [InlineData("2 cups of chickpeas", "weighs", 380, 440)]
    public void A_household_word_has_a_range(string phrase, string code, double least, double most)
    {
        var answer = Only(phrase, code);
        Assert.InRange(answer.Low, least, most);
        Assert.InRange(answer.High, answer.Typical, most);
    }

    [Fact]
    public void A_mark_is_a_flame_between_the_least_and_the_most_and_rises()
    {
        var watts = Enumerable.Range(1, 6).Select(n => Only($"mark {n}", "flame").Typical).ToList();
        Assert.Equal(watts.Order(), watts);
        Assert.InRange(watts[3], Burner().Least.Watts, Burner().Most.Watts);
        Assert.True(Only("mark 4 of 6", "flame").Typical > Only("mark 4 of 9", "flame").Typical);
    }

    [Fact]
    public void Whistles_are_minutes_and_minutes_are_whistles()
    {
        var six = Only("six whistles", "whistle_from_first");
        Assert.True(six.Low < six.Typical && six.Typical < six.High);
        Assert.InRange(Only($"{six.Typical + 0.5:0.0} minutes at pressure", "whistles").Typical, 5, 7);
    }

    [Fact]
    public void A_slow_cooker_s_settings_end_at_different_heats()
    {
        double Ends(string word) => Only($"{word} in the slow cooker", "slow_ends_at").Typical;
        Assert.True(Ends("warm") < Ends("low") && Ends("low") <= Ends("high"));
        Assert.InRange(Ends("high"), 90, 100);
    }

    [Fact]
    public void Millilitres_are_told_back_in_cups_glasses_and_this_pot()
    {
        Assert.Equal(2.5, Only("600 ml", "cups").Typical);
        Assert.InRange(Only("600 ml", "glasses").Typical, 2.4, 3.4);
        Assert.True(Only("2 litres", "stands").Typical > Only("600 ml", "stands").Typical);
    }

    [Theory]
    [InlineData("")]
    [InlineData("some")]
    [InlineData("a smidgen")]
    [InlineData("99999999 cups")]
    public void What_means_nothing_is_answered_with_nothing(string phrase) => Assert.Empty(Vague.Answer(phrase, In(Pot())));

    [Theory]
    [InlineData("٣٠٠ g", "300 g")]
    [InlineData("१२", "12")]
    [InlineData("７ o'clock", "7 o'clock")]
    [InlineData("٢٫٥ kg", "2.5 kg")]
    [InlineData("cafe\u0301", "café")]
    public void Figures_and_letters_of_all_keyboards_are_one(string typed, string plain)
    {
        Assert.Equal(plain, PlainText.Of(typed));
        Assert.Equal(PlainText.Of(typed), PlainText.Of(PlainText.Of(typed)));
    }

    [Fact]
    public void Half_a_letter_breaks_nothing() => Assert.DoesNotContain("\ud83d", PlainText.Of("a \ud83d b"), StringComparison.Ordinal);

    /// <summary>Without Unicode's tables the accent stayed, and this was another bean.</summary>
    [Theory]
    [InlineData("fríjol negro", "frijol negro")]
    [InlineData("FRÍJOL NEGRO", "frijol negro")]
    [InlineData("fri\u0301jol negro", "frijol negro")]
    public void Accents_change_no_name(string accented, string plain)
    {
        Assert.Equal(PlainText.Folded(plain).Trim(), PlainText.Folded(accented).Trim());
        Assert.Equal(Lines.Read(plain).PulseIds, Lines.Read(accented).PulseIds);
        Assert.Equal(["black"], Lines.Read(accented).PulseIds);
    }
}
