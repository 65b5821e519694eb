using System.Net;
using System.Net.Http.Json;
using System.Net.Security;
using System.Security.Cryptography.X509Certificates;
using BrightKettle.Server.Pairing;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
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

    private HttpClient Phone =>
        _server.CreateClient(new WebApplicationFactoryClientOptions { BaseAddress = new Uri("https://localhost"), HandleCookies = true });

    public void Dispose()
    {
        _server.Dispose();
        Directory.Delete(_folder, recursive: true);
    }

    private async Task<PairedDto> Paired() => (await Own.GetFromJsonAsync<PairedDto>("/api/pair/devices", Cancel))!;

    private async Task<PairingDto> Code() =>
        (
            await (
                await Own.PostAsJsonAsync("/api/pair/code", new CodeRequest((await Paired()).PageToken), Cancel)
            ).Content.ReadFromJsonAsync<PairingDto>(Cancel)
        )!;

    private async Task<HttpClient> PairedPhone(string name = "Phone")
    {
        var phone = Phone;
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await phone.PostAsJsonAsync("/api/pair", new PairRequest((await Code()).Code, name), Cancel)).StatusCode
        );
        return phone;
    }

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
        var answer = await Phone.SendAsync(
            new HttpRequestMessage(new HttpMethod(method), path) { Content = method == "GET" ? null : JsonContent.Create(new { }) },
            Cancel
        );
        Assert.Equal((401, "pair.needed", null), await answer.Problem());
    }

    [Fact]
    public async Task The_code_lets_one_phone_in_which_stays_in_until_it_is_removed()
    {
        var code = await Code();
        var phone = Phone;
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code, "Shelf phone"), Cancel)).StatusCode
        );
        Assert.Equal(HttpStatusCode.OK, (await phone.GetAsync("/api/kitchen", Cancel)).StatusCode);
        // A second phone needs a code of its own.
        Assert.Equal(
            (400, "pair.spent", "code"),
            await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel)).Problem()
        );

        // What belongs to the machine itself stays there, paired or not.
        Assert.Equal(
            (403, "pair.here_only", null),
            await (await phone.PostAsJsonAsync("/api/pair/code", new CodeRequest((await Paired()).PageToken), Cancel)).Problem()
        );
        Assert.Equal((403, "pair.here_only", null), await (await phone.GetAsync("/api/pair/devices", Cancel)).Problem());

        var device = Assert.Single((await Paired()).Devices);
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
        Assert.All(new[] { "httponly", "secure", "samesite=strict" }, word =>
            Assert.Contains(word, cookie, StringComparison.OrdinalIgnoreCase)
        );
        var token = cookie.Split('=', 2)[1].Split(';')[0];
        Assert.DoesNotContain(token, _server.Read(db => db.PairedDevices.Select(d => d.TokenHash).ToList()));
    }

    [Fact]
    public async Task A_stranger_who_guesses_has_to_wait_is_written_down_and_keeps_nobody_out()
    {
        var code = await Code();
        var answers = new List<(int Status, string? Code, string? Field)>();
        for (var i = 0; i < 12; i++)
        {
            answers.Add(await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest("23456789"), Cancel)).Problem());
        }

        // Four tries are free, the fifth opens the first pause.
        Assert.Equal((400, "pair.wrong", "code"), answers[4]);
        Assert.All(answers.Skip(5), a => Assert.Equal((429, "pair.wait", null), a));
        var attempts = (await Paired()).Attempts;
        Assert.Equal(6, attempts.Count);
        Assert.All(attempts, a => Assert.NotEmpty(a.From));
        // The code is still good once the pause is over: its tries voided nothing.
        _server.Clock.Advance(TimeSpan.FromSeconds(6));
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code.ToLowerInvariant().Insert(4, "-")), Cancel)).StatusCode
        );
    }

    [Fact]
    public async Task A_code_is_too_old_after_ten_minutes()
    {
        var code = await Code();
        _server.Clock.Advance(TimeSpan.FromMinutes(10));
        Assert.Equal(
            (400, "pair.spent", "code"),
            await (await Phone.PostAsJsonAsync("/api/pair", new PairRequest(code.Code), Cancel)).Problem()
        );
    }

    /// <summary>32^8 codes at the most tries that all addresses together get.</summary>
    [Fact]
    public void Guessing_at_the_allowed_rate_takes_years()
    {
        var clock = new FakeTimeProvider(Now);
        var code = new PairingCode(clock);
        code.Make();
        var looked = 0;
        for (var second = 0; second < 180; second++)
        {
            for (var address = 0; address < 40; address++)
            {
                looked += code.Try("WRONGXXX", $"10.0.0.{address}", out _) == CodeAnswer.Wait ? 0 : 1;
            }

            clock.Advance(TimeSpan.FromSeconds(1));
        }

        Assert.InRange(looked, 3, 3 * PairingCode.MostTriesAMinute);
        Assert.True(Math.Pow(32, PairingCode.Length) / (PairingCode.MostTriesAMinute * 60.0 * 24 * 365) / 2 > 10_000);
    }

    [Fact]
    public async Task A_code_is_made_for_this_machines_own_page_alone()
    {
        Assert.Equal(
            (403, "pair.here_only", null),
            await (await Own.PostAsJsonAsync("/api/pair/code", new CodeRequest("guessed"), Cancel)).Problem()
        );
        var token = (await Paired()).PageToken;
        foreach (
            var (header, value) in new[]
            {
                ("Origin", "http://elsewhere.invalid"),
                ("Origin", "null"),
                ("Sec-Fetch-Site", "cross-site"),
                ("Sec-Fetch-Site", "same-site"),
            }
        )
        {
            using var request = new HttpRequestMessage(HttpMethod.Post, "/api/pair/code")
            {
                Content = JsonContent.Create(new CodeRequest(token)),
            };
            request.Headers.Add(header, value);
            Assert.Equal((403, "request.origin", null), await (await Own.SendAsync(request, Cancel)).Problem());
        }

        // As a form of another site would send it, without any header that tells.
        Assert.Equal(
            415,
            (
                await Own.PostAsync(
                    "/api/pair/code",
                    new StringContent($"{{\"pageToken\":\"{token}\"}}", System.Text.Encoding.UTF8, "text/plain"),
                    Cancel
                )
            ).StatusCode
                is var s
                ? (int)s
                : 0
        );
    }

    [Fact]
    public async Task A_token_ends_after_ninety_days_without_use_and_use_is_seen()
    {
        var phone = await PairedPhone();
        for (var i = 0; i < 3; i++)
        {
            _server.Clock.Advance(TimeSpan.FromDays(89));
            Assert.Equal(HttpStatusCode.OK, (await phone.GetAsync("/api/kitchen", Cancel)).StatusCode);
            Assert.Equal(_server.Clock.GetUtcNow(), Assert.Single((await Paired()).Devices).LastSeenAt);
        }

        _server.Clock.Advance(TimeSpan.FromDays(90));
        Assert.Empty((await Paired()).Devices);
        Assert.Equal((401, "pair.needed", null), await (await phone.GetAsync("/api/kitchen", Cancel)).Problem());
    }

    [Fact]
    public async Task A_device_that_is_removed_follows_nothing_any_more()
    {
        var id = Guid.CreateVersion7();
        var kept = await (
            await Own.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish()), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        await Own.PostAsJsonAsync($"/api/stove/{id}/start", new StoveStart(Guid.CreateVersion7(), Now, kept!.Version), Cancel);
        var phone = await PairedPhone();
        using var stream = await phone.GetStreamAsync($"/api/stove/{id}/stream", Cancel);
        using var reader = new StreamReader(stream);
        Assert.StartsWith("event: state", await reader.ReadLineAsync(Cancel), StringComparison.Ordinal);
        var device = Assert.Single((await Paired()).Devices);
        await Own.DeleteAsync($"/api/pair/devices/{device.Id}", Cancel);
        // It reads to its end: the server has closed it, and the clock did not move.
        while (await reader.ReadLineAsync(Cancel) is not null) { }

        Assert.Equal(0, _server.Services.GetRequiredService<OpenStreams>().Count);
    }

    [Fact]
    public async Task A_device_follows_so_many_dinners_and_no_more()
    {
        var id = Guid.CreateVersion7();
        var kept = await (
            await Own.PostAsJsonAsync($"/api/cooks/{id}", KettleServer.Change(KettleServer.Dish()), Cancel)
        ).Content.ReadFromJsonAsync<CookDto>(Cancel);
        await Own.PostAsJsonAsync($"/api/stove/{id}/start", new StoveStart(Guid.CreateVersion7(), Now, kept!.Version), Cancel);
        var phone = await PairedPhone();
        var open = new List<Stream>();
        for (var i = 0; i < OpenStreams.MostEach; i++)
        {
            open.Add(await phone.GetStreamAsync($"/api/stove/{id}/stream", Cancel));
        }

        using var one = new HttpRequestMessage(HttpMethod.Get, $"/api/stove/{id}/stream");
        Assert.Equal(
            (429, "stream.too_many", null),
            await (await phone.SendAsync(one, HttpCompletionOption.ResponseHeadersRead, Cancel)).Problem()
        );
        // The machine itself has its own places.
        using var own = await Own.GetStreamAsync($"/api/stove/{id}/stream", Cancel);
        open.ForEach(s => s.Dispose());
    }

    [Fact]
    public async Task An_unpaired_question_for_the_head_alone_gets_a_status_and_no_body()
    {
        using var request = new HttpRequestMessage(HttpMethod.Head, "/api/kitchen");
        var answer = await Phone.SendAsync(request, Cancel);
        Assert.Equal(HttpStatusCode.Unauthorized, answer.StatusCode);
        Assert.Empty(await answer.Content.ReadAsByteArrayAsync(Cancel));
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
        var token = (await http.GetFromJsonAsync<PairedDto>("/api/pair/devices", Cancel))!.PageToken;
        Assert.Equal(
            (404, "pair.off", null),
            await (await http.PostAsJsonAsync("/api/pair/code", new CodeRequest(token), Cancel)).Problem()
        );
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
        // It lives for two years, and one that is about to run out is made anew; what it signed never outlives it.
        Assert.InRange((first.Authority.NotAfter - first.Authority.NotBefore).TotalDays, 365, 732);
        Assert.Equal(first.Fingerprint, LanCertificate.In(_folder, Now.AddDays(660)).Fingerprint);
        Assert.True(LanCertificate.In(_folder, Now.AddDays(660)).Server.NotAfter <= first.Authority.NotAfter);
        Assert.NotEqual(first.Fingerprint, LanCertificate.In(_folder, Now.AddDays(680)).Fingerprint);
    }

    [Theory]
    [InlineData("a-bank.example", "8.8.8.8", false)]
    [InlineData("localhost", "203.0.113.7", false)]
    [InlineData("localhost", "192.168.1.20", true)]
    public void The_authority_signs_for_this_household_alone(string name, string address, bool trusted)
    {
        var authority = LanCertificate.In(_folder, Now).Authority;
        using var key = System.Security.Cryptography.ECDsa.Create(System.Security.Cryptography.ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=x", key, System.Security.Cryptography.HashAlgorithmName.SHA256);
        var names = new SubjectAlternativeNameBuilder();
        names.AddDnsName(name);
        names.AddIpAddress(IPAddress.Parse(address));
        request.CertificateExtensions.Add(names.Build());
        using var forged = request.Create(authority, Now.AddDays(-1), Now.AddDays(30), [1, 2, 3]);
        Assert.Equal(trusted, Trusts(authority, forged));
    }

    [Fact]
    public void An_authority_of_before_which_was_bound_to_nothing_is_made_anew()
    {
        using var key = System.Security.Cryptography.ECDsa.Create(System.Security.Cryptography.ECCurve.NamedCurves.nistP256);
        var request = new CertificateRequest("CN=old", key, System.Security.Cryptography.HashAlgorithmName.SHA256);
        request.CertificateExtensions.Add(new X509BasicConstraintsExtension(true, true, 0, true));
        using var old = request.CreateSelfSigned(Now.AddDays(-1), Now.AddYears(10));
        File.WriteAllText(Path.Combine(_folder, "authority.pem"), $"{old.ExportCertificatePem()}\n{key.ExportPkcs8PrivateKeyPem()}\n");
        Assert.NotEqual(old.Thumbprint, LanCertificate.In(_folder, Now).Authority.Thumbprint);
    }

    [Fact]
    public async Task A_phone_that_trusts_the_authority_speaks_https_with_the_real_server()
    {
        var certificate = LanCertificate.In(_folder, DateTimeOffset.UtcNow);
        var builder = WebApplication.CreateSlimBuilder();
        builder
            .WebHost.UseKestrelHttpsConfiguration()
            .ConfigureKestrel(k => k.Listen(IPAddress.Loopback, 0, l => l.UseHttps(certificate.Server)));
        await using var app = builder.Build();
        app.MapGet("/", () => "hot");
        await app.StartAsync(Cancel);
        using var handler = new SocketsHttpHandler
        {
            SslOptions = new SslClientAuthenticationOptions
            {
                RemoteCertificateValidationCallback = (_, seen, _, errors) =>
                    (errors & ~SslPolicyErrors.RemoteCertificateChainErrors) == 0 && Trusts(certificate.Authority, (X509Certificate2)seen!),
            },
        };
        using var http = new HttpClient(handler);
        Assert.Equal(
            "hot",
            await http.GetStringAsync(app.Urls.Single().Replace("127.0.0.1", "localhost", StringComparison.Ordinal), Cancel)
        );
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
