using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Data.Records;
using BrightKettle.Server.Contracts;
using BrightKettle.Server.Formats;
using BrightKettle.Server.Problems;
using NodaTime;
using NodaTime.Text;

namespace BrightKettle.Server.Endpoints;

/// <summary>From what was asked for to a dish of the core.</summary>
public sealed class DishMapper(PulseCatalogue catalogue, KitchenState kitchen, Instant now)
{
    private static readonly LocalDateTimePattern Pattern = LocalDateTimePattern.CreateWithInvariantCulture("uuuu'-'MM'-'dd'T'HH':'mm");
    private static readonly Duration FarthestAhead = Duration.FromDays(14);

    /// <summary>A local time as requests write it: 2026-11-25T19:00.</summary>
    public static string Local(LocalDateTime time) => Pattern.Format(time);

    /// <summary>The dish, or null with the faults in the checks.</summary>
    public Dish? Map(DishDto dto, FieldChecks checks)
    {
        ArgumentNullException.ThrowIfNull(dto);
        ArgumentNullException.ThrowIfNull(checks);
        var pulse = catalogue.FindPulse(dto.PulseId ?? string.Empty) ?? checks.Refuse<Pulse>("catalogue.unknown_pulse", "pulseId");
        var rice = dto.RiceId is null ? null : catalogue.FindRice(dto.RiceId) ?? checks.Refuse<Rice>("catalogue.unknown_rice", "riceId");
        var vessel = kitchen.Vessels.FirstOrDefault(v => v.Id == dto.VesselId) ?? checks.Refuse<Vessel>("kitchen.unknown_vessel", "vesselId");
        var burner = dto.BurnerId is null
            ? (kitchen.Burners.Count > 0 ? kitchen.Burners[0] : null)
            : kitchen.Burners.FirstOrDefault(b => b.Id == dto.BurnerId);
        burner ??= checks.Refuse<Burner>("kitchen.unknown_burner", "burnerId");
        var people = (int)checks.Within(dto.People, 1, 40, "people");
        checks.Within(dto.Seed, 0, 999_999, "seed");
        var soak = Word<SoakChoice>(dto.Soak, "soak", checks);
        var style = Word<Style>(dto.Style, "style", checks);
        var method = Snake<Method>(dto.Method, "method", checks);
        var cooker = CookerOf(dto, method, checks);
        var serveAt = ServeAt(dto.ServeAtLocal, checks);
        if (pulse is null || vessel is null || burner is null || (dto.RiceId is not null && rice is null))
        {
            return null;
        }

        var pulseGrams = Grams(dto.Pulse, pulse.GramsPerCup, people * Portions.PulseGramsEach(rice is not null), "pulse", checks);
        var riceGrams = rice is null ? 0 : Grams(dto.Rice, rice.GramsPerCup, people * Portions.RiceGramsEach, "rice", checks);
        return checks.Any
            ? null
            : new Dish(
                pulse,
                Mass.FromGrams(pulseGrams),
                new Pace(1, catalogue.Constants.LotSpread),
                rice,
                Mass.FromGrams(riceGrams),
                soak,
                style,
                vessel,
                kitchen.Vessels,
                burner,
                kitchen.Household,
                serveAt,
                now,
                dto.Seed)
            {
                Method = method,
                Cooker = cooker,
            };
    }

    private Vessel? CookerOf(DishDto dto, Method method, FieldChecks checks)
    {
        if (method is Method.OpenPot or Method.Cooked)
        {
            return null;
        }

        var slow = method == Method.SlowCooker;
        return kitchen.Vessels.FirstOrDefault(v => v.Id == dto.CookerId && v.Cooker is { } c && c.UnderPressure != slow)
            ?? checks.Refuse<Vessel>("kitchen.unknown_cooker", "cookerId");
    }

    private double Grams(AmountDto? amount, double gramsPerCup, double usual, string field, FieldChecks checks)
    {
        if (amount is null)
        {
            return usual;
        }

        switch (amount.Unit)
        {
            case "g":
                return checks.Within(amount.Value, 20, 5000, field);
            case "cup":
                var cups = checks.Within(amount.Value, 0.1, 25, field);
                return Portions.GramsOfCups(cups, gramsPerCup, kitchen.Row.CupMillilitres);
            default:
                checks.Add("request.unknown_word", $"{field}.unit");
                return usual;
        }
    }

    private Instant ServeAt(string? local, FieldChecks checks)
    {
        var parsed = Pattern.Parse(local ?? string.Empty);
        if (!parsed.Success)
        {
            checks.Add("request.time", "serveAtLocal");
            return now;
        }

        var at = kitchen.Household.InstantOf(parsed.Value);
        if (at < now)
        {
            checks.Add("dish.past", "serveAtLocal");
        }
        else if (at - now > FarthestAhead)
        {
            checks.Add("dish.too_far", "serveAtLocal");
        }

        return at;
    }

    private static T Snake<T>(string? word, string field, FieldChecks checks)
        where T : struct, Enum
    {
        foreach (var value in Enum.GetValues<T>())
        {
            if (CookWriter.Word(value) == word)
            {
                return value;
            }
        }

        checks.Add("request.unknown_word", field);
        return default;
    }

    private static T Word<T>(string? word, string field, FieldChecks checks)
        where T : struct, Enum
    {
        // A number would parse as an enum too; only the words are meant.
        if (word is not null && !char.IsAsciiDigit(word.FirstOrDefault('0')) && Enum.TryParse<T>(word, ignoreCase: true, out var value))
        {
            return value;
        }

        checks.Add(word is null ? "request.missing" : "request.unknown_word", field);
        return default;
    }
}

/// <summary>The household as the core knows it, with its row.</summary>
public sealed record KitchenState(HouseholdRow Row, Household Household, IReadOnlyList<Vessel> Vessels, IReadOnlyList<Burner> Burners);
