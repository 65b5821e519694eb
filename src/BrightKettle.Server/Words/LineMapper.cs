using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Catalogue;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Words;

/// <summary>From what one line said to a changed dish, with what was understood.</summary>
public sealed class LineMapper(PulseCatalogue catalogue, KitchenState kitchen, Instant now)
{
    public LineAnswerDto Map(DishWish wish, DishDto dish)
    {
        ArgumentNullException.ThrowIfNull(wish);
        ArgumentNullException.ThrowIfNull(dish);
        var understood = new List<string>();
        var left = wish.NotUnderstood.ToList();
        dish = dish with { Pull = null };
        if (wish.People is { } people)
        {
            dish = dish with { People = people, Pulse = null, Rice = null };
            understood.Add(Said.LinePeople(people));
        }

        if (Pulse(wish, left) is { } pulse)
        {
            var others = wish.PulseIds.Where(id => id != pulse.Id).Take(3).ToList();
            dish = dish with
            {
                PulseId = pulse.Id,
                Pulse = null,
                Soak = Soaks(pulse, wish, dish),
                Others = [.. others.Select(id => new OtherPulseDto(id))],
            };
            understood.Add(string.Join(" and ", others.Select(id => catalogue.FindPulse(id)!.Said).Prepend(pulse.Said)));
        }

        if (wish.NoRice)
        {
            dish = dish with { RiceId = null, Rice = null };
            understood.Add(Said.LineNoRice());
        }
        else if (wish.RiceId is { } rice)
        {
            dish = dish with { RiceId = rice, Rice = null };
            understood.Add(catalogue.FindRice(rice)!.Said);
        }

        if (wish.Style is { } style)
        {
            dish = dish with { Style = ClosedSet.Word(style) };
            understood.Add(ClosedSet.Word(style));
        }

        if (wish.Soak is { } soak)
        {
            dish = dish with { Soak = ClosedSet.Word(soak) };
            understood.Add(Said.LineSoak(ClosedSet.Word(soak)));
        }

        dish = Method(wish, dish, understood);
        foreach (var extra in wish.ExtraIds.Where(x => dish.Extras?.Any(e => e.ExtraId == x) != true))
        {
            dish = dish with { Extras = [.. dish.Extras ?? [], new(extra)] };
            understood.Add(catalogue.FindExtra(extra)!.Name);
        }

        return new(Time(wish, dish, understood), understood, left);
    }

    /// <summary>The pulse by its name; failing that, by a slip of spelling among the words that are left. Of several, the one that takes
    /// longest leads.</summary>
    private Pulse? Pulse(DishWish wish, List<string> left)
    {
        if (wish.PulseIds.Count > 0)
        {
            return wish.PulseIds.Select(id => catalogue.FindPulse(id)!).MaxBy(p => p.SimmerUnsoakedMinutes.Middle);
        }

        foreach (var word in left.Where(w => w.Length >= 5))
        {
            if (
                NameSearch.Find(word, catalogue.Pulses.Select(p => (p.Id, p.Name, (IReadOnlyList<string>)[p.Said, .. p.Aliases])))
                is [var found, ..]
            )
            {
                left.Remove(word);
                return catalogue.FindPulse(found.Id);
            }
        }

        return null;
    }

    private static string Soaks(Pulse pulse, DishWish wish, DishDto dish) =>
        wish.Soak is null && pulse.SoakHours.High <= 0 ? ClosedSet.Word(SoakChoice.None) : dish.Soak;

    private DishDto Method(DishWish wish, DishDto dish, List<string> understood)
    {
        switch (wish.Method)
        {
            case Core.Planning.Method.Pressure when kitchen.Vessels.FirstOrDefault(v => v.Cooker is { UnderPressure: true }) is { } cooker:
                understood.Add(Said.LineIn(cooker.Name));
                return dish with { Method = ClosedSet.Word(wish.Method.Value), CookerId = cooker.Id };
            case Core.Planning.Method.SlowCooker when kitchen.Vessels.FirstOrDefault(v => v.Cooker is { UnderPressure: false }) is { } slow:
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
                return dish;
        }
    }

    /// <summary>An hour without a day is the next time that the clock shows it.</summary>
    private DishDto Time(DishWish wish, DishDto dish, List<string> understood)
    {
        if (wish.At is null && wish.DaysOn is null)
        {
            return dish;
        }

        var local = kitchen.Household.LocalOf(now);
        var at = wish.At ?? LocalTimes.Read(dish.ServeAtLocal)?.TimeOfDay ?? new LocalTime(19, 0);
        var day = local.Date.PlusDays(wish.DaysOn ?? (at > local.TimeOfDay ? 0 : 1));
        understood.Add(Said.LineAt(at.ToString("HH:mm", CultureInfo.InvariantCulture)));
        return dish with { ServeAtLocal = LocalTimes.Write(day + at) };
    }
}
