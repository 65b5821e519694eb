using System.Security.Cryptography;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Problems;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

namespace BrightKettle.Server.Pairing;

/// <summary>Lets phones in: a code is shown on the machine's own screen and typed on the phone.</summary>
public static class PairEndpoints
{
    public const string PairPath = "/api/pair";

    private const int LongestName = 60;
    private static readonly TimeSpan Remembered = TimeSpan.FromDays(365);

    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost(PairPath, Pair);
        routes.MapPost("/api/pair/code", Code);
        routes.MapGet("/api/pair/devices", Devices);
        routes.MapDelete("/api/pair/devices/{id:guid}", Remove);
        routes.MapGet("/kettle-authority.crt", Authority).ExcludeFromDescription();
    }

    /// <summary>On the machine itself: a new code, with where and how phones find the kettle.</summary>
    public static Results<Ok<PairingDto>, ProblemHttpResult> Code(HttpContext context, PairingCode code, IOptions<KettleOptions> options)
    {
        if (!PairedOnly.IsOwn(context))
        {
            return KettleProblems.Forbidden("pair.here_only");
        }

        if (context.RequestServices.GetService<LanCertificate>() is not { } certificate)
        {
            return KettleProblems.Missing("pair.off");
        }

        var (digits, until) = code.Make();
        return TypedResults.Ok(new PairingDto(digits, until, [.. LanCertificate.Addresses().Select(a => $"https://{a}:{options.Value.LanPort}")], certificate.Fingerprint));
    }

    /// <summary>On the phone: the code for a token that only this phone has.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Pair(PairRequest request, HttpContext context, PairingCode code, KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        switch (code.Try(request.Code ?? string.Empty))
        {
            case CodeAnswer.Wrong:
                return KettleProblems.Invalid("pair.wrong", "code");
            case CodeAnswer.Spent:
                return KettleProblems.Invalid("pair.spent", "code");
        }

        var token = Convert.ToHexString(RandomNumberGenerator.GetBytes(32));
        var name = string.IsNullOrWhiteSpace(request.Name) ? "Phone" : request.Name.Trim();
        db.PairedDevices.Add(new PairedDevice
        {
            Id = Guid.CreateVersion7(),
            Name = name[..Math.Min(name.Length, LongestName)],
            TokenHash = PairedOnly.HashOf(token),
            PairedAt = clock.GetUtcNow(),
        });
        await db.SaveChangesAsync(cancel);
        context.Response.Cookies.Append(PairedOnly.Cookie, token, new CookieOptions
        {
            HttpOnly = true,
            Secure = true,
            SameSite = SameSiteMode.Strict,
            MaxAge = Remembered,
            Path = "/",
        });
        return TypedResults.NoContent();
    }

    public static async Task<Results<Ok<IReadOnlyList<DeviceDto>>, ProblemHttpResult>> Devices(HttpContext context, KettleDb db, CancellationToken cancel) => PairedOnly.IsOwn(context)
        ? TypedResults.Ok<IReadOnlyList<DeviceDto>>([.. (await db.PairedDevices.AsNoTracking().OrderBy(d => d.PairedAt).ToListAsync(cancel)).Select(d => new DeviceDto(d.Id, d.Name, d.PairedAt))])
        : KettleProblems.Forbidden("pair.here_only");

    /// <summary>From now on this phone is a stranger again.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Remove(Guid id, HttpContext context, KettleDb db, CancellationToken cancel)
    {
        if (!PairedOnly.IsOwn(context))
        {
            return KettleProblems.Forbidden("pair.here_only");
        }

        await db.PairedDevices.Where(d => d.Id == id).ExecuteDeleteAsync(cancel);
        return TypedResults.NoContent();
    }

    /// <summary>The authority's public part, for phones to trust; it tells nothing of the household.</summary>
    private static IResult Authority(HttpContext context) => context.RequestServices.GetService<LanCertificate>() is { } certificate
        ? Results.Text(certificate.AuthorityPem, "application/x-x509-ca-cert")
        : Results.NotFound();
}
