using System.Net.Http.Json;
using System.Text.Json;
using BrightKettle.Server.Messages;
using Xunit;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Tests;

/// <summary>The server says its own sentences in the language that was asked for.</summary>
public sealed class LanguageApiTests
{
    [Theory]
    [InlineData(null, "en")]
    [InlineData("en-GB,en;q=0.9", "en")]
    [InlineData("tlh", "en")]
    [InlineData("tlh;q=0.9, xx;q=0.8", "xx")]
    [InlineData("XX-CA", "xx")]
    [InlineData(";;,-", "en")]
    public void The_first_language_that_is_known_is_spoken(string? accepted, string spoken) =>
        Assert.Equal(spoken, SpokenLanguage.Of(accepted));

    [Fact]
    public async Task A_refusal_is_said_in_the_language_of_its_request_and_the_next_one_in_its_own()
    {
        using var server = new KettleServer(demo: false);
        var http = server.CreateClient();
        var english = await Refused(null);
        var other = await Refused("xx");
        Assert.NotEqual(english, other);
        Assert.Matches("[áéíóú]", other);
        Assert.Equal(english, await Refused("en"));

        async Task<string> Refused(string? language)
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, $"/api/cooks/{Guid.NewGuid()}");
            if (language is not null)
            {
                request.Headers.AcceptLanguage.ParseAdd(language);
            }

            var answer = await http.SendAsync(request, TestContext.Current.CancellationToken);
            Assert.Equal(404, (int)answer.StatusCode);
            return (await answer.Content.ReadFromJsonAsync<JsonElement>(TestContext.Current.CancellationToken))
                .GetProperty("detail")
                .GetString()!;
        }
    }

    [Fact]
    public void What_is_said_follows_the_language() => Assert.All(Said.Languages, language =>
        {
            SpokenLanguage.Current = language;
            Assert.Equal(language, SpokenLanguage.Current);
            Assert.Equal(language == "en" ? "Wash the rice" : "Ŵáášĥ ţĥéé ŕíçéé", Said.HandTaskWashRice());
        });
}
