namespace BrightKettle.Core.Words.FromNotes;

/// <content>At which step each amount goes in.</content>
internal sealed partial class NotesScript
{
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
}
