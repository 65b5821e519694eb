using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;

namespace BrightKettle.Server.Problems;

/// <summary>Turns a body that could not be read into a problem with the place in it; anything else stays a fault of ours.</summary>
internal sealed partial class MalformedRequests(ILogger<MalformedRequests> log) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        var malformed = exception as BadHttpRequestException;
        var status = malformed?.StatusCode ?? StatusCodes.Status500InternalServerError;
        var code = malformed is null ? "server.fault" : "request.malformed";
        if (malformed is null)
        {
            Fault(exception);
        }

        var problem = new ProblemDetails
        {
            Status = status,
            Title = malformed is null ? "Our fault" : "This could not be read",
            Detail = malformed is null ? "Something went wrong here. Nothing was saved." : Sentences.For(code),
            Type = $"urn:bright-kettle:{code}",
        };
        problem.Extensions["code"] = code;
        if (malformed?.InnerException is JsonException { Path: { } path })
        {
            problem.Extensions["field"] = path.TrimStart('$', '.');
        }

        httpContext.Response.StatusCode = status;
        await httpContext.Response.WriteAsJsonAsync(problem, options: null, "application/problem+json", cancellationToken);
        return true;
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "A request failed.")]
    private partial void Fault(Exception exception);
}
