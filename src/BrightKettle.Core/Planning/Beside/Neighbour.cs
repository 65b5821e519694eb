using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Hands;
using BrightKettle.Core.Safety;
using NodaTime;

namespace BrightKettle.Core.Planning.Beside;

/// <summary>A span in which something of the kitchen is taken.</summary>
/// <param name="Id">Of the vessel, the burner or the step.</param>
public sealed record Busy(string Id, Instant From, Instant To)
{
    public bool Meets(Busy other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return From < other.To && other.From < To;
    }

    internal Busy Later(Duration by) => this with { From = From + by, To = To + by };
}

/// <summary>A dish of the evening by what it takes of the kitchen, and when: pots, flames and hands, as the reference pot has them.</summary>
/// <param name="Id">Of the kept dinner; two of them may have one title.</param>
/// <param name="Pots">From what first goes in until it is emptied, or stands on the table.</param>
/// <param name="Burners">While a flame burns; an appliance with a heat of its own takes none.</param>
/// <param name="Hands">Moments that cannot wait until the other dish is done with.</param>
public sealed record Neighbour(string Id, string Title, IReadOnlyList<Busy> Pots, IReadOnlyList<Busy> Burners, IReadOnlyList<Busy> Hands)
{
    /// <summary>A bowl can wait, and all may come to the table at once.</summary>
    private static readonly HashSet<string> NotPressed =
    [
        StepIds.SoakStarts,
        StepIds.SoakEnds,
        StepIds.SoakChilled,
        StepIds.RiceSoakStarts,
        StepIds.Table,
    ];

    /// <summary>A dish that nobody has run yet.</summary>
    public static Neighbour Of(string id, string title, Cook cook, Simulator simulator)
    {
        ArgumentNullException.ThrowIfNull(simulator);
        return Of(id, title, cook, simulator.Run(cook, PotTraits.Reference(cook), RunOptions.Search));
    }

    /// <param name="run">Of the reference pot.</param>
    public static Neighbour Of(string id, string title, Cook cook, PotRun run)
    {
        ArgumentNullException.ThrowIfNull(cook);
        ArgumentNullException.ThrowIfNull(run);
        var trace = new CookTrace(cook);
        var ends = At(cook, run.EndSeconds);
        return new(
            id,
            title,
            [.. Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => PotOf(trace, run, v, ends)).OfType<Busy>()],
            [
                .. FlameGate
                    .Flames(trace, run)
                    .Where(f => !f.Appliance)
                    .Select(f => new Busy(cook.Kitchen[trace.VesselOf(f.Action)].Burner.Id, f.From, f.To)),
            ],
            [.. Enumerable.Range(0, cook.Actions.Count).Select(i => HandsOf(cook, run, i)).OfType<Busy>()]
        );
    }

    /// <summary>The same, all of it so much later.</summary>
    public Neighbour Later(Duration by) =>
        this with
        {
            Pots = [.. Pots.Select(b => b.Later(by))],
            Burners = [.. Burners.Select(b => b.Later(by))],
            Hands = [.. Hands.Select(b => b.Later(by))],
        };

    private static Busy? PotOf(CookTrace trace, PotRun run, int vessel, Instant ends)
    {
        var cook = trace.Cook;
        var pot = cook.Kitchen[vessel].Vessel;
        if (pot.IsBowl)
        {
            return null;
        }

        var done = Enumerable
            .Range(0, cook.Actions.Count)
            .Where(i => run.Done[i] is not null && !BowlLane.Holds(cook.Actions[i]) && Touches(trace, i, vessel))
            .ToList();
        if (done.Count == 0)
        {
            return null;
        }

        var emptied = done.FindLastIndex(i =>
            cook.Actions[i] is CookAction.Transfer { What: TransferWhat.Everything } && trace.VesselOf(i) == vessel
        );
        var to = emptied >= 0 && emptied == done.Count - 1 ? At(cook, run.At(done[emptied]).Seconds) : ends;
        return new(pot.Id, At(cook, run.At(done[0]).Seconds), to);
    }

    private static bool Touches(CookTrace trace, int action, int vessel) =>
        trace.VesselOf(action) == vessel
        || (trace.Cook.Actions[action] is CookAction.Transfer over && trace.Cook.Kitchen.IndexOf(over.To) == vessel);

    private static Busy? HandsOf(Cook cook, PotRun run, int action)
    {
        var what = cook.Actions[action];
        if (
            what.StepId is not { } step
            || NotPressed.Contains(step)
            || !HandsTable.Visits.TryGetValue(step, out var row)
            || run.Done[action] is not { } done
        )
        {
            return null;
        }

        var (from, to) = row.Span(At(cook, done.Seconds), what.Trigger);
        return new(step, from, to);
    }

    private static Instant At(Cook cook, double seconds) => cook.Starts + Duration.FromSeconds(Math.Round(seconds));
}
