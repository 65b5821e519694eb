using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using NodaTime;

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

    /// <summary>Points short of it at which a look is worth its while: it tells how long is left.</summary>
    private const double Near = 8;

    /// <summary>How a look stands, by all that was told of this pot and not by the last answer alone: five seeds show no chalk long before the
    /// pot is soft.</summary>
    /// <param name="moment">The first of its lane.</param>
    /// <returns>Whether it is found, and of what it hangs: while something is to be asked (null) that, in its order; when it is not far enough
    /// what is short; else the first. Null for a moment without a look.</returns>
    public static (LookAsked Of, bool? Found)? Judge(EveningForecast ahead, Moment moment)
    {
        ArgumentNullException.ThrowIfNull(ahead);
        ArgumentNullException.ThrowIfNull(moment);
        if (moment.Trigger.Look is not { } look)
        {
            return null;
        }

        var all = All(ahead.Evening.Cook, look).ToList();
        foreach (var asked in all)
        {
            var answer = ahead.Evening.LastLook(asked.IngredientId, ahead.Evening.LastDone(moment.Lane)?.DoneAt);
            // What was far enough stays so: nothing grows hard again.
            if (answer is null || !asked.IsNamedBy(answer) || !asked.IsBelieved(ahead, answer))
            {
                return (asked, answer is not null && ahead.Now < answer.At + look.Again ? false : null);
            }
        }

        return (all[0], true);
    }

    /// <summary>Whether what a moment looks for is found: <see cref="Judge"/>.</summary>
    public static bool? IsFound(EveningForecast ahead, Moment moment) => Judge(ahead, moment)?.Found;

    /// <summary>When somebody looks: not before the look's own clock, and, where nothing is done to a no, not before one in ten of the pots that
    /// this may be is near it. What is wanted past tender is looked at when it may be tender: that tells how long is left. An answer that is
    /// short moves it on.</summary>
    /// <param name="notBefore">By its own clock.</param>
    public static Instant? From(EveningForecast ahead, Moment moment, Instant? notBefore)
    {
        if (Judge(ahead, moment) is not var (of, found) || found == true || moment.Trigger.Look is not { NotYet: null } look)
        {
            return notBefore;
        }

        var all = All(ahead.Evening.Cook, look).ToList();
        // What was begun is asked to its end.
        if (found is null && of != all[0])
        {
            return notBefore;
        }

        var wasShort = ahead.Evening.LastLook(all[0].IngredientId, ahead.Evening.LastDone(moment.Lane)?.DoneAt) is not null;
        return all.Select(a =>
                FirstThere(
                    ahead.Forecast.Points,
                    ahead.Evening.Cook.IndexOf(a.IngredientId),
                    (wasShort ? a.Doneness : Math.Min(a.Doneness, Cooking.Doneness.Tender)) - Near
                )
            )
            .Append(notBefore)
            .Max();
    }

    private static Instant? FirstThere(IReadOnlyList<ForecastPoint> points, int place, double doneness) =>
        points.FirstOrDefault(p => p.Doneness[place].High >= doneness)?.At;

    /// <summary>When somebody looks again: so long after an answer that is short, and after all were given. Null while something is to be
    /// asked at this look.</summary>
    internal static Instant? AgainFrom(EveningState evening, string lane, Look look)
    {
        Instant? again = null;
        foreach (var asked in All(evening.Cook, look))
        {
            if (evening.LastLook(asked.IngredientId, evening.LastDone(lane)?.DoneAt) is not { } answer)
            {
                return null;
            }

            if (!asked.IsNamedBy(answer))
            {
                return answer.At + look.Again;
            }

            again = Instant.Max(again ?? answer.At, answer.At + look.Again);
        }

        return again;
    }

    private bool IsNamedBy(Observation answer) =>
        answer switch
        {
            Observation.FeltAs felt => felt.State >= Wanted,
            Observation.ChalkyOf halved => EnoughChalky is not { } enough || halved.Chalky * Of <= enough * halved.Of,
            _ => true,
        };

    /// <summary>What was named past what is wanted is believed, and so is rice: it is bitten, and alike in all grains. Else the pot has to be
    /// there by what is known of it.</summary>
    private bool IsBelieved(EveningForecast ahead, Observation answer)
    {
        var place = ahead.Evening.Cook.IndexOf(IngredientId);
        var seconds = (ahead.Now - ahead.Forecast.Cook.Starts).TotalSeconds;
        return ahead.Evening.Cook.Ingredients[place] is RiceIngredient
            || (answer is Observation.FeltAs felt && felt.State > Wanted)
            || ahead.Forecast.Reference.DonenessAt(place, seconds) >= Doneness;
    }
}
