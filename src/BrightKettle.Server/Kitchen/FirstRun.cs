using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Kitchen;

/// <summary>Four questions of a new household, asked once: burners, cookers, where it is, its water.</summary>
public static class FirstRun
{
    private const int MostAsked = 8;

    /// <summary>Takes over what was answered, all of it or nothing; what was skipped stays as it is. Never asked again.</summary>
    public static async Task<Results<Ok<KitchenDto>, ProblemHttpResult>> Answer(
        FirstAnswers answers,
        KettleDb db,
        HouseUnits units,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var checks = new FieldFaults();
        Check(answers, checks);
        var cookers = answers.Cookers ?? [];
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        var row = await db.Households.SingleAsync(cancel);
        if (row.IsSetUp)
        {
            return KettleProblems.Conflict("kitchen.set_up");
        }

        row.Zone = answers.Zone ?? row.Zone;
        row.AltitudeMetres = answers.AltitudeMetres ?? row.AltitudeMetres;
        row.HardnessMilligramsPerLitre = answers.HardnessMilligramsPerLitre ?? row.HardnessMilligramsPerLitre;
        row.CupMillilitres = answers.CupMillilitres ?? row.CupMillilitres;
        row.Units = answers.Units ?? row.Units;
        row.Hours = answers.Hours ?? row.Hours;
        row.IsSetUp = true;
        row.Version++;
        if (answers.Burners is { Count: > 0 } burners)
        {
            await TakeAsync(burners, db, clock, cancel);
        }

        var have = await db.Vessels.Where(v => !v.Removed && v.CookerKind != null).Select(v => v.CookerKind!).ToListAsync(cancel);
        var last = await db.Vessels.MaxAsync(v => (int?)v.Position, cancel) ?? 0;
        foreach (var cooker in cookers.DistinctBy(c => c.Kind).Where(c => !have.Contains(c.Kind)))
        {
            db.Vessels.Add(Typical(cooker, ++last, clock));
        }

        var saved = await KitchenEndpoints.SavedAsync(db, clock, cancel);
        units.Tell(row.Units, row.Hours);
        return saved;
    }

    private static void Check(FirstAnswers answers, FieldFaults checks)
    {
        if (answers.Zone is { } zone && DateTimeZoneProviders.Tzdb.GetZoneOrNull(zone) is null)
        {
            checks.Add("request.zone", "zone");
        }

        if (answers.AltitudeMetres is { } altitude)
        {
            checks.Within(altitude, Altitude.LeastMetres, Altitude.MostMetres, "altitudeMetres");
        }

        if (answers.HardnessMilligramsPerLitre is { } hardness)
        {
            checks.Within(hardness, 0, 1000, "hardnessMilligramsPerLitre");
        }

        if (answers.CupMillilitres is { } cup)
        {
            checks.Within(cup, 150, 300, "cupMillilitres");
        }

        if (answers.Units is { } units && !HouseUnits.IsUnits(units))
        {
            checks.Add("request.unknown_word", "units");
        }

        if (answers.Hours is { } hours && !HouseUnits.IsHours(hours))
        {
            checks.Add("request.unknown_word", "hours");
        }

        checks.Within(answers.Cookers?.Count ?? 0, 0, MostAsked, "cookers");
        for (var i = 0; i < Math.Min(answers.Cookers?.Count ?? 0, MostAsked); i++)
        {
            if (answers.Cookers![i] is not { } cooker || ClosedSet.Find<CookerKind>(cooker.Kind ?? string.Empty) is null)
            {
                checks.Add("request.unknown_word", $"cookers[{i}].kind");
            }
            else
            {
                checks.Text(cooker.Name, KitchenEndpoints.LongestName, $"cookers[{i}].name");
            }
        }

        if (answers.Burners is { } burners)
        {
            checks.Within(burners.Count, 1, MostAsked, "burners");
            for (var i = 0; i < Math.Min(burners.Count, MostAsked); i++)
            {
                if (burners[i] is { } burner)
                {
                    BurnerEndpoints.Check(burner, $"burners[{i}].", checks);
                }
                else
                {
                    checks.Add("request.missing", $"burners[{i}]");
                }
            }
        }
    }

    /// <summary>Those that there are become these, in their order; dinners that were kept meanwhile find theirs.</summary>
    private static async Task TakeAsync(IReadOnlyList<BurnerChange> burners, KettleDb db, TimeProvider clock, CancellationToken cancel)
    {
        var rows = await db.Burners.Where(b => !b.Removed).OrderBy(b => b.Position).ToListAsync(cancel);
        for (var i = 0; i < Math.Max(rows.Count, burners.Count); i++)
        {
            if (i >= rows.Count)
            {
                db.Burners.Add(BurnerEndpoints.New(burners[i], (rows.Count > 0 ? rows[^1].Position : 0) + 1 + i, clock));
            }
            else if (i >= burners.Count)
            {
                rows[i].Removed = true;
                rows[i].Version++;
            }
            else
            {
                BurnerEndpoints.Take(burners[i], rows[i]);
                rows[i].Version++;
            }
        }
    }

    /// <summary>As most of its kind are; it can be changed like any pot.</summary>
    private static VesselRow Typical(CookerAnswer cooker, int position, TimeProvider clock) =>
        new()
        {
            Id = Guid.CreateVersion7(clock.GetUtcNow()).ToString("n"),
            Name = cooker.Name.Trim(),
            DiameterCentimetres = ClosedSet.Find<CookerKind>(cooker.Kind) switch
            {
                CookerKind.Slow => 24,
                CookerKind.Rice => 19,
                _ => 22,
            },
            BrimMillilitres = ClosedSet.Find<CookerKind>(cooker.Kind) switch
            {
                CookerKind.Weight => 5000,
                CookerKind.Rice => 2500,
                _ => 6000,
            },
            CookerKind = cooker.Kind,
            Position = position,
        };
}
