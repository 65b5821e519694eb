using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using BrightKettle.Data;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Endpoints;
using BrightKettle.Server.Problems;
using Microsoft.Extensions.Caching.Memory;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>Looks at evenings for whoever follows them. Each state is worked out once a version and minute.</summary>
public sealed class StoveDesk(PulseCatalogue catalogue, Simulator simulator, TimeProvider clock) : IDisposable
{
    private const int MostStates = 32;

    private readonly MemoryCache _states = new(new MemoryCacheOptions { SizeLimit = MostStates });
    private readonly Watch _watch = new(simulator);

    public Instant Now => Instant.FromDateTimeOffset(clock.GetUtcNow());

    /// <summary>How an evening stands now; null when it is not at the stove.</summary>
    public async Task<StoveDto?> StateAsync(KettleDb db, Guid id, CancellationToken cancel)
    {
        if (await StoredEvening.ReadAsync(db, catalogue, id, cancel) is not { } stored)
        {
            return null;
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        // A page's steady count may be a moment ahead of this clock: what it has told is never looked at as the future.
        var now = stored.Told.Where(t => !t.Undone).Select(t => Instant.FromDateTimeOffset(t.Entry.OccurredAt)).Append(Now).Max();
        var key = (id, stored.Row.Version, now.ToUnixTimeSeconds() / 60, kitchen.Row.Version);
        var state = await _states.GetOrCreateAsync(key, entry =>
        {
            entry.Size = 1;
            entry.SlidingExpiration = TimeSpan.FromMinutes(10);
            return Task.Run(() => Map(stored, kitchen, now), cancel);
        });
        return state! with { Now = Now.ToDateTimeOffset() };
    }

    private StoveDto Map(StoredEvening stored, KitchenState kitchen, Instant now)
    {
        var melting = stored.Started.MeltingIsWelcome;
        var standing = _watch.Look(stored.Evening, now, melting);
        return StoveMapper.Map(stored, standing, Changes(stored, kitchen, now, melting), kitchen, _watch);
    }

    /// <summary>A change is worth a word for so long.</summary>
    private static readonly Duration News = Duration.FromMinutes(10);

    /// <summary>What the last entry changed, both looked at when it was told: what time alone has moved since is not its doing.</summary>
    private IReadOnlyList<DifferenceDto> Changes(StoredEvening stored, KitchenState kitchen, Instant now, bool melting)
    {
        if (stored.Told.LastOrDefault(t => !t.Undone) is not { } last || stored.Evening.ServedAt is not null)
        {
            return [];
        }

        var told = Instant.Min(now, Instant.Max(Instant.FromDateTimeOffset(last.RecordedAt), Instant.FromDateTimeOffset(last.Entry.OccurredAt)));
        return now - told > News ? [] : StoveSentences.Changes(_watch.Look(stored.Before(catalogue), told, melting), _watch.Look(stored.Evening, told, melting), kitchen.Household);
    }

    /// <summary>Asks for a look under a lid instead of for an answer to a trouble.</summary>
    public const string Look = "look";

    /// <summary>What can be done about being late, about a trouble or a locked lid, with the evening as it stands; nothing when the dish cannot be had in this kitchen any more.</summary>
    /// <param name="about">A trouble's word, <see cref="Look"/>, or null for being late.</param>
    public (Standing Now, IReadOnlyList<Answer> Answers) Answers(StoredEvening stored, KitchenState kitchen, string? about, double? minutes, double? percent)
    {
        ArgumentNullException.ThrowIfNull(stored);
        var now = _watch.Look(stored.Evening, Now, stored.Started.MeltingIsWelcome, Rescue.Pots);
        var mapper = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(stored.Started.PlannedAt));
        if (mapper.Map(stored.Started.Dish, new FieldChecks()) is not { } dish)
        {
            return (now, []);
        }

        return (now, about == Look ? new Peek(simulator, _watch).For(now, dish)
            : StoveTeller.TroubleOf(about) is { } seen ? new Rescue(simulator, _watch).For(stored.Evening, Now, seen, dish, minutes, percent)
            : new Late(simulator, _watch).For(now, dish));
    }

    public void Dispose() => _states.Dispose();
}
