using BrightKettle.Data.Stored;
using BrightKettle.Server.Exchange;

namespace BrightKettle.Server.Stove;

/// <summary>Something told, with what was worked out for it. It is stored as <see cref="ToldForm"/>.</summary>
/// <param name="Course">For chose: what was chosen, as it was worked out then.</param>
public sealed record ToldPayload(StoveEntry Entry, CourseDocument? Course = null)
{
    public static ToldPayload Read(string payload)
    {
        var told = ToldForm.Read(payload);
        var e = told.Entry;
        return new(
            new(
                e.EventId,
                e.OccurredAt,
                e.BasedOn,
                e.Kind,
                e.By,
                e.MomentId,
                e.Millilitres,
                e.Grams,
                e.Celsius,
                e.Centimetres,
                e.What,
                e.Ingredient,
                e.State,
                e.Count,
                e.Of,
                e.VesselId,
                e.EventUndone
            ),
            told.Course is { } course ? CourseDocument.Read(course) : null
        );
    }

    public string Json()
    {
        var e = Entry;
        return new ToldForm(
            new(
                e.EventId,
                e.OccurredAt,
                e.BasedOn,
                e.Kind,
                e.By,
                e.MomentId,
                e.Millilitres,
                e.Grams,
                e.Celsius,
                e.Centimetres,
                e.What,
                e.Ingredient,
                e.State,
                e.Count,
                e.Of,
                e.VesselId,
                e.EventUndone
            ),
            Course?.Json()
        ).Write();
    }
}
