using System.Text.Json;
using System.Text.RegularExpressions;
using BrightKettle.Core.Cooking;
using BrightKettle.Data;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Answers;

/// <summary>The one place in which what was thrown becomes an answer: a body that could not be read, two writers of one thing, a limit, a
/// full disk. Anything else stays a fault of ours.</summary>
internal sealed partial class ExceptionProblems(ILogger<ExceptionProblems> log) : IExceptionHandler
{
    /// <summary>Nobody reads the answer; it only stands in the log.</summary>
    private const int CallerLeft = 499;

    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        if (exception is OperationCanceledException && httpContext.RequestAborted.IsCancellationRequested)
        {
            httpContext.Response.StatusCode = CallerLeft;
            return true;
        }

        if (exception is TooBusyException)
        {
            httpContext.Response.Headers.RetryAfter = "2";
        }

        await Answer(exception).ExecuteAsync(httpContext);
        return true;
    }

    private ProblemHttpResult Answer(Exception exception)
    {
        switch (exception)
        {
            case BadHttpRequestException { InnerException: JsonException { Path: { } path } }:
                return KettleProblems.Plain(StatusCodes.Status400BadRequest, "request.malformed", path.TrimStart('$', '.'));
            case BadHttpRequestException malformed:
                return KettleProblems.Plain(malformed.StatusCode, StatusProblems.CodeOf(malformed.StatusCode));
            case OverBudgetException over:
                return KettleProblems.OverLimit(ClosedSet.Word(over.Limit));
            case RegexMatchTimeoutException:
                return KettleProblems.OverLimit(ClosedSet.Word(WorkLimit.Milliseconds));
            case TooBusyException:
                return KettleProblems.Plain(StatusCodes.Status503ServiceUnavailable, "server.busy");
            // The server stops: what was computed is called off.
            case OperationCanceledException:
                return KettleProblems.Plain(StatusCodes.Status503ServiceUnavailable, "server.stopping");
            case DbUpdateConcurrencyException:
                return KettleProblems.Conflict("request.changed_elsewhere");
        }

        switch (StorageFaults.Of(exception))
        {
            case StorageFault.Twice:
                return KettleProblems.Conflict("request.changed_elsewhere");
            case StorageFault.Busy:
                return KettleProblems.Plain(StatusCodes.Status503ServiceUnavailable, "server.busy");
            case StorageFault.Full:
                Fault(exception);
                return KettleProblems.Plain(StatusCodes.Status507InsufficientStorage, "storage.full");
            case StorageFault.Damaged:
                Fault(exception);
                return KettleProblems.Plain(StatusCodes.Status500InternalServerError, "storage.damaged");
            default:
                Fault(exception);
                return KettleProblems.Plain(StatusCodes.Status500InternalServerError, "server.fault");
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "A request failed.")]
    private partial void Fault(Exception exception);
}
