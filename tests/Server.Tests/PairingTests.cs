using System.Net;
using System.Net.Http.Json;
using System.Net.Security;
using System.Security.Cryptography.X509Certificates;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Pairing;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Phones of the network: a certificate made here, a code, and nothing without it.</summary>
public sealed class PairingTests : IDisposable
{
    private static readonly DateTimeOffset Now = new(2026, 11, 24, 18, 0, 0, TimeSpan.Zero);

    private readonly string _folder = Directory.CreateTempSubdirectory("kettle-pairing").FullName;
    private readonly LanServer _server;

    public PairingTests() => _server = new LanServer(LanCertificate.In(_folder, Now));

    private static CancellationToken Cancel => TestContext.Current.CancellationToken;

    private HttpClient Own => _server.CreateClient();

    private HttpClient Phone => _server.CreateClient(new WebApplicationFactoryClientOptions { BaseAddress = new Uri("https://localhost"), HandleCookies = true });

    public void Dispose()
    {
        _server.Dispose();
        Directory.Delete(_folder, recursive: true);
    }

    private async Task<PairingDto> Code() => (await (await Own.PostAsync("/api/pair/code", null, Cancel)).Content.ReadFromJsonAsync<PairingDto>(Cancel))!;

    [Theory]
    [InlineData("GET", "/api/kitchen")]
    [InlineData("GET", "/api/cooks")]
    [InlineData("GET", "/api/catalogue")]
    [InlineData("GET", "/api/stove")]
    [InlineData("PUT", "/api/kitchen")]
    [InlineData("POST", "/api/plans")]
    [InlineData("POST", "/api/pair/code")]
    [InlineData("GET", "/api/pair/devices")]
    [InlineData("GET", "/openapi/v1.json")]
    [InlineData("GET", "/api/no-such-thing")]
    public async Task Without_pairing_the_network_reads_and_writes_nothing(string method, string path)
    {
        var answer = await Phone.SendAsync(new HttpRequestMessage(new HttpMethod(method), path) { Content = method == "GET" ? null : JsonContent.Create(new { }) }, Cancel);
        Assert.Equal((401, "pair.needed", null), await answer.Problem());
    }

    [Fact]
    public async Task The_code_lets_one_phone_in_which_stays_in_until_it_is_removed()
    {
        var code = await Code();
        var phone = Phone;
        Assert.Equal(HttpStatusCode.NoContent, (await phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code, "Shelf phone"), Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await phone.GetAsync("/api/kitchen", Cancel)).StatusCode);
        // A second phone needs a code of its own.
        Assert.Equal((400, "pair.spent", "code"), await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel)).Problem());

        // What belongs to the machine itself stays there, paired or not.
        Assert.Equal((403, "pair.here_only", null), await (await phone.PostAsync("/api/pair/code", null, Cancel)).Problem());
        Assert.Equal((403, "pair.here_only", null), await (await phone.GetAsync("/api/pair/devices", Cancel)).Problem());

        var device = Assert.Single((await Own.GetFromJsonAsync<List<DeviceDto>>("/api/pair/devices", Cancel))!);
        Assert.Equal("Shelf phone", device.Name);
        Assert.Equal(HttpStatusCode.NoContent, (await Own.DeleteAsync($"/api/pair/devices/{device.Id}", Cancel)).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await phone.GetAsync("/api/kitchen", Cancel)).StatusCode);
    }

    [Fact]
    public async Task The_token_is_kept_from_scripts_and_from_the_database()
    {
        var code = await Code();
        var answer = await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel);
        var cookie = answer.Headers.GetValues("Set-Cookie").Single();
        Assert.All(new[] { "httponly", "secure", "samesite=strict" }, word => Assert.Contains(word, cookie, StringComparison.OrdinalIgnoreCase));
        var token = cookie.Split('=', 2)[1].Split(';')[0];
        Assert.DoesNotContain(token, _server.Read(db => db.PairedDevices.Select(d => d.TokenHash).ToList()));
    }

    [Fact]
    public async Task Guessing_closes_the_code_and_so_do_five_minutes()
    {
        var code = await Code();
        var wrong = code.Code == "000000" ? "000001" : "000000";
        for (var i = 0; i < 5; i++)
        {
            Assert.Equal((400, "pair.wrong", "code"), await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(wrong), Cancel)).Problem());
        }

        Assert.Equal((400, "pair.spent", "code"), await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel)).Problem());
        code = await Code();
        _server.Clock.Advance(TimeSpan.FromMinutes(5));
        Assert.Equal((400, "pair.spent", "code"), await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel)).Problem());
    }

    [Fact]
    public async Task A_name_that_only_points_at_this_machine_is_not_its_own()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/kitchen");
        request.Headers.Host = "elsewhere.invalid";
        Assert.Equal((403, "pair.here_only", null), await (await Own.SendAsync(request, Cancel)).Problem());
    }

    [Fact]
    public async Task Started_for_this_machine_alone_it_makes_no_code_and_gives_no_certificate()
    {
        using var alone = new KettleServer(demo: false);
        var http = alone.CreateClient();
        Assert.Equal((404, "pair.off", null), await (await http.PostAsync("/api/pair/code", null, Cancel)).Problem());
        Assert.Equal(HttpStatusCode.NotFound, (await http.GetAsync("/kettle-authority.crt", Cancel)).StatusCode);
    }

    [Fact]
    public void The_certificate_is_signed_by_the_households_own_authority_which_is_kept()
    {
        var first = LanCertificate.In(_folder, Now);
        var second = LanCertificate.In(_folder, Now.AddDays(30));
        Assert.Equal(first.Fingerprint, second.Fingerprint);
        Assert.True((first.Server.NotAfter - first.Server.NotBefore).TotalDays <= 398);
        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, File.GetUnixFileMode(Path.Combine(_folder, "authority.pem")));
        Assert.DoesNotContain("PRIVATE", first.AuthorityPem, StringComparison.Ordinal);
        Assert.True(Trusts(first.Authority, second.Server));
        Assert.Contains("localhost", first.Server.Extensions.OfType<X509SubjectAlternativeNameExtension>().Single().EnumerateDnsNames());
        // One that is about to run out is made anew.
        Assert.NotEqual(first.Fingerprint, LanCertificate.In(_folder, Now.AddYears(10)).Fingerprint);
    }

    [Fact]
    public async Task A_phone_that_trusts_the_authority_speaks_https_with_the_real_server()
    {
        var certificate = LanCertificate.In(_folder, DateTimeOffset.UtcNow);
        var builder = WebApplication.CreateSlimBuilder();
        builder.WebHost.UseKestrelHttpsConfiguration().ConfigureKestrel(k => k.Listen(IPAddress.Loopback, 0, l => l.UseHttps(certificate.Server)));
        await using var app = builder.Build();
        app.MapGet("/", () => "hot");
        await app.StartAsync(Cancel);
        using var handler = new SocketsHttpHandler
        {
            SslOptions = new SslClientAuthenticationOptions { RemoteCertificateValidationCallback = (_, seen, _, errors) => (errors & ~SslPolicyErrors.RemoteCertificateChainErrors) == 0 && Trusts(certificate.Authority, (X509Certificate2)seen!) },
        };
        using var http = new HttpClient(handler);
        Assert.Equal("hot", await http.GetStringAsync(app.Urls.Single().Replace("127.0.0.1", "localhost", StringComparison.Ordinal), Cancel));
    }

    private static bool Trusts(X509Certificate2 authority, X509Certificate2 server)
    {
        using var chain = new X509Chain();
        chain.ChainPolicy.TrustMode = X509ChainTrustMode.CustomRootTrust;
        chain.ChainPolicy.CustomTrustStore.Add(authority);
        chain.ChainPolicy.RevocationMode = X509RevocationMode.NoCheck;
        chain.ChainPolicy.VerificationTime = server.NotBefore.AddDays(2);
        return chain.Build(server);
    }

    /// <summary>The real server, started for the network.</summary>
    private sealed class LanServer(LanCertificate certificate) : KettleServer(demo: true)
    {
        protected override void ConfigureWebHost(IWebHostBuilder builder)
        {
            base.ConfigureWebHost(builder);
            builder.UseSetting("AllowedHosts", "*");
            builder.ConfigureServices(services => services.AddSingleton(certificate));
        }
    }
}
