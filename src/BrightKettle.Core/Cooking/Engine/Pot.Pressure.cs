using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Kitchen;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Flame, lid, lock and release, and the heat that they move at once.</summary>
internal sealed partial class Pot
{
    public void SetFlame(int vessel, Flame flame, double? netWatts)
    {
        (_vessels[vessel].Flame, _vessels[vessel].NetWatts) = (flame, netWatts);
        Control(vessel);
    }

    public void SetLid(int vessel, Lid lid)
    {
        _vessels[vessel].Lid = lid;
        Control(vessel);
    }

    public void Lock(int vessel, bool high)
    {
        ref var control = ref _vessels[vessel];
        control.Lid = Lid.Sealed;
        control.Stage = PressureStage.Venting;
        control.High = high;
        control.VentFrom = _g.Vessel(vessel, Layout.Vented, _lane);
        Control(vessel);
    }

    /// <summary>Seconds until the valve seats at the present rate of steam; 0 when it has.</summary>
    public double UntilVented(int vessel)
    {
        var cooker = _script.Vessels[vessel].Vessel.Cooker!;
        var left = cooker.VentGrams - (_g.Vessel(vessel, Layout.Vented, _lane) - _vessels[vessel].VentFrom);
        var rate = Math.Max(0, _g.Vessel(vessel, Layout.Net, _lane)) / HeatStep<OneLane>.Latent;
        return left <= 0 ? 0
            : IsBoiling(vessel) && rate > 0 ? left / rate
            : double.PositiveInfinity;
    }

    public void Seat(int vessel)
    {
        _vessels[vessel].Stage = PressureStage.Closed;
        _g.Vessel(vessel, Layout.Boiling, _lane) = 0;
        Control(vessel);
    }

    /// <summary>A weight lets steam go: the cooker falls by a few degrees, and what that sets free leaves as steam.</summary>
    public void Whistle(int vessel)
    {
        Flash(vessel, Celsius(vessel) - (_c.WhistleDrop * _traits.Whistle));
        _g.Vessel(vessel, Layout.Boiling, _lane) = 0;
    }

    /// <summary>Opens the valve; what is over the boiling point flashes off.</summary>
    public void Open(int vessel)
    {
        if (Celsius(vessel) > _boilingPoint)
        {
            Flash(vessel, _boilingPoint);
        }

        _vessels[vessel].Stage = PressureStage.None;
        _vessels[vessel].Lid = Lid.On;
        Control(vessel);
    }

    /// <summary>Seconds until the pin falls at the present rate of cooling; 0 when it is down.</summary>
    public double UntilPinDown(int vessel)
    {
        var over = Celsius(vessel) - (_boilingPoint + 0.3);
        var rate = -_g.Vessel(vessel, Layout.Rate, _lane);
        return _vessels[vessel].Stage == PressureStage.None || over <= 0 ? 0
            : rate > 0 ? over / rate
            : double.PositiveInfinity;
    }

    private void Flash(int vessel, double celsius)
    {
        var steam = Math.Min(Liquor(vessel), Capacity(vessel) * (Celsius(vessel) - celsius) / HeatStep<OneLane>.Latent);
        Post(vessel, Layout.Steam, Math.Max(0, steam));
        _g.Vessel(vessel, Layout.Vented, _lane) += (float)Math.Max(0, steam);
        SetCelsius(vessel, celsius);
    }
}
