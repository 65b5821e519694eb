using System.Text.Json;
using System.Text.Json.Serialization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Data;
using BrightKettle.Server.Endpoints;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Pairing;
using BrightKettle.Server.Problems;
using BrightKettle.Server.Stove;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

var builder = WebApplication.CreateBuilder(args);
var services = builder.Services;
services.Configure<KettleOptions>(builder.Configuration.GetSection(KettleOptions.Section));
services.Configure<JsonOptions>(o =>
{
    o.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
    o.SerializerOptions.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
});
services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
services.AddSingleton(SetClock.Or(TimeProvider.System, builder.Configuration));
services.AddSingleton(PulseCatalogue.Shipped);
services.AddSingleton(s => new Simulator(s.GetRequiredService<PulseCatalogue>().Constants));
services.AddSingleton<Planner>();
services.AddSingleton<Forecaster>();
services.AddSingleton<WayFinder>();
services.AddSingleton<PlanMemory>();
services.AddSingleton<StoveDesk>();
services.AddSingleton<StoveBell>();
services.AddSingleton<PairingCode>();
services.AddSingleton<CatalogueNames>();
services.AddSingleton<DishLine>();
services.AddSingleton<VagueWords>();
services.AddSingleton<NotesReader>();
services.AddSingleton<NotesCheck>();
services.AddSingleton(s => new DataDirectory(s.GetRequiredService<IOptions<KettleOptions>>().Value.Data));
services.AddSingleton<DurableConnection>();
services.AddDbContext<KettleDb>((s, o) => o
    .UseSqlite(s.GetRequiredService<DataDirectory>().ConnectionString)
    .AddInterceptors(s.GetRequiredService<DurableConnection>()));
if (builder.Configuration.GetValue($"{KettleOptions.Section}:{nameof(KettleOptions.WarmUp)}", true))
{
    services.AddHostedService<WarmUp>();
}

services.AddOpenApi();
services.AddProblemDetails();
services.AddExceptionHandler<MalformedRequests>();
services.AddResponseCompression();

Lan.Listen(builder);

var app = builder.Build();
app.UseExceptionHandler();
app.UseStatusCodePages();
app.UseResponseCompression();
app.Use(LocalOnly.Headers);
app.UseMiddleware<PairedOnly>();
app.MapOpenApi();
// Tests start this program from their own folder and name the manifest; published, it lies beside the program.
app.MapStaticAssets(app.Configuration["staticAssets"]);
CatalogueEndpoints.Map(app);
KitchenEndpoints.Map(app);
PlanEndpoints.Map(app);
WordsEndpoints.Map(app);
CookEndpoints.Map(app);
StoveEndpoints.Map(app);
PairEndpoints.Map(app);
SetClock.Map(app);
app.Map("/api/{**rest}", () => TypedResults.NotFound());
app.MapFallbackToFile("index.html");

// The build starts this program only to read the interface's description: it has no database then.
if (System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name != "GetDocument.Insider")
{
    await Startup.PrepareAsync(app.Services);
}

await app.RunAsync();

/// <summary>Named so that tests can start the real server.</summary>
public partial class Program;
