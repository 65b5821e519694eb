using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Stove;
using BrightKettle.Data;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>Looks at evenings for whoever follows them. A state is worked out once for each version, minute and kitchen, however many
/// screens ask.</summary>
public sealed class StoveStateCache(PulseCatalogue catalogue, EveningStore evenings, WorkScheduler queue, TimeProvider clock) : IDisposable
{
    private const int MostStates = 32;

    private readonly SharedWork<(Guid Id, long Version, long Minute, int Kitchen), StoveDto> _states = new(
        queue,
        MostStates,
        TimeSpan.FromMinutes(10)
    );

    public Instant Now => Instant.FromDateTimeOffset(clock.GetUtcNow());

    /// <summary>An evening as it is stored; null when it is not at the stove.</summary>
    public Task<StoredEvening?> ReadAsync(KettleDb db, Guid id, CancellationToken cancel) => evenings.ReadAsync(db, id, cancel);

    /// <summary>How an evening stands now; null when it is not at the stove. One that was forgotten stands as it did when it was set
    /// aside.</summary>
    public async Task<StoveDto?> StateAsync(KettleDb db, Guid id, RequestWork work, CancellationToken cancel)
    {
        ArgumentNullException.ThrowIfNull(work);
        if (await evenings.ReadAsync(db, id, cancel) is not { } stored)
        {
            return null;
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var setAside = IsSetAside(stored) ? stored.SetAsideFrom : (Instant?)null;
        // A page's steady count may be a moment ahead of this clock: what it has told is never looked at as the future.
        var now = setAside
            ?? stored.Told.Where(t => !t.Undone).Select(t => Instant.FromDateTimeOffset(t.Entry.OccurredAt)).Append(Now).Max();
        var key = (id, stored.Row.Version, now.ToUnixTimeSeconds() / 60, kitchen.Row.Version);
        var state = await work.ShareAsync(_states, key, simulator => Map(stored, kitchen, now, simulator));
        return state with { Now = Now.ToDateTimeOffset(), SetAsideFrom = setAside?.ToDateTimeOffset() };
    }

    /// <summary>Whether nobody touched it for so long that nobody is taken to stand at the stove; never once it is on the table, where
    /// only the clock of the leftovers runs.</summary>
    public bool IsSetAside(StoredEvening stored)
    {
        ArgumentNullException.ThrowIfNull(stored);
        return stored.Evening.ServedAt is null && Now >= stored.SetAsideFrom;
    }

    private StoveDto Map(StoredEvening stored, KitchenState kitchen, Instant now, Simulator simulator)
    {
        var targets = stored.Started.Targets;
        var forecaster = new EveningForecaster(simulator, GateHouse.Of(kitchen.Household));
        var ahead = forecaster.Forecast(stored.Evening, now, targets);
        return StoveMapper.Map(stored, ahead, Changes(stored, kitchen, now, targets, forecaster), kitchen, forecaster);
    }

    /// <summary>A change is worth a word for so long.</summary>
    private static readonly Duration News = Duration.FromMinutes(10);

    /// <summary>What the last entry changed, both looked at when it was told: what time alone has moved since is not its doing.</summary>
    private IReadOnlyList<StoveChangeDto> Changes(
        StoredEvening stored,
        KitchenState kitchen,
        Instant now,
        Targets targets,
        EveningForecaster forecaster
    )
    {
        if (stored.Told.LastOrDefault(t => !t.Undone) is not { } last || stored.Evening.ServedAt is not null)
        {
            return [];
        }

        var told = Instant.Min(
            now,
            Instant.Max(Instant.FromDateTimeOffset(last.RecordedAt), Instant.FromDateTimeOffset(last.Entry.OccurredAt))
        );
        return now - told > News
            ? []
            : StoveAnswers.Changes(
                forecaster.Forecast(stored.Before(catalogue), told, targets),
                forecaster.Forecast(stored.Evening, told, targets)
            );
    }

    /// <summary>Asks for a look under a lid instead of for an answer to a trouble.</summary>
    public const string Look = "look";

    /// <summary>What can be done about being late, about a trouble or a locked lid, with the evening as it stands; nothing when the dish
    /// cannot be had in this kitchen any more.</summary>
    /// <param name="about">A trouble's word, <see cref="Look"/>, or null for being late.</param>
    public (EveningForecast Now, IReadOnlyList<Answer> Answers) Answers(
        StoredEvening stored,
        KitchenState kitchen,
        string? about,
        double? minutes,
        double? percent,
        Simulator simulator
    )
    {
        ArgumentNullException.ThrowIfNull(stored);
        var forecaster = new EveningForecaster(simulator, GateHouse.Of(kitchen.Household));
        var now = forecaster.Forecast(stored.Evening, Now, stored.Started.Targets, Rescue.Pots);
        var mapper = new DishMapper(catalogue, kitchen, Instant.FromDateTimeOffset(stored.Started.PlannedAt));
        if (mapper.Map(stored.Started.Dish, new FieldFaults()) is not { } dish)
        {
            return (now, []);
        }

        return (
            now,
            about == Look ? new LidInspection(simulator, forecaster).For(now, dish)
            : ClosedSet.Find<Trouble>(about) is { } seen
                ? new Rescue(simulator, forecaster).For(stored.Evening, Now, seen, dish, minutes, percent)
            : new LateOptions(simulator, forecaster).For(now, dish)
        );
    }

    public void Dispose() => _states.Dispose();
}
