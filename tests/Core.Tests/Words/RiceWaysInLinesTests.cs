using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using Xunit;

namespace BrightKettle.Core.Tests.Words;

/// <summary>Lines as strangers wrote them, that say how the rice is cooked: each with its pulse, rice, method, and what is done with the
/// rice.</summary>
public sealed class RiceWaysInLinesTests
{
    private static readonly DishLine Lines = new(Kitchens.Catalogue);

    [Theory]
    [InlineData("black beans with rice cooker rice for 5 tomorrow 7pm", "black long_white beside")]
    [InlineData("lentil soup and a pot of boiled basmati, drain it, tomorrow at 7", "lentil_brown basmati_unsoaked beside drained")]
    [InlineData("rajma with basmati boiled like pasta tomorrow 8pm", "kidney_red basmati_unsoaked beside drained")]
    [InlineData("chana masala, rice in the cooker, 4 people tomorrow 19:30", "chickpea long_white beside")]
    [InlineData("black eyed peas, white rice in the rice cooker tomorrow 18:30", "black_eyed_pea long_white beside")]
    [InlineData("pinto beans saucy, brown rice drained, tomorrow 7 pm", "pinto brown_long beside drained")]
    [InlineData(
        "200g green lentils, 250 g parboiled rice in lots of boiling water, drained, tomorrow noon",
        "lentil_green parboiled beside drained"
    )]
    [InlineData("garbanzos con arroz en la arrocera mañana 20h", "chickpea long_white beside")]
    [InlineData("linsen mit reis im reiskocher für 3 morgen um 19 uhr", "lentil_brown long_white beside")]
    [InlineData("pois chiches et riz au cuiseur à riz demain 19h", "chickpea long_white beside")]
    [InlineData("kidney beans soaked since last night, jasmine rice cooker, tomorrow 6pm", "kidney_red jasmine beside")]
    [InlineData("toor dal with plain rice from the cooker tomorrow", "toor_split long_white beside")]
    [InlineData("mung beans and rice, rice boiled and strained, tomorrow 7pm", "mung_whole long_white beside drained")]
    [InlineData("adzuki with short grain rice in my rice cooker tomorrow 6", "adzuki sushi_short beside")]
    [InlineData("white beans, rice boiled separately in plenty of salted water, tomorrow 7", "cannellini long_white beside drained")]
    [InlineData("black beans in the pressure cooker with rice in the rice cooker tomorrow 7pm", "black long_white beside pressure")]
    [InlineData("yellow split peas, basmati cooked in excess water tomorrow 19:00", "split_pea_yellow basmati_unsoaked beside drained")]
    [InlineData("rice cooker white rice and brown lentils for two tomorrow 12:30", "lentil_brown long_white beside")]
    [InlineData("cranberry beans with drained long grain rice for six tomorrow 7 pm", "borlotti long_white beside drained")]
    // What is drained, or cooked in a cooker, and is no rice.
    [InlineData("chickpeas and rice in the cooker, tomorrow 7pm", "chickpea long_white pressure")]
    [InlineData("rice and black beans in the cooker tomorrow", "black long_white pressure")]
    [InlineData("kidney beans in the cooker, rice, tomorrow 7pm", "kidney_red long_white pressure")]
    public void How_the_rice_is_cooked_is_read(string line, string meant)
    {
        var wish = Lines.Read(line);
        var told = string.Join(
            ' ',
            new[]
            {
                wish.Pulses.Single().Id,
                wish.Rice?.Id,
                wish.RiceBeside ? "beside" : null,
                wish.Stages.Contains(AskedStage.Plenty) ? "drained" : null,
                wish.Method == Method.Pressure ? "pressure" : null,
            }.OfType<string>()
        );
        Assert.Equal((meant, string.Empty), (told, string.Join(' ', wish.NotUnderstood)));
    }
}
