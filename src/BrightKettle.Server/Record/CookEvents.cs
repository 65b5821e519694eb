using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Data.Records;

namespace BrightKettle.Server.Record;

/// <summary>Makes the events that are stored.</summary>
public static class CookEvents
{
    public static CookEvent Make(
        Guid cookId,
        string kind,
        Guid eventId,
        DateTimeOffset occurredAt,
        long? basedOn,
        TimeProvider clock,
        string payload,
        int seed,
        Guid? supersedes = null
    )
    {
        ArgumentNullException.ThrowIfNull(clock);
        return new()
        {
            Id = eventId,
            CookId = cookId,
            Kind = kind,
            BasedOn = basedOn,
            Supersedes = supersedes,
            OccurredAt = occurredAt,
            RecordedAt = clock.GetUtcNow(),
            ModelVersion = Simulator.ModelVersion,
            ParameterVersion = PulseCatalogue.ParameterVersion,
            Seed = seed,
            Payload = payload,
        };
    }
}
