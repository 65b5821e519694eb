namespace BrightKettle.Server.Hosting;

/// <summary>Addresses within the page, such as /dinner/…, are answered with the page. It is no route of its own: a wrong method or
/// address of the API must be seen as one.</summary>
internal static class PageAddresses
{
    /// <summary>Comes before routing.</summary>
    public static Task Answer(HttpContext context, RequestDelegate next)
    {
        var request = context.Request;
        if ((HttpMethods.IsGet(request.Method) || HttpMethods.IsHead(request.Method)) && IsWithinPage(request.Path))
        {
            request.Path = "/index.html";
        }

        return next(context);
    }

    private static bool IsWithinPage(PathString path) =>
        !path.StartsWithSegments("/api") && !path.StartsWithSegments("/openapi") && !Path.HasExtension(path.Value);
}
