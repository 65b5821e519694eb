using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Core.Units;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using NodaTime;
using NodaTime.Text;

namespace BrightKettle.Server.Planning;

/// <summary>From what was asked for to a dish of the core.</summary>
/// <param name="beside">Other dishes of the evening; null for none.</param>
public sealed class DishMapper(PulseCatalogue catalogue, KitchenState kitchen, Instant now, IReadOnlyList<Neighbour>? beside = null)
{
    private readonly DishAmounts _amounts = new(kitchen);

    private static readonly Duration FarthestAhead = Duration.FromDays(14);

    /// <summary>The dish, or null with the faults in the checks.</summary>
    public Dish? Map(DishDto dto, FieldFaults checks)
    {
        ArgumentNullException.ThrowIfNull(dto);
        ArgumentNullException.ThrowIfNull(checks);
        var pulse = catalogue.FindPulse(dto.PulseId ?? string.Empty) ?? checks.Refuse<Pulse>("catalogue.unknown_pulse", "pulseId");
        var rice = dto.RiceId is null ? null : catalogue.FindRice(dto.RiceId) ?? checks.Refuse<Rice>("catalogue.unknown_rice", "riceId");
        var vessel = kitchen.Find(dto.VesselId) ?? checks.Refuse<Vessel>("kitchen.unknown_vessel", "vesselId");
        var burner = kitchen.FindBurner(dto.BurnerId) ?? checks.Refuse<Burner>("kitchen.unknown_burner", "burnerId");
        var people = (int)checks.Within(dto.People, 1, 40, "people");
        checks.Within(dto.Seed, 0, 999_999, "seed");
        var style = ClosedSet.Read<Style>(dto.Style, "style", checks);
        var method = ClosedSet.Read<Method>(dto.Method, "method", checks);
        // What is cooked already is neither green nor half-cooked.
        var pulseState =
            method == Method.Cooked || dto.PulseState is null
                ? PulseState.Dry
                : ClosedSet.Read<PulseState>(dto.PulseState, "pulseState", checks);
        var halfTo = ClosedSet.Read<FeltState>(dto.HalfCookedTo ?? "chalky_middle", "halfCookedTo", checks);
        if (halfTo is not (FeltState.ChalkyMiddle or FeltState.NearlyASpeck or FeltState.BiteNoChalk))
        {
            checks.Add("request.unknown_word", "halfCookedTo");
        }

        if (pulseState != PulseState.Dry && dto.Others is { Count: > 0 })
        {
            checks.Add("dish.pulse_state_alone", "pulseState");
        }

        if (pulseState is PulseState.Green or PulseState.FrozenGreen && pulse is { Green: null })
        {
            checks.Add("dish.not_sold_green", "pulseState");
            pulseState = PulseState.Dry;
        }

        var riceState = dto.RiceState is null ? RiceState.Dry : ClosedSet.Read<RiceState>(dto.RiceState, "riceState", checks);
        var cookedFrom = ClosedSet.Read<CookedFrom>(dto.CookedFrom ?? "tin", "cookedFrom", checks);
        PulseTarget? pulseTarget = dto.PulseTarget is null ? null : ClosedSet.Read<PulseTarget>(dto.PulseTarget, "pulseTarget", checks);
        RiceTarget? riceTarget = dto.RiceTarget is null ? null : ClosedSet.Read<RiceTarget>(dto.RiceTarget, "riceTarget", checks);
        var serveAt = ServeAt(dto.ServeAtLocal, checks);
        List<AskedStage> stages =
        [
            .. (dto.Stages ?? []).Select((s, i) => ClosedSet.Read<AskedStage>(s, $"stages[{i}]", checks)).Distinct().Order(),
        ];
        var salt = dto.Salt is null ? kitchen.HouseWays.Salt : ClosedSet.Read<SaltSchool>(dto.Salt, "salt", checks);
        var little = (int)checks.Within(dto.LittleOnes, 0, 10, "littleOnes");
        var extras = new DishExtras(catalogue, kitchen.Row.CupMillilitres, people).Map(dto.Extras, checks);
        var how = new MannerMapper(kitchen, now, beside).Map(
            dto,
            method,
            cookedFrom,
            vessel,
            burner,
            dry: pulseState == PulseState.Dry,
            rice: rice is not null && riceState == RiceState.Dry,
            checks
        );
        var away = Away(dto.Away, checks);
        var pull = Pull(dto.Pull ?? new(), "pull", checks);
        // The hour itself is serveAtLocal: a pulled table would say it twice.
        checks.Within(pull.Table, 0, 0, "pull.table");
        if (pulse is null || vessel is null || burner is null || (dto.RiceId is not null && rice is null) || how is null)
        {
            return null;
        }

        var pulseGrams = _amounts.Pulse(dto.Pulse, pulse, pulseState, rice is not null, people, checks);
        var others = Others(dto, pulse, people, rice is not null, checks);
        var bag = BagOf(dto.BagId, pulse.Id, "bagId", checks);
        if (dto.RiceBagId is not null && kitchen.FindBag(dto.RiceBagId) is null)
        {
            checks.Add("kitchen.unknown_bag", "riceBagId");
        }

        // Several pulses share the usual amount.
        var (lead, joining) = Slowest(
            FromBag(new OtherPulse(pulse, Mass.FromGrams(dto.Pulse is null ? pulseGrams / (1 + others.Count) : pulseGrams)), bag),
            others,
            how.Soak is not Unsoaked
        );
        var riceGrams = rice is null ? 0 : _amounts.Rice(dto.Rice, rice, riceState, people, checks);
        if (checks.Any)
        {
            return null;
        }

        var dish = new Dish(
            lead.Pulse,
            lead.Dry,
            lead.Pace!,
            rice,
            Mass.FromGrams(riceGrams),
            how,
            style,
            vessel,
            kitchen.Vessels,
            burner,
            kitchen.Household,
            serveAt,
            now,
            dto.Seed
        )
        {
            Lot = lead.Lot,
            Asked = stages,
            CookedAtHand = cookedFrom,
            OtherPulses = joining,
            LeadTarget = lead.Target,
            Extras = extras,
            Away = away,
            Pull = pull,
            // The little ones' portion comes out before the salt, so the salt waits.
            Salt = little > 0 ? SaltSchool.AtTheTable : salt,
            SaltPercent = kitchen.HouseWays.SaltPercent,
            KeepsSoakWater = dto.KeepsSoakWater ?? kitchen.HouseWays.KeepsSoakWater,
            StirsAtJoin = kitchen.HouseWays.StirsAtJoin,
            LittleOnes = little,
            PulseTarget = pulseTarget,
            RiceTarget = riceTarget,
            BurnerCount = Math.Max(1, kitchen.Burners.Count),
            OtherBurner = MannerMapper.OtherThan(kitchen, beside, burner),
            Burners = kitchen.Burners,
            Beside = beside ?? [],
            RiceState = riceState,
        };
        return pulseState == PulseState.Dry ? dish : dish.With(pulseState, halfTo);
    }

    public static Pull Pull(PullDto pull, string field, FieldFaults checks)
    {
        ArgumentNullException.ThrowIfNull(pull);
        ArgumentNullException.ThrowIfNull(checks);
        checks.Within(pull.Table, -1440, 1440, $"{field}.table");
        checks.Within(pull.Light, -600, 600, $"{field}.light");
        checks.Within(pull.Join, -240, 240, $"{field}.join");
        checks.Within(pull.Seal, 0, 60, $"{field}.seal");
        checks.Within(pull.FlameOff, -60, 120, $"{field}.flameOff");
        return new(pull.Table, pull.Light, pull.Join, pull.Seal, pull.FlameOff);
    }

    /// <summary>Further pulses of a dish.</summary>
    public const int MostOthers = 5;

    private List<OtherPulse> Others(DishDto dto, Pulse first, int people, bool withRice, FieldFaults checks)
    {
        var list = new List<OtherPulse>();
        var wishes = dto.Others ?? [];
        if (
            wishes.Count > MostOthers
            || wishes.Any(o => o is null)
            || wishes.Select(o => o.PulseId).Append(first.Id).Distinct().Count() != wishes.Count + 1
        )
        {
            checks.Add("dish.others", "others");
            return list;
        }

        for (var i = 0; i < wishes.Count; i++)
        {
            if (catalogue.FindPulse(wishes[i].PulseId ?? string.Empty) is not { } pulse)
            {
                checks.Add("catalogue.unknown_pulse", $"others[{i}].pulseId");
                continue;
            }

            var usual = people * Portions.PulseGramsEach(withRice) / (1 + wishes.Count);
            var grams = _amounts.Grams(wishes[i].Amount, pulse.Id, pulse.GramsPerCup, usual, people, $"others[{i}].amount", checks);
            list.Add(
                FromBag(new(pulse, Mass.FromGrams(grams)), BagOf(wishes[i].BagId, pulse.Id, $"others[{i}].bagId", checks)) with
                {
                    Target = wishes[i].Target is { } target ? ClosedSet.Read<PulseTarget>(target, $"others[{i}].target", checks) : null,
                }
            );
        }

        return list;
    }

    private Bag? BagOf(string? bagId, string pulseId, string field, FieldFaults checks)
    {
        if (bagId is not null && kitchen.FindBag(bagId) is null)
        {
            checks.Add("kitchen.unknown_bag", field);
        }

        return kitchen.BagFor(bagId, pulseId);
    }

    private OtherPulse FromBag(OtherPulse pulse, Bag? bag) =>
        pulse with
        {
            Pace = kitchen.Paces.Of(bag?.Id, pulse.Pulse.Id).Pace,
            Lot = bag?.LotOn(now.InZone(kitchen.Household.Zone).Date) ?? Lot.Fresh,
        };

    /// <summary>The one that takes longest leads; the others join it.</summary>
    private static (OtherPulse Lead, IReadOnlyList<OtherPulse> Joining) Slowest(OtherPulse first, List<OtherPulse> others, bool soaked)
    {
        var all = others.Prepend(first).ToList();
        var lead = all.MaxBy(o => o.Pulse.SimmerMinutes(soaked))!;
        return (lead, [.. all.Where(o => o != lead)]);
    }

    /// <summary>More goings out than anybody's day has.</summary>
    private const int MostAway = 8;

    private List<Interval> Away(IReadOnlyList<AwayDto>? spans, FieldFaults checks)
    {
        var list = new List<Interval>();
        foreach (var span in spans ?? [])
        {
            if (
                list.Count >= MostAway
                || span is null
                || LocalTimes.Read(span.FromLocal) is not { } from
                || LocalTimes.Read(span.ToLocal) is not { } to
            )
            {
                checks.Add("request.time", "away");
                return list;
            }

            var (leave, back) = (kitchen.Household.InstantOf(from), kitchen.Household.InstantOf(to));
            if (back <= leave || back - leave > Duration.FromDays(1))
            {
                checks.Add("dish.away", "away");
                continue;
            }

            list.Add(new(leave, back));
        }

        return list;
    }

    private Instant ServeAt(string? local, FieldFaults checks)
    {
        if (LocalTimes.Read(local) is not { } time)
        {
            checks.Add("request.time", "serveAtLocal");
            return now;
        }

        var at = kitchen.Household.InstantOf(time);
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
}
