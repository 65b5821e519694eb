using Microsoft.AspNetCore.Diagnostics;

namespace BrightKettle.Server.Answers;

/// <summary>Gives a status that no endpoint put into words, such as a wrong method, its code and its sentence.</summary>
public static class StatusProblems
{
    public static string CodeOf(int status) =>
        status switch
        {
            StatusCodes.Status400BadRequest => "request.malformed",
            StatusCodes.Status404NotFound => "request.not_found",
            StatusCodes.Status405MethodNotAllowed => "request.method",
            StatusCodes.Status408RequestTimeout => "request.too_slow",
            StatusCodes.Status413PayloadTooLarge => "request.too_large",
            StatusCodes.Status414UriTooLong => "request.too_large",
            StatusCodes.Status415UnsupportedMediaType => "request.type",
            StatusCodes.Status431RequestHeaderFieldsTooLarge => "request.too_large",
            < StatusCodes.Status500InternalServerError => "request.malformed",
            _ => "server.fault",
        };

    public static async Task Answer(StatusCodeContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        var http = context.HttpContext;
        if (http.Response.StatusCode == StatusCodes.Status404NotFound && AllowedMethods.Of(http) is { Count: > 0 } methods)
        {
            http.Response.StatusCode = StatusCodes.Status405MethodNotAllowed;
            http.Response.Headers.Allow = string.Join(", ", methods);
        }

        // An answer to HEAD has no body, and none must be begun.
        if (http.Response.StatusCode >= 400 && !HttpMethods.IsHead(http.Request.Method))
        {
            await KettleProblems.Plain(http.Response.StatusCode, CodeOf(http.Response.StatusCode)).ExecuteAsync(http);
        }
    }
}
