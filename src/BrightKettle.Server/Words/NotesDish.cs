using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Words;

/// <summary>From somebody's notes to the dish that the planner is asked for: their amounts, their way and their stages, in this
/// kitchen.</summary>
internal static class NotesDish
{
    /// <summary>Null while the pulse or its amount is unknown.</summary>
    /// <param name="style">By what they leave of their liquor; null where that is not known.</param>
    public static DishDto? Of(Notes notes, DishDto dish, KitchenState kitchen, Style? style, PulseCatalogue catalogue)
    {
        if (notes.Pulse is not { Id: { } pulse, Grams: { } grams } line)
        {
            return null;
        }

        var method = MethodOf(notes);
        var cooker = method is Method.Pressure or Method.SlowCooker
            ? kitchen.Vessels.FirstOrDefault(v => v.Cooker is { IsForRice: false } c && c.UnderPressure == (method == Method.Pressure))
            : null;
        method = cooker is null && method is Method.Pressure or Method.SlowCooker ? Method.OpenPot : method;
        var fries = notes.Amounts.Any(a => a.Kind == "extra" && a.Id is { } id && catalogue.FindExtra(id) is { Fries: true });
        var rice = notes.Rice is { Id: { } riceId, Grams: { } riceGrams } ? (riceId, riceGrams) : ((string, double)?)null;
        return dish with
        {
            PulseId = pulse,
            Pulse = new(Math.Round(grams), "g"),
            Others =
            [
                .. notes
                    .Amounts.Where(a => a is { Kind: "pulse", Id: not null, Grams: > 0 } && a.Id != pulse)
                    .DistinctBy(a => a.Id)
                    .Take(MostOthers)
                    .Select(a => new OtherPulseDto(a.Id!, new(Math.Round(a.Grams!.Value), "g"))),
            ],
            RiceId = rice?.Item1,
            Rice = rice is { } r ? new(Math.Round(r.Item2), "g") : null,
            Style = style is { } like ? ClosedSet.Word(like) : dish.Style,
            People = notes.People ?? dish.People,
            Soak = ClosedSet.Word(SoakOf(notes, line)),
            SoakHours = SoakOf(notes, line) == SoakChoice.Hours ? Math.Round(SoakMinutes(notes)!.Value / 60, 1) : null,
            Method = ClosedSet.Word(method),
            CookerId = cooker?.Id,
            RiceJoin =
                rice is null ? null
                : JoinOf(notes) is { } join ? ClosedSet.Word(join)
                : null,
            RiceVesselId =
                rice is not null && notes.Has(NoteAct.RiceApart)
                    ? (kitchen.RiceCooker ?? kitchen.Vessels.FirstOrDefault(v => v.Cooker is null && v.Id != dish.VesselId))?.Id
                    : null,
            PulseTarget = TargetOf(notes) is { } target ? ClosedSet.Word(target) : null,
            Stages = [.. StagesOf(notes, fries).Select(ClosedSet.Word)],
            Extras =
            [
                .. notes
                    .Amounts.Where(a => a is { Kind: "extra", Id: not null })
                    .DistinctBy(a => a.Id)
                    .Take(MostExtras)
                    .Select(a => new ExtraWishDto(a.Id!, a.Grams is > 0.1 and < 5000 ? new(Math.Round(a.Grams.Value, 1), "g") : null)),
            ],
            Pull = null,
        };
    }

    private const int MostOthers = 5;

    private const int MostExtras = 12;

    public static Method MethodOf(Notes notes) =>
        notes.Pulse?.Cooked == true ? Method.Cooked
        : notes.Cooking?.Act is NoteAct.Pressure or NoteAct.Whistles ? Method.Pressure
        : notes.Cooking?.Act == NoteAct.Slow ? Method.SlowCooker
        : Method.OpenPot;

    private static double? SoakMinutes(Notes notes) =>
        notes.Steps.FirstOrDefault(s => s.Act == NoteAct.Soak)?.Minutes is { } m ? (m.Low + m.High) / 2 : null;

    private static SoakChoice SoakOf(Notes notes, NoteAmount pulse) =>
        pulse.Cooked ? SoakChoice.None
        : notes.Has(NoteAct.QuickSoak) ? SoakChoice.Quick
        : !notes.Has(NoteAct.Soak) ? SoakChoice.None
        : SoakMinutes(notes) is >= 30 and < OvernightMinutes ? SoakChoice.Hours
        : SoakChoice.Overnight;

    /// <summary>From here on a soak is a night's.</summary>
    private const double OvernightMinutes = 480;

    private static RiceJoin? JoinOf(Notes notes) =>
        !notes.DrainsBeforeRice ? null
        : notes.Has(NoteAct.Reserve) ? RiceJoin.InTheLiquor
        : RiceJoin.AfterDraining;

    private static PulseTarget? TargetOf(Notes notes) =>
        notes.Has(NoteAct.Blend)
            ? PulseTarget.Melted
            : notes.Cooking?.Until switch
            {
                NoteUntil.Creamy => PulseTarget.Creamy,
                NoteUntil.Melted => PulseTarget.Melted,
                NoteUntil.Bite when notes.Rice is null => PulseTarget.Firm,
                _ => null,
            };

    /// <param name="fries">Something of it is fried by most cooks.</param>
    private static IEnumerable<AskedStage> StagesOf(Notes notes, bool fries)
    {
        foreach (
            var (act, stage) in new[]
            {
                (NoteAct.Toast, AskedStage.Toast),
                (NoteAct.Mash, AskedStage.Mash),
                (NoteAct.Fold, AskedStage.Fold),
                (NoteAct.Thicken, AskedStage.Bind),
            }
        )
        {
            if (notes.Has(act))
            {
                yield return stage;
            }
        }

        // What is fried before anything cooks is fried in the pot.
        var acts = notes.Steps.Where(s => !s.IfNeeded).Select(s => s.Act).ToList();
        if (fries && acts.IndexOf(NoteAct.Fry) is >= 0 and var fried && !acts.Take(fried).Any(Cooks))
        {
            yield return AskedStage.Base;
        }

        if (notes.Steps.Any(s => s.HasTowel))
        {
            yield return AskedStage.Towel;
        }
    }

    private static bool Cooks(NoteAct act) =>
        act is NoteAct.Simmer or NoteAct.Boil or NoteAct.Pressure or NoteAct.Whistles or NoteAct.Slow or NoteAct.RiceIn;
}
