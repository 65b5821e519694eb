using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Answers;

/// <summary>From a refusal to an answer of RFC 9457: a status, a stable code, the field and the words.</summary>
public static class KettleProblems
{
    /// <summary>All that is wrong with a request; of very many faults the first, and how many there are.</summary>
    public static ProblemHttpResult Invalid(FieldFaults checks)
    {
        ArgumentNullException.ThrowIfNull(checks);
        var first = checks.Faults[0];
        return Make(
            StatusCodes.Status400BadRequest,
            first.Code,
            first.Field,
            Said.TitleInvalid(),
            first.Said(),
            new()
            {
                ["errors"] = checks
                    .Faults.Take(WorkLimits.MostFaultsNamed)
                    .Select(f => new
                    {
                        code = f.Code,
                        field = f.Field,
                        detail = f.Said(),
                    }),
                ["faults"] = checks.Faults.Count,
            }
        );
    }

    public static ProblemHttpResult Invalid(string code, string field)
    {
        var checks = new FieldFaults();
        checks.Add(code, field);
        return Invalid(checks);
    }

    public static ProblemHttpResult Missing(string code = "cook.missing") =>
        Make(StatusCodes.Status404NotFound, code, null, Said.TitleMissing(), Detail(code));

    public static ProblemHttpResult Unpaired() =>
        Make(StatusCodes.Status401Unauthorized, "pair.needed", null, Said.TitleUnpaired(), Detail("pair.needed"));

    public static ProblemHttpResult Forbidden(string code) =>
        Make(StatusCodes.Status403Forbidden, code, null, Said.TitleForbidden(), Detail(code));

    /// <param name="current">What stands there instead; null where nothing of it is to be shown.</param>
    public static ProblemHttpResult Conflict(string code, object? current = null) =>
        Make(
            StatusCodes.Status409Conflict,
            code,
            null,
            Said.TitleConflict(),
            Detail(code),
            current is null ? null : new() { ["current"] = current }
        );

    /// <summary>The id of an event belongs to something else that was written before.</summary>
    public static ProblemHttpResult IdTaken() => Conflict("request.id_taken");

    /// <summary>Not now: too much is asked at once.</summary>
    public static ProblemHttpResult Busy(string code) =>
        Make(StatusCodes.Status429TooManyRequests, code, null, Said.TitleBusy(), Detail(code));

    /// <summary>It would cost more than a request may.</summary>
    /// <param name="limit">Which limit: simulated_hours, steps or milliseconds.</param>
    public static ProblemHttpResult OverLimit(string limit) =>
        Make(
            StatusCodes.Status422UnprocessableEntity,
            "request.over_limit",
            null,
            Said.TitleOverLimit(),
            Detail($"limit.{limit}"),
            new() { ["limit"] = limit }
        );

    /// <summary>An answer that no endpoint gave.</summary>
    public static ProblemHttpResult Plain(int status, string code, string? field = null) =>
        Make(status, code, field, TitleOf(status), Detail(code));

    /// <summary>The sentence of a refusal's code.</summary>
    public static string Detail(string code) => Said.Say($"problem.{code}");

    private static string TitleOf(int status) =>
        status switch
        {
            StatusCodes.Status400BadRequest => Said.TitleMalformed(),
            StatusCodes.Status404NotFound => Said.TitleMissing(),
            StatusCodes.Status503ServiceUnavailable => Said.TitleNotNow(),
            StatusCodes.Status507InsufficientStorage => Said.TitleNoRoom(),
            >= 500 => Said.TitleFault(),
            _ => Said.TitleOther(),
        };

    internal static ProblemHttpResult Make(
        int status,
        string code,
        string? field,
        string title,
        string detail,
        Dictionary<string, object?>? more = null
    )
    {
        var problem = new ProblemDetails
        {
            Status = status,
            Title = title,
            Detail = detail,
            Type = $"urn:bright-kettle:{code}",
        };
        problem.Extensions["code"] = code;
        if (field is not null)
        {
            problem.Extensions["field"] = field;
        }

        foreach (var (key, value) in more ?? [])
        {
            problem.Extensions[key] = value;
        }

        return TypedResults.Problem(problem);
    }
}
