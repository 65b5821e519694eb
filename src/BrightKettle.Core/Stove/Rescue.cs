using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>Answers a trouble by what is seen: what to do, with grams, degrees and minutes, and what comes of it. Each figure is found by
/// running pots.</summary>
public sealed partial class Rescue(Simulator simulator, EveningForecaster forecaster)
{
    /// <summary>Enough for a range while somebody waits for an answer.</summary>
    public const int Pots = 24;

    /// <summary>Minutes that a trouble with a length is taken to have lasted when nobody says.</summary>
    public const double UsualMinutes = 10;

    /// <summary>What boils over before somebody is there, g (confidence D).</summary>
    private const double LostGrams = 150;

    private static readonly double[] MinutesToTry = [2, 4, 6, 8, 10, 13, 16, 20, 25, 30, 36, 43, 52, 62, 75, 90];
    private static readonly double[] WaterToTry = [0, 40, 80, 120, 160, 200, 260, 320, 400, 500, 650, 800];

    /// <param name="evening">Valid by <see cref="EveningForecaster.Check"/>.</param>
    /// <param name="minutes">How long it lasted, or how long somebody is called away; null: as usual. 1 to 240.</param>
    /// <param name="percent">For too salty: what the tongue or a meter says, % of all that is eaten; null: what the ledger says.</param>
    /// <returns>The best first; empty when nothing of this kind can be wrong now.</returns>
    public IReadOnlyList<Answer> For(
        EveningState evening,
        Instant now,
        Trouble trouble,
        Dish dish,
        double? minutes = null,
        double? percent = null
    )
    {
        ArgumentNullException.ThrowIfNull(evening);
        ArgumentNullException.ThrowIfNull(dish);
        var span = Duration.FromMinutes(minutes ?? UsualMinutes);
        var before = AsSeen(evening, now, trouble, span);
        var seen = before.Aggregate(evening, (e, entry) => e.With(entry));
        if (EveningForecaster.Check(seen, now) is not null || seen.ServedAt is not null)
        {
            return [];
        }

        var c = new CourseBuilder(
            simulator,
            forecaster,
            dish with
            {
                Now = now,
            },
            forecaster.Forecast(seen, now, dish.Targets, Pots),
            before,
            evening
        );
        return [.. Answers(c, evening, trouble, span, percent).Where(a => a.Caution == HoldGate.TooCool || c.Passes(a))];
    }

    private static IEnumerable<Answer> Answers(CourseBuilder c, EveningState evening, Trouble trouble, Duration span, double? percent) =>
        trouble switch
        {
            _ when !c.Pot.PulsesIn && !c.Pot.RiceIn && trouble != Trouble.CalledAway => [],
            // A locked lid shows nothing: only what can be seen from outside is answered.
            _ when c.Pot.Locked && trouble is not (Trouble.FlameOut or Trouble.PowerCut or Trouble.CalledAway or Trouble.Silent) => [],
            Trouble.HardDry when c.LookToCome => [.. Cover(c)],
            Trouble.HardWet when c.JoinToCome && c.Rest.All(a => a.Trigger.Look is not { IngredientId: Way.PulseId }) => [.. BoilUntil(c)],
            Trouble.HardWet or Trouble.SoftWet when c.LookToCome => [c.Of("as_planned", null)],
            Trouble.HardDry => [.. End(c, "water_and_steam", WaterToTry, [Lid.Sealed], Flame.Gentle)],
            Trouble.HardWet => [.. End(c, "boil_on", [0], [Lid.On, Lid.Ajar, Lid.Open], Flame.Lively)],
            Trouble.SoftWet => [.. PourOff(c), .. End(c, "boil_off", [0], [Lid.Open], Flame.Lively)],
            Trouble.Sticking => [.. Loosen(c)],
            Trouble.Scorched => [.. Clean(c), .. Loosen(c)],
            Trouble.WrongPot => [.. Wider(c)],
            Trouble.TooSalty => [.. Unsalt(c, percent)],
            Trouble.TooThin => [.. Reduce(c), .. Crush(c)],
            Trouble.TooThick => [.. Thin(c)],
            Trouble.BoiledOver =>
            [
                c.Of(
                    "wipe_and_fill",
                    c.First(
                        "wipe_and_fill",
                        new CookAction.AddWater(Trigger.Next, Mass.FromGrams(LostGrams), CourseBuilder.Boiling),
                        new CookAction.Cover(Trigger.Next, Lid.Ajar)
                    )
                ) with
                {
                    Amount = Mass.FromGrams(LostGrams),
                    Temperature = CourseBuilder.Boiling,
                    Caution = "boil_over",
                },
            ],
            Trouble.FlameOut or Trouble.PowerCut => [.. HeatAgain(c, span)],
            Trouble.LidLifted =>
            [
                c.Of("lid_back", c.First("lid_back", new CookAction.Cover(Trigger.Next, LidBefore(evening)))) with
                {
                    For = span,
                },
            ],
            Trouble.RiceTooEarly => [.. End(c, "together_on", WaterToTry, [Lid.On], Flame.Gentle)],
            Trouble.CalledAway => [.. Leave(c, span, Conditions.Of(evening).Flame)],
            Trouble.Silent when c.Pot.Locked && LidInspection.LookThenLock(c, "off_and_alone") is { } answer => [answer],
            _ => [],
        };

    private static Lid LidBefore(EveningState evening) => Conditions.Of(evening).Lid is Lid.Open ? Lid.On : Conditions.Of(evening).Lid;

    /// <summary>What the trouble itself tells of the minutes before: recorded with the answer that is chosen.</summary>
    private static List<Entry> AsSeen(EveningState evening, Instant now, Trouble trouble, Duration span)
    {
        var pot = Conditions.Of(evening);
        var slow = pot.RiceIn ? Way.RiceId : Way.PulseId;
        var since = Instant.Max(now - span, evening.ActionsDone().Select(d => d.At).DefaultIfEmpty(now).Max());
        Entry Felt(FeltState state) => new Entry.Saw(Guid.Empty, now, new Observation.FeltAs(now, slow, state));
        Entry Dry() => new Entry.Saw(Guid.Empty, now, new Observation.Liquor(now, pot.VesselId, 0, LiquorBy.Eye));
        Entry Did(CookAction action) => new Entry.Extra(Guid.Empty, since, action with { In = pot.VesselId });
        return trouble switch
        {
            Trouble.HardDry => [Felt(FeltState.ChalkyMiddle), Dry()],
            Trouble.HardWet => [Felt(FeltState.ChalkyMiddle)],
            Trouble.SoftWet => [Felt(FeltState.Soft)],
            Trouble.FlameOut or Trouble.PowerCut => [Did(new CookAction.Heat(Trigger.Next, Flame.Off))],
            // What is told to be done at once is taken as done: to go, the flame goes out now.
            Trouble.CalledAway when pot.Flame != Flame.Off && !IsAppliance(evening, pot) =>
            [
                new Entry.Extra(Guid.Empty, now, new CookAction.Heat(Trigger.Next, Flame.Off) { In = pot.VesselId }),
                .. pot.Locked
                    ? Array.Empty<Entry>()
                    : [new Entry.Extra(Guid.Empty, now, new CookAction.Cover(Trigger.Next, Lid.On) { In = pot.VesselId })],
            ],
            Trouble.LidLifted => [Did(new CookAction.Cover(Trigger.Next, Lid.Open))],
            Trouble.BoiledOver when pot.Flame != Flame.Off =>
            [
                new Entry.Extra(Guid.Empty, now, new CookAction.Heat(Trigger.Next, Flame.Gentle) { In = pot.VesselId }),
            ],
            Trouble.RiceTooEarly when !pot.RiceIn && evening.Pending.FirstOrDefault(m => m.Has(StepIds.Join)) is { } join =>
            [
                new Entry.Done(Guid.Empty, now, join.Id) { Poured = Volume.FromMillilitres(0) },
            ],
            _ => [],
        };
    }

    /// <summary>On until all is as wanted, then rested: water, lid and minutes are tried together and the best of them kept.</summary>
    private static IEnumerable<Answer> End(CourseBuilder c, string code, double[] waters, Lid[] lids, Flame flame)
    {
        var rest = Duration.FromMinutes(c.Pot.RiceIn ? 5 : 0);
        var tries = (
            from lid in lids
            from water in waters
            from minutes in MinutesToTry
            select (Lid: lid, Water: water, Minutes: minutes)
        ).ToList();
        Course With((Lid Lid, double Water, double Minutes) t)
        {
            List<CookAction> deeds =
                t.Water > 0 ? [new CookAction.AddWater(Trigger.Next, Mass.FromGrams(t.Water), CourseBuilder.Boiling)] : [];
            deeds.Add(new CookAction.Cover(Trigger.Next, t.Lid));
            deeds.Add(new CookAction.Heat(Trigger.Next, flame));
            deeds.Add(new CookAction.Heat(Trigger.Later(Duration.FromMinutes(t.Minutes)), Flame.Off) { StepId = StepIds.HeatOff });
            deeds.Add(new CookAction.Cover(Trigger.Next, Lid.On));
            return CourseBuilder.Make(code, [.. c.Begin(deeds), .. OtherActions(c), .. c.Table(rest)]);
        }

        var courses = tries.ConvertAll(With);
        if (!c.Works(courses[0]))
        {
            return [];
        }

        var runs = c.Try(courses);
        var best = Enumerable.Range(0, tries.Count).MinBy(k => c.DistanceFromWanted(runs[k]));
        var found = tries[best];
        return runs[best].StalledAt is not null
            ? []
            :
            [
                c.Of(code, courses[best]) with
                {
                    Amount = found.Water > 0 ? Mass.FromGrams(found.Water) : null,
                    Temperature = found.Water > 0 ? CourseBuilder.Boiling : null,
                    For = Duration.FromMinutes(found.Minutes),
                },
            ];
    }

    /// <summary>Water enough that the pulses do not lie dry until the join, where the liquor is set anyway; no more than that.</summary>
    private static IEnumerable<Answer> Cover(CourseBuilder c)
    {
        var flame =
            IsAppliance(c.Now.Evening, c.Pot) ? c.Pot.Flame
            : c.Pot.Flame is Flame.Off or Flame.Lowest ? Flame.Lively
            : c.Pot.Flame;
        var courses = WaterToTry
            .Skip(2)
            .Select(w =>
                c.First(
                    "cover_again",
                    new CookAction.AddWater(Trigger.Next, Mass.FromGrams(w), CourseBuilder.Boiling),
                    new CookAction.Heat(Trigger.Next, flame)
                )
            )
            .ToList();
        if (!c.Works(courses[0]))
        {
            return [];
        }

        var runs = c.Try(courses);
        var best = Enumerable.Range(0, courses.Count).MinBy(k => c.DistanceFromWanted(runs[k]));
        return
        [
            c.Of("cover_again", courses[best]) with
            {
                Amount = Mass.FromGrams(WaterToTry[best + 2]),
                Temperature = CourseBuilder.Boiling,
            },
        ];
    }

    /// <summary>They were taken for ready and are not: back to the boil until a look finds them so, then on as planned.</summary>
    private static IEnumerable<Answer> BoilUntil(CourseBuilder c)
    {
        var look = c.Now.Evening.Moments.Select(m => m.Moment.Trigger.Look).LastOrDefault(l => l is { IngredientId: Way.PulseId })
            ?? new Look(Way.PulseId, Doneness.Tender, Duration.FromMinutes(5));
        var course = c.First(
            "boil_on",
            new CookAction.Cover(Trigger.Next, Lid.On),
            new CookAction.Heat(Trigger.Next, Flame.Lively),
            new CookAction.Heat(new Trigger(Delay: look.Again, Look: look), Flame.Off) { StepId = StepIds.Ready }
        );
        if (!c.Works(course))
        {
            return [];
        }

        var answer = c.Of("boil_on", course);
        var ready = answer.After.Due.FirstOrDefault(d =>
            answer.After.Evening.Find(d.MomentId) is { Moment: var m } && m.Has(StepIds.Ready)
        );
        return [answer with { For = ready is null ? null : ready.At - c.Now.Now }];
    }

    /// <summary>What is still to do in other vessels and bowls goes on.</summary>
    private static IEnumerable<CookAction> OtherActions(CourseBuilder c)
    {
        var kitchen = c.Now.Evening.Cook.Kitchen;
        return c.Rest.Where(a => a is not CookAction.Serve && kitchen[kitchen.IndexOf(a.In)].Vessel.Id != c.Pot.VesselId);
    }

    private static IEnumerable<Answer> Loosen(CourseBuilder c)
    {
        var water = Mass.FromGrams(c.LiquorGrams < 150 ? 120 : 60);
        // What is still to come to the boil keeps its flame, or it never would.
        var course =
            c.Pot.Flame is Flame.Lively or Flame.Gentle && c.Rest is [{ Trigger.After: null }, ..]
                ? c.First(
                    "loosen",
                    new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling),
                    new CookAction.Heat(Trigger.Next, Flame.Gentle)
                )
                : c.First("loosen", new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling));
        return c.Works(course) ? [c.Of("loosen", course) with { Amount = water, Temperature = CourseBuilder.Boiling }] : [];
    }

    /// <summary>Off a scorched base, with some water in place of what stays behind.</summary>
    private static IEnumerable<Answer> Clean(CourseBuilder c) =>
        Roomy(c).OrderBy(v => v.Brim.Millilitres).Take(1).SelectMany(v => OtherPot(c, v, "other_pot", Mass.FromGrams(100)));

    /// <summary>Into the widest pot that is free.</summary>
    private static IEnumerable<Answer> Wider(CourseBuilder c) =>
        Roomy(c).OrderByDescending(v => v.Diameter.Centimetres).Take(1).SelectMany(v => OtherPot(c, v, "move_over", Mass.Zero));

    /// <summary>Free pots that take all of it.</summary>
    private static IEnumerable<Vessel> Roomy(CourseBuilder c)
    {
        var full = (c.Now.Pot?.LevelCentimetres ?? 0) * c.Now.Evening.Cook.Kitchen.Vessel.AreaSquareCentimetres;
        return c.Spare.Where(v => v.Cooker is null && v.Brim.Millilitres * Vessel.UsableShare >= full);
    }

    /// <summary>All of it over into another pot, where the rest goes on as planned.</summary>
    /// <param name="water">Boiling, with it; zero for none.</param>
    private static IEnumerable<Answer> OtherPot(CourseBuilder c, Vessel pot, string code, Mass water)
    {
        var kitchen = c.Now.Evening.Cook.Kitchen;
        List<CookAction> over =
        [
            new CookAction.Heat(Trigger.Next, Flame.Off),
            new CookAction.Transfer(Trigger.Next, pot.Id, TransferWhat.Everything) { StepId = "into_clean_pot" },
        ];
        List<CookAction> there =
        [
            .. water > Mass.Zero ? [new CookAction.AddWater(Trigger.Next, water, CourseBuilder.Boiling)] : (CookAction[])[],
            new CookAction.Cover(Trigger.Next, c.Pot.Lid),
            new CookAction.Heat(Trigger.Next, c.Pot.Flame == Flame.Rolling ? Flame.Lively : c.Pot.Flame),
        ];
        there = there.ConvertAll(a => a with { In = pot.Id });
        there[0] = there[0] with { Trigger = Trigger.Next with { AfterStep = "into_clean_pot" } };
        // The table waits for the first pot's track, so it stays there and waits for the other's.
        var rest = c.RestBoiledAnew()
            .Select(a =>
                a is CookAction.Serve || BowlLane.Holds(a) || kitchen[kitchen.IndexOf(a.In)].Vessel.Id != c.Pot.VesselId
                    ? a
                    : a with
                    {
                        In = pot.Id,
                    }
            )
            .ToList();
        var serve = rest[^1];
        rest[^1] = new CookAction.Stir(serve.Trigger) { In = pot.Id, StepId = "clean_pot_done" };
        rest.Add(serve with { Trigger = Trigger.Next with { AfterStep = "clean_pot_done" } });
        var course = new Course(code, [.. c.Begin(over), .. there, .. rest], [new CookVessel(pot, c.Burner)], []);
        if (!c.Works(course))
        {
            return [];
        }

        var answer = c.Of(code, course) with { Into = pot };
        return [water > Mass.Zero ? answer with { Amount = water, Temperature = CourseBuilder.Boiling } : answer];
    }

    private static IEnumerable<Answer> HeatAgain(CourseBuilder c, Duration span)
    {
        var before = FlameBefore(c);
        var back = IsAppliance(c.Now.Evening, c.Pot) ? [new CookAction.Heat(Trigger.Next, before)] : Relit(c, Trigger.Next, before);
        var course = CourseBuilder.Make("heat_again", [.. c.Begin(back), .. c.RestBoiledAnew()]);
        return c.Works(course) ? [ToldCold(c.Of("heat_again", course)) with { For = span }] : [];
    }

    /// <summary>Full flame to the boil, and from there the flame that burned before; what waits for the boil anyway says so itself.</summary>
    private static List<CookAction> Relit(CourseBuilder c, Trigger when, Flame before)
    {
        List<CookAction> back = [new CookAction.Heat(when, Flame.Full) { StepId = StepIds.Reheat }];
        if (
            c.Pot is { Locked: false }
            && before is not (Flame.Full or Flame.Off)
            && c.NextInPot?.Trigger.After is null
            && c.RestBoiledAnew().All(a => a.StepId != StepIds.Boils)
        )
        {
            back.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), before));
        }

        return back;
    }

    /// <summary>The flame that burned before it went out.</summary>
    private static Flame FlameBefore(CourseBuilder c) =>
        c.Now.Evening.ActionsDone()
            .Select(d => d.Action)
            .OfType<CookAction.Heat>()
            .Where(h => h.Flame != Flame.Off)
            .Select(h => (Flame?)h.Flame)
            .LastOrDefault()
        ?? Flame.Full;

    /// <summary>No flame burns while nobody is there: it is out by now, and on again afterwards.</summary>
    private static IEnumerable<Answer> Leave(CourseBuilder c, Duration span, Flame before)
    {
        if (before != Flame.Off && IsAppliance(c.Now.Evening, c.Pot))
        {
            return [c.Of("runs_on", null) with { For = span, Caution = FlameGate.ApplianceAlone }];
        }

        if (before == Flame.Off)
        {
            return [c.Of("go", null) with { For = span }];
        }

        var course = CourseBuilder.Make(
            "off_and_back",
            [.. c.Begin(Relit(c, Trigger.At(c.Now.Now + span), before)), .. c.RestBoiledAnew()]
        );
        return c.Works(course) ? [ToldCold(c.Of("off_and_back", course)) with { For = span }] : [];
    }

    /// <summary>Electric, and nobody's flame.</summary>
    private static bool IsAppliance(EveningState evening, Conditions pot) =>
        evening.Cook.Kitchen[evening.Cook.Kitchen.IndexOf(pot.VesselId)].Vessel.Cooker is { Stovetop: false };

    /// <summary>The flame is out whatever the gates say: what has stood lukewarm for too long by then is told, not hidden.</summary>
    private static Answer ToldCold(Answer answer) =>
        answer with
        {
            Caution = answer.After.Forecast.Gates.Any(f => f is { Blocks: true, Code: HoldGate.TooCool }) ? HoldGate.TooCool : null,
        };
}
