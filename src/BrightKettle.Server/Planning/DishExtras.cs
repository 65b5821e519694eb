using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>From the extras that were asked for to those of the core.</summary>
internal sealed class DishExtras(PulseCatalogue catalogue, double cupMillilitres, int people)
{
    private const int Most = 12;

    public IReadOnlyList<DishExtra> Map(IReadOnlyList<ExtraWishDto>? wishes, FieldFaults checks)
    {
        if (wishes is null)
        {
            return [];
        }

        if (wishes.Count > Most || wishes.Any(w => w is null) || wishes.Select(w => w.ExtraId).Distinct().Count() != wishes.Count)
        {
            checks.Add("dish.extras", "extras");
            return [];
        }

        return
        [
            .. wishes.SelectMany(
                (w, i) =>
                    One(w, $"extras[{i}]", checks) is { } extra
                        ? w.KeptHalf == true
                            ? extra.Halved()
                            : [extra]
                        : []
            ),
        ];
    }

    private DishExtra? One(ExtraWishDto wish, string at, FieldFaults checks)
    {
        if (catalogue.FindExtra(wish.ExtraId ?? string.Empty) is not { } extra)
        {
            return checks.Refuse<DishExtra>("catalogue.unknown_extra", $"{at}.extraId");
        }

        var grams = checks.Within(Grams(extra, wish.Amount, $"{at}.amount", checks), 0.1, 5000, $"{at}.amount");
        var time = DishExtra.Usual(extra);
        if (wish.Time is not null)
        {
            time = ClosedSet.Read<ExtraTime>(wish.Time, $"{at}.time", checks);
        }

        var counted = extra.PieceGrams > 0 ? (int)Math.Max(1, Math.Round(grams / extra.PieceGrams)) : 1;
        var pieces = extra.ComesOut ? (int)checks.Within(wish.Pieces ?? counted, 1, 50, $"{at}.pieces") : 0;
        if (wish.Blanched == true && extra.SaltAfterBlanch is null)
        {
            checks.Add("extra.not_blanched", $"{at}.blanched");
        }

        if (wish.Frozen == true && !extra.Freezes)
        {
            checks.Add("extra.not_frozen", $"{at}.frozen");
        }

        if (wish.Strength is not null && extra.Leaves is null)
        {
            checks.Add("extra.no_infusion", $"{at}.strength");
        }

        if (wish.KeptHalf == true && (time == ExtraTime.Late || extra.ComesOut))
        {
            checks.Add("extra.kept_half", $"{at}.keptHalf");
        }

        return new(extra, Mass.FromGrams(grams), time, pieces, wish.Blanched ?? false)
        {
            Frozen = wish.Frozen ?? false,
            Before = wish.MinutesBefore is { } before ? checks.Within(before, 0, 120, $"{at}.minutesBefore") : null,
            Strength = wish.Strength is { } said
                ? ClosedSet.Read<InfusionStrength>(said, $"{at}.strength", checks)
                : InfusionStrength.Usual,
        };
    }

    private double Grams(Extra extra, AmountDto? amount, string at, FieldFaults checks)
    {
        switch (amount?.Unit)
        {
            case null:
                // What nobody weighs comes in whole pieces.
                var usual = extra.GramsEach * people;
                return extra.PieceGrams > 0 ? Math.Max(1, Math.Round(usual / extra.PieceGrams)) * extra.PieceGrams : usual;
            case "g" or "mL":
                return amount.Value;
            case "cup":
                return amount.Value * cupMillilitres;
            case "piece" when extra.PieceGrams > 0:
                return amount.Value * extra.PieceGrams;
            default:
                checks.Add("request.unknown_word", $"{at}.unit");
                return 1;
        }
    }
}
