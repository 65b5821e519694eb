using BrightKettle.Data.Stored;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Record;

/// <summary>From a dish as it is asked for to the form in which it is stored, and back.</summary>
public static class DishForms
{
    public static DishForm Store(DishDto d)
    {
        ArgumentNullException.ThrowIfNull(d);
        return new(
            d.PulseId,
            Store(d.Pulse),
            d.RiceId,
            Store(d.Rice),
            d.People,
            d.Soak,
            d.Style,
            d.VesselId,
            d.BurnerId,
            d.ServeAtLocal,
            d.Seed,
            d.Method,
            d.CookerId,
            d.Extras?.Select(e => new ExtraForm(
                    e.ExtraId,
                    Store(e.Amount),
                    e.Time,
                    e.Pieces,
                    e.Blanched,
                    e.Frozen,
                    e.MinutesBefore,
                    e.KeptHalf,
                    e.Strength
                ))
                .ToList(),
            d.RiceVesselId,
            d.Away?.Select(a => new AwayForm(a.FromLocal, a.ToLocal)).ToList(),
            d.Salt,
            d.KeepsSoakWater,
            d.LittleOnes,
            d.Pull is { } p ? new(p.Table, p.Light, p.Join, p.Seal, p.FlameOff) : null,
            d.Others?.Select(o => new OtherPulseForm(o.PulseId, Store(o.Amount), o.Target, o.BagId)).ToList(),
            d.CookedFrom,
            d.PulseTarget,
            d.RiceTarget,
            d.RiceJoin,
            d.SoakHours,
            d.SoakedSinceLocal,
            d.SoaksCold,
            d.Stages,
            d.PulseState,
            d.HalfCookedTo,
            d.RiceState,
            d.BagId,
            d.RiceBagId
        );
    }

    public static DishDto Read(DishForm d)
    {
        ArgumentNullException.ThrowIfNull(d);
        return new(
            d.PulseId,
            Read(d.Pulse),
            d.RiceId,
            Read(d.Rice),
            d.People,
            d.Soak,
            d.Style,
            d.VesselId,
            d.BurnerId,
            d.ServeAtLocal,
            d.Seed,
            d.Method,
            d.CookerId,
            d.Extras?.Select(e => new ExtraWishDto(
                    e.ExtraId,
                    Read(e.Amount),
                    e.Time,
                    e.Pieces,
                    e.Blanched,
                    e.Frozen,
                    e.MinutesBefore,
                    e.KeptHalf,
                    e.Strength
                ))
                .ToList(),
            d.RiceVesselId,
            d.Away?.Select(a => new AwayDto(a.FromLocal, a.ToLocal)).ToList(),
            d.Salt,
            d.KeepsSoakWater,
            d.LittleOnes,
            d.Pull is { } p ? new(p.Table, p.Light, p.Join, p.Seal, p.FlameOff) : null,
            d.Others?.Select(o => new OtherPulseDto(o.PulseId, Read(o.Amount), o.Target, o.BagId)).ToList(),
            d.CookedFrom,
            d.PulseTarget,
            d.RiceTarget,
            d.RiceJoin,
            d.SoakHours,
            d.SoakedSinceLocal,
            d.SoaksCold,
            d.Stages,
            null,
            d.PulseState,
            d.HalfCookedTo,
            d.RiceState,
            d.BagId,
            d.RiceBagId
        );
    }

    private static AmountForm? Store(AmountDto? a) => a is null ? null : new(a.Value, a.Unit);

    private static AmountDto? Read(AmountForm? a) => a is null ? null : new(a.Value, a.Unit);
}
