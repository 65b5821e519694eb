using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Record;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace BrightKettle.Server.Stove;

/// <summary>A dinner that is over, or under way: as it was planned, as it went, and how it was.</summary>
public static class LogEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/cooks/{id:guid}/log", Get);
        routes.MapPut("/api/cooks/{id:guid}/verdict", Judge);
    }

    private const int LongestNote = 1000;

    /// <summary>Of what was seen, so much is told: the latest.</summary>
    private const int MostLooks = 300;

    public static async Task<Results<Ok<DinnerLogDto>, ProblemHttpResult>> Get(
        Guid id,
        KettleDb db,
        EveningStore evenings,
        CancellationToken cancel
    )
    {
        if (await evenings.ReadAsync(db, id, cancel) is not { } stored)
        {
            return KettleProblems.Missing("stove.missing");
        }

        var (row, started) = (stored.Row, stored.Started);
        var saved = SavedDinner.Read(row).Summary;
        var done = stored.Evening.Moments.ToDictionary(m => m.Moment.Id, m => m.DoneAt?.ToDateTimeOffset());
        return TypedResults.Ok(
            new DinnerLogDto(
                row.Id,
                row.Title,
                started.PulseName,
                started.RiceName,
                started.Order,
                started.RiceRinse,
                row.StartedAt!.Value,
                started.WantedAt,
                new(saved.TableEarly, saved.TableAt, saved.TableLate),
                saved.WithLooks,
                stored.Evening.ServedAt?.ToDateTimeOffset(),
                [
                    .. started
                        .Steps.SelectMany(m => m.Value.Select(step => new LogMomentDto(step, done.GetValueOrDefault(m.Key))))
                        .OrderBy(m => m.DoneAt ?? m.Step.At),
                ],
                [
                    .. stored
                        .Told.Where(t => !t.Undone && t.Entry.Tells is not (EntryKind.Did or EntryKind.Chose))
                        .TakeLast(MostLooks)
                        .Select(t => new ToldDto(t.Entry, t.RecordedAt, false, null)),
                ],
                [
                    .. stored.Evening.Cook.Ingredients.Select(i => new LogNameDto(
                        i.Id,
                        StoveMapper.Kind(stored.Evening.Cook, i.Id),
                        StoveMapper.Name(stored.Evening.Cook, i.Id)
                    )),
                ],
                await BagsAsync(db, id, cancel),
                await VerdictAsync(db, id, cancel),
                row.FinishedAt is not null,
                row.LeftOut,
                row.Version
            )
        );
    }

    private static async Task<IReadOnlyList<LogBagDto>> BagsAsync(KettleDb db, Guid id, CancellationToken cancel)
    {
        var rows = await db
            .Learned.AsNoTracking()
            .Where(l => l.CookId == id)
            .Join(db.Bags, l => l.BagId, b => b.Id, (l, b) => new { Said = l, Bag = b })
            .OrderBy(r => r.Bag.Id)
            .ToListAsync(cancel);
        return
        [
            .. rows.Select(r =>
            {
                var pace = new Pace(Math.Exp(r.Said.Log), Math.Min(1, r.Said.Spread));
                return new LogBagDto(
                    r.Bag.Id,
                    PulseCatalogue.Shipped.FindPulse(r.Said.PulseId)?.Said ?? r.Said.PulseId,
                    r.Bag.Name,
                    BagMapper.Time(pace, 0.5),
                    BagMapper.Time(pace, 0.9),
                    BagMapper.Time(pace, 0.1)
                );
            }),
        ];
    }

    /// <summary>The last that was given; null for none, and for one that cannot be read.</summary>
    private static async Task<VerdictDto?> VerdictAsync(KettleDb db, Guid id, CancellationToken cancel)
    {
        var last = await db
            .CookEvents.AsNoTracking()
            .Where(e => e.CookId == id && e.Kind == CookProjection.Judged)
            .OrderByDescending(e => e.Sequence)
            .FirstOrDefaultAsync(cancel);
        if (last is null)
        {
            return null;
        }

        try
        {
            var form = VerdictForm.Read(last.Payload);
            return new(form.Pulses, form.Rice, form.Salt, form.Sauce, form.Again, form.Note);
        }
        catch (JsonException)
        {
            // The evening itself can be read all the same; the page asks again how it was.
            return null;
        }
    }

    public static async Task<Results<Ok<DinnerLogDto>, ProblemHttpResult>> Judge(
        Guid id,
        VerdictChange change,
        KettleDb db,
        EveningStore evenings,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        if (change.EventId == Guid.Empty)
        {
            checks.Add("request.event_id", "eventId");
        }

        if (change.Verdict is not { } said)
        {
            checks.Add("request.missing", "verdict");
            return KettleProblems.Invalid(checks);
        }

        foreach (var (word, field) in new[] { (said.Pulses, "pulses"), (said.Rice, "rice"), (said.Salt, "salt"), (said.Sauce, "sauce") })
        {
            if (word is not null && ClosedSet.Find<HowItWas>(word) is null)
            {
                checks.Add("request.unknown_word", $"verdict.{field}");
            }
        }

        if (!string.IsNullOrWhiteSpace(said.Note))
        {
            checks.Text(said.Note, LongestNote, "verdict.note", lines: true);
        }

        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        if (await db.Cooks.AsNoTracking().SingleOrDefaultAsync(c => c.Id == id && !c.Deleted && c.StartedAt != null, cancel) is not { } row)
        {
            return KettleProblems.Missing("stove.missing");
        }

        var note = string.IsNullOrWhiteSpace(said.Note) ? null : said.Note.Trim();
        var payload = new VerdictForm(said.Pulses, said.Rice, said.Salt, said.Sauce, said.Again, note).Write();
        var happened = CookEvents.Make(
            id,
            CookProjection.Judged,
            change.EventId,
            change.OccurredAt,
            change.BasedOn,
            clock,
            payload,
            row.Seed
        );
        var recorded = await new CookJournal(db).AppendAsync(happened, row.Title, row.ServeAt, cancel);
        return recorded is Recorded.Done ? await Get(id, db, evenings, cancel) : CookEndpoints.Refused(recorded);
    }
}
