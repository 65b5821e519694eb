using BrightKettle.Core.Planning;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Messages;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>What went otherwise than planned: the dish is changed as a cook would change it, planned again, and the difference
/// told.</summary>
public static class PlanAdjustments
{
    public static async Task<Results<Ok<SlipAnswerDto>, ProblemHttpResult>> Mend(
        SlipRequest request,
        DishRequestReader dishes,
        CancellationToken cancel
    )
    {
        if (request.Slip is null)
        {
            return KettleProblems.Invalid("request.missing", "slip");
        }

        var asked = await dishes.ReadAsync(request.Dish, cancel);
        if (asked.Dish is not { } before)
        {
            return asked.Problem;
        }

        var checks = asked.Checks;
        var wanted = Wanted(request, before, asked.Kitchen, checks).ToList();
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        // Starting late means that nothing is begun before then.
        var from = request.Slip.Kind == "start_late" ? before.Now + Duration.FromMinutes(request.Slip.Minutes ?? 0) : before.Now;
        (PlanAnswer.Refused Answer, Dish Dish)? refused = null;
        foreach (var atTheHour in new[] { true, false })
        {
            foreach (var (dto, note) in wanted)
            {
                var changed = dishes.Map(dto, asked.Kitchen, from, checks, asked.Beside);
                if (changed.Dish is null)
                {
                    return changed.Problem;
                }

                var (taken, found) = atTheHour ? (changed, await dishes.PlanAsync(changed)) : await NearestAsync(changed, dishes);
                if (found is PlanAnswer.Planned { Plan: var after })
                {
                    var differences = await dishes.PlanAsync(asked) is PlanAnswer.Planned { Plan: var old }
                        ? PlanDifference.Between(old, after)
                        : [];
                    return TypedResults.Ok(
                        new SlipAnswerDto(taken.Asked, note, DishRequestReader.Dto(after, taken), DifferenceDto.Of(differences))
                    );
                }

                refused ??= ((PlanAnswer.Refused)found, changed.Dish);
            }
        }

        return PlanProblems.Refused(refused!.Value.Answer.Refusal, refused.Value.Dish);
    }

    /// <summary>The dish, or the first offer that makes it possible: a bigger pot, or a later hour.</summary>
    private static async Task<(RequestedDish Asked, PlanAnswer Answer)> NearestAsync(RequestedDish asked, DishRequestReader dishes)
    {
        var answer = await dishes.PlanAsync(asked);
        var dish = asked.Dish!;
        foreach (var offer in answer is PlanAnswer.Refused { Refusal.Alternatives: var offers } ? offers : [])
        {
            RequestedDish? nearest = offer switch
            {
                { Kind: "serve_at", Soak: null, ServeAt: { } at } => asked with
                {
                    Asked = asked.Asked with { ServeAtLocal = LocalTimes.Write(dish.Household.LocalOf(at)) },
                    Dish = dish with { ServeAt = at },
                },
                { Kind: "vessel", VesselId: { } id } => asked with
                {
                    Asked = asked.Asked with { VesselId = id },
                    Dish = dish with { Vessel = asked.Kitchen.Vessels.First(v => v.Id == id) },
                },
                _ => null,
            };
            if (nearest is not null)
            {
                return (nearest, await dishes.PlanAsync(nearest));
            }
        }

        return (asked, answer);
    }

    /// <summary>What a cook would try, in this order; the first that can be had is taken.</summary>
    private static IEnumerable<(DishDto Dish, string Note)> Wanted(SlipRequest request, Dish dish, KitchenState kitchen, FieldFaults checks)
    {
        var (dto, slip) = (request.Dish, request.Slip);
        switch (slip.Kind)
        {
            case "start_late":
                checks.Within(slip.Minutes ?? -1, 1, 720, "slip.minutes");
                return [(dto, Said.AdjustmentBegunLater())];
            case "dinner_moves":
                var minutes = checks.Within(slip.Minutes ?? 1441, -720, 1440, "slip.minutes");
                var at = dish.Household.LocalOf(dish.ServeAt + Duration.FromMinutes(minutes));
                return [(dto with { ServeAtLocal = LocalTimes.Write(at) }, Said.AdjustmentTableAt(Hours.Of(at)))];
            case "soak_forgotten":
                return Unsoaked(dto, kitchen);
            case "more_guests":
                var more = (int)checks.Within(slip.People ?? 0, 1, 36, "slip.people");
                return [(Scaled(dto, more), Said.AdjustmentFor(dto.People + more))];
            case "without":
                if (dto.Extras is null || dto.Extras.All(x => x.ExtraId != slip.What))
                {
                    checks.Add("slip.value", "slip.what");
                    return [];
                }

                return [(dto with { Extras = [.. dto.Extras.Where(x => x.ExtraId != slip.What)] }, Said.AdjustmentLeftOut())];
            case "smaller_pot":
                if (kitchen.Vessels.All(v => v.Id != slip.What))
                {
                    checks.Add("slip.value", "slip.what");
                    return [];
                }

                return [(dto with { VesselId = slip.What! }, Said.AdjustmentOtherPot())];
            default:
                checks.Add("slip.unknown", "slip.kind");
                return [];
        }
    }

    /// <summary>Nothing soaked: the same hour as it is, then the quick soak, then pressure; else later.</summary>
    private static IEnumerable<(DishDto Dish, string Note)> Unsoaked(DishDto dto, KitchenState kitchen)
    {
        var dry = dto with { Soak = ClosedSet.Word(SoakChoice.None) };
        yield return (dry, Said.AdjustmentFromTheBag());
        yield return (dto with { Soak = ClosedSet.Word(SoakChoice.Quick) }, Said.AdjustmentQuickSoak());
        foreach (var cooker in kitchen.Vessels.Where(v => v.Cooker is { UnderPressure: true }))
        {
            yield return (
                dry with
                {
                    Method = ClosedSet.Word(Method.Pressure),
                    CookerId = cooker.Id,
                },
                Said.AdjustmentUnderPressure(cooker.Name)
            );
        }
    }

    private static DishDto Scaled(DishDto dto, int more)
    {
        var factor = (double)(dto.People + more) / dto.People;
        AmountDto? Of(AmountDto? a) =>
            a is null ? null : a with { Value = a.Unit == "g" ? Math.Round(a.Value * factor) : Math.Round(a.Value * factor, 2) };
        return dto with
        {
            People = dto.People + more,
            Pulse = Of(dto.Pulse),
            Rice = Of(dto.Rice),
            Others = dto.Others is null ? null : [.. dto.Others.Select(o => o with { Amount = Of(o.Amount) })],
            Extras = dto.Extras is null ? null : [.. dto.Extras.Select(x => x with { Amount = Of(x.Amount), Pieces = null })],
        };
    }
}
