using BrightKettle.Core.Planning;
using BrightKettle.Server.Endpoints;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace BrightKettle.Server.Problems;

/// <summary>From a refusal to an answer of RFC 9457: a status, a stable code, the field and the words.</summary>
public static class KettleProblems
{
    public static ProblemHttpResult Invalid(FieldChecks checks)
    {
        ArgumentNullException.ThrowIfNull(checks);
        var first = checks.Faults[0];
        return Make(StatusCodes.Status400BadRequest, first.Code, first.Field, "Something is not right", Sentences.For(first), new()
        {
            ["errors"] = checks.Faults.Select(f => new { code = f.Code, field = f.Field, detail = Sentences.For(f) }),
        });
    }

    public static ProblemHttpResult Invalid(string code, string field)
    {
        var checks = new FieldChecks();
        checks.Add(code, field);
        return Invalid(checks);
    }

    public static ProblemHttpResult Missing(string code = "cook.missing") =>
        Make(StatusCodes.Status404NotFound, code, null, "Not here", Sentences.For(code));

    public static ProblemHttpResult Unpaired() =>
        Make(StatusCodes.Status401Unauthorized, "pair.needed", null, "Pair this screen first", Sentences.For("pair.needed"));

    public static ProblemHttpResult Forbidden(string code) =>
        Make(StatusCodes.Status403Forbidden, code, null, "Not from here", Sentences.For(code));

    public static ProblemHttpResult Conflict(string code, object current) =>
        Make(StatusCodes.Status409Conflict, code, null, "Changed elsewhere", Sentences.For(code), new() { ["current"] = current });

    public static ProblemHttpResult Refused(PlanRefusal refusal, Dish dish)
    {
        ArgumentNullException.ThrowIfNull(refusal);
        ArgumentNullException.ThrowIfNull(dish);
        var (title, detail) = Sentences.For(refusal, dish);
        return Make(StatusCodes.Status422UnprocessableEntity, refusal.Code, refusal.Field, title, detail, new()
        {
            ["alternatives"] = WayMapper.Alternatives(refusal, dish),
        });
    }

    private static ProblemHttpResult Make(int status, string code, string? field, string title, string detail, Dictionary<string, object?>? more = null)
    {
        var problem = new ProblemDetails { Status = status, Title = title, Detail = detail, Type = $"urn:bright-kettle:{code}" };
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
