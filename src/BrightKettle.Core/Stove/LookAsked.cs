using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Stove;

/// <summary>A look as somebody is asked for it at the stove: by the state that a hand names, or by counting chalk.</summary>
/// <param name="IngredientId">Of what.</param>
/// <param name="Doneness">At which it is far enough.</param>
/// <param name="Wanted">What the hand has to name, or something past it.</param>
/// <param name="EnoughChalky">Of five halved, so many may still show chalk; null where counting does not tell.</param>
public sealed record LookAsked(string IngredientId, double Doneness, FeltState Wanted, int? EnoughChalky)
{
    /// <summary>Below this doneness nearly all of five show chalk, so that counting tells nothing.</summary>
    private const double ChalkTells = 65;

    /// <summary>Of what is wanted past soft, no chalk tells: it went long before.</summary>
    private const double NoChalkLeft = 103;

    /// <summary>From this share of where a pulse falls apart on, nothing short of that is what is wanted.</summary>
    private const double NearlyApart = 0.9;

    /// <summary>Seeds that are halved.</summary>
    public const int Of = 5;

    /// <summary>Points that it may be short of it: nobody feels so little, and seen again it would have them.</summary>
    private const double Grain = 3;

    /// <summary>Everything that a look asks for, in its order.</summary>
    public static IEnumerable<LookAsked> All(Cook cook, Look look)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(look);
        return look.Also.Prepend(new LookAlso(look.IngredientId, look.Doneness)).Select(a => For(cook, a));
    }

    private static LookAsked For(Cook cook, LookAlso wanted)
    {
        var looked = cook.Ingredients[cook.IndexOf(wanted.IngredientId)];
        // With a lectin, soft is what the gate asks for: no chalk is not yet nothing firm.
        var firmMatters = wanted.Doneness >= Cooking.Doneness.Tender && looked is PulseIngredient { Pulse.BoilsFirst: true };
        return new(
            wanted.IngredientId,
            wanted.Doneness,
            looked is PulseIngredient { Pulse.FallsApartAt: { } apart } && wanted.Doneness >= NearlyApart * apart
                ? FeltState.FallingApart
                : Cooking.Doneness.Felt(wanted.Doneness, null),
            looked is not PulseIngredient || wanted.Doneness is < ChalkTells or > NoChalkLeft || firmMatters
                ? null
                : (int)Math.Round(Cooking.Doneness.ChalkyOfFive(wanted.Doneness, PulseCatalogue.Shipped.Constants.SeedSpread))
        );
    }

    /// <summary>What is to be asked now of a moment that waits for a look: the first thing of it that was not answered at this look. The
    /// first of all where all were.</summary>
    public static LookAsked Now(EveningForecast ahead, Moment moment) =>
        Open(ahead, moment) ?? All(ahead.Evening.Cook, moment.Trigger.Look!).First();

    private static LookAsked? Open(EveningForecast ahead, Moment moment) =>
        All(ahead.Evening.Cook, moment.Trigger.Look!).FirstOrDefault(a => Answered(ahead, moment, a) is null);

    private bool IsNamedBy(Observation answer) =>
        answer switch
        {
            Observation.FeltAs felt => felt.State >= Wanted,
            Observation.ChalkyOf halved => EnoughChalky is not { } enough || halved.Chalky * Of <= enough * halved.Of,
            _ => true,
        };

    /// <summary>The answer that this look had; null for none.</summary>
    private static Observation? Answered(EveningForecast ahead, Moment moment, LookAsked asked) =>
        ahead.Evening.LastLook(asked.IngredientId, ahead.Evening.LastDone(moment.Lane)?.DoneAt) is { } answer
        && ahead.Now < answer.At + moment.Trigger.Look!.Again
            ? answer
            : null;

    /// <summary>Whether what is looked for is far enough, by all that was told of this pot and not by the last answer alone: five seeds show no
    /// chalk long before the pot is soft. Null while something is to be asked.</summary>
    /// <param name="moment">The first of its lane.</param>
    public static bool? IsFound(EveningForecast ahead, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(ahead);
        ArgumentNullException.ThrowIfNull(moment);
        if (moment.Trigger.Look is not { } look)
        {
            return null;
        }

        var evening = ahead.Evening;
        var seconds = (ahead.Now - ahead.Forecast.Cook.Starts).TotalSeconds;
        foreach (var asked in All(evening.Cook, look))
        {
            if (Answered(ahead, moment, asked) is not { } answer)
            {
                return null;
            }

            if (!asked.IsNamedBy(answer))
            {
                return false;
            }

            // What was named past what is wanted is believed, and so is rice: it is bitten, and alike in all grains.
            var place = evening.Cook.IndexOf(asked.IngredientId);
            var believed =
                evening.Cook.Ingredients[place] is RiceIngredient || (answer is Observation.FeltAs felt && felt.State > asked.Wanted);
            if (!believed && ahead.Forecast.Reference.DonenessAt(place, seconds) < asked.Doneness - Grain)
            {
                return false;
            }
        }

        return true;
    }
}
