using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Words;

/// <summary>What somebody answered to the questions; null where the notes say it.</summary>
public sealed record NoteAnswers(
    string? PulseId = null,
    double? PulseGrams = null,
    double? RiceGrams = null,
    double? WaterGrams = null,
    double? Minutes = null,
    string? Soak = null,
    string? Lid = null,
    string? ClockStart = null,
    string? Release = null,
    double? SaltGrams = null
);

/// <summary>From notes, with every question answered, to the cook that they describe: so that its forecast shows what they give.</summary>
public static class NotesCook
{
    private static readonly Temperature Cold = Temperature.FromCelsius(18);

    /// <summary>The notes with the answers put in, so that the check has nothing left to ask of them.</summary>
    public static Notes Answered(Notes notes, NoteAnswers answers, PulseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(notes);
        ArgumentNullException.ThrowIfNull(answers);
        ArgumentNullException.ThrowIfNull(catalogue);
        var amounts = notes.Amounts.ToList();
        if (notes.Pulse is null && answers.PulseId is { } id && catalogue.FindPulse(id) is { } pulse)
        {
            amounts.Add(new(pulse.Said, "pulse", pulse.Id, pulse.Said, answers.PulseGrams));
        }

        amounts = amounts.ConvertAll(a =>
            a switch
            {
                { Kind: "pulse", Grams: null } => a with { Grams = answers.PulseGrams },
                { Kind: "rice", Grams: null } => a with { Grams = answers.RiceGrams },
                { Kind: "salt", Grams: null } => a with { Grams = answers.SaltGrams },
                _ => a,
            }
        );
        if (notes.WaterGrams is null && answers.WaterGrams is { } water)
        {
            amounts.Add(new("water", "water", null, "water", water));
        }

        if (answers.SaltGrams is { } salt && amounts.TrueForAll(a => a.Kind != "salt"))
        {
            amounts.Add(new("salt", "salt", null, "salt", salt));
        }

        var steps = notes.Steps.ToList();
        if (answers.Soak is "overnight" or "quick" or "none" && !notes.Has(NoteAct.Soak) && !notes.Has(NoteAct.QuickSoak))
        {
            steps.Insert(
                0,
                new(
                    "soak",
                    answers.Soak switch
                    {
                        "overnight" => NoteAct.Soak,
                        "quick" => NoteAct.QuickSoak,
                        _ => NoteAct.Unsoaked,
                    },
                    null,
                    null
                )
            );
        }

        if (answers.Minutes is { } minutes && notes.Cooking is not { Minutes: not null } and not { Whistles: not null })
        {
            var at = notes.Cooking is { } untimed ? steps.IndexOf(untimed) : -1;
            var timed = new NoteStep("simmer", notes.Cooking?.Act ?? NoteAct.Simmer, (minutes, minutes), null);
            if (at >= 0)
            {
                steps[at] = timed with { Line = steps[at].Line };
            }
            else
            {
                steps.Add(timed);
            }
        }

        return notes with
        {
            Amounts = amounts,
            Steps = steps,
        };
    }

    /// <summary>The cook in this pot, or null while pulse, amount, water or minutes are missing.</summary>
    public static Cook? Of(Notes notes, NoteAnswers answers, PulseCatalogue catalogue, CookKitchen kitchen, Instant starts)
    {
        ArgumentNullException.ThrowIfNull(notes);
        ArgumentNullException.ThrowIfNull(answers);
        ArgumentNullException.ThrowIfNull(catalogue);
        if (
            notes.Pulse is not { Id: { } id, Grams: { } grams } line
            || catalogue.FindPulse(id) is not { } pulse
            || notes.WaterGrams is not { } water
            || notes.Cooking is not { } cooking
        )
        {
            return null;
        }

        var rice = notes.Rice is { Id: { } riceId, Grams: > 0 and var riceGrams }
            ? new RiceIngredient("rice", Mass.FromGrams(riceGrams), catalogue.FindRice(riceId)!)
            : null;
        var extras = notes
            .Amounts.Where(a => a is { Kind: "extra", Grams: > 0 })
            .DistinctBy(a => a.Id)
            .Take(CookRules.MostIngredients - 2)
            .Select(a => new ExtraIngredient($"x_{a.Id}", Mass.FromGrams(a.Grams!.Value), catalogue.FindExtra(a.Id!)!, Cold))
            .ToList();
        var bag = new PulseIngredient("pulse", Mass.FromGrams(grams), pulse, new Pace(1, catalogue.Constants.LotSpread))
        {
            Start = line.Cooked ? new SeedStart(Cold) : null,
        };
        var salt = notes.Amounts.Where(a => a.Kind == "salt").Sum(a => a.Grams ?? 0);
        List<CookAction> actions =
        [
            .. Soaked(notes, grams, water),
            .. notes.Has(NoteAct.QuickSoak) ? [] : new CookAction[] { new CookAction.Add(Trigger.Next, "pulse") },
            .. extras.Select(x => new CookAction.Add(Trigger.Next, x.Id)),
            new CookAction.AddWater(Trigger.Next, Mass.FromGrams(water), Cold),
            .. salt > 0 ? [new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(salt))] : Array.Empty<CookAction>(),
            .. Cooked(notes, answers, cooking, rice),
        ];
        return new(kitchen, rice is null ? [bag, .. extras] : [bag, rice, .. extras], actions, starts, 1);
    }

    private static IEnumerable<CookAction> Soaked(Notes notes, double grams, double water)
    {
        if (notes.Has(NoteAct.QuickSoak))
        {
            return
            [
                new CookAction.Add(Trigger.Next, "pulse"),
                new CookAction.AddWater(Trigger.Next, Mass.FromGrams(Math.Max(water, 4 * grams)), Cold),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, Flame.Full),
                new CookAction.Heat(Trigger.Once(PotEvent.Boils, Duration.FromMinutes(2.5)), Flame.Off),
                new CookAction.Drain(Trigger.Later(Duration.FromMinutes(60)), null),
            ];
        }

        if (notes.Steps.FirstOrDefault(s => s.Act == NoteAct.Soak) is not { } soak)
        {
            return [];
        }

        var minutes = Math.Clamp(soak.Minutes is { } m ? (m.Low + m.High) / 2 : 600, 10, 24 * 60);
        return
        [
            new CookAction.Soak(Trigger.Next, "pulse", Mass.FromGrams(3 * grams), Cold),
            new CookAction.Drain(Trigger.Later(Duration.FromMinutes(minutes)), "pulse"),
        ];
    }

    private static List<CookAction> Cooked(Notes notes, NoteAnswers answers, NoteStep cooking, RiceIngredient? rice)
    {
        var minutes = Duration.FromMinutes(Math.Clamp(cooking.Minutes is { } m ? (m.Low + m.High) / 2 : 0, 0, 24 * 60));
        var fromHeat = answers.ClockStart == "heat_on";
        var actions = new List<CookAction>();
        switch (cooking.Act)
        {
            case NoteAct.Pressure or NoteAct.Whistles:
                actions.AddRange([new CookAction.Pressurise(Trigger.Next), new CookAction.Heat(Trigger.Next, Flame.Full)]);
                if (cooking.Whistles is { } count)
                {
                    actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Whistle) with { Count = count }, Flame.Off));
                }
                else if (fromHeat)
                {
                    actions.Add(new CookAction.Heat(Trigger.Later(minutes), Flame.Off));
                }
                else
                {
                    actions.AddRange([
                        new CookAction.Heat(Trigger.Once(PotEvent.PressureUp), Flame.Gentle),
                        new CookAction.Heat(Trigger.Later(minutes), Flame.Off),
                    ]);
                }

                var quick =
                    answers.Release == "quick"
                    || notes.Steps.Any(s => s.Line.Contains("quick release", StringComparison.OrdinalIgnoreCase));
                actions.Add(new CookAction.Release(Trigger.Next, quick ? ReleaseKind.Quick : ReleaseKind.Natural));
                actions.Add(new CookAction.Cover(quick ? Trigger.Next : Trigger.Once(PotEvent.PinDown), Lid.On));
                break;
            case NoteAct.Slow:
                var low = cooking.Line.Contains("low", StringComparison.OrdinalIgnoreCase);
                actions.AddRange([
                    new CookAction.Cover(Trigger.Next, Lid.On),
                    new CookAction.Heat(Trigger.Next, low ? Flame.Low : Flame.High),
                    new CookAction.Heat(Trigger.Later(minutes), Flame.Off),
                ]);
                break;
            default:
                var lid = answers.Lid switch
                {
                    "open" => Lid.Open,
                    "on" => Lid.On,
                    _ => Lid.Ajar,
                };
                actions.AddRange([new CookAction.Cover(Trigger.Next, lid), new CookAction.Heat(Trigger.Next, Flame.Full)]);
                if (!fromHeat)
                {
                    actions.Add(new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Lively));
                }

                actions.Add(new CookAction.Heat(Trigger.Later(minutes), rice is null ? Flame.Off : Flame.Lively));
                break;
        }

        if (rice is not null)
        {
            var last = notes.Steps.SkipWhile(s => s.Act != NoteAct.RiceIn).FirstOrDefault(s => s.Minutes is not null)?.Minutes?.High
                ?? rice.Rice.SimmerMinutes.Typical;
            actions.AddRange([
                new CookAction.Add(Trigger.Next, "rice"),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, cooking.Act == NoteAct.Slow ? Flame.High : Flame.Full),
            ]);
            actions.Add(
                cooking.Act == NoteAct.Slow
                    ? new CookAction.Heat(Trigger.Later(Duration.FromMinutes(Math.Clamp(last, 1, 240))), Flame.Off)
                    : new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle)
            );
            if (cooking.Act != NoteAct.Slow)
            {
                actions.Add(new CookAction.Heat(Trigger.Later(Duration.FromMinutes(Math.Clamp(last, 1, 240))), Flame.Off));
            }
        }

        var rest = notes.Steps.LastOrDefault(s => s.Act == NoteAct.Rest)?.Minutes?.High
            ?? (rice is null ? 0 : rice.Rice.RestMinutes.Typical);
        actions.Add(new CookAction.Serve(Trigger.Later(Duration.FromMinutes(Math.Clamp(rest, 0, 240)))));
        return actions;
    }
}
