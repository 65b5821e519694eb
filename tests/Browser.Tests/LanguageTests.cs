using System.Text.Json;
using System.Text.RegularExpressions;
using OpenQA.Selenium;
using Xunit;

namespace BrightKettle.Browser.Tests;

/// <summary>All views in a language that nobody speaks: English, lengthened and accented. What is not accented comes from no catalogue of
/// sentences.</summary>
public sealed partial class LanguageTests
{
    /// <summary>Words that are the household's, names of food, the sources of the model's figures, or the same in every language.</summary>
    private static readonly string[] Plain =
    [
        "Bright",
        "Kettle",
        "min",
        "kWh",
        "GMT",
        "UTC",
        "JSON",
        "ics",
        "mL",
        "cm",
        "dinner",
        "crt",
        "kettle-authority",
        // A browser has no names of days in a language that nobody speaks.
        .. System.Globalization.CultureInfo.InvariantCulture.DateTimeFormat.DayNames,
        .. System.Globalization.CultureInfo.InvariantCulture.DateTimeFormat.MonthNames,
    ];

    [Theory]
    [InlineData("/")]
    [InlineData("/dinners")]
    [InlineData("/cupboard")]
    [InlineData("/pots")]
    [InlineData("/notes")]
    [InlineData("/practice")]
    [InlineData("/practice/rice_time/3")]
    [InlineData("/why")]
    [InlineData("/stove")]
    [InlineData("/nowhere")]
    public void In_another_language_no_English_is_left_and_nothing_is_cut_off(string path)
    {
        using var kitchen = new Kitchen(390, 844);
        kitchen.Run(k =>
        {
            k.Open("/");
            Js(k, "localStorage.setItem('bright-kettle.language', 'xx')");
            if (path == "/stove")
            {
                path = $"/stove/{StoveScene.OfFirst(k).Id}";
            }

            k.Open(path);
            k.Until(d => d.FindElements(By.CssSelector("main h1")).Count > 0);
            k.Settle();
            if (path == "/")
            {
                k.Until(d => d.FindElements(By.CssSelector(".ways[data-asking=false]")).Count == 1);
            }

            Js(k, "document.querySelectorAll('details').forEach((d) => (d.open = !d.matches('.dish.mt-6')))");
            var heard = JsonSerializer.Deserialize<List<string>>((string)Js(k, Texts)!)!;
            Assert.NotEmpty(heard);
            var names = Names(k);
            var english = heard.Where(t => Word().Matches(Fold(names, t)).Any(m => !Plain.Contains(m.Value))).Distinct().ToList();
            Assert.True(english.Count == 0, string.Join('\n', english));
            Assert.Equal(0L, Js(k, "return document.documentElement.scrollWidth - document.documentElement.clientWidth"));
            Assert.Equal("[]", Js(k, Cut));
        });
    }

    /// <summary>Whatever is read or heard.</summary>
    private const string Texts = """
        const found = [];
        const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
        while (walk.nextNode()) {
          const p = walk.currentNode.parentElement;
          if (!p.closest('script,style,[hidden],.sheet') && p.checkVisibility()) found.push(walk.currentNode.data.trim());
        }
        for (const e of document.querySelectorAll('[aria-label],[placeholder],[title],[alt],[aria-valuetext]'))
          if (e.checkVisibility())
            for (const a of ['aria-label', 'placeholder', 'title', 'alt', 'aria-valuetext']) if (e.getAttribute(a)) found.push(e.getAttribute(a));
        return JSON.stringify(found.filter(Boolean));
        """;

    /// <summary>Buttons, labels and headings whose words do not fit in them.</summary>
    private const string Cut = """
        return JSON.stringify([...document.querySelectorAll('button, a, label, h1, h2, h3, summary, p, th')]
          .filter((e) => e.checkVisibility() && !e.closest('.sr-only, .truncate, svg') && e.className !== 'truncate')
          .filter((e) => e.scrollWidth > e.clientWidth + 1 && getComputedStyle(e).overflowX !== 'auto' && getComputedStyle(e).display !== 'inline')
          .map((e) => e.innerText.slice(0, 60)));
        """;

    /// <summary>What the kitchen and its cupboard call their own, longest first.</summary>
    private static List<string> Names(Kitchen k)
    {
        var names = new HashSet<string>(StringComparer.OrdinalIgnoreCase);
        foreach (
            var path in new[] { "/api/catalogue", "/api/catalogue/extras", "/api/effects", "/api/kitchen", "/api/cooks", "/api/stove" }
        )
        {
            using var json = JsonDocument.Parse(k.Http.GetStringAsync(path).GetAwaiter().GetResult());
            Collect(json.RootElement);
        }

        return [.. names.OrderByDescending(n => n.Length)];

        void Collect(JsonElement e)
        {
            switch (e.ValueKind)
            {
                case JsonValueKind.Object:
                    foreach (var p in e.EnumerateObject())
                    {
                        Collect(p.Value);
                    }

                    break;
                case JsonValueKind.Array:
                    foreach (var i in e.EnumerateArray())
                    {
                        Collect(i);
                    }

                    break;
                case JsonValueKind.String when e.GetString() is { Length: > 2 } text:
                    names.Add(text);
                    break;
            }
        }
    }

    private static string Fold(List<string> names, string text)
    {
        foreach (var name in names)
        {
            text = text.Replace(name, " ", StringComparison.OrdinalIgnoreCase);
        }

        return text;
    }

    private static object? Js(Kitchen k, string script) => k.Driver.ExecuteScript(script);

    [GeneratedRegex(@"(?<![\p{L}\d/_-])[A-Za-z][A-Za-z-]{2,}(?![\p{L}_])")]
    private static partial Regex Word();
}
