using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Walks through the steps of notes and does what they say: what no step names goes in when the first flame is lit.</summary>
internal sealed class NotesScript(Notes notes, NoteAnswers answers, IReadOnlyList<Ingredient> ingredients, CookKitchen kitchen)
{
    private readonly List<CookAction> _done = [];
    private readonly HashSet<string> _in = [];
    private readonly Dictionary<int, List<NoteAmount>> _due = [];
    private Trigger _next = Trigger.Next;
    private string? _vessel;
    private bool _boils;
    private bool _burns;
    private bool _kept;
    private bool _level;
    private bool _riceIsTimed;

    private bool IsSlow => kitchen[kitchen.IndexOf(_vessel)].Vessel.Cooker?.Kind == CookerKind.Slow;

    private RiceIngredient? Rice => ingredients.OfType<RiceIngredient>().FirstOrDefault();

    private IEnumerable<PulseIngredient> Pulses => ingredients.OfType<PulseIngredient>();

    public IReadOnlyList<CookAction> Actions()
    {
        var steps = notes.Steps;
        var first = Math.Max(0, steps.ToList().FindIndex(s => s.Heats || s.Act is NoteAct.RiceIn));
        Schedule(first);
        for (var i = 0; i < steps.Count; i++)
        {
            if (i == first)
            {
                Begin(first);
            }

            Do(steps[i], i, i > first);
        }

        FinishRice();
        if (_burns)
        {
            Emit(t => new CookAction.Heat(t, Flame.Off));
        }

        if (!notes.Has(NoteAct.Rest) && Rice is { } rice && _in.Contains("rice"))
        {
            _next = Later(rice.Rice.RestMinutes.Typical);
        }

        Emit(t => new CookAction.Serve(t) { In = null });
        return _done;
    }

    private void Emit(Func<Trigger, CookAction> make)
    {
        _done.Add(make(_next) with { In = _vessel });
        _next = Trigger.Next;
    }

    private static Trigger Later(double minutes) => Trigger.Later(Duration.FromMinutes(Math.Clamp(minutes, 0, 24 * 60)));

    private static double Middle((double Low, double High) minutes) => (minutes.Low + minutes.High) / 2;

    /// <summary>At which step each amount goes in; before the first flame where no later one names it.</summary>
    private void Schedule(int first)
    {
        var drains = notes.DrainsBeforeRice ? DrainAt(first) : int.MaxValue;
        var amounts = notes.Amounts.Where(a => a.Grams > 0 && a.Kind != "unknown" && !(a.Kind == "extra" && InSoakOnly(a.Id))).ToList();
        Share(amounts, first);
        foreach (var amount in amounts)
        {
            var at = first;
            for (var i = first + 1; i < notes.Steps.Count; i++)
            {
                if (Names(notes.Steps[i], amount, i, drains))
                {
                    at = i;
                    break;
                }
            }

            // Rice that no step names goes in with the pulses.
            Due(at, amount);
        }
    }

    private void Due(int at, NoteAmount amount)
    {
        if (!_due.TryGetValue(at, out var due))
        {
            _due[at] = due = [];
        }

        due.Add(amount);
    }

    /// <summary>"2 cups of the water" first, the rest with the rice.</summary>
    private void Share(List<NoteAmount> amounts, int first)
    {
        var listed = amounts.FindIndex(a => a is { Kind: "water", InStep: false });
        if (listed < 0)
        {
            return;
        }

        var left = amounts[listed].Grams!.Value;
        var shared = false;
        for (var i = 0; i < notes.Steps.Count; i++)
        {
            if (notes.Steps[i].Puts.FirstOrDefault(p => p is { Kind: "water", OfListed: true, Grams: > 0 }) is { } part)
            {
                var taken = Math.Min(left, part.Grams!.Value);
                Due(Math.Max(i, first), amounts[listed] with { Grams = taken });
                (left, shared) = (left - taken, true);
            }
        }

        if (!shared)
        {
            return;
        }

        var rice = notes.Steps.ToList().FindIndex(s => s.Act == NoteAct.RiceIn);
        if (left > 0)
        {
            Due(rice > first ? rice : first, amounts[listed] with { Grams = left });
        }

        amounts.RemoveAt(listed);
    }

    private int DrainAt(int first)
    {
        for (var i = first; i < notes.Steps.Count; i++)
        {
            if (notes.Steps[i].Act is NoteAct.Drain or NoteAct.Reserve)
            {
                return i;
            }
        }

        return int.MaxValue;
    }

    private static bool Names(NoteStep step, NoteAmount amount, int at, int drains) =>
        amount.Kind switch
        {
            "water" => !step.IfNeeded
                && step.Act is not (NoteAct.TopUp or NoteAct.Soak or NoteAct.Rinse)
                && (
                    amount.InStep
                        ? step.Line == amount.Line
                        : step.Puts.Any(p =>
                            p.Kind == "water"
                            && (p.Grams is { } said ? NoteAmounts.IsSame(said, amount.Grams!.Value) : at > drains && drains < int.MaxValue)
                        ) || (step.All && step.Act == NoteAct.RiceIn)
                ),
            "salt" => step.Act == NoteAct.Season || step.Puts.Any(p => p.Kind == "salt"),
            "rice" => step.Act is NoteAct.RiceIn,
            "pulse" => false,
            _ => step.Act is NoteAct.Add or NoteAct.RiceIn or NoteAct.Season or NoteAct.Thicken
                && (step.All || step.Puts.Any(p => p.Id == amount.Id)),
        };

    private void Begin(int first)
    {
        foreach (var pulse in Pulses.Where(p => _in.Add(p.Id)))
        {
            Emit(t => new CookAction.Add(t, pulse.Id));
        }

        Bring(first);
        if (!_done.Exists(a => a is CookAction.AddWater) && !ingredients.Any(i => i is ExtraIngredient { Extra.Kind: ExtraKind.Liquid }))
        {
            var over = notes.Steps.FirstOrDefault(s => s.OverCentimetres is not null && s.Act is not NoteAct.Soak)?.OverCentimetres;
            Emit(t => new CookAction.TopUp(t, Math.Min(over ?? CoveredCentimetres, MostOverCentimetres), NotesCook.Cold));
        }
    }

    /// <summary>"Cover with water": two fingers over them (confidence C).</summary>
    private const double CoveredCentimetres = 3;

    private const double MostOverCentimetres = 20;

    /// <summary>All that is due at a step goes in.</summary>
    private void Bring(int at)
    {
        foreach (var amount in _due.Remove(at, out var due) ? due : [])
        {
            switch (amount.Kind)
            {
                case "water":
                    Emit(t => new CookAction.AddWater(t, Mass.FromGrams(amount.Grams!.Value), WarmthOf(at)));
                    break;
                case "salt":
                    Emit(t => new CookAction.AddSalt(t, Mass.FromGrams(amount.Grams!.Value)));
                    break;
                default:
                    var id = NotesCook.IdOf(amount, 0);
                    if (ingredients.Any(i => i.Id == id) && _in.Add(id))
                    {
                        Emit(t => new CookAction.Add(t, id));
                    }

                    break;
            }
        }
    }

    private Temperature WarmthOf(int at) =>
        notes.Steps[at].Puts.FirstOrDefault(p => p.Kind == "water")?.Celsius is { } celsius
            ? Temperature.FromCelsius(Math.Min(celsius, HottestCelsius))
            : NotesCook.Cold;

    /// <summary>From the kettle (confidence B).</summary>
    private const double HottestCelsius = 97;

    private void Do(NoteStep step, int at, bool begun)
    {
        if (step.Act is NoteAct.Soak or NoteAct.QuickSoak)
        {
            if (_in.Count == 0)
            {
                Soak(step);
            }

            return;
        }

        if (!begun && !step.Heats && step.Act != NoteAct.RiceIn)
        {
            return;
        }

        if (begun && _due.ContainsKey(at) && step.Act is not NoteAct.RiceIn)
        {
            Bring(at);
            _boils = _boils && !step.Puts.Any(p => p is { Kind: "water", Celsius: not >= 95 });
        }

        switch (step.Act)
        {
            case NoteAct.Boil or NoteAct.Simmer:
                Heat(step);
                break;
            case NoteAct.Pressure or NoteAct.Whistles:
                Press(step, at);
                break;
            case NoteAct.Slow:
                Slow(step);
                break;
            case NoteAct.Drain or NoteAct.Reserve:
                Drain(step.Act == NoteAct.Reserve || (at + 1 < notes.Steps.Count && notes.Steps[at + 1].Act == NoteAct.Reserve));
                break;
            case NoteAct.RiceIn:
                TakeRice(step, at);
                break;
            case NoteAct.TopUp when !_level && !IsSlow:
                _level = true;
                Emit(t => new CookAction.KeepLevel(t, 0.5));
                break;
            case NoteAct.Mash:
                Mash(MashedShare);
                break;
            case NoteAct.Blend:
                Mash(BlendedShare);
                break;
            case NoteAct.Fold or NoteAct.Stir:
                Emit(t => new CookAction.Stir(t));
                break;
            case NoteAct.Steam or NoteAct.Rest:
                Rest(step);
                break;
        }
    }

    // A ladleful in five; a blender leaves hardly a bean (confidence C).
    private const double MashedShare = 0.2;
    private const double BlendedShare = 0.9;

    private void Mash(double share)
    {
        foreach (var pulse in Pulses.Where(p => _in.Contains(p.Id)))
        {
            Emit(t => new CookAction.Mash(t, pulse.Id, share));
        }
    }

    private void Soak(NoteStep soak)
    {
        var dry = Pulses.Where(p => p.Start is null).ToList();
        var grams = dry.Sum(p => p.Dry.Grams);
        if (dry.Count == 0)
        {
            return;
        }

        if (soak.Act == NoteAct.QuickSoak)
        {
            foreach (var pulse in dry)
            {
                _in.Add(pulse.Id);
                Emit(t => new CookAction.Add(t, pulse.Id));
            }

            var minutes = soak.Minutes is { High: >= 20 } m ? Middle(m) : QuickSoakMinutes;
            Emit(t => new CookAction.AddWater(t, Mass.FromGrams(4 * grams), NotesCook.Cold));
            Emit(t => new CookAction.Cover(t, Lid.On));
            Emit(t => new CookAction.Heat(t, Flame.Full));
            _next = Trigger.Once(PotEvent.Boils, Duration.FromMinutes(2.5));
            Emit(t => new CookAction.Heat(t, Flame.Off));
            _next = Later(minutes);
            Emit(t => new CookAction.Drain(t, null));
            return;
        }

        var hours = Math.Clamp(soak.Minutes is { } said ? Middle(said) : 600, 10, 24 * 60);
        var salt = soak.Puts.FirstOrDefault(p => p.Kind == "salt")?.Grams ?? 0;
        foreach (var pulse in dry)
        {
            Emit(t => new CookAction.Soak(t, pulse.Id, Mass.FromGrams(3 * pulse.Dry.Grams), NotesCook.Cold)
            {
                SaltShare = Math.Min(MostSaltShare, salt / (3 * grams)),
                SodaGramsPerLitre = Math.Min(MostSoda, SodaOf(soak) / (3 * grams) * 1000),
            });
        }

        _next = Later(hours);
        foreach (var pulse in dry)
        {
            Emit(t => new CookAction.Drain(t, pulse.Id));
        }
    }

    private const double QuickSoakMinutes = 60;

    private const double MostSaltShare = 0.05;

    private const double MostSoda = 10;

    /// <summary>Baking soda that the soak takes: all of it, or half where a later step has some too.</summary>
    private double SodaOf(NoteStep soak) =>
        soak.Puts.Any(p => p.Id == SodaId) && notes.Amounts.FirstOrDefault(a => a.Id == SodaId)?.Grams is { } grams
            ? InSoakOnly(SodaId)
                ? grams
                : grams / 2
            : 0;

    /// <summary>A soak names it and no later step: it is poured away with the water.</summary>
    private bool InSoakOnly(string? id) =>
        notes.Steps.Any(s => s.Act is NoteAct.Soak && s.Puts.Any(p => p.Id == id))
        && !notes.Steps.Any(s => s.Act is not (NoteAct.Soak or NoteAct.Rinse) && s.Puts.Any(p => p.Id == id));

    private const string SodaId = "soda";

    private void Cover(Lid lid)
    {
        if (!IsSlow)
        {
            Emit(t => new CookAction.Cover(t, lid));
        }
    }

    private Lid LidSaid =>
        answers.Lid switch
        {
            "open" => Lid.Open,
            "on" => Lid.On,
            _ => Lid.Ajar,
        };

    private void Heat(NoteStep step)
    {
        var rice = Rice is not null && _in.Contains("rice") && notes.Has(NoteAct.RiceIn);
        var isTimed = step.Minutes is not null || step.Until is not null;
        if (IsSlow)
        {
            Emit(t => new CookAction.Heat(t, Flame.High));
        }
        else
        {
            if (!_boils)
            {
                Cover(step.Lid ?? (rice ? Lid.On : LidSaid));
                Emit(t => new CookAction.Heat(t, Flame.Full));
                _boils = true;
                // Who counts from the flame does not wait for the boil.
                _next =
                    answers.ClockStart == "heat_on" && isTimed && step.Minutes is { } counted
                        ? Later(Middle(counted))
                        : Trigger.Once(PotEvent.Boils);
                if (answers.ClockStart == "heat_on" && step.Minutes is not null)
                {
                    _burns = true;
                    return;
                }
            }
            else if (step.Lid is { } lid)
            {
                Cover(lid);
            }

            if (step.Act == NoteAct.Simmer || rice)
            {
                Emit(t => new CookAction.Heat(t, rice ? Flame.Lowest : Flame.Gentle));
            }
        }

        _burns = true;
        _riceIsTimed |= rice && isTimed;
        Wait(step, boils: _next.After == PotEvent.Boils);
    }

    /// <summary>The next thing is done when the step's time is over, or when they are as far as it says.</summary>
    private void Wait(NoteStep step, bool boils)
    {
        if (step.Minutes is { } minutes)
        {
            var span = Duration.FromMinutes(Math.Clamp(Middle(minutes), 0, 24 * 60));
            _next = boils ? Trigger.Once(PotEvent.Boils, span) : Trigger.Later(span);
        }
        else if (step.Until is { } until and not (NoteUntil.Dry or NoteUntil.Brown))
        {
            _next = (boils ? Trigger.Once(PotEvent.Boils) : Trigger.Next) with
            {
                Look = new(Pulses.First().Id, DonenessOf(until), Duration.FromMinutes(LookMinutes)),
            };
        }
    }

    private const double LookMinutes = 5;

    private static double DonenessOf(NoteUntil until) =>
        until switch
        {
            NoteUntil.Half => Doneness.Anchor(FeltState.ChalkyMiddle),
            NoteUntil.Bite => Doneness.Anchor(FeltState.BiteNoChalk),
            NoteUntil.Creamy => CreamyDoneness,
            NoteUntil.Melted => MeltedDoneness,
            _ => Doneness.Anchor(FeltState.Soft),
        };

    // Well past soft, short of what the hardest bags ever reach (confidence D).
    private const double CreamyDoneness = 115;
    private const double MeltedDoneness = 130;

    private void Press(NoteStep step, int at)
    {
        if (kitchen[kitchen.IndexOf(_vessel)].Vessel.Cooker is not { UnderPressure: true })
        {
            return;
        }

        var isWhistling = kitchen[kitchen.IndexOf(_vessel)].Vessel.Cooker?.Kind == CookerKind.Weight;
        Emit(t => new CookAction.Pressurise(t));
        Emit(t => new CookAction.Heat(t, Flame.Full));
        if (step.Whistles is { } count && isWhistling)
        {
            // Whistles are counted on a middle flame, as all who count them do.
            _next = Trigger.Once(PotEvent.PressureUp);
            Emit(t => new CookAction.Heat(t, Flame.Lively) { Net = PressureHold.MediumFlame(kitchen[kitchen.IndexOf(_vessel)].Burner) });
            _next = Trigger.Once(PotEvent.Whistle) with { Count = count };
            if (step.Minutes is { } after)
            {
                Emit(t => new CookAction.Heat(t, Flame.Gentle));
                _next = Later(Middle(after));
            }
        }
        else if (answers.ClockStart == "heat_on")
        {
            _next = Later(step.Minutes is { } counted ? Middle(counted) : 0);
        }
        else
        {
            _next = Trigger.Once(PotEvent.PressureUp);
            Emit(t => new CookAction.Heat(t, Flame.Gentle));
            // A whistle is worth some minutes where no weight tells them (confidence D).
            _next = Later(step.Minutes is { } counted ? Middle(counted) : MinutesAWhistle * (step.Whistles ?? 0));
        }

        Emit(t => new CookAction.Heat(t, Flame.Off));
        var told = notes.Steps.Skip(at + 1).FirstOrDefault(s => s.Act == NoteAct.Release);
        var kind = told?.Release ?? (answers.Release == "quick" ? ReleaseKind.Quick : ReleaseKind.Natural);
        Emit(t => new CookAction.Release(t, kind));
        if (kind == ReleaseKind.Natural && told?.Minutes is { } wait)
        {
            _next = Later(Middle(wait));
            Emit(t => new CookAction.Release(t, ReleaseKind.Quick));
        }
        else if (kind == ReleaseKind.Natural)
        {
            _next = Trigger.Once(PotEvent.PinDown);
        }

        Emit(t => new CookAction.Cover(t, Lid.On));
        (_boils, _burns) = (false, false);
    }

    private const double MinutesAWhistle = 4;

    private void Slow(NoteStep step)
    {
        if (
            !IsSlow
            && Enumerable.Range(0, kitchen.VesselCount).FirstOrDefault(i => kitchen[i].Vessel.Cooker?.Kind == CookerKind.Slow)
                is > 0
                    and var crock
        )
        {
            if (_burns)
            {
                Emit(t => new CookAction.Heat(t, Flame.Off));
            }

            Emit(t => new CookAction.Transfer(t, kitchen[crock].Vessel.Id, TransferWhat.Everything));
            var mark = $"notes_{_done.Count}";
            _done[^1] = _done[^1] with { StepId = mark };
            _vessel = kitchen[crock].Vessel.Id;
            _next = Trigger.Next with { AfterStep = mark };
        }

        if (!IsSlow)
        {
            return;
        }

        var flame = step.Flame is Flame.Full ? Flame.High : Flame.Low;
        Emit(t => new CookAction.Cover(t, Lid.On));
        Emit(t => new CookAction.Heat(t, flame));
        (_burns, _boils) = (true, true);
        Wait(step, boils: false);
    }

    private void Drain(bool keep)
    {
        // Twice told, once done.
        if (_in.Count == 0 || _done[^1] is CookAction.Drain)
        {
            return;
        }

        if (_burns)
        {
            Emit(t => new CookAction.Heat(t, Flame.Off));
        }

        Emit(t => new CookAction.Drain(t, null) { Keep = keep });
        (_burns, _boils, _kept) = (false, false, keep);
    }

    private void TakeRice(NoteStep step, int at)
    {
        Bring(at);
        if (_kept)
        {
            Emit(t => new CookAction.PourBack(t, Mass.FromGrams(MostPouredBack)));
            _kept = false;
        }

        if (Rice is null)
        {
            return;
        }

        if (IsSlow)
        {
            _riceIsTimed = step.Minutes is not null;
            Wait(step, boils: false);
            return;
        }

        Emit(t => new CookAction.Heat(t, Flame.Full));
        _next = Trigger.Once(PotEvent.Boils);
        Cover(step.Lid is Lid.Open or null ? Lid.On : step.Lid.Value);
        Emit(t => new CookAction.Heat(t, Flame.Lowest));
        (_boils, _burns) = (true, true);
        _riceIsTimed = step.Minutes is not null;
        Wait(step, boils: false);
    }

    private const double MostPouredBack = 10_000;

    /// <summary>Rice that no time was said for takes its own.</summary>
    private void FinishRice()
    {
        if (Rice is { } rice && _in.Contains("rice") && notes.Has(NoteAct.RiceIn) && !_riceIsTimed && _burns)
        {
            _next = Later(rice.Rice.SimmerMinutes.Typical);
            Emit(t => new CookAction.Heat(t, Flame.Off));
            _burns = false;
        }
    }

    private void Rest(NoteStep step)
    {
        if (IsSlow)
        {
            return;
        }

        if (step.Act == NoteAct.Steam)
        {
            Emit(t => new CookAction.Heat(t, Flame.Lowest));
            Emit(t => new CookAction.Cover(t, step.Lid ?? Lid.On));
            _riceIsTimed |= step.Minutes is not null;
            _burns = true;
        }
        else
        {
            FinishRice();
            if (_burns)
            {
                Emit(t => new CookAction.Heat(t, Flame.Off));
            }

            Cover(step.Lid ?? Lid.On);
            _burns = false;
        }

        Wait(step, boils: false);
    }
}
