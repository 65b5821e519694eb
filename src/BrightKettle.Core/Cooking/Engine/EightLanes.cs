using System.Runtime.CompilerServices;
using System.Runtime.Intrinsics;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Eight pots at a time.</summary>
internal readonly struct EightLanes(Vector256<float> value) : ILanes<EightLanes>
{
    private readonly Vector256<float> _value = value;

    public static int Width => 8;

    public static EightLanes All(float value) => new(Vector256.Create(value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Load(ref float from) => new(Vector256.LoadUnsafe(ref from));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Difference(ref double a, ref double b) =>
        new(
            Vector256.Narrow(
                Vector256.LoadUnsafe(ref a) - Vector256.LoadUnsafe(ref b),
                Vector256.LoadUnsafe(ref a, 4) - Vector256.LoadUnsafe(ref b, 4)
            )
        );

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes FromWide(ref double from) =>
        new(Vector256.Narrow(Vector256.LoadUnsafe(ref from), Vector256.LoadUnsafe(ref from, 4)));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Min(EightLanes a, EightLanes b) => new(Vector256.MinNative(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Max(EightLanes a, EightLanes b) => new(Vector256.MaxNative(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Exp(EightLanes a) => new(Vector256.Exp(a._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Less(EightLanes a, EightLanes b) => new(Vector256.LessThan(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes Where(EightLanes mask, EightLanes then, EightLanes otherwise) =>
        new(Vector256.ConditionalSelect(mask._value, then._value, otherwise._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static bool Same(EightLanes a, EightLanes b) => Vector256.EqualsAll(a._value, b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static uint Bits(EightLanes mask) => mask._value.ExtractMostSignificantBits();

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes operator +(EightLanes a, EightLanes b) => new(a._value + b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes operator -(EightLanes a, EightLanes b) => new(a._value - b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes operator *(EightLanes a, EightLanes b) => new(a._value * b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes operator /(EightLanes a, EightLanes b) => new(a._value / b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static EightLanes operator &(EightLanes a, EightLanes b) => new(a._value & b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void Store(ref float to) => _value.StoreUnsafe(ref to);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void AddTo(ref double to)
    {
        var (low, high) = Vector256.Widen(_value);
        (Vector256.LoadUnsafe(ref to) + low).StoreUnsafe(ref to);
        (Vector256.LoadUnsafe(ref to, 4) + high).StoreUnsafe(ref to, 4);
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void TakeFrom(ref double from)
    {
        var (low, high) = Vector256.Widen(_value);
        (Vector256.LoadUnsafe(ref from) - low).StoreUnsafe(ref from);
        (Vector256.LoadUnsafe(ref from, 4) - high).StoreUnsafe(ref from, 4);
    }
}
