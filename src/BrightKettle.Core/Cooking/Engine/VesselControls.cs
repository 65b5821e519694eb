using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>From flame, lid and lock to the numbers that the heat equations read.</summary>
internal static class VesselControls
{
    /// <summary>An appliance's keep-warm lets it cool to about this, °C; food is held at 60 °C or more.</summary>
    private const float WarmCelsius = 70;

    /// <summary>A crock's lid lies loose: 25 to 90 mL an hour at high, a quarter more than a pot's of its width (confidence C).</summary>
    private const double CrockLid = 1.25;

    private const float Never = -1000;

    /// <summary>Wider than a step misses a temperature by.</summary>
    private const float Play = 0.01f;

    public static void Apply(PotGroup g, int lane, Script script, PotTraits traits, int vessel, VesselControl control)
    {
        var c = g.Constants;
        var (cook, place) = (script.Cook, script.Vessels[vessel]);
        if (place.Above)
        {
            // A bowl in another's steam: no heat, no loss, no lid of its own.
            Set(Layout.Ceiling, 140);
            Set(Layout.Hold, Never);
            Set(Layout.OffAbove, -Never);
            return;
        }

        var cooker = place.Vessel.Cooker;
        var locked = control.Stage != PressureStage.None;
        var level = control.High ? script.BoilsHigh[vessel] : script.BoilsLow[vessel];
        var ceiling = control.Stage == PressureStage.Closed ? level : script.Boils;
        Set(Layout.Ceiling, ceiling);
        Set(Layout.BelowBoil, locked || cooker?.Kind == CookerKind.Slow ? 0 : c.SimmerBelowBoil);
        Set(Layout.Loss, cooker is { } k && control.Lid != Lid.Wrapped ? k.LossWattsPerKelvin : PotLoss(c, place.Vessel, control.Lid));
        Set(
            Layout.Evaporation,
            locked
                ? 0
                : traits.Evaporation
                    * c.EvaporationOpen
                    * 1000
                    / 3600
                    / 10_000
                    * place.Vessel.AreaSquareCentimetres
                    * LidFactor(c, control.Lid)
                    * (cooker?.Kind == CookerKind.Slow ? CrockLid : 1)
        );
        if (control.Flame == Flame.Off)
        {
            Power(0, 0, 0, Never);
        }
        else if (cooker is { Kind: CookerKind.Electric } electric)
        {
            ElectricPower(electric);
        }
        else if (cooker is { Kind: CookerKind.Slow } slow)
        {
            SlowPower(slow);
        }
        else if (cooker is { IsForRice: true } rice)
        {
            RicePower(rice);
        }
        else
        {
            BurnerPower();
        }

        // A temperature that stood at the old ceiling must be met anew.
        g.Vessel(vessel, Layout.Celsius, lane) = Math.Min(g.Vessel(vessel, Layout.Celsius, lane), (float)ceiling);

        void Set(int row, double value) => g.Vessel(vessel, row, lane) = (float)value;

        void Power(double most, double least, double vigour, double hold)
        {
            Set(Layout.Most, most);
            Set(Layout.Least, least);
            Set(Layout.Vigour, vigour);
            Set(Layout.Hold, hold);
            Set(Layout.OffAbove, -Never);
        }

        // Off above its temperature, all it has below it, and there what is lost.
        void Keep(double watts, double celsius)
        {
            Power(watts, 0, 0, celsius + 1);
            Set(Layout.OffAbove, celsius + Play);
        }

        void Warm(double watts) => Keep(watts, WarmCelsius);

        void ElectricPower(Cooker e)
        {
            var watts = e.High.Watts * traits.BurnerPower;
            if (control.Flame == Flame.Warm)
            {
                Warm(e.Warm.Watts);
            }
            else if (locked)
            {
                Power(watts, 0, 0, level + 1);
            }
            else
            {
                Burner(watts, 0);
            }
        }

        void SlowPower(Cooker s)
        {
            var trickle = (control.Flame == Flame.High ? s.High : s.Low).Watts * Math.Sqrt(traits.BurnerPower);
            if (control.Flame == Flame.Warm)
            {
                Warm(s.Warm.Watts);
            }
            else
            {
                Keep(trickle, script.Boils - c.SlowBelowBoil);
            }
        }

        void RicePower(Cooker r)
        {
            var watts = r.High.Watts * traits.BurnerPower;
            if (control.Flame == Flame.Warm)
            {
                Warm(r.Warm.Watts);
            }
            else
            {
                Power(watts, watts, 0, Never);
            }
        }

        void BurnerPower() => Burner(place.Burner.Most.Watts * traits.BurnerPower, place.Burner.Least.Watts * traits.BurnerPower);

        void Burner(double most, double least)
        {
            if (control.NetWatts is { } net)
            {
                Power(net * traits.BurnerPower, net * traits.BurnerPower, 0, Never);
                return;
            }

            // By eye: as much steam as the cook wants to see, over what is lost; a kitchen whose pots steam more is lively at more.
            var vigour =
                traits.Evaporation
                * control.Flame switch
                {
                    Flame.Gentle => c.VigourGentle,
                    Flame.Lively => c.VigourLively,
                    _ => c.VigourRolling,
                };
            switch (control.Flame)
            {
                case Flame.Lowest or Flame.Low:
                    Power(least, least, 0, Never);
                    break;
                case Flame.Full or Flame.High:
                    Power(most, most, 0, Never);
                    break;
                case Flame.Warm:
                    Warm(Math.Min(most, 200));
                    break;
                case not Flame.Full when control.Stage == PressureStage.Closed && cooker!.Kind == CookerKind.Weight:
                    // A weight is kept by a steady flame: what is lost at its pressure, and a little over.
                    var steady = Math.Min(most, (cooker.LossWattsPerKelvin * (level - cook.Kitchen.Room.Celsius)) + vigour);
                    Power(steady, steady, 0, Never);
                    break;
                default:
                    Power(most, Math.Min(least, most), vigour, ceiling);
                    break;
            }
        }
    }

    private static double LidFactor(ModelConstants c, Lid lid) =>
        lid switch
        {
            Lid.Open => 1,
            Lid.Ajar => c.EvaporationAjar,
            Lid.On => c.EvaporationLidOn,
            _ => c.EvaporationSealed,
        };

    /// <summary>W/K of a pot: the wetted wall, about 12 cm of it, and the lid's top when one is on.</summary>
    private static double PotLoss(ModelConstants c, Vessel pot, Lid lid)
    {
        var wall = Math.PI * pot.Diameter.Centimetres * Math.Min(12, pot.HeightCentimetres);
        var area = wall + (lid == Lid.Open ? 0 : 0.8 * pot.AreaSquareCentimetres);
        return (lid == Lid.Wrapped ? c.WrappedLoss : c.WallLoss) / 10_000 * area;
    }
}
