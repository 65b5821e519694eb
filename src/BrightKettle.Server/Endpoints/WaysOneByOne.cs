using System.Text.Json;
using System.Threading.Channels;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Problems;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

/// <summary>All ways as they are judged, one JSON object a line, so that a page shows how far it is and can call it off.</summary>
public static class WaysOneByOne
{
    private static readonly byte[] NewLine = [(byte)'\n'];

    public static async Task<IResult> Run(
        DishDto dish, KettleDb db, PulseCatalogue catalogue, WayFinder finder, TimeProvider clock, IOptions<JsonOptions> json, CancellationToken cancel)
    {
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var checks = new FieldChecks();
        if (new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(clock.GetUtcNow())).Map(dish, checks) is not { } wanted)
        {
            return KettleProblems.Invalid(checks);
        }

        return TypedResults.Stream(body => Write(body, wanted, catalogue, finder, json.Value.SerializerOptions, cancel), "application/x-ndjson");
    }

    private static async Task Write(Stream body, Dish dish, PulseCatalogue catalogue, WayFinder finder, JsonSerializerOptions json, CancellationToken cancel)
    {
        var lines = Channel.CreateUnbounded<WayEventDto>();
        var work = Task.Run(
            () =>
            {
                try
                {
                    var of = 0;
                    var all = finder.For(
                        dish,
                        found: (way, count) =>
                        {
                            of = count;
                            lines.Writer.TryWrite(new(count, WayMapper.Map(way, dish, catalogue), null, null));
                        },
                        cancel: cancel);
                    var refused = finder.Doubled(dish) is { } refusal ? Sentences.For(refusal, dish).Detail : null;
                    lines.Writer.TryWrite(new(of, null, [.. all.Select(w => WayMapper.Map(w, dish, catalogue))], refused));
                }
                finally
                {
                    lines.Writer.Complete();
                }
            },
            cancel);
        await foreach (var line in lines.Reader.ReadAllAsync(cancel))
        {
            await JsonSerializer.SerializeAsync(body, line, json, cancel);
            await body.WriteAsync(NewLine, cancel);
            await body.FlushAsync(cancel);
        }

        await work;
    }
}
