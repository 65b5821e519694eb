using System.Globalization;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using Microsoft.AspNetCore.Http.HttpResults;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

/// <summary>What went otherwise than planned: the dish is changed as a cook would change it, planned again, and the difference told.</summary>
public static class Slips
{
    public static async Task<Results<Ok<SlipAnswerDto>, ProblemHttpResult>> Mend(
        SlipRequest request, KettleDb db, PulseCatalogue catalogue, PlanMemory plans, TimeProvider clock, CancellationToken cancel)
    {
        if (request.Dish is null || request.Slip is null)
        {
            return KettleProblems.Invalid("request.missing", request.Dish is null ? "dish" : "slip");
        }

        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var now = Instant.FromDateTimeOffset(clock.GetUtcNow());
        var checks = new FieldChecks();
        var mapper = new DishMapper(catalogue, kitchen, now);
        if (mapper.Map(request.Dish, checks) is not { } before)
        {
            return KettleProblems.Invalid(checks);
        }

        var wanted = Wanted(request, before, kitchen, checks).ToList();
        if (checks.Any)
        {
            return KettleProblems.Invalid(checks);
        }

        // Starting late means that nothing is begun before then.
        var from = request.Slip.Kind == "start_late" ? now + Duration.FromMinutes(request.Slip.Minutes ?? 0) : now;
        PlanAnswer.Refused? refused = null;
        Dish? first = null;
        foreach (var atTheHour in new[] { true, false })
        {
            foreach (var (dto, note) in wanted)
            {
                if (new DishMapper(catalogue, kitchen, from).Map(dto, checks) is not { } dish)
                {
                    return KettleProblems.Invalid(checks);
                }

                var (asked, found) = atTheHour ? (dto, plans.Plan(dto, dish, kitchen)) : Nearest(dto, dish, kitchen, plans);
                if (found is PlanAnswer.Planned { Plan: var after })
                {
                    var differences = plans.Plan(request.Dish, before, kitchen) is PlanAnswer.Planned { Plan: var old } ? PlanDifference.Between(old, after) : [];
                    return TypedResults.Ok(new SlipAnswerDto(
                        asked, note, PlanMapper.Map(after, asked.People, kitchen.Row.CupMillilitres), DifferenceSentences.For(differences)));
                }

                refused ??= (PlanAnswer.Refused)found;
                first ??= dish;
            }
        }

        return KettleProblems.Refused(refused!.Refusal, first!);
    }

    /// <summary>The dish, or the first offer that makes it possible: a bigger pot, or a later hour.</summary>
    private static (DishDto Asked, PlanAnswer Answer) Nearest(DishDto dto, Dish dish, KitchenState kitchen, PlanMemory plans)
    {
        var answer = plans.Plan(dto, dish, kitchen);
        if (answer is not PlanAnswer.Refused { Refusal.Alternatives: var offers })
        {
            return (dto, answer);
        }

        foreach (var offer in offers)
        {
            switch (offer)
            {
                case { Kind: "serve_at", Soak: null, ServeAt: { } at }:
                    var moved = dto with { ServeAtLocal = DishMapper.Local(dish.Household.LocalOf(at)) };
                    return (moved, plans.Plan(moved, dish with { ServeAt = at }, kitchen));
                case { Kind: "vessel", VesselId: { } id }:
                    var bigger = dto with { VesselId = id };
                    return (bigger, plans.Plan(bigger, dish with { Vessel = kitchen.Vessels.First(v => v.Id == id) }, kitchen));
            }
        }

        return (dto, answer);
    }

    /// <summary>What a cook would try, in this order; the first that can be had is taken.</summary>
    private static IEnumerable<(DishDto Dish, string Note)> Wanted(SlipRequest request, Dish dish, KitchenState kitchen, FieldChecks checks)
    {
        var (dto, slip) = (request.Dish, request.Slip);
        switch (slip.Kind)
        {
            case "start_late":
                checks.Within(slip.Minutes ?? -1, 1, 720, "slip.minutes");
                return [(dto, "Begun later")];
            case "dinner_moves":
                var minutes = checks.Within(slip.Minutes ?? 1441, -720, 1440, "slip.minutes");
                var at = dish.Household.LocalOf(dish.ServeAt + Duration.FromMinutes(minutes));
                return [(dto with { ServeAtLocal = DishMapper.Local(at) }, $"Table at {at.ToString("HH:mm", CultureInfo.InvariantCulture)}")];
            case "soak_forgotten":
                return Unsoaked(dto, kitchen);
            case "more_guests":
                var more = (int)checks.Within(slip.People ?? 0, 1, 36, "slip.people");
                return [(Scaled(dto, more), $"For {dto.People + more}")];
            case "without":
                if (dto.Extras is null || dto.Extras.All(x => x.ExtraId != slip.What))
                {
                    checks.Add("slip.value", "slip.what");
                    return [];
                }

                return [(dto with { Extras = [.. dto.Extras.Where(x => x.ExtraId != slip.What)] }, "Left out, with water in its place")];
            case "smaller_pot":
                if (kitchen.Vessels.All(v => v.Id != slip.What))
                {
                    checks.Add("slip.value", "slip.what");
                    return [];
                }

                return [(dto with { VesselId = slip.What! }, "In the other pot")];
            default:
                checks.Add("slip.unknown", "slip.kind");
                return [];
        }
    }

    /// <summary>Nothing soaked: the same hour as it is, then the quick soak, then pressure; else later.</summary>
    private static IEnumerable<(DishDto Dish, string Note)> Unsoaked(DishDto dto, KitchenState kitchen)
    {
        var dry = dto with { Soak = CookWriter.Word(SoakChoice.None) };
        yield return (dry, "Straight from the bag");
        yield return (dto with { Soak = CookWriter.Word(SoakChoice.Quick) }, "With the quick soak");
        foreach (var cooker in kitchen.Vessels.Where(v => v.Cooker is { UnderPressure: true }))
        {
            yield return (dry with { Method = CookWriter.Word(Method.Pressure), CookerId = cooker.Id }, $"Under pressure in the {cooker.Name}");
        }
    }

    private static DishDto Scaled(DishDto dto, int more)
    {
        var factor = (double)(dto.People + more) / dto.People;
        AmountDto? Of(AmountDto? a) => a is null ? null : a with { Value = a.Unit == "g" ? Math.Round(a.Value * factor) : Math.Round(a.Value * factor, 2) };
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
