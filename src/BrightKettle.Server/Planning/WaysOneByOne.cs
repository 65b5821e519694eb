using System.Text.Json;
using System.Threading.Channels;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Work;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace BrightKettle.Server.Planning;

/// <summary>All ways as they are judged, one JSON object a line, so that a page shows how far it is and can call it off.</summary>
public static class WaysOneByOne
{
    private static readonly byte[] NewLine = [(byte)'\n'];

    public static async Task<IResult> Run(DishDto dish, DishRequestReader dishes, IOptions<JsonOptions> json, CancellationToken cancel)
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        if (asked.Dish is not { } wanted)
        {
            return asked.Problem;
        }

        var lines = Channel.CreateUnbounded<WayEventDto>();
        var judging = dishes.Work.RunAsync(WorkLength.Lengthy, simulator => Judge(wanted, simulator, dishes.Catalogue, lines.Writer));
        // Before the first line an error can still be an answer of its own; the lines end with the work, however it ended.
        _ = judging.ContinueWith(
            ended => lines.Writer.TryComplete(ended.Exception?.InnerException),
            CancellationToken.None,
            TaskContinuationOptions.ExecuteSynchronously,
            TaskScheduler.Default
        );
        await lines.Reader.WaitToReadAsync(cancel);
        return TypedResults.Stream(body => Write(body, lines.Reader, json.Value.SerializerOptions, cancel), "application/x-ndjson");
    }

    private static bool Judge(Dish dish, Simulator simulator, PulseCatalogue catalogue, ChannelWriter<WayEventDto> lines)
    {
        var finder = new WayFinder(new Planner(simulator), catalogue);
        var of = 0;
        var all = finder.For(dish, found: (way, count) =>
        {
            of = count;
            lines.TryWrite(new(count, WayMapper.Map(way, dish, catalogue), null, null));
        });
        var refused = finder.Doubled(dish) is { } refusal ? PlanProblems.Detail(refusal, dish) : null;
        return lines.TryWrite(new(of, null, [.. all.Select(w => WayMapper.Map(w, dish, catalogue))], refused));
    }

    private static async Task Write(Stream body, ChannelReader<WayEventDto> lines, JsonSerializerOptions json, CancellationToken cancel)
    {
        await foreach (var line in lines.ReadAllAsync(cancel))
        {
            await JsonSerializer.SerializeAsync(body, line, json, cancel);
            await body.WriteAsync(NewLine, cancel);
            await body.FlushAsync(cancel);
        }
    }
}
