using System.Security.Cryptography;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Settings;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

namespace BrightKettle.Server.Pairing;

/// <summary>Lets phones in: a code is shown on the machine's own screen and typed on the phone.</summary>
public static class PairEndpoints
{
    public const string PairPath = "/api/pair";

    private const int LongestName = 60;
    private const int LongestCode = 60;

    /// <summary>Failed tries that are kept.</summary>
    private const int MostAttempts = 200;

    /// <summary>Failed tries that are shown.</summary>
    private const int ShownAttempts = 20;

    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapPost(PairPath, Pair);
        routes.MapGet("/api/pair/devices", Devices);
        routes.MapPost("/api/pair/code", Code);
        routes.MapDelete("/api/pair/devices/{id:guid}", Remove);
        routes.MapGet("/kettle-authority.crt", Authority).ExcludeFromDescription();
    }

    /// <summary>On the machine's own page: a new code, with where and how phones find the kettle.</summary>
    public static Results<Ok<PairingDto>, ProblemHttpResult> Code(
        CodeRequest request,
        HttpContext context,
        PairingCode code,
        OwnPageToken page,
        IOptions<KettleOptions> options
    )
    {
        // A page of another site may send a request here, but it cannot read the token of this one.
        if (!Screen.IsOwn(context) || !page.Is(request.PageToken))
        {
            return KettleProblems.Forbidden("pair.here_only");
        }

        if (context.RequestServices.GetService<LanCertificate>() is not { } certificate)
        {
            return KettleProblems.Missing("pair.off");
        }

        var (letters, until) = code.Make();
        return TypedResults.Ok(
            new PairingDto(
                letters,
                until,
                [.. LanCertificate.Addresses().Select(a => $"https://{a}:{options.Value.LanPort}")],
                certificate.Fingerprint
            )
        );
    }

    /// <summary>On the phone: the code for a token that only this phone has.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Pair(
        PairRequest request,
        HttpContext context,
        PairingCode code,
        KettleDb db,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        checks.Text(request.Code, LongestCode, "code");
        var name = string.IsNullOrWhiteSpace(request.Name) ? "Phone" : checks.Text(request.Name, LongestName, "name");
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        var from = (context.Connection.RemoteIpAddress ?? System.Net.IPAddress.Loopback).ToString();
        var now = clock.GetUtcNow();
        var answer = code.Try(request.Code, from, out var pause);
        if (answer != CodeAnswer.Right)
        {
            var why = answer switch
            {
                CodeAnswer.Wrong => "pair.wrong",
                CodeAnswer.Spent => "pair.spent",
                _ => "pair.wait",
            };
            await NoteAsync(db, from, why, now, cancel);
            if (answer == CodeAnswer.Wait)
            {
                context.Response.Headers.RetryAfter = Math.Ceiling(pause.TotalSeconds)
                    .ToString(System.Globalization.CultureInfo.InvariantCulture);
                return KettleProblems.Busy(why);
            }

            return KettleProblems.Invalid(why, "code");
        }

        var token = Convert.ToHexString(RandomNumberGenerator.GetBytes(32));
        db.PairedDevices.Add(
            new PairedDevice
            {
                Id = Guid.CreateVersion7(),
                Name = name,
                TokenHash = PairedOnly.HashOf(token),
                PairedAt = now,
                LastSeenAt = now,
            }
        );
        await db.SaveChangesAsync(cancel);
        context.Response.Cookies.Append(PairedOnly.Cookie, token, PairedOnly.Carried);
        return TypedResults.NoContent();
    }

    /// <summary>Writes a failed try down; of a stranger who tries all day the last ones are enough.</summary>
    private static async Task NoteAsync(KettleDb db, string from, string code, DateTimeOffset now, CancellationToken cancel)
    {
        var last = await db.PairingAttempts.OrderByDescending(a => a.Id).FirstOrDefaultAsync(cancel);
        if (code == "pair.wait" && last is not null && last.From == from && last.Code == code && now - last.At < TimeSpan.FromMinutes(1))
        {
            return;
        }

        db.PairingAttempts.Add(
            new PairingAttempt
            {
                At = now,
                From = from,
                Code = code,
            }
        );
        await db.SaveChangesAsync(cancel);
        await db.PairingAttempts.Where(a => a.Id <= db.PairingAttempts.Max(x => x.Id) - MostAttempts).ExecuteDeleteAsync(cancel);
    }

    /// <summary>The phones that may come in, the tries that failed, and what this page shows to prove that it is the machine's
    /// own.</summary>
    public static async Task<Results<Ok<PairedDto>, ProblemHttpResult>> Devices(
        HttpContext context,
        KettleDb db,
        OwnPageToken page,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        if (!Screen.IsOwn(context))
        {
            return KettleProblems.Forbidden("pair.here_only");
        }

        var now = clock.GetUtcNow();
        var devices = await db.PairedDevices.AsNoTracking().OrderBy(d => d.PairedAt).ToListAsync(cancel);
        var attempts = await db.PairingAttempts.AsNoTracking().OrderByDescending(a => a.Id).Take(ShownAttempts).ToListAsync(cancel);
        return TypedResults.Ok(
            new PairedDto(
                [.. devices.Where(d => PairedOnly.IsAlive(d, now)).Select(d => new DeviceDto(d.Id, d.Name, d.PairedAt, d.LastSeenAt))],
                [.. attempts.Select(a => new AttemptDto(a.At, a.From, KettleProblems.Detail(a.Code)))],
                page.Token
            )
        );
    }

    /// <summary>From now on this phone is a stranger again, and follows nothing any more.</summary>
    public static async Task<Results<NoContent, ProblemHttpResult>> Remove(
        Guid id,
        HttpContext context,
        KettleDb db,
        OpenStreams streams,
        CancellationToken cancel
    )
    {
        if (!Screen.IsOwn(context))
        {
            return KettleProblems.Forbidden("pair.here_only");
        }

        await db.PairedDevices.Where(d => d.Id == id).ExecuteDeleteAsync(cancel);
        streams.End(Screen.Of(id));
        return TypedResults.NoContent();
    }

    /// <summary>The authority's public part, for phones to trust; it tells nothing of the household.</summary>
    private static IResult Authority(HttpContext context) =>
        context.RequestServices.GetService<LanCertificate>() is { } certificate
            ? Results.Text(certificate.AuthorityPem, "application/x-x509-ca-cert")
            : KettleProblems.Missing("pair.off");
}
