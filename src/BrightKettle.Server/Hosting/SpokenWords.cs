using BrightKettle.Data;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;

namespace BrightKettle.Server.Hosting;

/// <summary>Every sentence of a request is said in the language that was asked for and in the household's units.</summary>
internal static class SpokenWords
{
    public static async Task Choose(HttpContext http, RequestDelegate next)
    {
        if (http.Request.Path.StartsWithSegments("/api"))
        {
            SpokenLanguage.Current = SpokenLanguage.Of(http.Request.Headers.AcceptLanguage);
            var services = http.RequestServices;
            var spoken = await services
                .GetRequiredService<HouseUnits>()
                .ReadAsync(services.GetRequiredService<KettleDb>(), http.RequestAborted);
            Figures.Us = spoken.Units == HouseUnits.Us;
            Hours.AmPm = spoken.Hours == HouseUnits.AmPm;
        }

        await next(http);
    }
}
