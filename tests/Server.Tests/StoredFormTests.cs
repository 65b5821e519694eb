using System.Text.Json;
using System.Text.Json.Nodes;
using BrightKettle.Core.Catalogue;
using BrightKettle.Data.Records;
using BrightKettle.Data.Stored;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Record;
using BrightKettle.Server.Stove;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>Payloads as they were written, in every form that ever was: they are read, and nothing of them is lost.</summary>
/// <remarks>Files named -0 were written before forms were numbered, by the version of 27 November 2026.</remarks>
public class StoredFormTests
{
    [Fact]
    public void A_kept_dinner_of_form_0_is_read_whole()
    {
        var saved = SavedDinner.Read(
            new CookEvent
            {
                Id = default,
                CookId = default,
                Kind = "saved",
                OccurredAt = default,
                RecordedAt = default,
                ModelVersion = "",
                ParameterVersion = "",
                Seed = 0,
                Payload = File("dinner-0"),
            }
        );
        Assert.Equal(
            ("Harbour borlotti", "borlotti", "long_white", 4, "moist", 1),
            (saved.Title, saved.Dish.PulseId, saved.Dish.RiceId, saved.Dish.People, saved.Dish.Style, saved.Dish.LittleOnes)
        );
        Assert.Equal("2026-11-25T13:00", Assert.Single(saved.Dish.Away!).FromLocal);
        Assert.Equal((2.0, "piece"), (saved.Dish.Extras![0].Amount!.Value, saved.Dish.Extras[0].Amount!.Unit));
        Assert.NotNull(new CookReader(PulseCatalogue.Shipped, new FieldFaults()).Read(saved.Cook));
        Same("dinner-0", saved.Json(), 2);
    }

    [Fact]
    public void A_start_of_form_0_is_read_whole()
    {
        var started = StartedCook.Read(File("start-0"));
        Assert.Equal("pulse_first", started.Order);
        Assert.Contains(started.Steps.Values.SelectMany(s => s), s => s.Facts.Minutes > 0);
        Assert.NotNull(new CookReader(PulseCatalogue.Shipped, new FieldFaults()).Read(started.Cook));
        // What counts as right is asked of the dish since form 2.
        Same("start-0", started.Json(), 3, "meltingIsWelcome");
    }

    [Fact]
    public void A_renaming_of_form_1_is_read_and_a_newer_one_is_not()
    {
        Assert.Equal("Lantern night", RenamedForm.Read(File("renamed-1")).Title);
        Assert.Equal(File("renamed-1").Trim(), new RenamedForm("Lantern night").Write());
        Assert.Throws<JsonException>(() => RenamedForm.Read("""{"form":2,"title":"Lantern night"}"""));
    }

    [Fact]
    public void A_verdict_of_form_1_is_read_and_a_newer_one_is_not()
    {
        var verdict = VerdictForm.Read(File("verdict-1"));
        Assert.Equal(new VerdictForm("under", "right", "over", null, true, "Begin ten minutes earlier."), verdict);
        Assert.Equal(File("verdict-1").Trim(), verdict.Write());
        Assert.Throws<JsonException>(() => VerdictForm.Read("""{"form":2,"again":true}"""));
    }

    [Fact]
    public void What_had_brought_salt_in_form_2_is_a_list_since_form_3()
    {
        var start = JsonNode.Parse(File("start-0"))!.AsObject();
        start["form"] = 2;
        start.Remove("meltingIsWelcome");
        start["steps"]!.AsObject().First().Value![0]!["facts"]!["salty"] = "ham hock, stock cube";
        var step = StartedCook.Read(start.ToJsonString()).Steps.Values.SelectMany(s => s).Single(s => s.Facts.Salty is not null);
        Assert.Equal(["ham hock", "stock cube"], step.Facts.Salty);
    }

    [Theory]
    [InlineData("told-felt-0")]
    [InlineData("told-chose-0")]
    public void What_was_told_in_form_0_is_read_whole(string file)
    {
        var told = ToldPayload.Read(File(file));
        Assert.Equal("laptop", told.Entry.By);
        Assert.Equal(file == "told-chose-0", told.Course is { Actions.Count: > 0 });
        Same(file, told.Json(), 1);
        Assert.True(ToldForm.TellTheSame(File(file), told.Json()));
    }

    [Fact]
    public void What_a_newer_version_wrote_is_refused_and_not_guessed_at()
    {
        var newer = JsonNode.Parse(File("told-felt-0"))!.AsObject();
        newer["form"] = 1000;
        Assert.Throws<JsonException>(() => ToldPayload.Read(newer.ToJsonString()));
    }

    private static string File(string name) =>
        System.IO.File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "StoredForms", name + ".json"));

    /// <summary>Written anew, it says what it said, and the number of its form.</summary>
    private static void Same(string file, string written, int form, string? gone = null)
    {
        var now = JsonNode.Parse(written)!.AsObject();
        Assert.Equal(form, now["form"]!.GetValue<int>());
        now.Remove("form");
        var then = JsonNode.Parse(File(file))!.AsObject();
        Assert.True(gone is null || then.Remove(gone));
        Assert.True(JsonNode.DeepEquals(Bare(then), Bare(now)), written);
    }

    /// <summary>Without what says nothing: nulls.</summary>
    private static JsonNode Bare(JsonNode node)
    {
        switch (node)
        {
            case JsonObject o:
                return new JsonObject(o.Where(p => p.Value is not null).Select(p => KeyValuePair.Create(p.Key, (JsonNode?)Bare(p.Value!))));
            case JsonArray a:
                return new JsonArray([.. a.Select(n => n is null ? null : Bare(n))]);
            default:
                return node.DeepClone();
        }
    }
}
