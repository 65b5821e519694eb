using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.Grammar;
using BrightKettle.Core.Words.Lines;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;
using BrightKettle.Server.Planning;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>A line piece by piece, each with what it was read as.</summary>
internal sealed class LineParts(PulseCatalogue catalogue, KitchenState kitchen, Instant now)
{
    public static string Text(LinePart part, string line) => line.Substring(part.Start, Math.Min(part.Length, line.Length - part.Start));

    /// <param name="dish">As the line made it.</param>
    /// <param name="left">Texts that nothing reads, or that were read and cannot be had: they stand as not understood.</param>
    /// <param name="misspelt">What an unread word that is not left was taken for; null for none.</param>
    public List<LinePartDto> Of(DishWish wish, DishDto dish, IReadOnlyList<string> left, string? misspelt, string line)
    {
        var parts = new List<LinePartDto>();
        foreach (var part in wish.Parts)
        {
            var text = Text(part, line);
            var means =
                part is LinePart.Unread unread ? (left.Contains(unread.Word) ? null : misspelt)
                : left.Contains(text) ? null
                : Means(part, dish);
            if (means is not null || part is LinePart.Unread or LinePart.Said { Of: not "idle" } || left.Contains(text))
            {
                parts.Add(new(part.Start, part.Length, text, means));
            }
        }

        return parts;
    }

    private string? Means(LinePart part, DishDto dish) =>
        part switch
        {
            LinePart.Since or LinePart.SoakFor or LinePart.Said { Of: "soak" or "stood" } => LineSoaks.Said(dish),
            LinePart.People { Little: true } p => Said.LineLittle(p.Count),
            LinePart.People p => Said.LinePeople(p.Count),
            LinePart.Time t => Said.LineAt(Hours.Of(t.At)),
            LinePart.FromNow f => Said.LineAt(Hours.Of(kitchen.Household.LocalOf(now + f.Span).TimeOfDay)),
            LinePart.Day d => Said.LineOn(Day(Today.PlusDays(d.DaysOn))),
            LinePart.Weekday w => Said.LineOn(Day(Today.DayOfWeek == w.On ? Today : Today.Next(w.On))),
            LinePart.Named { Without: true } n => Said.LineWithout(Name(n)),
            LinePart.Named n => string.Join(
                ", ",
                [n.Amount is { } amount ? Said.LineAmount(Name(n), amount.Value, amount.Unit) : Name(n), .. How(n, dish)]
            ),
            LinePart.Dish d => Said.LineDish(
                d.Rice is { } rice ? catalogue.FindRice(rice)!.Said.ToLowerInvariant() : "none",
                catalogue.FindPulse(d.Pulses[0])!.Said
            ),
            LinePart.Said s => Word(s, dish),
            // A loose amount has gone to what it belongs to.
            LinePart.Loose { Amount: var amount } => Said.LineAmount("", amount.Value, amount.Unit).TrimStart(',', ' '),
            _ => null,
        };

    /// <summary>How what is named comes, as far as the dish has it so.</summary>
    private static IEnumerable<string> How(LinePart.Named named, DishDto dish)
    {
        switch (named.Kind)
        {
            case "pulse" when named.Is.Count > 0 && dish.PulseState is { } state:
                yield return Said.Say($"pulse_state.{state}");
                break;
            case "pulse" when named.Is.Count > 0 && dish.CookedFrom is { } from && dish.Method == ClosedSet.Word(Method.Cooked):
                yield return Said.LineCooked(from);
                break;
            case "rice"
                when dish.RiceState is { } rice && named.Is.Any(q => q is not (Quality.Toasted or Quality.Apart or Quality.Drained)):
                yield return Said.Say($"rice_state.{rice}");
                break;
            case "extra" when dish.Extras?.Any(x => x.ExtraId == named.Ids[0] && x.Frozen == true) == true:
                yield return Said.LineFrozen();
                break;
        }

        if (named.Is.Contains(Quality.Toasted))
        {
            yield return Said.LineToasted();
        }

        if (named.Is.Contains(Quality.Drained))
        {
            yield return Said.LineDrained();
        }

        if (named.Is.Contains(Quality.Apart))
        {
            yield return Said.LineApart();
        }
    }

    private string? Word(LinePart.Said said, DishDto dish) =>
        said.Of switch
        {
            "style" => said.Means,
            "method" => said.Means switch
            {
                "pressure" => Cooker(underPressure: true),
                "slow_cooker" => Cooker(underPressure: false),
                _ => Said.LineOpenPot(),
            },
            "from" when dish.PulseState is not null => Said.Say($"pulse_state.{dish.PulseState}"),
            "from" => Said.LineCooked(said.Means),
            "pulse" => Said.Say($"target.pulse.{said.Means}"),
            "rice" when said.Means == "none" => Said.LineNoRice(),
            "rice" when said.Means == "beside" => Said.LineBeside(),
            "rice" => Said.LineRiceTarget(Said.Say($"target.rice.{said.Means}")),
            "join" => Said.LineRiceJoin(said.Means),
            "stage" => Said.Say($"stage.{said.Means}"),
            "little" => Said.LineLittle(1),
            "season" => Said.LineSeason(),
            _ => null,
        };

    /// <summary>The kitchen's own; null where it has none.</summary>
    private string? Cooker(bool underPressure) =>
        kitchen.Vessels.FirstOrDefault(v => v.Cooker is { IsForRice: false } c && c.UnderPressure == underPressure) is { } cooker
            ? Said.LineIn(cooker.Name)
            : null;

    private LocalDate Today => kitchen.Household.LocalOf(now).Date;

    private string Name(LinePart.Named named) =>
        named.Kind switch
        {
            "pulse" => catalogue.FindPulse(named.Ids[0])!.Said,
            "rice" => catalogue.FindRice(named.Ids[0])!.Said,
            _ => catalogue.FindExtra(named.Ids[0])!.Name,
        };

    private static string Day(LocalDate date) => date.ToString("ddd d MMM", CultureInfo.InvariantCulture);
}
