using System.Net;
using System.Security.Cryptography;
using System.Text;
using BrightKettle.Data;
using BrightKettle.Server.Problems;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Pairing;

/// <summary>Over the network (HTTPS) nobody reads or writes anything of the household unless paired; plain HTTP is this machine's own.</summary>
public sealed class PairedOnly(RequestDelegate next)
{
    public const string Cookie = "kettle_device";

    private static readonly string[] OwnNames = ["localhost", "127.0.0.1", "[::1]"];

    public static string HashOf(string token) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(token)));

    /// <summary>Whether a request comes from the machine on which the kettle runs.</summary>
    public static bool IsOwn(HttpContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        // A server inside a test has no addresses at all.
        return !context.Request.IsHttps && (context.Connection.RemoteIpAddress is not { } from || IPAddress.IsLoopback(from));
    }

    public async Task InvokeAsync(HttpContext context, KettleDb db)
    {
        ArgumentNullException.ThrowIfNull(context);
        // A page of another name that points here (rebinding) is not this machine's own.
        if (!context.Request.IsHttps && (!IsOwn(context) || !OwnNames.Contains(context.Request.Host.Host)))
        {
            await KettleProblems.Forbidden("pair.here_only").ExecuteAsync(context);
            return;
        }

        if (context.Request.IsHttps && Holds(context.Request.Path) && !await IsPairedAsync(context, db))
        {
            await KettleProblems.Unpaired().ExecuteAsync(context);
            return;
        }

        await next(context);
    }

    /// <summary>What holds anything of the household. The page itself, and the pairing, must be had before.</summary>
    private static bool Holds(PathString path) =>
        (path.StartsWithSegments("/api") || path.StartsWithSegments("/openapi")) && path != PairEndpoints.PairPath;

    private static async Task<bool> IsPairedAsync(HttpContext context, KettleDb db)
    {
        if (context.Request.Cookies[Cookie] is not { Length: > 0 } token)
        {
            return false;
        }

        var hash = HashOf(token);
        return await db.PairedDevices.AsNoTracking().AnyAsync(d => d.TokenHash == hash, context.RequestAborted);
    }
}
