using System.Net.Http.Headers;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Hosting;

/// <summary>Bodies are UTF-8: one that names another encoding is not guessed at.</summary>
internal static class Utf8Only
{
    public static Task Check(HttpContext context, RequestDelegate next)
    {
        var type = context.Request.ContentType;
        var charset = MediaTypeHeaderValue.TryParse(type, out var parsed) ? parsed.CharSet?.Trim('"') : null;
        return
            string.IsNullOrEmpty(type)
            || (parsed is not null && (charset is null || charset.Equals("utf-8", StringComparison.OrdinalIgnoreCase)))
            ? next(context)
            : KettleProblems.Plain(StatusCodes.Status415UnsupportedMediaType, "request.type").ExecuteAsync(context);
    }
}
