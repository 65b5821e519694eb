using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.Grammar;
using BrightKettle.Core.Words.Lines;
using BrightKettle.Core.Words.Measures;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Catalogue;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;
using BrightKettle.Server.Planning;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>From what one line said to a changed dish, with what was understood.</summary>
public sealed class LineMapper(PulseCatalogue catalogue, KitchenState kitchen, Instant now)
{
    /// <param name="line">As it was typed; parts are told where they stand in it.</param>
    public LineAnswerDto Map(DishWish wish, DishDto dish, string line)
    {
        ArgumentNullException.ThrowIfNull(wish);
        ArgumentNullException.ThrowIfNull(dish);
        ArgumentNullException.ThrowIfNull(line);
        var understood = new List<string>();
        var left = wish.NotUnderstood.ToList();
        dish = dish with { Pull = null };
        if (wish.People is { } people)
        {
            dish = dish with { People = people, Pulse = null, Rice = null };
            understood.Add(Said.LinePeople(people));
        }

        if (wish.LittleOnes is { } little)
        {
            dish = dish with { LittleOnes = Math.Min(10, little) };
        }

        dish = Pulses(wish, dish, left, understood, line);
        dish = Rice(wish, dish, understood);
        // A porridge is eaten with a spoon.
        if ((wish.Style ?? (wish.RiceTarget == RiceTarget.Porridge ? Style.Soup : null)) is { } style)
        {
            dish = dish with { Style = ClosedSet.Word(style) };
            understood.Add(ClosedSet.Word(style));
        }
        else if (StandsInItsLiquid(wish, dish))
        {
            dish = dish with { Style = ClosedSet.Word(Style.Saucy) };
        }

        if (wish.PulseTarget is { } target)
        {
            dish = dish with { PulseTarget = ClosedSet.Word(target) };
            understood.Add(Said.Say($"target.pulse.{ClosedSet.Word(target)}"));
        }

        if (wish.RiceTarget is { } grain)
        {
            dish = dish with { RiceTarget = ClosedSet.Word(grain) };
            understood.Add(Said.Say($"target.rice.{ClosedSet.Word(grain)}"));
        }

        dish = Method(wish, dish, left, understood, line);
        dish = RiceJoins(wish, dish, left, understood, line);
        dish = Extras(wish, dish, understood);
        if (wish.Stages.Count > 0)
        {
            List<string> asked = [.. wish.Stages.Select(ClosedSet.Word)];
            dish = dish with { Stages = [.. (dish.Stages ?? []).Union(asked)] };
            understood.AddRange(asked.Select(s => Said.Say($"stage.{s}")));
        }

        dish = Time(wish, dish, understood);
        if (wish.Soak is not null)
        {
            dish = new LineSoaks(kitchen, now).In(dish, wish);
            understood.Add(LineSoaks.Said(dish));
        }

        return new(
            dish,
            understood,
            left,
            Choices(wish, line),
            new LineParts(catalogue, kitchen, now).Of(wish, dish, left, _misspelt?.Said, line)
        );
    }

    /// <summary>A split that falls apart, or beans without rice, are eaten with their liquid, unless they are for a salad.</summary>
    private bool StandsInItsLiquid(DishWish wish, DishDto dish) =>
        wish is { Pulses.Count: > 0, PulseTarget: not PulseTarget.Firm }
        && dish.Style == ClosedSet.Word(Style.Dry)
        && (dish.RiceId is null || catalogue.FindPulse(dish.PulseId)?.Kind == PulseKind.Split);

    /// <summary>The pulses by their names; failing that, one by a slip of spelling among the words that are left. Of several, the one
    /// that takes longest leads.</summary>
    private DishDto Pulses(DishWish wish, DishDto dish, List<string> left, List<string> understood, string line)
    {
        var said = wish.Pulses.Select(p => (Pulse: catalogue.FindPulse(p.Id)!, p.Amount)).ToList();
        if (said.Count == 0 && Misspelt(left) is { } meant)
        {
            said.Add((meant, null));
        }

        if (said.Count == 0)
        {
            var kept = (dish.Others ?? []).Where(o => !wish.WithoutIds.Contains(o.PulseId)).ToList();
            return dish with { Others = kept };
        }

        var (lead, amount) = said.MaxBy(p => p.Pulse.SimmerUnsoakedMinutes.Middle);
        var others = said.Where(p => p.Pulse.Id != lead.Id).Take(DishMapper.MostOthers).ToList();
        // One more than a pot of this kitchen is planned for is not read, and said so.
        var more = said.Where(p => p.Pulse.Id != lead.Id).Skip(DishMapper.MostOthers).Select(p => p.Pulse.Id).ToHashSet();
        left.AddRange(Texts(wish, line, p => p is LinePart.Named n && more.Contains(n.Ids[0])));
        understood.Add(string.Join(" and ", others.Select(o => o.Pulse.Said).Prepend(lead.Said)));
        var state = others.Count == 0 ? wish.PulseState : null;
        if (state is { } comes)
        {
            understood.Add(Said.Say($"pulse_state.{ClosedSet.Word(comes)}"));
        }

        return dish with
        {
            PulseId = lead.Id,
            Pulse = Amount(amount),
            PulseState = state is null ? null : ClosedSet.Word(state.Value),
            Soak = state is null ? Soaks(lead, wish, dish) : ClosedSet.Word(SoakChoice.None),
            Others = [.. others.Select(o => new OtherPulseDto(o.Pulse.Id, Amount(o.Amount)))],
        };
    }

    /// <summary>What a word that nothing reads was taken for.</summary>
    private Pulse? _misspelt;

    private Pulse? Misspelt(List<string> left)
    {
        foreach (var word in left.Where(w => w.Length >= 5))
        {
            if (
                NameSearch.Find(word, catalogue.Pulses.Select(p => (p.Id, p.Name, (IReadOnlyList<string>)[p.Said, .. p.Aliases])))
                is [var found, ..]
            )
            {
                left.Remove(word);
                return _misspelt = catalogue.FindPulse(found.Id);
            }
        }

        return null;
    }

    private DishDto Rice(DishWish wish, DishDto dish, List<string> understood)
    {
        if (wish.NoRice)
        {
            understood.Add(Said.LineNoRice());
            return dish with { RiceId = null, Rice = null };
        }

        if (wish.Rice is { } rice)
        {
            understood.Add(catalogue.FindRice(rice.Id)!.Said);
            dish = dish with
            {
                RiceId = rice.Id,
                Rice = Amount(rice.Amount),
                RiceState = wish.RiceState is { } state ? ClosedSet.Word(state) : null,
            };
            if (dish.RiceState is not null)
            {
                understood.Add(Said.LineRiceTarget(Said.Say($"rice_state.{dish.RiceState}")));
            }
        }

        // What a dish's name says gives way to a kitchen that cannot; what was asked for in so many words is refused with its reason.
        return
            wish.RiceBeside && dish.RiceId is not null && (wish.SaysBeside || kitchen.RiceCooker is not null || kitchen.Burners.Count > 1)
            ? dish with
            {
                RiceVesselId =
                    kitchen.RiceCooker is { } cooker && !wish.Stages.Any(s => s.WantsFlame())
                        ? cooker.Id
                        : kitchen.Vessels.Where(v => v.Cooker is null && v.Id != dish.VesselId).MaxBy(v => v.Brim.Millilitres)?.Id,
            }
            : dish;
    }

    /// <summary>How the rice comes to the pulses: of the dish that is named now, and only where pulses can leave their liquid for it.</summary>
    private static DishDto RiceJoins(DishWish wish, DishDto dish, List<string> left, List<string> understood, string line)
    {
        var openPot = ClosedSet.Word(Core.Planning.Method.OpenPot);
        // A way that was asked for brings its pot along, unless another was named.
        var method = wish is { RiceJoin: not null, Method: null } ? openPot : dish.Method;
        var fits = dish is { RiceId: not null, RiceVesselId: null, Others: null or { Count: 0 } } && method == openPot;
        if (wish.RiceJoin is { } join && fits)
        {
            understood.Add(Said.LineRiceJoin(ClosedSet.Word(join)));
            return dish with { RiceJoin = ClosedSet.Word(join), Method = openPot, CookerId = null };
        }

        left.AddRange(Texts(wish, line, p => p is LinePart.Said { Of: "join" }));
        return fits && wish.Pulses.Count == 0 ? dish : dish with { RiceJoin = null };
    }

    /// <summary>Pieces of a line as they were typed.</summary>
    private static IEnumerable<string> Texts(DishWish wish, string line, Func<LinePart, bool> which) =>
        wish.Parts.Where(which).Select(p => LineParts.Text(p, line));

    private DishDto Extras(DishWish wish, DishDto dish, List<string> understood)
    {
        var kept = (dish.Extras ?? []).Where(e => !wish.WithoutIds.Contains(e.ExtraId) && wish.Extras.All(x => x.Id != e.ExtraId));
        dish = dish with
        {
            Extras = [.. kept, .. wish.Extras.Select(x => new ExtraWishDto(x.Id, ExtraAmount(x.Amount), Frozen: Frozen(wish, x.Id)))],
        };
        understood.AddRange(wish.Extras.Select(x => catalogue.FindExtra(x.Id)!.Name));
        understood.AddRange(
            wish.WithoutIds.Select(id => Said.LineWithout(catalogue.FindExtra(id)?.Name ?? catalogue.FindPulse(id)?.Said ?? id))
        );
        return dish;
    }

    /// <summary>What nobody keeps in a freezer is not taken from there.</summary>
    private bool? Frozen(DishWish wish, string extraId) =>
        wish.FrozenIds.Contains(extraId) && catalogue.FindExtra(extraId) is { Freezes: true } ? true : null;

    /// <summary>Of dry pulses or rice, in a unit that a dish can say.</summary>
    private AmountDto? Amount(SaidAmount? said) =>
        said is null
            ? null
            : said.Unit switch
            {
                "g" => new(said.Value, "g"),
                "cup" => new(said.Value, "cup"),
                "packet" => new(said.Value, "packet"),
                "tin" => new(Math.Round(said.Value * TinDryGrams), "g"),
                _ => InCups(said),
            };

    private static AmountDto? ExtraAmount(SaidAmount? said) =>
        said is null
            ? null
            : said.Unit switch
            {
                "g" => new(said.Value, "g"),
                "ml" => new(said.Value, "mL"),
                "cup" => new(said.Value, "cup"),
                "piece" => new(said.Value, "piece"),
                _ => HouseholdMeasure.Find(said.Unit) switch
                {
                    { IsMass: true } mass => new(said.Value * mass.Typical, "g"),
                    { IsVolume: true } volume => new(said.Value * volume.Typical, "mL"),
                    _ => null,
                },
            };

    /// <summary>A household's measure in cups or grams; null for what counts.</summary>
    private AmountDto? InCups(SaidAmount said) =>
        HouseholdMeasure.Find(said.Unit) switch
        {
            { IsMass: true } mass => new(Math.Round(said.Value * mass.Typical, 1), "g"),
            { IsVolume: true } volume => new(Math.Round(said.Value * volume.Typical / kitchen.Row.CupMillilitres, 2), "cup"),
            _ => null,
        };

    /// <summary>Dry pulses that a tin of 400 g holds when drained (confidence B).</summary>
    private const double TinDryGrams = 100;

    /// <summary>What a name that means several was taken for, and what else it may be.</summary>
    private List<LineChoiceDto> Choices(DishWish wish, string line)
    {
        var list = new List<LineChoiceDto>();
        foreach (var part in wish.Parts)
        {
            var ids = part switch
            {
                LinePart.Named { Kind: "pulse", Without: false } n => n.Ids,
                LinePart.Dish d when wish.Parts.OfType<LinePart.Named>().All(n => n.Kind != "pulse" || n.Without) => d.Pulses,
                _ => [],
            };
            if (ids.Count > 1)
            {
                list.Add(
                    new(
                        LineParts.Text(part, line),
                        ids[0],
                        catalogue.FindPulse(ids[0])!.Said,
                        [.. ids.Skip(1).Select(id => new LineOtherDto(id, catalogue.FindPulse(id)!.Said))]
                    )
                );
            }
        }

        return list;
    }

    /// <summary>Hours of soak below which most kitchens give a pulse none.</summary>
    private const double OftenSoaked = 4;

    private static string Soaks(Pulse pulse, DishWish wish, DishDto dish) =>
        wish.Soak is null && pulse.SoakHours.Low < OftenSoaked ? ClosedSet.Word(SoakChoice.None) : dish.Soak;

    private DishDto Method(DishWish wish, DishDto dish, List<string> left, List<string> understood, string line)
    {
        switch (wish.Method)
        {
            case Core.Planning.Method.Pressure when kitchen.Vessels.FirstOrDefault(v => v.Cooker is { UnderPressure: true }) is { } cooker:
                understood.Add(Said.LineIn(cooker.Name));
                return dish with { Method = ClosedSet.Word(wish.Method.Value), CookerId = cooker.Id };
            case Core.Planning.Method.SlowCooker when kitchen.Vessels.FirstOrDefault(v => v.Cooker?.Kind == CookerKind.Slow) is { } slow:
                understood.Add(Said.LineIn(slow.Name));
                return dish with { Method = ClosedSet.Word(wish.Method.Value), CookerId = slow.Id };
            case Core.Planning.Method.Cooked:
                understood.Add(Said.LineCooked(ClosedSet.Word(wish.CookedFrom)));
                return dish with
                {
                    CookedFrom = ClosedSet.Word(wish.CookedFrom),
                    Method = ClosedSet.Word(wish.Method.Value),
                    CookerId = null,
                    Soak = ClosedSet.Word(SoakChoice.None),
                };
            case Core.Planning.Method.OpenPot:
                understood.Add(Said.LineOpenPot());
                return dish with { Method = ClosedSet.Word(wish.Method.Value), CookerId = null };
            default:
                // A cooker that this kitchen has not.
                left.AddRange(Texts(wish, line, p => p is LinePart.Said { Of: "method" }));
                return dish;
        }
    }

    /// <summary>An hour without a day is the next time that the clock shows it.</summary>
    private DishDto Time(DishWish wish, DishDto dish, List<string> understood)
    {
        if (wish.FromNow is { } span)
        {
            var then = kitchen.Household.LocalOf(now + span);
            understood.Add(Said.LineAt(Hours.Of(then)));
            return dish with { ServeAtLocal = LocalTimes.Write(then) };
        }

        if (wish.At is null && wish.DaysOn is null && wish.Weekday is null)
        {
            return dish;
        }

        var local = kitchen.Household.LocalOf(now);
        var at = wish.At ?? LocalTimes.Read(dish.ServeAtLocal)?.TimeOfDay ?? new LocalTime(19, 0);
        var later = at > local.TimeOfDay ? 0 : 1;
        var day = wish.Weekday is { } weekday
            ? local.DayOfWeek == weekday && later == 0
                ? local.Date
                : local.Date.Next(weekday)
            : local.Date.PlusDays(wish.DaysOn ?? later);
        understood.Add(Said.LineAt($"{day:ddd} {Hours.Of(at)}"));
        return dish with { ServeAtLocal = LocalTimes.Write(day + at) };
    }
}
