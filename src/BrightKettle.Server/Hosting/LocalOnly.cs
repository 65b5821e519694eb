namespace BrightKettle.Server.Hosting;

/// <summary>Tells the browser to ask nobody but this server for anything.</summary>
internal static class LocalOnly
{
    private const string Policy =
        "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /// <summary>On every answer, an error's too: what is made anew on the way gets them at its start.</summary>
    public static Task Headers(HttpContext context, RequestDelegate next)
    {
        context.Response.OnStarting(
            static response =>
            {
                var headers = ((HttpResponse)response).Headers;
                headers.ContentSecurityPolicy = Policy;
                headers.XContentTypeOptions = "nosniff";
                headers["Referrer-Policy"] = "no-referrer";
                return Task.CompletedTask;
            },
            context.Response
        );
        return next(context);
    }
}
