using BrightKettle.Core.Cooking.Trace;
using BrightKettle.Core.Kitchen;
using NodaTime;

namespace BrightKettle.Core.Cooking;

/// <summary>Why a list of actions is not a cook. <see cref="Action"/> is the index of the action, or null for the list.</summary>
public sealed record CookFault(string Code, int? Action, string Field);

/// <summary>What makes a list of actions a cook that can be run.</summary>
public static class CookRules
{
    public const int MostActions = 200;
    public const int MostIngredients = 16;
    public const int MostVessels = 4;

    /// <summary>No scale in a kitchen shows less.</summary>
    public const double LeastGrams = 0.01;

    /// <summary>The first fault, or null when the cook can be run.</summary>
    public static CookFault? Check(Cook cook)
    {
        if (cook.Ingredients.Count is 0 or > MostIngredients)
        {
            return new("cook.ingredients", null, "ingredients");
        }

        if (cook.Ingredients.Select(i => i.Id).Distinct().Count() != cook.Ingredients.Count)
        {
            return new("cook.ingredient_twice", null, "ingredients");
        }

        if (cook.Ingredients.Any(i => i.Dry.Grams is not (>= LeastGrams and <= 60_000)))
        {
            return new("cook.ingredient_amount", null, "ingredients");
        }

        if (
            cook.Kitchen.VesselCount > MostVessels
            || Enumerable.Range(0, cook.Kitchen.VesselCount).Select(v => cook.Kitchen[v].Vessel.Id).Distinct().Count()
                != cook.Kitchen.VesselCount
        )
        {
            return new("cook.vessels", null, "kitchen.others");
        }

        if (cook.Actions.Count is 0 or > MostActions)
        {
            return new("cook.actions", null, "actions");
        }

        return new Actions(cook).Check();
    }

    /// <summary>Each action in turn, by how the trace finds its vessel.</summary>
    private sealed class Actions(Cook cook)
    {
        /// <summary>Doneness that a look can ask for.</summary>
        private const double MostLooked = 400;

        private const int MostAlso = 4;

        /// <summary>Sprinkled at one look, g.</summary>
        private const double MostSprinkled = 1000;

        /// <summary>Liquor that may be called too much, g.</summary>
        private const double MostSteamedOff = 10_000;

        /// <summary>Looks this close are for finding a moment exactly; the exchange form allows one a minute.</summary>
        private static readonly Duration LeastLook = Duration.FromSeconds(10);

        private readonly CookTrace _trace = new(cook);
        private readonly HashSet<string> _marks = [];

        public CookFault? Check()
        {
            for (var i = 0; i < cook.Actions.Count; i++)
            {
                if (CheckOne(cook.Actions[i], i) is { } fault)
                {
                    return fault;
                }

                if (cook.Actions[i].StepId is { } mark)
                {
                    _marks.Add(mark);
                }
            }

            return cook.Actions[^1] is CookAction.Serve ? null : new("cook.no_end", cook.Actions.Count - 1, "do");
        }

        private CookFault? CheckOne(CookAction action, int i)
        {
            var vessel = cook.VesselOf(action);
            if (vessel < 0)
            {
                return new("cook.unknown_vessel", i, "in");
            }

            return CheckWhen(action, i, vessel)
                ?? CheckLock(action, i, vessel)
                ?? CheckHeat(action, i, vessel)
                ?? CheckPlace(action, i, vessel)
                ?? CheckAmounts(action, i)
                ?? (action is CookAction.Serve && i != cook.Actions.Count - 1 ? new("cook.after_the_end", i, "do") : null);
        }

        private CookFault? CheckWhen(CookAction action, int i, int vessel)
        {
            var when = action.Trigger;
            if (when.Delay is { } delay && (delay < Duration.Zero || delay > Duration.FromDays(2)))
            {
                return new("cook.delay", i, "when.delayMinutes");
            }

            if (when.NotBefore is { } at && (at < cook.Starts || at - cook.Starts > Duration.FromDays(4)))
            {
                return new("cook.too_far", i, "when.notBefore");
            }

            if (when.Count is < 1 or > 60 || (when.Count > 1 && when.After is not (null or PotEvent.Whistle)))
            {
                return new("cook.count", i, "when.count");
            }

            if (when.AfterStep is { } mark && !_marks.Contains(mark))
            {
                return new("cook.unknown_mark", i, "when.afterMark");
            }

            if (when.Look is { } look)
            {
                var place = _trace.PlaceBefore(i, look.IngredientId);
                if (place < 0)
                {
                    return new("cook.not_in_pot", i, "when.look.ingredient");
                }

                if (_trace.Before(i, place).Locked && when.After != PotEvent.PinDown)
                {
                    return new("cook.lid_locked", i, "when.look");
                }

                if (
                    look.Again < LeastLook
                    || look.Doneness is not (>= 0 and <= MostLooked)
                    || look.Also.Count > MostAlso
                    || look.Also.Any(o => o.Doneness is not (>= 0 and <= MostLooked))
                    || look.NotYet is { Sprinkle.Grams: < 0 or > MostSprinkled }
                    || look.NotYet?.Longest < LeastLook
                    || look.LidOff is { Over.Grams: < 0 or > MostSteamedOff }
                    || look.LidOff?.Longest < LeastLook
                    || look.LidOff?.Longest > Duration.FromHours(1)
                    || (look.NotYet?.LockAgain is { } again && !Fits(again, cook.Kitchen[vessel].Vessel))
                )
                {
                    return new("cook.look", i, "when.look");
                }

                if (look.Also.Any(o => _trace.PlaceBefore(i, o.IngredientId) != place))
                {
                    return new("cook.not_in_pot", i, "when.look.also");
                }
            }

            if (BowlLane.Holds(action) && (when.After is not null || when.Look is not null || when.AfterStep is not null))
            {
                return new("cook.bowl_by_clock", i, "when");
            }

            return when.After switch
            {
                PotEvent.PressureUp or PotEvent.Whistle when !_trace.Before(i).Locked => new("cook.not_locked", i, "when.after"),
                PotEvent.PinDown when !_trace.Before(i).Releasing => new("cook.not_released", i, "when.after"),
                PotEvent.SwitchesOver when cook.Kitchen[vessel].Vessel.Cooker is not { IsForRice: true } => new(
                    "cook.not_rice_cooker",
                    i,
                    "when.after"
                ),
                PotEvent.Whistle when cook.Kitchen[vessel].Vessel.Cooker?.Kind != CookerKind.Weight => new(
                    "cook.no_whistle",
                    i,
                    "when.after"
                ),
                _ => null,
            };
        }

        private CookFault? CheckLock(CookAction action, int i, int vessel)
        {
            var locked = _trace.Found(i).Locked;
            return action switch
            {
                CookAction.Pressurise when cook.Kitchen[vessel].Vessel.Cooker is not { UnderPressure: true } => new(
                    "cook.no_pressure",
                    i,
                    "in"
                ),
                CookAction.Release when !locked => new("cook.not_locked", i, "do"),
                CookAction.Release or CookAction.Heat => null,
                _ => locked && !BowlLane.Holds(action) ? new("cook.lid_locked", i, "do") : null,
            };
        }

        private CookFault? CheckHeat(CookAction action, int i, int vessel)
        {
            var place = cook.Kitchen[vessel];
            return action switch
            {
                CookAction.Heat { Flame: not Flame.Off } or CookAction.Cover or CookAction.Pressurise when place.Above => new(
                    "cook.bowl_above",
                    i,
                    "in"
                ),
                CookAction.Heat { Flame: var flame }
                    when place.Vessel.Cooker?.Kind == CookerKind.Slow
                        && flame is not (Flame.Off or Flame.Warm or Flame.Low or Flame.High) => new("cook.slow_setting", i, "flame"),
                CookAction.Heat { Flame: var flame }
                    when place.Vessel.Cooker is { IsForRice: true } && flame is not (Flame.Off or Flame.Warm or Flame.High) => new(
                    "cook.rice_setting",
                    i,
                    "flame"
                ),
                CookAction.Heat { Flame: Flame.High } when place.Vessel.Cooker is { IsForRice: true } => null,
                CookAction.Heat { Flame: Flame.Low or Flame.High } when place.Vessel.Cooker?.Kind != CookerKind.Slow => new(
                    "cook.not_slow",
                    i,
                    "flame"
                ),
                CookAction.Heat { Flame: Flame.Off, Net: not null } => new("cook.off_watts", i, "watts"),
                CookAction.Heat { Net.Watts: > 10_000 } => new("cook.amount", i, "watts"),
                _ => null,
            };
        }

        /// <summary>A lid is locked again in what locks, for at most an hour.</summary>
        private static bool Fits(LockAgain again, Vessel vessel) =>
            vessel.Cooker is { UnderPressure: true }
            && again.Below is >= 0 and <= MostLooked
            && again.Held >= Duration.FromMinutes(1)
            && again.Held <= Duration.FromHours(1);

        private CookFault? CheckPlace(CookAction action, int i, int vessel)
        {
            var id = action switch
            {
                CookAction.Add a => a.IngredientId,
                CookAction.TakeOut a => a.IngredientId,
                CookAction.Mash a => a.IngredientId,
                CookAction.Transfer { What: TransferWhat.Ingredient } a => a.IngredientId ?? string.Empty,
                _ => BowlLane.IngredientOf(action),
            };
            if (action is CookAction.Transfer transfer && CheckTransfer(transfer, i, vessel) is { } fault)
            {
                return fault;
            }

            if (id is null)
            {
                return null;
            }

            var index = cook.IndexOf(id);
            if (index < 0)
            {
                return new("cook.unknown_ingredient", i, "ingredient");
            }

            var place = _trace.PlaceBefore(i, id);
            var wantsIn = action is CookAction.TakeOut or CookAction.Mash or CookAction.Transfer;
            if (wantsIn != (place >= 0) || (wantsIn && place != vessel))
            {
                return new(wantsIn ? "cook.not_in_pot" : "cook.already_in_pot", i, "ingredient");
            }

            return action switch
            {
                CookAction.TakeOut when cook.Ingredients[index] is not ExtraIngredient => new("cook.not_an_extra", i, "ingredient"),
                CookAction.Mash when cook.Ingredients[index] is not PulseIngredient => new("cook.not_a_pulse", i, "ingredient"),
                _ => null,
            };
        }

        private CookFault? CheckTransfer(CookAction.Transfer action, int i, int vessel)
        {
            var to = cook.Kitchen.IndexOf(action.To);
            return to < 0 || to == vessel ? new("cook.unknown_vessel", i, "to")
                : _trace.Before(i, to).Locked ? new("cook.lid_locked", i, "to")
                : null;
        }

        private static CookFault? CheckAmounts(CookAction action, int i)
        {
            var amount = action switch
            {
                CookAction.Soak a => a.Water.Grams,
                CookAction.AddWater a => a.Water.Grams,
                CookAction.SetLiquor a => a.Liquor.Grams,
                CookAction.PourBack a => a.Liquor.Grams,
                CookAction.AddSalt a => a.Salt.Grams,
                CookAction.Thicken a => a.Starch.Grams + a.Water.Grams,
                CookAction.Transfer { Most: { } most } => most.Grams,
                _ => 0,
            };
            if (amount is not (>= 0 and <= 60_000))
            {
                return new("cook.amount", i, "grams");
            }

            return action switch
            {
                CookAction.Soak { SaltShare: not (>= 0 and <= 0.05) } => new("cook.salt_share", i, "saltShare"),
                CookAction.Soak { SodaGramsPerLitre: not (>= 0 and <= 10) } => new("cook.soda_share", i, "sodaGramsPerLitre"),
                CookAction.SetLiquor { BoilDown: { } down } when down < Duration.Zero || down > Duration.FromDays(1) => new(
                    "cook.delay",
                    i,
                    "boilDownMinutes"
                ),
                CookAction.AddWater { IceShare: not (>= 0 and <= 1) } => new("cook.share", i, "iceShare"),
                CookAction.Mash { Share: not (>= 0 and <= 1) } => new("cook.share", i, "share"),
                CookAction.TopUp { OverBedCentimetres: not (>= -20 and <= 40) }
                or CookAction.KeepLevel { OverBedCentimetres: { } and not (>= -20 and <= 40) } => new("cook.level", i, "centimetres"),
                _ => null,
            };
        }
    }
}
