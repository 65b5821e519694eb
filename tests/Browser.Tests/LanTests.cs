using System.Net;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>The published server, started for the network on a folder that is not there yet.</summary>
public sealed class LanTests
{
    [Fact]
    public async Task A_new_household_lets_phones_in_by_https_and_asks_them_to_be_paired()
    {
        using var server = new OwnProcess(new DateTimeOffset(2026, 11, 24, 18, 0, 0, TimeSpan.Zero), lan: true);
        // Whether the certificate is trusted is tried in PairingTests; here it is enough that one is shown.
        using var handler = new HttpClientHandler { ServerCertificateCustomValidationCallback = (_, shown, _, _) => shown is not null };
        using var http = new HttpClient(handler);
        var answer = await http.GetAsync(new Uri($"https://127.0.0.1:{server.LanPort}/api/kitchen"), TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.Unauthorized, answer.StatusCode);
    }
}
