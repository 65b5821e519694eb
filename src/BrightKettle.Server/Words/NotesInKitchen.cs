using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>Somebody's notes, followed in the pots of this kitchen.</summary>
internal static class NotesInKitchen
{
    /// <summary>The cook of the notes, or why there is none.</summary>
    public static (Cook? Cook, string? Cannot) Cook(
        Notes notes,
        NoteAnswers answers,
        PulseCatalogue catalogue,
        KitchenState kitchen,
        Vessel vessel,
        Instant now
    )
    {
        if (PlaceOf(notes, kitchen, vessel) is not { } place)
        {
            return (null, Said.NotesCannotCooker(notes.Cooking?.Act == NoteAct.Slow ? "slow" : "pressure"));
        }

        return NotesCook.Of(notes, answers, catalogue, place, now) is not { } cook ? (null, null)
            : CookRules.Check(cook) is { } fault ? (null, Said.NotesCannot(Said.Say($"problem.{fault.Code}")))
            : (cook, null);
    }

    /// <summary>Where they begin, and what takes over; null where the kitchen lacks it.</summary>
    private static CookKitchen? PlaceOf(Notes notes, KitchenState kitchen, Vessel vessel)
    {
        var act = notes.Cooking?.Act;
        var cooker =
            act is NoteAct.Pressure or NoteAct.Whistles
                ? kitchen
                    .Vessels.Where(v => v.Cooker is { UnderPressure: true })
                    .OrderByDescending(v => (v.Cooker!.Kind == CookerKind.Weight) == (act == NoteAct.Whistles))
                    .FirstOrDefault()
            : act == NoteAct.Slow ? kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Slow)
            : vessel;
        if (cooker is null)
        {
            return null;
        }

        // What is boiled first is boiled in a pot.
        var moves = act == NoteAct.Slow && notes.Steps.Any(s => s.Act is NoteAct.Boil or NoteAct.Simmer);
        var home = kitchen.Household;
        return new(moves ? vessel : cooker, kitchen.Burners[0], home.Altitude, home.Room)
        {
            HardnessMilligramsPerLitre = home.HardnessMilligramsPerLitre,
            OtherVessels = moves ? [new(cooker, kitchen.Burners[0])] : [],
        };
    }

    /// <summary>What they give, and as what they come to the table.</summary>
    public static async Task<(NotesGiveDto Gives, Style? Style)> GivesAsync(Cook cook, KitchenState kitchen, RequestWork work)
    {
        // Notes say no hour: nobody knows who is at home then.
        var house = GateHouse.Of(kitchen.Household) with { Attended = null };
        var forecast = await work.RunAsync(WorkLength.Lengthy, simulator =>
            new Forecaster(simulator).Run(cook, Targets.Lenient, picture: false, gates: Gates.InOnePot(cook, house))
        );
        var dry = cook.Ingredients.Sum(x => x is PulseIngredient or RiceIngredient ? x.Dry.Grams : 0);
        return (
            new(
                Told(cook, forecast),
                forecast.ShareTender,
                [.. forecast.Gates.Where(g => g.Blocks).Select(g => new GateDto(g.Code, g.IngredientId, g.Action, g.Blocks))],
                CookWriter.Write(cook)
            ),
            forecast.Reference.StalledAt is null ? Dish.StyleOf(forecast.Reference.FinalLiquor / dry) : null
        );
    }

    private static string Told(Cook cook, Forecast forecast)
    {
        if (forecast.Reference.StalledAt is not null)
        {
            return Said.NotesNever();
        }

        var pulse = cook.Ingredients.OfType<PulseIngredient>().First();
        var rice = cook.Ingredients.OfType<RiceIngredient>().FirstOrDefault();
        var final = forecast.Reference.Final;
        return Said.NotesGives(
            WordSentences.Felt(Doneness.Felt(final[cook.IndexOf(pulse.Id)].Doneness, pulse.Pulse.FallsApartAt)),
            rice is null ? null : WordSentences.FeltRice(Doneness.Felt(final[cook.IndexOf(rice.Id)].Doneness, null)),
            Math.Round(PotGeometry.LiquorMillilitres(forecast.Reference.FinalLiquor, 90) / 10) * 10
        );
    }

    /// <summary>The same dinner as it is planned here; null where no plan is to be had.</summary>
    public static async Task<NotesOwnDto?> OwnAsync(DishDto dish, DishRequestReader dishes, CancellationToken cancel)
    {
        var asked = await dishes.ReadAsync(dish, cancel);
        if (asked.Dish is null || await dishes.PlanAsync(asked) is not PlanAnswer.Planned { Plan: var plan })
        {
            return null;
        }

        var run = plan.Forecast.Reference;
        var lit = plan.Cook.Actions.ToList().FindIndex(a => a is CookAction.Heat { Flame: not Flame.Off });
        var water = plan.Cook.Actions.OfType<CookAction.AddWater>().Sum(a => a.Water.Grams);
        return lit < 0 || run.StalledAt is not null
            ? null
            : new(plan.ShareTender, Math.Round((run.EndSeconds - run.At(lit).Seconds) / 60 / 5) * 5, Math.Round(water / 10) * 10);
    }
}
