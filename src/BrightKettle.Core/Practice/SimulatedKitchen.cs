using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>A kitchen whose bag, flame, lid and thirst nobody knows: things are done in it at their time, and it is looked at, as a real
/// one is. It answers what an eye, an ear and a hand could find, and nothing of what comes later but when something will be heard.</summary>
/// <param name="setup">Its pots, its place and what is cooked; its actions are not looked at.</param>
/// <param name="hidden">One pace for each ingredient; the hand is not asked.</param>
public sealed class SimulatedKitchen(Simulator simulator, Cook setup, PotTraits hidden)
{
    /// <summary>Nobody waits longer for anything at a stove.</summary>
    private static readonly Duration Patience = Duration.FromHours(12);

    private readonly List<CookAction> _deeds = [];
    private readonly PotTraits _hidden = hidden with { Hand = null };
    private (int Deeds, Instant Until, PotRun Run)? _known;

    /// <summary>With the pots and the ingredients that came in later.</summary>
    public Cook Setup { get; private set; } = setup;

    private PotTraits Hidden =>
        _hidden with
        {
            Pace = [.. _hidden.Pace, .. Enumerable.Repeat(1.0, Setup.Ingredients.Count - _hidden.Pace.Count)],
        };

    /// <summary>As it stands after all of this.</summary>
    /// <param name="done">In its order; all of it could be done.</param>
    public void Did(IEnumerable<(Instant At, CookAction Deed)> done)
    {
        _deeds.AddRange(done.Select(d => d.Deed with { Trigger = Trigger.At(d.At) }));
        _known = null;
    }

    /// <summary>Something else came onto the counter: a pot, an onion.</summary>
    /// <param name="setup">With all that was there before, first.</param>
    public void Bring(Cook setup)
    {
        ArgumentNullException.ThrowIfNull(setup);
        (Setup, _known) = (setup, null);
    }

    /// <summary>Does something, after all that was done before in the same vessel.</summary>
    /// <returns>When it was done: at once, but for liquor that is boiled down and for what waits for its bowl.</returns>
    /// <exception cref="InvalidOperationException">It cannot be done as the kitchen stands.</exception>
    public Instant Do(Instant at, CookAction deed)
    {
        ArgumentNullException.ThrowIfNull(deed);
        _deeds.Add(deed with { Trigger = Trigger.At(at) });
        var run = Run(at + Patience);
        return run.Done[_deeds.Count - 1] is { } done
            ? Setup.Starts + Duration.FromSeconds(done.Seconds)
            : throw new InvalidOperationException("This cannot be done as the kitchen stands.");
    }

    /// <summary>When something will have happened by itself that somebody waits for, counted since what was done last in that vessel; null
    /// where it never will.</summary>
    /// <param name="count">Of whistles since the lid was locked: the how-manieth.</param>
    public Instant? When(string vesselId, PotEvent what, int count = 1)
    {
        var waits = new CookAction.Stir(Trigger.Once(what) with { Count = count }) { In = vesselId };
        var run = simulator.Run(Setup with { Actions = [.. _deeds, waits] }, Hidden);
        return run.Done[^1] is { } seen ? Setup.Starts + Duration.FromSeconds(seen.Seconds) : null;
    }

    /// <summary>How far along something is, as nobody can know it: a hand is some points off.</summary>
    /// <param name="at">After all that was done.</param>
    public double Doneness(string ingredientId, Instant at) => Run(at).Final[Setup.IndexOf(ingredientId)].Doneness;

    /// <summary>Free liquor of a vessel, g.</summary>
    /// <inheritdoc cref="Doneness" path="/param"/>
    public double Liquor(string vesselId, Instant at) => Run(at).Vessels[Setup.Kitchen.IndexOf(vesselId)].LiquorGrams;

    /// <summary>How high the liquor stands over the bed, cm, negative under it; null where the bed does not show, as in another pot than
    /// that of the first ingredient.</summary>
    /// <inheritdoc cref="Doneness" path="/param"/>
    public double? OverBed(string vesselId, Instant at)
    {
        return Seen(at).Samples is [.., var last] && last.BedCentimetres.Sum() is > 0 and var bed && Setup.Kitchen.IndexOf(vesselId) == 0
            ? last.LevelCentimetres - bed
            : null;
    }

    /// <summary>What these actions did here, each at the time at which it was really done.</summary>
    /// <param name="meant">As it was meant, all of it done.</param>
    public PotRun Truth(CookTrace meant)
    {
        ArgumentNullException.ThrowIfNull(meant);
        var really = meant.Cook.Actions.Select((a, i) => meant.DoneAt(i) is { } at ? a with { Trigger = Trigger.At(at) } : a);
        return simulator.Run(meant.Cook with { Actions = [.. really] }, Hidden);
    }

    /// <summary>All minutes up to then, the last of them as it is seen.</summary>
    /// <inheritdoc cref="Doneness" path="/param"/>
    public PotRun Seen(Instant at) =>
        simulator.Run(Setup with { Actions = [.. _deeds, new CookAction.Serve(Trigger.At(at))] }, Hidden, new(Sample: true));

    /// <summary>Served and looked into: the whole evening up to then.</summary>
    /// <inheritdoc cref="Doneness" path="/param"/>
    public PotRun Served(Instant at) => Run(at);

    private PotRun Run(Instant until)
    {
        if (_known is { } known && known.Deeds == _deeds.Count && known.Until == until)
        {
            return known.Run;
        }

        var run = simulator.Run(Setup with { Actions = [.. _deeds, new CookAction.Serve(Trigger.At(until))] }, Hidden);
        _known = (_deeds.Count, until, run);
        return run;
    }
}
