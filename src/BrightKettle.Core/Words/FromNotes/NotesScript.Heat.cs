using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using NodaTime;

namespace BrightKettle.Core.Words.FromNotes;

/// <content>Flames, cookers and crocks.</content>
internal sealed partial class NotesScript
{
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
}
