using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Words.Measures;

/// <summary>What a vague word means here.</summary>
/// <param name="Code">Stable: what kind of answer it is; sentences stand elsewhere.</param>
/// <param name="Unit">mL, g, cm, W, min, C, h, or the name of a measure.</param>
/// <param name="Confidence">A to D.</param>
public sealed record VagueAnswer(string Code, double Low, double Typical, double High, string Unit, string Confidence)
{
    /// <summary>What was measured, where the phrase named it.</summary>
    public string? Of { get; init; }
}

/// <summary>This pot, this bag, this flame: what a word is measured against.</summary>
/// <param name="Cooker">With a weight, for whistles; null when the kitchen has none.</param>
/// <param name="Slow">Null when the kitchen has none.</param>
public sealed record WordsKitchen(
    Vessel Pot,
    Pulse Pulse,
    Mass PulseDry,
    Burner Burner,
    Vessel? Cooker,
    Vessel? Slow,
    double CupMillilitres,
    double RoomCelsius
);

/// <summary>Numbers for vague words, and words for numbers.</summary>
public sealed class VagueWords(PulseCatalogue catalogue, Simulator simulator)
{
    private readonly MeasureGrammar _grammar = new(catalogue);

    /// <summary>Marks of a hob's dial where nobody says how many: most have 6 or 9.</summary>
    private const int UsualMarks = 9;
    private const int FewMarks = 6;

    private const int MostLetters = 120;

    /// <summary>Everything the phrase can mean; empty when it means nothing here.</summary>
    public IReadOnlyList<VagueAnswer> Answer(string phrase, WordsKitchen kitchen)
    {
        ArgumentNullException.ThrowIfNull(phrase);
        ArgumentNullException.ThrowIfNull(kitchen);
        if (phrase.Length > MostLetters)
        {
            return [];
        }

        return _grammar.Read(PlainText.Of(phrase)) switch
        {
            MeasurePhrase.Crock crock => Crock(crock.Setting, kitchen),
            MeasurePhrase.Mark mark => Marked(mark, kitchen.Burner),
            MeasurePhrase.Whistles whistles => Whistled(whistles.Count, kitchen),
            MeasurePhrase.AtPressure pressure => ToWhistles(pressure.Minutes, kitchen),
            MeasurePhrase.Over over => Cover(over.Centimetres, kitchen),
            MeasurePhrase.Measured measured => Measured(measured, kitchen),
            _ => [],
        };
    }

    private List<VagueAnswer> Measured(MeasurePhrase.Measured said, WordsKitchen kitchen)
    {
        var measure = said.In;
        var (low, typical, high) =
            measure.Kind == "household_cup"
                ? (kitchen.CupMillilitres, kitchen.CupMillilitres, kitchen.CupMillilitres)
                : (measure.Low, measure.Typical, measure.High);
        var middle = (said.Low + said.High) / 2;
        var amount = new VagueAnswer(
            measure.IsVolume ? "volume" : "mass",
            said.Low * low,
            middle * typical,
            said.High * high,
            measure.IsVolume ? "mL" : "g",
            measure.Confidence
        )
        {
            Of = said.Of,
        };
        var answers = new List<VagueAnswer> { amount };
        if (measure.Drained is { } drained)
        {
            answers.Add(new("drained", said.Low * drained * 0.95, middle * drained, said.High * drained * 1.05, "g", measure.Confidence));
        }

        var (pulse, rice) = (said.Pulse is { } p ? catalogue.FindPulse(p) : null, said.Rice is { } r ? catalogue.FindRice(r) : null);
        if (measure.IsVolume && (pulse?.GramsPerCup ?? rice?.GramsPerCup) is { } perCup)
        {
            double Grams(double millilitres) => millilitres * perCup / Portions.TableCupMillilitres;
            answers.Add(
                new("weighs", Grams(amount.Low), Grams(amount.Typical), Grams(amount.High), "g", measure.Confidence)
                {
                    Of = pulse?.Said ?? rice!.Said,
                }
            );
        }

        // Plain units are turned back into words.
        if (measure.Id is "ml" or "l")
        {
            answers.AddRange(Back(amount.Typical, kitchen));
        }

        return answers;
    }

    /// <summary>Water that stands so high over the pulses in this pot: dry ones, as they lie at first.</summary>
    private List<VagueAnswer> Cover(double centimetres, WordsKitchen kitchen)
    {
        var bag = new PulseIngredient("p", kitchen.PulseDry, kitchen.Pulse, new Pace(1, 0));
        double Water(double uptake)
        {
            var (heap, solid) = PotGeometry.Of(bag, uptake, catalogue.Constants);
            return heap - solid + (centimetres * kitchen.Pot.AreaSquareCentimetres);
        }

        var (dry, soaked) = (Water(0), Water(kitchen.Pulse.ColdCeiling));
        return
        [
            new("cover_dry", dry * 0.9, dry, dry * 1.1, "mL", "C") { Of = kitchen.Pot.Name },
            new("cover_soaked", soaked * 0.9, soaked, soaked * 1.1, "mL", "C") { Of = kitchen.Pot.Name },
        ];
    }

    private List<VagueAnswer> Back(double millilitres, WordsKitchen kitchen)
    {
        var bag = new PulseIngredient("p", kitchen.PulseDry, kitchen.Pulse, new Pace(1, 0));
        var (heap, solid) = PotGeometry.Of(bag, kitchen.Pulse.ColdCeiling, catalogue.Constants);
        var area = kitchen.Pot.AreaSquareCentimetres;
        var over = (PotGeometry.Level(heap, solid, millilitres, area) * area - heap) / area;
        var glass = HouseholdMeasure.All.First(m => m.Id == "glass");
        return
        [
            new(
                "cups",
                millilitres / kitchen.CupMillilitres,
                millilitres / kitchen.CupMillilitres,
                millilitres / kitchen.CupMillilitres,
                "cup",
                "A"
            ),
            new("glasses", millilitres / glass.High, millilitres / glass.Typical, millilitres / glass.Low, "glass", "C"),
            new("stands", over - 0.3, over, over + 0.3, "cm", "C") { Of = kitchen.Pot.Name },
        ];
    }

    private static List<VagueAnswer> Marked(MeasurePhrase.Mark mark, Burner burner)
    {
        double Watts(int marks) =>
            burner.Least.Watts + ((burner.Most.Watts - burner.Least.Watts) * Math.Clamp((mark.At - 1) / (marks - 1), 0, 1));
        if (mark.Of is { } marks)
        {
            return [new("flame", Watts(marks) * 0.85, Watts(marks), Watts(marks) * 1.15, "W", "C") { Of = burner.Name }];
        }

        return [new("flame", Watts(UsualMarks), (Watts(UsualMarks) + Watts(FewMarks)) / 2, Watts(FewMarks), "W", "D") { Of = burner.Name }];
    }

    /// <summary>Contents that a whistle is asked for, where nobody says: a dal for four.</summary>
    private static readonly Mass UsualContents = Mass.FromGrams(1200);

    private static Vessel Weight(WordsKitchen kitchen) =>
        kitchen.Cooker
        ?? new("typical", "a 5 L cooker with a weight", Length.FromCentimetres(22), Volume.FromMillilitres(5000))
        {
            Cooker = Cooker.Typical(CookerKind.Weight, 5000),
        };

    private List<VagueAnswer> Whistled(int count, WordsKitchen kitchen)
    {
        if (count is < 1 or > 20)
        {
            return [];
        }

        var cooker = Weight(kitchen);
        var times = new WhistleAnswers(simulator).Times(
            cooker,
            kitchen.Burner,
            UsualContents,
            PressureHold.MediumFlame(kitchen.Burner),
            count
        );
        var last = times[^1];
        return
        [
            new("whistle_from_heat", last.Low, last.Minutes, last.High, "min", "C") { Of = cooker.Name },
            new("whistle_from_first", last.Low - times[0].Low, last.Minutes - times[0].Minutes, last.High - times[0].High, "min", "C")
            {
                Of = cooker.Name,
            },
        ];
    }

    private List<VagueAnswer> ToWhistles(double minutes, WordsKitchen kitchen)
    {
        var cooker = Weight(kitchen);
        var count = new WhistleAnswers(simulator).CountOf(
            cooker,
            kitchen.Burner,
            UsualContents,
            PressureHold.MediumFlame(kitchen.Burner),
            minutes
        );
        return
        [
            new("whistles", Math.Max(1, Math.Floor(count * 0.7)), count, Math.Ceiling(count * 1.3), "whistle", "C") { Of = cooker.Name },
        ];
    }

    /// <summary>A slow cooker two thirds full of water from the tap, run for ten hours.</summary>
    private List<VagueAnswer> Crock(Flame flame, WordsKitchen kitchen)
    {
        var slow = kitchen.Slow
            ?? new("typical", "a 6 L slow cooker", Length.FromCentimetres(24), Volume.FromMillilitres(6000))
            {
                Cooker = Cooker.Typical(CookerKind.Slow, 6000),
            };
        var pinch = new PulseIngredient("p", Mass.FromGrams(1), catalogue.Pulses[0], new Pace(1, 0));
        var cook = new Cook(
            new CookKitchen(slow, kitchen.Burner, Altitude.SeaLevel, Temperature.FromCelsius(kitchen.RoomCelsius)),
            [pinch],
            [
                new CookAction.Add(Trigger.Next, "p"),
                new CookAction.AddWater(
                    Trigger.Next,
                    Mass.FromGrams(slow.Brim.Millilitres * 0.6),
                    Temperature.FromCelsius(kitchen.RoomCelsius)
                ),
                new CookAction.Cover(Trigger.Next, Lid.On),
                new CookAction.Heat(Trigger.Next, flame),
                new CookAction.Serve(Trigger.Later(Duration.FromHours(10))),
            ],
            Instant.FromUnixTimeSeconds(0),
            1
        );
        var run = simulator.Run(cook, PotTraits.Reference(cook), new RunOptions(Sample: true));
        var ends = run.Samples[^1].Celsius;
        var answers = new List<VagueAnswer> { new("slow_ends_at", ends - 4, ends, Math.Min(100, ends + 4), "C", "C") { Of = slow.Name } };
        if (run.Samples.FirstOrDefault(s => s.Celsius >= 80) is { } there)
        {
            answers.Add(
                new("slow_to_80", there.Seconds / 3600 * 0.8, there.Seconds / 3600, there.Seconds / 3600 * 1.3, "h", "C") { Of = slow.Name }
            );
        }

        return answers;
    }
}
