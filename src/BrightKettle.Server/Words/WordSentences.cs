using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Core.Words.Measures;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Messages;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>The facts of answers to vague words, of questions and of doubts, for the sentences of the catalogue.</summary>
public static class WordSentences
{
    public static string For(VagueAnswer a)
    {
        ArgumentNullException.ThrowIfNull(a);
        var of =
            a.Code is "weighs" or "flame" ? a.Of!.ToLowerInvariant()
            : a.Code.StartsWith("whistle", StringComparison.Ordinal) || a.Code == "slow_ends_at" ? Article(a.Of)
            : a.Of;
        var code = a.Code is "volume" or "mass" ? "amount" : a.Code;
        return Said.Say(
            $"word.{code}",
            new MessageFacts(
                new Dictionary<string, object?>
                {
                    ["range"] = Range(a),
                    ["of"] = of,
                    ["low"] = a.Low,
                    ["high"] = a.High,
                    ["typical"] = Math.Abs(a.Typical),
                    ["side"] = a.Typical < 0 ? "under" : "over",
                }
            )
        );
    }

    /// <summary>The question, and the unit in which it is answered; null for one with choices.</summary>
    public static (string Text, string? Unit) Question(string code) =>
        (
            Said.Say($"question.{code}"),
            code switch
            {
                "minutes" => "min",
                "pulse_grams" or "rice_grams" or "water" or "salt" => "g",
                _ => null,
            }
        );

    /// <summary>A choice that an answer to a question has; a name stands for itself.</summary>
    public static string Choice(string id) => Said.Keys.Contains($"choice.{id}") ? Said.Say($"choice.{id}") : id;

    public static string Doubt(NoteDoubt d)
    {
        ArgumentNullException.ThrowIfNull(d);
        // Water beyond the glass is said in litres.
        var (said, ends) = d.Code switch
        {
            "too_much_water" => (1000.0, 1000.0),
            "too_little_water" => (1, 1000),
            _ => (1, 1),
        };
        return Said.Say(
            $"doubt.{d.Code}",
            new MessageFacts(
                new Dictionary<string, object?>
                {
                    ["said"] = d.Said / said,
                    ["low"] = d.Low / ends,
                    ["high"] = d.High / ends,
                }
            )
        );
    }

    public static string Felt(FeltState state) => Said.Say($"felt.pulse.{ClosedSet.Word(state)}");

    public static string FeltRice(FeltState state) => Said.Say($"felt.rice.{ClosedSet.Word(state)}");

    private static string? Article(string? of) => of is null || of.StartsWith("a ", StringComparison.Ordinal) ? of : Said.WordThe(of);

    private static string Range(VagueAnswer a)
    {
        string One(double v) => v.ToString(v >= 20 ? "0" : "0.#", CultureInfo.InvariantCulture);
        var (low, typical, high) = (Round(a.Low), Round(a.Typical), Round(a.High));
        return high - low < 0.02 * Math.Max(1, typical)
            ? Said.WordExact(One(typical), a.Unit)
            : Said.WordRange(One(typical), a.Unit, One(low), One(high));
    }

    /// <summary>No finer than a hand can tell.</summary>
    private static double Round(double v) =>
        v >= 200 ? Math.Round(v / 10) * 10
        : v >= 20 ? Math.Round(v)
        : Math.Round(v, 1);
}
