using System.Runtime.CompilerServices;
using System.Runtime.Intrinsics;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Sixteen pots at a time. Where the runtime keeps to registers of eight, it works on two of them whose sums do not wait for
/// each other, which hides most of their delays.</summary>
internal readonly struct SixteenLanes(Vector512<float> value) : ILanes<SixteenLanes>
{
    private readonly Vector512<float> _value = value;

    public static int Width => 16;

    public static SixteenLanes All(float value) => new(Vector512.Create(value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Load(ref float from) => new(Vector512.LoadUnsafe(ref from));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Difference(ref double a, ref double b) =>
        new(
            Vector512.Narrow(
                Vector512.LoadUnsafe(ref a) - Vector512.LoadUnsafe(ref b),
                Vector512.LoadUnsafe(ref a, 8) - Vector512.LoadUnsafe(ref b, 8)
            )
        );

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes FromWide(ref double from) =>
        new(Vector512.Narrow(Vector512.LoadUnsafe(ref from), Vector512.LoadUnsafe(ref from, 8)));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Min(SixteenLanes a, SixteenLanes b) => new(Vector512.MinNative(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Max(SixteenLanes a, SixteenLanes b) => new(Vector512.MaxNative(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Exp(SixteenLanes a) => new(Vector512.Exp(a._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Less(SixteenLanes a, SixteenLanes b) => new(Vector512.LessThan(a._value, b._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes Where(SixteenLanes mask, SixteenLanes then, SixteenLanes otherwise) =>
        new(Vector512.ConditionalSelect(mask._value, then._value, otherwise._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static bool Same(SixteenLanes a, SixteenLanes b) => Vector512.EqualsAll(a._value, b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static uint Bits(SixteenLanes mask) => (uint)mask._value.ExtractMostSignificantBits();

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes operator +(SixteenLanes a, SixteenLanes b) => new(a._value + b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes operator -(SixteenLanes a, SixteenLanes b) => new(a._value - b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes operator *(SixteenLanes a, SixteenLanes b) => new(a._value * b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes operator /(SixteenLanes a, SixteenLanes b) => new(a._value / b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static SixteenLanes operator &(SixteenLanes a, SixteenLanes b) => new(a._value & b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void Store(ref float to) => _value.StoreUnsafe(ref to);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void AddTo(ref double to)
    {
        var (low, high) = Vector512.Widen(_value);
        (Vector512.LoadUnsafe(ref to) + low).StoreUnsafe(ref to);
        (Vector512.LoadUnsafe(ref to, 8) + high).StoreUnsafe(ref to, 8);
    }

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void TakeFrom(ref double from)
    {
        var (low, high) = Vector512.Widen(_value);
        (Vector512.LoadUnsafe(ref from) - low).StoreUnsafe(ref from);
        (Vector512.LoadUnsafe(ref from, 8) - high).StoreUnsafe(ref from, 8);
    }
}
