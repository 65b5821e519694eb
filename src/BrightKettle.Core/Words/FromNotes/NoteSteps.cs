using BrightKettle.Core.Cooking;
using BrightKettle.Core.Words.Grammar;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>From the pieces of one line to its steps: a phrase belongs to its strongest verb, a phrase without one to the verb before
/// it, or after it where that comes last.</summary>
internal sealed class NoteSteps(NoteAmounts amounts)
{
    private readonly List<NoteStep> _steps = [];

    public IReadOnlyList<NoteStep> All => _steps;

    /// <param name="forRice">It stands under the rice's own heading.</param>
    public void Read(string line, IReadOnlyList<NotePiece> pieces, bool forRice)
    {
        foreach (var sentence in SplitAt<NotePiece.Stop>(pieces))
        {
            foreach (var clause in Clauses(sentence))
            {
                Take(line, clause, forRice);
            }
        }
    }

    /// <summary>Rice that is cooked before the pulses are named at all has a pot of its own.</summary>
    public void TellRiceApart()
    {
        var rice = _steps.FindIndex(s => s.Act == NoteAct.RiceIn);
        bool Pulses(NoteStep step) => step.Puts.Any(p => p.Kind == "pulse") && (step.Heats || step.Act is NoteAct.Add);
        if (rice < 0 || _steps.Take(rice + 1).Any(Pulses) || !_steps.Skip(rice + 1).Any(Pulses))
        {
            return;
        }

        for (var i = 0; i <= rice; i++)
        {
            if (_steps[i].Heats || i == rice)
            {
                _steps[i] = _steps[i] with { Act = NoteAct.RiceApart };
            }
        }
    }

    /// <summary>What an amount's line says of a soak: 500 g chickpeas, soaked overnight.</summary>
    public void ReadSoak(string line, IReadOnlyList<NotePiece> pieces)
    {
        var soak = pieces.OfType<NotePiece.Does>().FirstOrDefault(d => IsSoak(d.Act));
        if (soak is not null || pieces.Any(p => p is NotePiece.Named n && n.Is.Contains(NotePiece.Soaked)))
        {
            _steps.Add(new(line, soak?.Act ?? NoteAct.Soak, MinutesOf(pieces), null));
        }
    }

    /// <summary>"Chickpeas, no soak" is a name that says what no step does.</summary>
    public void ReadTitle(string title, IReadOnlyList<NotePiece> pieces)
    {
        if (pieces.Any(p => p is NotePiece.Does { Act: NoteAct.Unsoaked }) && !_steps.Exists(s => IsSoak(s.Act)))
        {
            _steps.Insert(0, new(title, NoteAct.Unsoaked, null, null));
        }
    }

    private static bool IsSoak(NoteAct act) => act is NoteAct.Soak or NoteAct.QuickSoak or NoteAct.Unsoaked;

    private static IEnumerable<List<NotePiece>> SplitAt<T>(IEnumerable<NotePiece> pieces)
        where T : NotePiece
    {
        var part = new List<NotePiece>();
        foreach (var piece in pieces)
        {
            if (piece is T)
            {
                yield return part;
                part = [];
            }
            else
            {
                part.Add(piece);
            }
        }

        yield return part;
    }

    private static List<List<NotePiece>> Clauses(List<NotePiece> sentence)
    {
        var clauses = new List<List<NotePiece>>();
        var before = new List<NotePiece>();
        foreach (var segment in SplitAt<NotePiece.Break>(sentence).Where(s => s.Count > 0))
        {
            var verbs = segment.OfType<NotePiece.Does>().ToList();
            if (verbs.Count == 0)
            {
                // "Boil 10 minutes, turn down, 40 more minutes": its own.
                if (clauses.Count > 0 && clauses[^1].Exists(p => p is NotePiece.Lasts) && segment.Exists(p => p is NotePiece.Lasts))
                {
                    // "Soak the mung 4 h and the rice 30 min": the same again.
                    clauses.Add(
                        clauses[^1].OfType<NotePiece.Does>().FirstOrDefault(d => d.Act == NoteAct.Soak) is { } soaks
                            ? [soaks, .. segment]
                            : segment
                    );
                    continue;
                }

                (clauses.Count > 0 ? clauses[^1] : before).AddRange(segment);
                continue;
            }

            var rank = verbs.Min(v => v.Rank);
            // "Havucu ekleyip 15 dakika pişirin": in it goes, and it cooks so long.
            var cooksOn =
                rank == VerbRank.Strong
                && segment.Exists(p => p is NotePiece.Lasts)
                && verbs.TrueForAll(v => v.Rank != VerbRank.Strong || v.Act is NoteAct.Add or NoteAct.Season or NoteAct.Return);
            var clause = before;
            before = [];
            var begun = false;
            foreach (var piece in segment)
            {
                if (piece is NotePiece.Does does && (does.Rank == rank || (cooksOn && does.Rank == VerbRank.Generic)))
                {
                    if (begun)
                    {
                        clauses.Add(clause);
                        // What was said of the time before is this verb's.
                        var mine = does.Rank == VerbRank.Generic ? clause.Where(p => p is NotePiece.Lasts).ToList() : [];
                        clause.RemoveAll(mine.Contains);
                        clause = mine;
                    }

                    begun = true;
                }

                clause.Add(piece);
            }

            clauses.Add(clause);
        }

        if (before.Count > 0)
        {
            clauses.Add(before);
        }

        return clauses;
    }

    private void Take(string line, List<NotePiece> clause, bool forRice)
    {
        var verb = clause.OfType<NotePiece.Does>().MinBy(v => v.Rank);
        var minutes = MinutesOf(clause);
        var whistles = clause.OfType<NotePiece.Whistled>().Select(w => (int?)w.Count).FirstOrDefault();
        var step = new NoteStep(Told(line, clause), verb?.Act ?? NoteAct.Other, minutes, whistles)
        {
            Puts = [.. clause.Select(amounts.PutOf).OfType<NotePut>()],
            Lid = clause.OfType<NotePiece.Covered>().Select(c => (Lid?)c.Lid).LastOrDefault(),
            Flame = clause.OfType<NotePiece.AtFlame>().Select(f => (Flame?)f.Flame).LastOrDefault(),
            Until = clause.OfType<NotePiece.Until>().Select(u => (NoteUntil?)u.State).LastOrDefault(),
            IfNeeded = Says(clause, "if"),
            All = Says(clause, "all"),
            Left = Says(clause, "left"),
            FromBoil = Says(clause, "from_boil"),
            HasTowel = Says(clause, "towel"),
            OverCentimetres = clause.OfType<NotePiece.Over>().Select(o => (double?)o.Centimetres).FirstOrDefault(),
        };
        // Salt it, 1 tsp.
        if (
            verb?.Act == NoteAct.Season
            && !step.Puts.Any(p => p.Kind == "salt")
            && clause.OfType<NotePiece.Loose>().FirstOrDefault() is { } loose
            && amounts.PutOf(new NotePiece.Salt(loose.Start, loose.Length, loose.Of)) is { } salted
        )
        {
            step = step with { Puts = [.. step.Puts, salted] };
        }

        var apart = forRice || Says(clause, "apart") || clause.Exists(p => p is NotePiece.Named n && n.Is.Contains(Quality.Apart));
        if (verb is null && whistles is null)
        {
            Attach(step, apart);
            return;
        }

        step = step with { Act = ActOf(step, verb, clause, apart) };
        if (step.Act == NoteAct.Release)
        {
            step = step with { Release = ReleaseOf(clause) };
        }

        Add(step, verb);
    }

    private NoteAct ActOf(NoteStep step, NotePiece.Does? verb, List<NotePiece> clause, bool apart)
    {
        if (step.Whistles is not null)
        {
            return NoteAct.Whistles;
        }

        var heated = _steps.Exists(s => s.Heats || s.Act == NoteAct.Fry);
        var rice = step.Puts.Any(p => p.Kind == "rice");
        var act = verb!.Act;
        if (Says(clause, "rice_cooker"))
        {
            return step.All || step.Puts.Any(p => p.Kind == "pulse") || !rice ? NoteAct.Simmer : NoteAct.RiceApart;
        }

        // "Tip the water away"; "back in with two litres of water".
        if (act is NoteAct.Add or NoteAct.Leave or NoteAct.Return && step.Puts is [{ Kind: "water" } water])
        {
            act =
                Says(clause, "away") && water.Grams is null ? NoteAct.Drain
                : act is NoteAct.Return ? NoteAct.Add
                : act;
        }

        // "Add water if it is too thick."
        if (act == NoteAct.Add && step.IfNeeded && heated && step.Puts is [{ Kind: "water" }])
        {
            return NoteAct.TopUp;
        }

        if (act == NoteAct.Add && step.Puts.Count > 0 && step.Puts.All(p => p.Kind == "salt"))
        {
            return NoteAct.Season;
        }

        // "Cover with water and leave overnight."
        if (act is NoteAct.Leave or NoteAct.Add && !heated && step.Minutes is { High: >= LeastSoak })
        {
            return NoteAct.Soak;
        }

        // "Laisser retomber la pression", "let the pressure go by itself".
        if (
            act == NoteAct.Pressure
            && step.Minutes is null
            && step.Puts.Count == 0
            && _steps.Exists(s => s.Act is NoteAct.Pressure or NoteAct.Whistles && (s.Minutes is not null || s.Whistles is not null))
        )
        {
            return NoteAct.Release;
        }

        if (act == NoteAct.Leave)
        {
            act = heated && step.Minutes is not null ? NoteAct.Rest : NoteAct.Leave;
        }

        // Onions and peppers by themselves are cooked in the pan.
        if (
            verb.Rank == VerbRank.Generic
            && step.Puts.Count > 0
            && step.Puts.All(p => p.Kind == "extra")
            && (apart || (_steps.Count > 0 && _steps[^1].Act == NoteAct.Fry) || step.Until == NoteUntil.Brown)
        )
        {
            return NoteAct.Fry;
        }

        var cooks = act is NoteAct.Simmer or NoteAct.Boil or NoteAct.Steam or NoteAct.Add or NoteAct.Fry or NoteAct.Toast;
        if (apart && cooks && (rice || verb.Act != NoteAct.Add) && (rice || _steps.Exists(s => s.Act == NoteAct.RiceApart)))
        {
            return NoteAct.RiceApart;
        }

        return rice && act is NoteAct.Fry or NoteAct.Toast ? NoteAct.Toast
            : rice && heated && act is NoteAct.Add && !step.Puts.Any(p => p.Kind == "pulse" && !_steps.Exists(s => s.Heats))
                ? NoteAct.RiceIn
            : rice && verb.Rank == VerbRank.Generic && _steps.Exists(s => s.Heats) ? NoteAct.RiceIn
            : act == NoteAct.Add
            && step.All
            && heated
            && amounts.HasRice
            && !_steps.Exists(s => s.Act is NoteAct.RiceIn or NoteAct.RiceApart)
                ? NoteAct.RiceIn
            : act;
    }

    /// <summary>A soak takes at least so long, minutes; a wait in a pot does not.</summary>
    private const double LeastSoak = 120;

    private void Add(NoteStep step, NotePiece.Does? verb)
    {
        var last = _steps.Count > 0 ? _steps[^1] : null;
        // "Bring to a boil" and "boil for 10 minutes", "in the pressure cooker" and "pressure cook 14 minutes" are one.
        var open = _steps.FindLastIndex(s => s.Act == step.Act && s is { Minutes: null, Whistles: null, Until: null });
        if (last is not null && open == _steps.Count - 1 && last.Act == step.Act && Joins(step.Act))
        {
            _steps[^1] = Both(last, step);
            return;
        }

        // Left for 20 minutes, then vented.
        if (last is { Act: NoteAct.Release } && step.Act == NoteAct.Release)
        {
            _steps[^1] = Both(step, last);
            return;
        }

        // "Put it in the slow cooker. Cook on low for 8 hours."
        if (verb is not null && step.Act == NoteAct.Simmer && step.Minutes is { } so)
        {
            var generic = verb.Rank == VerbRank.Generic;
            var place = _steps.FindLastIndex(s =>
                (generic ? s.Act is NoteAct.Slow or NoteAct.Pressure : s.Act is NoteAct.Slow && so.High >= LeastSlow)
                && s is { Minutes: null, Whistles: null, Until: null }
            );
            if (place >= 0 && !_steps.Skip(place).Any(s => s.Act is NoteAct.Release or NoteAct.RiceIn))
            {
                _steps.Add(Both(_steps[place], step) with { Act = _steps[place].Act });
                _steps.RemoveAt(place);
                return;
            }
        }

        _steps.Add(step);
    }

    /// <summary>What a crock takes at least, minutes: "cook on low" for so long is no simmer.</summary>
    private const double LeastSlow = 120;

    private static bool Joins(NoteAct act) =>
        act is NoteAct.Boil or NoteAct.Simmer or NoteAct.Pressure or NoteAct.Slow or NoteAct.Soak or NoteAct.Release or NoteAct.Rest;

    private static NoteStep Both(NoteStep first, NoteStep second) =>
        second with
        {
            Line = first.Line == second.Line ? first.Line : $"{first.Line} {second.Line}",
            Puts = [.. first.Puts, .. second.Puts],
            Lid = second.Lid ?? first.Lid,
            Flame = second.Flame ?? first.Flame,
            Until = second.Until ?? first.Until,
            Release = second.Release ?? first.Release,
            All = first.All || second.All,
            HasTowel = first.HasTowel || second.HasTowel,
            FromBoil = first.FromBoil || second.FromBoil,
            OverCentimetres = second.OverCentimetres ?? first.OverCentimetres,
        };

    /// <summary>A phrase without a verb: "20 minutes on low", "lid on".</summary>
    private void Attach(NoteStep phrase, bool apart)
    {
        if (phrase.Puts.Count > 0 && phrase.Puts.All(p => p.Kind == "salt"))
        {
            _steps.Add(phrase with { Act = NoteAct.Season, Minutes = null });
            return;
        }

        var timed = phrase.Minutes is not null || phrase.Until is not null;
        var at = timed
            ? _steps.FindLastIndex(s =>
                s is { Minutes: null, Whistles: null, Until: null } && (s.Heats || s.Act is NoteAct.RiceIn or NoteAct.RiceApart)
            )
            : -1;
        if (at >= 0)
        {
            var told = Both(_steps[at], phrase) with { Act = _steps[at].Act };
            _steps.RemoveAt(at);
            // Where its time is said it is done.
            _steps.Insert(told.Act == NoteAct.Slow ? _steps.Count : at, told);
        }
        else if (timed && phrase.Minutes is { High: >= LeastSoak } && !_steps.Exists(s => s.Heats))
        {
            _steps.Add(phrase with { Act = NoteAct.Soak });
        }
        else if (timed && _steps.Count > 0)
        {
            _steps.Add(phrase with { Act = apart ? NoteAct.RiceApart : NoteAct.Simmer });
        }
        else if (phrase.Lid is not null && _steps.Count > 0)
        {
            _steps[^1] = Both(_steps[^1], phrase) with
            {
                Act = _steps[^1].Act,
                Minutes = _steps[^1].Minutes,
                Whistles = _steps[^1].Whistles,
            };
        }
        else if (phrase.Puts.Count > 0)
        {
            _steps.Add(phrase with { Act = NoteAct.Add });
        }
        else
        {
            _steps.Add(phrase);
        }
    }

    private static ReleaseKind? ReleaseOf(List<NotePiece> clause) =>
        clause.OfType<NotePiece.Does>().Select(d => d.Release).FirstOrDefault(r => r is not null)
        ?? (
            Says(clause, "natural") ? ReleaseKind.Natural
            : Says(clause, "quick") ? ReleaseKind.Quick
            : null
        );

    private static (double Low, double High)? MinutesOf(IEnumerable<NotePiece> clause) =>
        clause.OfType<NotePiece.Lasts>().FirstOrDefault() is { } lasts ? (lasts.Low, lasts.High) : null;

    private static bool Says(IEnumerable<NotePiece> clause, string what) => clause.Any(p => p is NotePiece.Said said && said.What == what);

    private static string Told(string line, List<NotePiece> clause)
    {
        var (start, end) = (clause.Min(p => p.Start), clause.Max(p => p.End));
        return line[start..Math.Min(line.Length, end)];
    }
}
