using BrightKettle.Data;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;

namespace BrightKettle.Server.Hosting;

/// <summary>Every sentence of a request is said in the household's units.</summary>
internal static class SpokenUnits
{
    public static async Task Choose(HttpContext http, RequestDelegate next)
    {
        if (http.Request.Path.StartsWithSegments("/api"))
        {
            var services = http.RequestServices;
            Figures.Us = await services
                .GetRequiredService<HouseUnits>()
                .AreUsAsync(services.GetRequiredService<KettleDb>(), http.RequestAborted);
        }

        await next(http);
    }
}
