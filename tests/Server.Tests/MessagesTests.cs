using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Messages;
using Xunit;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Tests;

/// <summary>Every sentence stands once, is said alike on both sides, and there is one for whatever the core and the interface can
/// send.</summary>
public class MessagesTests
{
    /// <summary>The page's own test writes the file anew when a sentence changes, and fails when it does not match.</summary>
    [Theory]
    [InlineData("said.jsonl", false, 500)]
    [InlineData("said-us.jsonl", true, 100)]
    public void Each_sentence_is_said_here_as_the_page_says_it(string file, bool us, int least)
    {
        Figures.Us = us;
        var rows = File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, file))
            .Where(l => l.Length > 0)
            .Select(l => JsonSerializer.Deserialize<JsonElement[]>(l)!)
            .ToList();
        Assert.True(rows.Count > least);
        Assert.All(rows, row =>
        {
            var facts = row[1]
                .EnumerateObject()
                .ToDictionary(
                    p => p.Name,
                    p => (object?)(p.Value.ValueKind == JsonValueKind.Number ? p.Value.GetDouble() : p.Value.GetString())
                );
            Assert.Equal($"{row[0]} {row[1]}: {row[2]}", $"{row[0]} {row[1]}: {Said.Say(row[0].GetString()!, new MessageFacts(facts))}");
        });
    }

    [Fact]
    public void Every_code_that_the_core_can_send_has_its_sentence()
    {
        var cautions = SaidByAttribute.CodesOf("caution", "title");
        Assert.Subset(cautions.ToHashSet(), PulseCatalogue.Shipped.Pulses.SelectMany(p => p.Cautions).ToHashSet());
        Assert.All(
            Enum.GetValues<DifferenceCode>()
                .Where(d =>
                    d is not DifferenceCode.Pot and not DifferenceCode.Burner and not DifferenceCode.Pulse and not DifferenceCode.RiceKind
                ),
            d => Assert.Contains($"difference.{ClosedSet.Word(d)}", Said.Keys)
        );
        var refusals = typeof(PlanRefusal)
            .GetFields()
            .Where(f => f.IsLiteral)
            .Select(f => ((string)f.GetRawConstantValue()!).Split('.')[^1])
            .Where(c => c != "gate");
        Assert.All(refusals, c => Assert.Contains($"refusal.{c}.detail", Said.Keys));
        Assert.All(Enum.GetValues<Core.Stove.Trouble>(), t => Assert.Contains($"trouble.{ClosedSet.Word(t)}", Said.Keys));
        Assert.All(Enum.GetValues<Core.Cooking.FeltState>(), s => Assert.Contains($"felt.rice.{ClosedSet.Word(s)}", Said.Keys));
    }

    [Fact]
    public void Every_reason_has_its_question_and_answer_and_every_question_its_reason()
    {
        var ids = Reason.All.Select(r => r.Id).ToList();
        Assert.Equal(ids.Order(StringComparer.Ordinal), SaidByAttribute.CodesOf("reason", "title"));
        Assert.Equal(ids.Order(StringComparer.Ordinal), SaidByAttribute.CodesOf("why.reason", "text"));
        Assert.Subset(ids.ToHashSet(), SaidByAttribute.CodesOf("why.reason", "others").ToHashSet());
        Assert.Equal(Reason.All.Select(r => r.Subject).Distinct().Order(StringComparer.Ordinal), SaidByAttribute.CodesOf("why.subject"));
        // Behind most of them stand figures of the model.
        Assert.InRange(Reason.All.Count(r => r.Figures.Count > 0), 20, ids.Count);
        Assert.All(Reason.All, r => Assert.Contains(r.Strength, new[] { "A", "B", "C", "D" }));
    }

    [Fact]
    public void A_sentence_that_is_not_there_or_lacks_a_fact_is_a_fault_of_ours_and_never_half_said()
    {
        Assert.Throws<KeyNotFoundException>(() => Said.Say("problem.weather"));
        Assert.Throws<KeyNotFoundException>(() =>
            Said.Say("step.soak.title", new MessageFacts(new Dictionary<string, object?> { ["grams"] = 300 }))
        );
    }
}
