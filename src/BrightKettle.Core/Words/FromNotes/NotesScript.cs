using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Words.FromNotes;

/// <summary>Walks through the steps of notes and does what they say: what no step names goes in when the first flame is lit.</summary>
internal sealed partial class NotesScript(Notes notes, NoteAnswers answers, IReadOnlyList<Ingredient> ingredients, CookKitchen kitchen)
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
