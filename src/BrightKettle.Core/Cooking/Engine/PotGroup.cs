using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using BrightKettle.Core.Catalogue;
using NodaTime;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The state of as many pots as run side by side: rows of numbers, one lane a pot.</summary>
internal sealed class PotGroup(Layout layout, ModelConstants constants, StepConstants shared, int width, Duration step)
{
    private readonly float[] _floats = new float[layout.FloatRows * width];
    private readonly double[] _doubles = new double[layout.DoubleRows * width];

    public Layout Layout { get; } = layout;

    public ModelConstants Constants { get; } = constants;

    public StepConstants Step { get; } = shared;

    public int Width { get; } = width;

    /// <summary>Salt and acid move slowly: they are followed once a minute or two, every so many steps.</summary>
    public int ChemistryEvery { get; } = Math.Max(2, (int)(60 / step.TotalSeconds));

    /// <summary>How many ingredients, and of each its kind and the start of its rows: read in every step.</summary>
    public readonly int Count = layout.Ingredients;
    public readonly IngredientKind[] Kind = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.KindOf)];
    public readonly int[] FloatAt = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.IngredientFloat)];
    public readonly int[] WideAt = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.IngredientDouble)];

    private readonly int[] _inside = new int[layout.Vessels * layout.Ingredients];
    private readonly int[] _insideCount = new int[layout.Vessels];
    private readonly bool[] _riceInside = new bool[layout.Vessels];
    private readonly int[] _awake = new int[layout.Vessels];
    private int _awakeCount;

    /// <summary>Ingredients that are in this vessel in at least one lane: no step looks at the others.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public ReadOnlySpan<int> Inside(int vessel) => new(_inside, vessel * Count, _insideCount[vessel]);

    /// <summary>Whether there is rice in this vessel in at least one lane.</summary>
    public bool RiceInside(int vessel) => _riceInside[vessel];

    /// <summary>Vessels in which anything can change in at least one lane: an empty one, cold and without a flame, is passed
    /// over.</summary>
    public ReadOnlySpan<int> Awake => new(_awake, 0, _awakeCount);

    /// <summary>A vessel this near to the room's temperature counts as cold, K.</summary>
    public const double ColdWithin = 0.2;

    /// <summary>Something went in or out of a lane that may change how fast its pulses soften.</summary>
    public bool Stale { get; set; }

    /// <summary>To be called whenever something may have been done to a lane.</summary>
    public void NoteChanges()
    {
        _awakeCount = 0;
        for (var v = 0; v < Layout.Vessels; v++)
        {
            var count = 0;
            _riceInside[v] = false;
            for (var i = 0; i < Count; i++)
            {
                if (IsIn(i, v))
                {
                    _inside[(v * Count) + count++] = i;
                    _riceInside[v] |= Kind[i] == IngredientKind.Rice;
                }
            }

            _insideCount[v] = count;
            if (count > 0 || Layout.IsAbove(v) || Stirs(v))
            {
                _awake[_awakeCount++] = v;
            }
        }
    }

    /// <summary>Wet, warm or on a flame in some lane.</summary>
    private bool Stirs(int vessel)
    {
        for (var lane = 0; lane < Width; lane++)
        {
            if (
                VesselWide(vessel, Layout.Liquor, lane) > 0
                || Vessel(vessel, Layout.Most, lane) > 0
                || Math.Abs(Vessel(vessel, Layout.Celsius, lane) - Vessel(vessel, Layout.Room, lane)) > ColdWithin
            )
            {
                return true;
            }
        }

        return false;
    }

    private bool IsIn(int ingredient, int vessel)
    {
        for (var lane = 0; lane < Width; lane++)
        {
            if ((int)Of(ingredient, Layout.Place, lane) == vessel)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Start of a row of floats, for the kernel.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public ref float Row<T>(int row)
        where T : struct, ILanes<T> => ref Unsafe.Add(ref MemoryMarshal.GetArrayDataReference(_floats), row * T.Width);

    /// <summary>Start of a row of doubles, for the kernel.</summary>
    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public ref double WideRow<T>(int row)
        where T : struct, ILanes<T> => ref Unsafe.Add(ref MemoryMarshal.GetArrayDataReference(_doubles), row * T.Width);

    /// <summary>One lane's figure.</summary>
    public ref float At(int row, int lane) => ref _floats[(row * Width) + lane];

    public ref double Wide(int row, int lane) => ref _doubles[(row * Width) + lane];

    public ref float Vessel(int vessel, int what, int lane) => ref At(Layout.VesselFloat(vessel) + what, lane);

    public ref double VesselWide(int vessel, int what, int lane) => ref Wide(Layout.VesselDouble(vessel) + what, lane);

    public ref float Of(int ingredient, int what, int lane) => ref At(Layout.IngredientFloat(ingredient) + what, lane);

    public ref double OfWide(int ingredient, int what, int lane) => ref Wide(Layout.IngredientDouble(ingredient) + what, lane);
}

/// <summary>Figures that every lane shares, as floats, and curves, looked up once.</summary>
internal sealed class StepConstants(ModelConstants c)
{
    public readonly float PerZ = (float)(Math.Log(10) / c.SofteningZ);
    public readonly float PerZLow = (float)(Math.Log(10) / c.SofteningZBelow90);
    public readonly float PerZHigh = (float)(Math.Log(10) / c.SofteningZAbove100);
    public readonly float RiceK = (float)(c.RiceEnergy / RateLaws.GasConstant);
    public readonly float RiceKHot = (float)(c.RiceEnergyHot / RateLaws.GasConstant);
    public readonly float HotK = (float)(c.HydrationEnergyHot / RateLaws.GasConstant);
    public readonly float CoatK = (float)(c.CoatEnergy / RateLaws.GasConstant);
    public readonly float DryHeat = (float)c.SpecificHeatDry;
    public readonly float Rolling = (float)c.VigourRolling;
    public readonly float HydrationShare = (float)c.HydrationShare;
    public readonly float Bulge = (float)c.DonenessBulge;
    public readonly float SteamShare = (float)c.SteamSoftening;
    public readonly int GatePower = c.GatePower;
    public readonly float RiceSlowing = (float)c.RiceSlowing;
    public readonly float RiceThirst = (float)c.RiceThirst;
    public readonly float SteamToBowl = (float)c.SteamToBowl;
    public readonly float Firming = (float)(c.WarmFirming - 1);
    public readonly float Condensate = (float)c.BowlCondensate;
    public readonly float PerAcidTime = (float)(1 / c.AcidTime);
    public readonly float PerAcidBuffer = (float)(1 / c.AcidBuffer);
    public readonly LaneCurve SaltSoaked = new(c.Curve("salt_soaked"));
    public readonly LaneCurve SaltUptake = new(c.Curve("salt_uptake"));
    public readonly LaneCurve Sugar = new(c.Curve("sugar"));
    public readonly LaneCurve Acid = new(c.Curve("acid"));
    public readonly LaneCurve Soda = new(c.Curve("soda"));
}
