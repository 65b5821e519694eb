namespace BrightKettle.Server.Hosting;

/// <summary>Tells the browser to ask nobody but this server for anything.</summary>
internal static class LocalOnly
{
    private const string Policy =
        "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    public static Task Headers(HttpContext context, RequestDelegate next)
    {
        context.Response.Headers.ContentSecurityPolicy = Policy;
        context.Response.Headers.XContentTypeOptions = "nosniff";
        context.Response.Headers["Referrer-Policy"] = "no-referrer";
        return next(context);
    }
}
