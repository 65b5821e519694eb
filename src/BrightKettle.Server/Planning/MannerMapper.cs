using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Planning.Beside;
using BrightKettle.Core.Planning.Manners;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Kitchen;
using NodaTime;

namespace BrightKettle.Server.Planning;

/// <summary>From what was asked for to how a dish of the core is cooked.</summary>
/// <param name="beside">Other dishes of the evening; null for none.</param>
internal sealed class MannerMapper(KitchenState kitchen, Instant now, IReadOnlyList<Neighbour>? beside)
{
    /// <summary>As most people soak who soak by the hour.</summary>
    private const double UsualSoakHours = 2;

    /// <summary>What stands longer is not soaking any more.</summary>
    private static readonly Duration LongestSoak = Duration.FromDays(3);

    /// <param name="from">Where cooked pulses come from.</param>
    /// <param name="dry">The pulses come from the bag.</param>
    /// <param name="rice">There is rice that is not cooked yet.</param>
    /// <returns>Null with the faults in the checks.</returns>
    public Manner? Map(DishDto dto, Method method, CookedFrom from, Vessel? vessel, Burner? burner, bool dry, bool rice, FieldFaults checks)
    {
        var pulses = Pulses(dto, method, from, checks);
        var soak = Soak(dto, dry && method != Method.Cooked, checks);
        var coming = rice ? Rice(dto, vessel, pulses as UnderPressure, burner, checks) : new InThePot();
        if (coming is { Join: not RiceJoin.InThePot } && (method != Method.OpenPot || dto.Others is { Count: > 0 }))
        {
            checks.Add("dish.rice_join", "riceJoin");
        }

        return pulses is null || soak is null || coming is null ? null : new(pulses, soak, coming);
    }

    private PulseCooking? Pulses(DishDto dto, Method method, CookedFrom from, FieldFaults checks)
    {
        Vessel? Cooker(bool slow) =>
            kitchen.Find(dto.CookerId) is { Cooker: { IsForRice: false } c } named && c.UnderPressure != slow
                ? named
                : checks.Refuse<Vessel>("kitchen.unknown_cooker", "cookerId");
        return method switch
        {
            Method.OpenPot => new OpenPot(),
            Method.Cooked => new Warmed(from),
            Method.Pressure => Cooker(slow: false) is { } lidded ? new UnderPressure(lidded) : null,
            _ => Cooker(slow: true) is { } crock ? new InCrock(crock) : null,
        };
    }

    /// <summary>What is cooked already or wet already is not soaked, whatever the dish said before.</summary>
    private Soaking? Soak(DishDto dto, bool canSoak, FieldFaults checks)
    {
        var asked = ClosedSet.Read<SoakChoice>(dto.Soak, "soak", checks);
        var choice = canSoak ? asked : SoakChoice.None;
        var hours = dto.SoakHours is { } said ? checks.Within(said, 0.5, 24, "soakHours") : UsualSoakHours;
        if (choice != SoakChoice.Already)
        {
            return Soaking.Of(choice, hours);
        }

        return SoakedSince(dto.SoakedSinceLocal, checks) is { } since
            ? Soaking.Of(choice, since: since, cold: dto.SoaksCold ?? false)
            : null;
    }

    private RiceCooking? Rice(DishDto dto, Vessel? vessel, UnderPressure? lidded, Burner? burner, FieldFaults checks)
    {
        var join = dto.RiceJoin is null ? RiceJoin.InThePot : ClosedSet.Read<RiceJoin>(dto.RiceJoin, "riceJoin", checks);
        if (dto.RiceVesselId is { } own)
        {
            return join != RiceJoin.InTheLiquor ? Own(own, vessel, lidded, burner, checks)
                : Pot(own, vessel, burner, checks) is { } pot ? new InTheLiquor(pot)
                : null;
        }

        return join switch
        {
            RiceJoin.AfterDraining => new AfterDraining(),
            RiceJoin.InTheLiquor => new InTheLiquor(),
            _ => new InThePot(),
        };
    }

    /// <summary>The rice's own pot on a burner of its own, a rice cooker, or its bowl above the pulses in a pressure cooker.</summary>
    private RiceCooking? Own(string vesselId, Vessel? pulses, UnderPressure? lidded, Burner? first, FieldFaults checks)
    {
        if (vesselId == RiceBowl.Id)
        {
            return lidded is null || first is null
                ? checks.Refuse<RiceCooking>("dish.bowl_above", "riceVesselId")
                : new AboveThem(new(RiceBowl.For(lidded.Lidded), first, Above: true));
        }

        if (first is not null && kitchen.Find(vesselId) is { Cooker.IsForRice: true } cooker)
        {
            return new InItsOwnPot(new(cooker, first));
        }

        return Pot(vesselId, pulses, first, checks) is { } pot ? new InItsOwnPot(pot) : null;
    }

    /// <summary>Another pot than the pulses', on another burner.</summary>
    private CookVessel? Pot(string vesselId, Vessel? pulses, Burner? first, FieldFaults checks)
    {
        var pot =
            kitchen.Find(vesselId) is { Cooker: null } own && own.Id != pulses?.Id
                ? own
                : checks.Refuse<Vessel>("dish.rice_pot", "riceVesselId");
        var burner = OtherThan(kitchen, beside, first) ?? checks.Refuse<Burner>("dish.one_burner", "riceVesselId");
        return pot is null || burner is null ? null : new(pot, burner);
    }

    /// <summary>A burner beside this one, and one that no other dish of the evening has where there is such a one.</summary>
    public static Burner? OtherThan(KitchenState kitchen, IReadOnlyList<Neighbour>? beside, Burner? first) =>
        kitchen
            .Burners.Where(b => b.Id != first?.Id)
            .OrderBy(b => beside?.Any(n => n.Burners.Any(s => s.Id == b.Id)) ?? false)
            .FirstOrDefault();

    private Instant? SoakedSince(string? local, FieldFaults checks)
    {
        if (LocalTimes.Read(local) is not { } time)
        {
            checks.Add("request.time", "soakedSinceLocal");
            return null;
        }

        var at = kitchen.Household.InstantOf(time);
        if (at > now || now - at > LongestSoak)
        {
            checks.Add("dish.soaked_since", "soakedSinceLocal");
        }

        return at;
    }
}
