using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning.Stages;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning;

/// <summary>Rice in a pot of its own, timed so that both pots reach the table together. Water and minutes are solved by running that
/// pot.</summary>
internal sealed class RiceApart(Simulator simulator)
{
    private const int MostTries = 12;

    /// <summary>Free liquor that may be left with the rice, g per g dry: a film.</summary>
    private const double WantedShare = 0.03;

    /// <summary>Two pots with the rice in its own, both done when the dish goes to the table.</summary>
    /// <param name="cook">The pulses alone.</param>
    public Cook Attach(Dish dish, Cook cook)
    {
        var (rice, pot) = (dish.Rice!, dish.RiceApart!);
        var (water, minutes, whole, off) = Solve(dish, pot);
        var lit = Instant.FromUnixTimeSeconds((long)Math.Round((dish.ServeAt.ToUnixTimeSeconds() - whole) / 60) * 60);
        var soak = rice.SoakMinutes.Low > 0 ? Duration.FromMinutes(rice.SoakMinutes.Typical) : Duration.Zero;
        var actions = Steps(dish, lit - soak, lit, water, minutes, off).Select(a => a with { In = pot.Vessel.Id });
        var serve = cook.Actions[^1];
        return cook with
        {
            Kitchen = cook.Kitchen with { OtherVessels = [.. cook.Kitchen.OtherVessels, pot] },
            Ingredients =
            [
                cook.Ingredients[0],
                new RiceIngredient(Way.RiceId, dish.RiceDry, rice, dish.RiceRateFactor) { Toasted = dish.Has(AskedStage.Toast) },
                .. cook.Ingredients.Skip(1),
            ],
            Actions =
            [
                .. cook.Actions.SkipLast(1),
                .. actions,
                .. Folded(dish, pot),
                serve with
                {
                    Trigger = serve.Trigger with { AfterStep = dish.Has(AskedStage.Fold) ? StepIds.Fold : StepIds.RiceRested },
                },
            ],
            Starts = lit - soak < cook.Starts ? lit - soak : cook.Starts,
        };
    }

    /// <summary>Once both are ready the rice comes over to the pulses.</summary>
    private static IEnumerable<CookAction> Folded(Dish dish, CookVessel pot)
    {
        if (dish.Has(AskedStage.Fold))
        {
            yield return new CookAction.Transfer(Trigger.Next, dish.Vessel.Id, TransferWhat.Everything)
            {
                In = pot.Vessel.Id,
                StepId = StepIds.Fold,
            };
        }
    }

    /// <summary>The rice alone in a spare pot, rested at an instant; its last action carries <see cref="StepIds.RiceRested"/>.</summary>
    public IReadOnlyList<CookAction> Beside(Dish dish, CookVessel pot, Instant rested)
    {
        var (water, minutes, whole, off) = Solve(dish, pot);
        var lit = Instant.Max(dish.Now, rested - Duration.FromSeconds(whole));
        // There is no time left for a soak.
        return [.. Steps(dish, lit, lit, water, minutes, off).Select(a => a with { In = pot.Vessel.Id })];
    }

    /// <summary>How far the rice is when its flame goes out.</summary>
    private static double AtOff(PotRun run, Cook cook) => run.At(WaySolver.IndexOf(cook, StepIds.RiceOff)).Doneness[0];

    /// <summary>Water for a first guess beyond what rice drinks, over its dry weight: what leaves as steam.</summary>
    private const double SteamShare = 0.25;

    /// <summary>Water, minutes from the boil to the flame going out, seconds from the flame to rested, and how far the rice is when the
    /// flame goes out.</summary>
    private (Mass Water, double Minutes, double Seconds, double Off) Solve(Dish dish, CookVessel pot)
    {
        var rice = dish.Rice!;
        var (water, minutes) = (dish.RiceDry * (rice.Absorbed.Typical + SteamShare), rice.SimmerMinutes.Typical);
        var perMinute = Doneness.Tender / (rice.SimmerMinutes.Typical + dish.RiceRestMinutes);
        var seconds = 0.0;
        for (var i = 0; i < MostTries; i++)
        {
            var (run, cook) = Run(dish, pot, water, minutes);
            seconds = run.EndSeconds - (dish.Rice!.SoakMinutes.Low > 0 ? dish.Rice.SoakMinutes.Typical * 60 : 0);
            var liquor = (WantedShare * dish.RiceDry.Grams) - run.FinalLiquor;
            var miss = WaySolver.RiceAtOff(dish) - AtOff(run, cook);
            if (Math.Abs(liquor) < 3 && Math.Abs(miss) < 0.7)
            {
                break;
            }

            water = Mass.Max(dish.RiceDry, water + Mass.FromGrams(liquor));
            minutes = Math.Max(1, minutes + (Math.Abs(liquor) < 60 ? 0.8 * miss / perMinute : 0));
        }

        (water, minutes) = (water.RoundedTo(10), Math.Round(minutes));
        var (settled, last) = Run(dish, pot, water, minutes);
        return (water, minutes, seconds, AtOff(settled, last));
    }

    private (PotRun Run, Cook Cook) Run(Dish dish, CookVessel pot, Mass water, double minutes)
    {
        var home = dish.Household;
        var soak = dish.Rice!.SoakMinutes.Low > 0 ? Duration.FromMinutes(dish.Rice.SoakMinutes.Typical) : Duration.Zero;
        var cook = new Cook(
            new CookKitchen(pot.Vessel, pot.Burner, home.Altitude, home.Room)
            {
                HardnessMilligramsPerLitre = home.HardnessMilligramsPerLitre,
            },
            [new RiceIngredient(Way.RiceId, dish.RiceDry, dish.Rice, dish.RiceRateFactor) { Toasted = dish.Has(AskedStage.Toast) }],
            [.. Steps(dish, dish.ServeAt - soak, dish.ServeAt, water, minutes), new CookAction.Serve(Trigger.Next)],
            dish.ServeAt - soak,
            dish.Seed
        );
        return (simulator.Run(cook, PotTraits.Reference(cook), RunOptions.Search), cook);
    }

    private static IEnumerable<CookAction> Steps(Dish dish, Instant soaked, Instant lit, Mass water, double minutes, double? off = null)
    {
        var rice = dish.Rice!;
        return
        [
            .. soaked == lit ? [] : RiceStart.Soaked(dish, lit),
            new CookAction.Add(Trigger.At(lit), Way.RiceId),
            new CookAction.AddWater(Trigger.Next, water, dish.Household.Room),
            .. RiceStart.Salted(dish),
            new CookAction.Cover(Trigger.Next, Lid.On),
            new CookAction.Heat(Trigger.Next, Flame.Full) { StepId = StepIds.RiceLight },
            new CookAction.Heat(Trigger.Once(PotEvent.Boils), Flame.Gentle) { StepId = StepIds.RiceBoils },
            new CookAction.Cover(Trigger.Next, Lid.Sealed),
            new CookAction.Heat(
                new Trigger(Delay: Duration.FromMinutes(minutes), Look: off is { } done ? SealAndSteam.RiceLook(dish, done) : null),
                Flame.Off
            )
            {
                StepId = StepIds.RiceOff,
            },
            .. dish.Has(AskedStage.Towel) ? [new CookAction.Cover(Trigger.Next, Lid.On) { With = SealMaterial.Towel }] : (CookAction[])[],
            new CookAction.Stir(Trigger.Later(Duration.FromMinutes(dish.RiceRestMinutes))) { StepId = StepIds.RiceRested },
        ];
    }
}
