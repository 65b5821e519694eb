using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>From notes, with every question answered, to the cook that they describe: so that its forecast shows what they
/// give.</summary>
public static class NotesCook
{
    internal static readonly Temperature Cold = Temperature.FromCelsius(18);

    internal static string IdOf(NoteAmount amount, int at) =>
        amount.Kind switch
        {
            "pulse" => at == 0 ? "pulse" : $"pulse_{at}",
            "rice" => "rice",
            _ => $"x_{amount.Id}",
        };

    /// <summary>The cook in this kitchen, step by step to the table; null while pulse, amount, water or minutes are missing.</summary>
    /// <param name="kitchen">Its first vessel is where they begin; a slow cooker beside it takes over where the notes say so.</param>
    public static Cook? Of(Notes notes, NoteAnswers answers, PulseCatalogue catalogue, CookKitchen kitchen, Instant starts)
    {
        ArgumentNullException.ThrowIfNull(notes);
        ArgumentNullException.ThrowIfNull(answers);
        ArgumentNullException.ThrowIfNull(catalogue);
        ArgumentNullException.ThrowIfNull(kitchen);
        var pulses = notes
            .Amounts.Where(a => a is { Kind: "pulse", Id: not null, Grams: > 0 })
            .DistinctBy(a => a.Id)
            .Take(MostPulses)
            .ToList();
        var isWet = notes.WaterGrams is not null || notes.CoversWithWater || notes.Amounts.Any(a => IsLiquid(a, catalogue));
        if (pulses.Count == 0 || notes.Pulse is not { Grams: > 0 } || !isWet || notes.Cooking is null)
        {
            return null;
        }

        var bags = pulses.Select(
            (line, i) =>
                (Ingredient)
                    new PulseIngredient(
                        IdOf(line, i),
                        Mass.FromGrams(line.Grams!.Value),
                        catalogue.FindPulse(line.Id!)!,
                        new Pace(1, catalogue.Constants.LotSpread)
                    )
                    {
                        Start = line.Cooked ? new SeedStart(Cold) : null,
                    }
        );
        // What has a pot of its own is not followed here.
        var rice =
            notes.Rice is { Id: { } riceId, Grams: > 0 and var riceGrams } && !notes.Has(NoteAct.RiceApart)
                ? new RiceIngredient("rice", Mass.FromGrams(riceGrams), catalogue.FindRice(riceId)!)
                : null;
        var extras = notes
            .Amounts.Where(a => a is { Kind: "extra", Id: not null, Grams: >= LeastGrams })
            .DistinctBy(a => a.Id)
            .Take(CookRules.MostIngredients - pulses.Count - 1)
            .Select(a => (Ingredient)new ExtraIngredient(IdOf(a, 0), Mass.FromGrams(a.Grams!.Value), catalogue.FindExtra(a.Id!)!, Cold));
        List<Ingredient> ingredients = [.. bags, .. rice is null ? [] : new[] { rice }, .. extras];
        return new(kitchen, ingredients, new NotesScript(notes, answers, ingredients, kitchen).Actions(), starts, 1);
    }

    private static bool IsLiquid(NoteAmount amount, PulseCatalogue catalogue) =>
        amount is { Kind: "extra", Id: { } id, Grams: > 0 } && catalogue.FindExtra(id)?.Kind == ExtraKind.Liquid;

    private const int MostPulses = 6;

    private const double LeastGrams = 0.1;
}
