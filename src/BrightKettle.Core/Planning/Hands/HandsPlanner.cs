using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning.Hands;

/// <summary>From a plan to what the cook's hands do when.</summary>
public static class HandsPlanner
{
    /// <summary>Places every side task that the plan calls for.</summary>
    /// <param name="burners">Of the kitchen, those under the pots counted in; at least 1.</param>
    public static HandsPlan For(Plan plan, int burners)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var visits = Visits(plan);
        var all = Tasks(plan).ToList();
        var tasks = all.Where(t => !t.DayBefore).Select(t => t.Task).ToList();
        var flames = FlameGate
            .Flames(new CookTrace(plan.Cook), plan.Forecast.Reference)
            .Where(f => !f.Appliance)
            .Select(f => (f.From, f.To))
            .ToList();
        var opens = plan.Forecast.Find(StepIds.Light)!.Reference;
        // The other dishes of the evening have their hands and flames too.
        var beside = plan.Dish.Beside;
        var starts = new HandsSolver(
            tasks,
            [.. visits.Select(v => (v.From, v.To)), .. beside.SelectMany(n => n.Hands).Select(h => (h.From, h.To))],
            [.. flames, .. beside.SelectMany(n => n.Burners).Select(b => (b.From, b.To))],
            burners,
            opens
        ).Solve();
        var placed = tasks
            .Zip(starts)
            .Where(p => p.Second is not null)
            .Select(p => new PlacedTask(p.First, p.Second!.Value))
            .OrderBy(p => p.From)
            .ToList();
        var outside = placed.Where(p => p.Task.Attended).Sum(p => Math.Clamp((opens - p.From).TotalMinutes, 0, p.Task.Length.TotalMinutes));
        return new(
            visits,
            placed,
            [.. tasks.Zip(starts).Where(p => p.Second is null).Select(p => p.First)],
            [.. all.Where(t => t.DayBefore).Select(t => t.Task)],
            placed.Where(p => p.Task.Attended).Sum(p => p.Task.Length.TotalMinutes) - outside,
            outside
        );
    }

    /// <summary>Moments at the stove from the reference pot; looks are repeated until eight pots in ten are ready. Those that follow each
    /// other at once are one.</summary>
    private static List<Visit> Visits(Plan plan)
    {
        var list = new List<Visit>();
        foreach (var m in plan.Forecast.Moments)
        {
            // What soaks already asks for no hand.
            if (!HandsTable.Visits.TryGetValue(m.StepId, out var row) || (m.StepId == StepIds.SoakStarts && m.Reference < plan.Dish.Now))
            {
                continue;
            }

            if (m.StepId == StepIds.Ready && plan.Cook.Actions[m.Action].Trigger is { Look: { } look } when)
            {
                var first = when.NotBefore ?? Instant.Max(m.Early, plan.Forecast.Find(StepIds.Opened)?.Reference ?? m.Early);
                for (var at = first; at <= m.Late; at += look.Again)
                {
                    list.Add(new(m.StepId, at, at + Duration.FromMinutes(row.Minutes)));
                }

                continue;
            }

            var (from, to) = row.Span(m.Reference, plan.Cook.Actions[m.Action].Trigger);
            list.Add(new(m.StepId, from, to));
        }

        return Apart([.. list.OrderBy(v => v.From)]);
    }

    /// <summary>Two hands do one thing after the other: what would overlap is pushed on.</summary>
    private static List<Visit> Apart(List<Visit> visits)
    {
        for (var i = 1; i < visits.Count; i++)
        {
            if (visits[i].From < visits[i - 1].To)
            {
                var length = visits[i].To - visits[i].From;
                visits[i] = visits[i] with { From = visits[i - 1].To, To = visits[i - 1].To + length };
            }
        }

        return visits;
    }

    private static IEnumerable<(SideTask Task, bool DayBefore)> Tasks(Plan plan)
    {
        foreach (var row in HandsTable.Tasks)
        {
            foreach (var (grams, due, what) in Wanted(plan, row))
            {
                var batches = row.BatchGrams > 0 ? Math.Max(1, (int)Math.Ceiling(grams / row.BatchGrams)) : 1;
                var latest = due - Duration.FromMinutes(row.Gap);
                var earliest = Instant.Max(
                    plan.Dish.Now,
                    row.Within > 0 ? due - Duration.FromMinutes(row.Within) : due - Duration.FromHours(4)
                );
                for (var k = 0; k < batches; k++)
                {
                    var minutes = Math.Ceiling(row.Minutes + (row.MinutesPer100 * grams / 100));
                    yield return (
                        new(
                            batches > 1 ? $"{row.Id}_{k + 1}" : row.Id,
                            row.Id,
                            Duration.FromMinutes(minutes),
                            row.Attended,
                            row.Burner,
                            earliest,
                            latest,
                            row.After,
                            what,
                            k + 1,
                            batches
                        ),
                        row.DayBefore
                    );
                }
            }
        }
    }

    /// <summary>The grams that a task is about, when they go in and, where the task does not say it, what they are; nothing when the plan
    /// has no use for it.</summary>
    private static IEnumerable<(double Grams, Instant Due, string? What)> Wanted(Plan plan, TaskRow row)
    {
        Instant? At(string mark) => plan.Forecast.Find(mark)?.Reference;
        var join = At(StepIds.Join) ?? At(StepIds.Reheat) ?? At(StepIds.Light)!.Value;
        switch (row.For)
        {
            case "rice" when plan.Dish.Rinse is "yes" or "light":
                yield return (
                    plan.Dish.RiceDry.Grams,
                    At(StepIds.RiceSoakStarts)
                        ?? At(StepIds.RiceLight)
                        ?? (plan.RiceStarts || plan.BothStart ? At(StepIds.Light)!.Value : join),
                    null
                );
                break;
            case "toasted" when plan.Dish.Has(AskedStage.Toast):
                yield return (plan.Dish.RiceDry.Grams, At(StepIds.RiceLight) ?? join, null);
                break;
            case "boiling_water" when plan.Join is { AddedMillilitres.High: > 20 }:
                yield return (0, join, null);
                break;
            case "frozen":
                foreach (var thawed in Thawed(plan.Dish))
                {
                    yield return (0, join, thawed);
                }

                break;
        }

        // Leaves and spices are one task, ready for the first of them.
        var wanted = plan
            .Dish.Extras.Where(x =>
                row.For == x.Extra.Id
                || row.For.Equals(x.Extra.Kind.ToString(), StringComparison.OrdinalIgnoreCase)
                || (row.For == "blanched" && x.Blanched)
            )
            // What is fried in the pot is not browned in a pan.
            .Where(x => !(row.Burner && (plan.Dish.FriesFirst(x) || plan.Dish.FriesForRice(x))))
            .ToList();
        if (wanted.Count > 0)
        {
            yield return (
                wanted.Sum(x => x.Amount.Grams),
                wanted.Min(x =>
                    x.Time switch
                    {
                        _ when plan.Dish.FriesFirst(x) => At(StepIds.Base) ?? join,
                        ExtraTime.Start => At(plan.Dish.How.Soak.InPot.Count > 0 ? StepIds.SoakEnds : StepIds.Light) ?? join,
                        ExtraTime.Rice => At(StepIds.RiceBase) ?? At(StepIds.RiceLight) ?? join,
                        ExtraTime.Join => join,
                        _ => At(StepIds.Seal) ?? At(StepIds.Reheat) ?? join,
                    }
                ),
                null
            );
        }
    }

    /// <summary>What goes into the fridge the day before, by its name.</summary>
    private static IEnumerable<string> Thawed(Dish dish) =>
        (dish.How.Pulses is Warmed { From: CookedFrom.Freezer } ? [dish.Pulse.Said] : Enumerable.Empty<string>()).Concat(
            dish.Extras.Where(x => x.Frozen && dish.CanThaw).Select(x => x.Extra.Name)
        );
}
