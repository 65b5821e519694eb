using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The state of as many pots as run side by side: rows of numbers, one lane a pot.</summary>
internal sealed class PotGroup(Layout layout, ModelConstants constants, int width)
{
    private readonly float[] _floats = new float[layout.FloatRows * width];
    private readonly double[] _doubles = new double[layout.DoubleRows * width];

    public Layout Layout { get; } = layout;

    public ModelConstants Constants { get; } = constants;

    public StepConstants Step { get; } = new(constants);

    public int Width { get; } = width;

    /// <summary>How many ingredients, and of each its kind and the start of its rows: read in every step.</summary>
    public readonly int Count = layout.Ingredients;
    public readonly Matter[] Kind = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.KindOf)];
    public readonly int[] FloatAt = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.IngredientFloat)];
    public readonly int[] WideAt = [.. Enumerable.Range(0, layout.Ingredients).Select(layout.IngredientDouble)];

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

/// <summary>Figures that every lane shares, as floats, worked out once.</summary>
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
    public readonly float GateStart = (float)c.GateStart;
    public readonly float PerGate = (float)(1 / (c.GateFull - c.GateStart));
    public readonly int GatePower = c.GatePower;
    public readonly float RiceSlowing = (float)c.RiceSlowing;
    public readonly float RiceThirst = (float)c.RiceThirst;
    public readonly float SteamToBowl = (float)c.SteamToBowl;
    public readonly float Firming = (float)(c.WarmFirming - 1);
    public readonly float Condensate = (float)c.BowlCondensate;
}
