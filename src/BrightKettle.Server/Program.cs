using System.Globalization;
using System.Runtime.InteropServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Practice.Scenes;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Data;
using BrightKettle.Data.Copies;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Catalogue;
using BrightKettle.Server.Hosting;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Pairing;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Practice;
using BrightKettle.Server.Record;
using BrightKettle.Server.Settings;
using BrightKettle.Server.Stove;
using BrightKettle.Server.Words;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Hosting.Server.Features;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;

// Texts are made by the page, and a number is written alike wherever the kettle stands.
CultureInfo.DefaultThreadCurrentCulture = CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;

// No pattern goes on for longer, whatever it is given; RequestFaults says which limit it was.
AppContext.SetData("REGEX_DEFAULT_MATCH_TIMEOUT", TimeSpan.FromSeconds(5));

if (CopyCommand.Is(args))
{
    return await CopyCommand.RunAsync(args, TimeProvider.System);
}

// Until the server listens to signals itself, a stop breaks the start off in good order.
using var stopped = new CancellationTokenSource();
using var interrupt = StopSignals.On(PosixSignal.SIGINT, stopped);
using var terminate = StopSignals.On(PosixSignal.SIGTERM, stopped);

// The build starts this program only to read the interface's description: it has no database then.
var isDescribed = System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";
var builder = WebApplication.CreateBuilder(args);
var services = builder.Services;
services.Configure<KettleOptions>(builder.Configuration.GetSection(KettleOptions.Section));
services.Configure<JsonOptions>(o =>
{
    o.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
    o.SerializerOptions.PropertyNamingPolicy = JsonNamingPolicy.CamelCase;
    o.SerializerOptions.UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow;
});
services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
services.AddSingleton(SimulatedClock.Or(TimeProvider.System, builder.Configuration));
services.AddSingleton(PulseCatalogue.Shipped);
services.AddSingleton(s => new Simulator(s.GetRequiredService<PulseCatalogue>().Constants));
services.AddSingleton<WorkLimits>();

// How long work may take goes by the machine's own time: the household's clock may be set.
services.AddSingleton(s => new WorkScheduler(
    s.GetRequiredService<Simulator>(),
    s.GetRequiredService<WorkLimits>(),
    TimeProvider.System,
    s.GetRequiredService<IHostApplicationLifetime>()
));
services.AddSingleton<SharedPlans>();
services.AddHttpContextAccessor();
services.AddScoped<RequestWork>();
services.AddScoped<DishRequestReader>();
services.AddSingleton<EveningStore>();
services.AddSingleton<StoveStateCache>();
services.AddSingleton<KnownNeighbours>();
services.AddScoped<IEveningNeighbours, EveningNeighbours>();
services.AddScoped<DinnerLessons>();
services.AddSingleton<DemoPast>();
services.AddSingleton<StoveChangeNotifier>();
services.AddSingleton<OpenStreams>();
services.AddSingleton<PairingCode>();
services.AddSingleton<OwnPageToken>();
services.AddSingleton<DishLine>();
services.AddSingleton<NotesReader>();
services.AddSingleton<NotesCheck>();
services.AddSingleton<SceneRunner>();
services.AddSingleton<HouseUnits>();
services.AddSingleton(s => new DataDirectory(s.GetRequiredService<IOptions<KettleOptions>>().Value.Data));
services.AddSingleton<HouseholdCopies>();
services.AddSingleton<HouseholdSwap>();
if (!isDescribed)
{
    services.AddHostedService<LessonsCatchUp>();
    services.AddHostedService(s => s.GetRequiredService<DemoPast>());
    services.AddHostedService<DailyCopies>();
}

services.AddSingleton<DurableConnection>();
services.AddDbContext<KettleDb>(
    (s, o) => o.UseSqlite(s.GetRequiredService<DataDirectory>().ConnectionString).AddInterceptors(s.GetRequiredService<DurableConnection>())
);
services.AddOpenApi(InterfaceDescription.Configure);
services.AddExceptionHandler<ExceptionProblems>();
services.AddResponseCompression();

builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = WorkLimits.MostBodyBytes);
Lan.Listen(builder);

var app = builder.Build();
app.Use(LocalOnly.Headers);
app.UseExceptionHandler(
    new ExceptionHandlerOptions { SuppressDiagnosticsCallback = _ => true, ExceptionHandler = _ => Task.CompletedTask }
);
app.UseStatusCodePages(StatusProblems.Answer);
app.UseResponseCompression();
app.Use(Utf8Only.Check);
app.UseMiddleware<PairedOnly>();
app.Use(SpokenWords.Choose);
app.Use(PageAddresses.Answer);
app.UseRouting();
app.MapOpenApi();

// Tests start this program from their own folder and name the manifest; published, it lies beside the program.
app.MapStaticAssets(app.Configuration["staticAssets"]);
CatalogueEndpoints.Map(app);
KitchenEndpoints.Map(app);
CupboardEndpoints.Map(app);
PlanEndpoints.Map(app);
WordsEndpoints.Map(app);
PracticeEndpoints.Map(app);
DinnerEndpoints.Map(app);
CookEndpoints.Map(app);
CookTable.Map(app);
StoveEndpoints.Map(app);
LogEndpoints.Map(app);
PairEndpoints.Map(app);
CopiesEndpoints.Map(app);
ArchiveEndpoints.Map(app);
SimulatedClock.Map(app);

if (!isDescribed)
{
    try
    {
        var warm = app.Services.GetRequiredService<IOptions<KettleOptions>>().Value.WarmUp
            ? WarmUp.BeginAsync(app.Services, stopped.Token)
            : Task.CompletedTask;
        await Startup.PrepareAsync(app.Services, stopped.Token);
        await warm;
        stopped.Token.ThrowIfCancellationRequested();
    }
    catch (DataFaultException fault)
    {
        Console.Error.WriteLine($"Bright Kettle: {StartSentences.For(fault)}");
        await app.DisposeAsync();
        return StopSignals.CannotStart;
    }
    catch (OperationCanceledException) when (stopped.IsCancellationRequested)
    {
        await app.DisposeAsync();
        return StopSignals.Asked;
    }
}

interrupt.Dispose();
terminate.Dispose();

// What the start left over is given back once; a kitchen's server then rests for hours.
app.Lifetime.ApplicationStarted.Register(() =>
{
    // A server within a test, or the one that the build starts, listens nowhere.
    if (app.Services.GetRequiredService<IServer>().Features.Get<IServerAddressesFeature>()?.Addresses.FirstOrDefault() is { } address)
    {
        Console.WriteLine(BrightKettle.Server.Messages.Messages.StartOpen(address));
    }

    GC.Collect(GC.MaxGeneration, GCCollectionMode.Aggressive, blocking: true, compacting: true);
});
await app.RunAsync();
return StopSignals.Asked;

/// <summary>Named so that tests can start the real server.</summary>
public partial class Program;
