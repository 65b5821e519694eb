using System.Net;
using System.Security.Cryptography;
using System.Text;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Pairing;

/// <summary>Over the network (HTTPS) nobody reads or writes anything of the household unless paired; plain HTTP is this machine's
/// own.</summary>
public sealed class PairedOnly(RequestDelegate next)
{
    public const string Cookie = "kettle_device";

    private static readonly string[] OwnNames = ["localhost", "127.0.0.1", "[::1]"];

    public static string HashOf(string token) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(token)));

    /// <summary>A token that nobody used for so long is void.</summary>
    private static readonly TimeSpan Forgotten = TimeSpan.FromDays(90);

    /// <summary>When a device was last here is written down this often, so that reading costs no writing.</summary>
    private static readonly TimeSpan SeenEvery = TimeSpan.FromHours(1);

    /// <summary>How the token is carried: by this site alone, out of reach of scripts.</summary>
    public static CookieOptions Carried =>
        new()
        {
            HttpOnly = true,
            Secure = true,
            SameSite = SameSiteMode.Strict,
            MaxAge = Forgotten,
            Path = "/",
        };

    /// <summary>Whether its token still counts.</summary>
    public static bool IsAlive(PairedDevice device, DateTimeOffset now)
    {
        ArgumentNullException.ThrowIfNull(device);
        return now - device.LastSeenAt < Forgotten;
    }

    public async Task InvokeAsync(HttpContext context, KettleDb db, TimeProvider clock)
    {
        ArgumentNullException.ThrowIfNull(context);
        // A page of another name that points here (rebinding) is not this machine's own.
        if (!context.Request.IsHttps && (!Screen.IsOwn(context) || !OwnNames.Contains(context.Request.Host.Host)))
        {
            await RefuseAsync(context, KettleProblems.Forbidden("pair.here_only"));
            return;
        }

        // What a page of another site sends changes nothing here, whatever form it has found.
        if (Changes(context.Request.Method) && OwnPageToken.IsForeign(context.Request))
        {
            await RefuseAsync(context, KettleProblems.Forbidden("request.origin"));
            return;
        }

        if (context.Request.IsHttps && Holds(context.Request.Path))
        {
            if (await DeviceAsync(context, db, clock.GetUtcNow()) is not { } device)
            {
                await RefuseAsync(context, KettleProblems.Unpaired());
                return;
            }

            Screen.Set(context, device);
        }

        await next(context);
    }

    /// <summary>An answer to HEAD is its status alone.</summary>
    private static Task RefuseAsync(HttpContext context, ProblemHttpResult problem)
    {
        if (!HttpMethods.IsHead(context.Request.Method))
        {
            return problem.ExecuteAsync(context);
        }

        context.Response.StatusCode = problem.StatusCode;
        return Task.CompletedTask;
    }

    private static bool Changes(string method) =>
        !HttpMethods.IsGet(method) && !HttpMethods.IsHead(method) && !HttpMethods.IsOptions(method);

    /// <summary>What holds anything of the household. The page itself, and the pairing, must be had before.</summary>
    private static bool Holds(PathString path) =>
        (path.StartsWithSegments("/api") || path.StartsWithSegments("/openapi")) && path != PairEndpoints.PairPath;

    /// <summary>The device that the token belongs to; null when it belongs to none, or to one that was away for too long.</summary>
    private static async Task<Guid?> DeviceAsync(HttpContext context, KettleDb db, DateTimeOffset now)
    {
        if (context.Request.Cookies[Cookie] is not { Length: > 0 and < 200 } token)
        {
            return null;
        }

        var hash = HashOf(token);
        var device = await db.PairedDevices.AsNoTracking().SingleOrDefaultAsync(d => d.TokenHash == hash, context.RequestAborted);
        if (device is null || !IsAlive(device, now))
        {
            return null;
        }

        if (now - device.LastSeenAt >= SeenEvery)
        {
            await db
                .PairedDevices.Where(d => d.Id == device.Id)
                .ExecuteUpdateAsync(d => d.SetProperty(x => x.LastSeenAt, now), context.RequestAborted);
            context.Response.Cookies.Append(Cookie, token, Carried);
        }

        return device.Id;
    }
}
