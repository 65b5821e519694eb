using System.Text.Json;
using BrightKettle.Core.Planning;
using BrightKettle.Data.Records;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Record;

/// <summary>A kept dinner. It is stored as <see cref="DinnerForm"/>.</summary>
public sealed record SavedDinner(string Title, DishDto Dish, string PulseName, string? RiceName, SavedSummaryDto Summary, CookDocument Cook)
{
    public static SavedDinner Of(string title, DishDto dish, Plan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return new(title, dish, plan.Dish.Pulse.Said, plan.Dish.Rice?.Said, PlanMapper.Summary(plan), CookWriter.Write(plan.Cook));
    }

    public static SavedDinner Read(CookRow row)
    {
        ArgumentNullException.ThrowIfNull(row);
        return Read(row.Payload);
    }

    /// <summary>What an event of saving or changing carries.</summary>
    public static SavedDinner Read(CookEvent happened)
    {
        ArgumentNullException.ThrowIfNull(happened);
        return Read(happened.Payload);
    }

    private static SavedDinner Read(string payload)
    {
        var d = DinnerForm.Read(payload);
        var s = d.Summary;
        return new(
            d.Title,
            DishForms.Read(d.Dish),
            d.PulseName,
            d.RiceName,
            new(s.FirstAt, s.LightAt, s.JoinAt, s.TableEarly, s.TableAt, s.TableLate, s.WithLooks),
            CookDocument.Read(d.Cook)
        );
    }

    /// <summary>Whether it was made from this request.</summary>
    public bool IsOf(CookChange change)
    {
        ArgumentNullException.ThrowIfNull(change);
        return Title == change.Title?.Trim() && JsonSerializer.Serialize(Dish) == JsonSerializer.Serialize(change.Dish);
    }

    public string Json()
    {
        var s = Summary;
        return new DinnerForm(
            Title,
            DishForms.Store(Dish),
            PulseName,
            RiceName,
            new(s.FirstAt, s.LightAt, s.JoinAt, s.TableEarly, s.TableAt, s.TableLate, s.WithLooks),
            Cook.Json()
        ).Write();
    }
}
