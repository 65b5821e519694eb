using Microsoft.AspNetCore.Routing.Patterns;
using Microsoft.AspNetCore.Routing.Template;

namespace BrightKettle.Server.Answers;

/// <summary>Which methods an address takes. The files of the page answer to every GET, so routing itself takes a wrong method for a wrong
/// address.</summary>
internal static class AllowedMethods
{
    /// <summary>Of an address of the API; empty when it is none.</summary>
    public static IReadOnlyList<string> Of(HttpContext context)
    {
        var routes = context
            .RequestServices.GetRequiredService<EndpointDataSource>()
            .Endpoints.OfType<RouteEndpoint>()
            .Where(e =>
                e.RoutePattern.RawText?.StartsWith("/api/", StringComparison.Ordinal) == true
                && Matches(e.RoutePattern, context.Request.Path)
            );
        return
        [
            .. routes
                .SelectMany(e => e.Metadata.GetMetadata<IHttpMethodMetadata>()?.HttpMethods ?? [])
                .Distinct()
                .Order(StringComparer.Ordinal),
        ];
    }

    private static bool Matches(RoutePattern pattern, PathString path)
    {
        var values = new RouteValueDictionary();
        return new TemplateMatcher(new RouteTemplate(pattern), []).TryMatch(path, values)
            && pattern.ParameterPolicies.All(p =>
                p.Value.All(policy => policy.Content != "guid" || Guid.TryParse(values[p.Key]?.ToString(), out _))
            );
    }
}
