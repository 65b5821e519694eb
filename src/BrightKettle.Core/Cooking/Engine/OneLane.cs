using System.Runtime.CompilerServices;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>One pot at a time: the plain loop against which eight at a time are measured and checked.</summary>
internal readonly struct OneLane(float value) : ILanes<OneLane>
{
    private readonly float _value = value;

    public static int Width => 1;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane All(float value) => new(value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Load(ref float from) => new(from);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Difference(ref double a, ref double b) => new((float)(a - b));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane FromWide(ref double from) => new((float)from);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Min(OneLane a, OneLane b) => new(a._value < b._value ? a._value : b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Max(OneLane a, OneLane b) => new(a._value > b._value ? a._value : b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Exp(OneLane a) => new(MathF.Exp(a._value));

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Less(OneLane a, OneLane b) => new(a._value < b._value ? 1 : 0);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane Where(OneLane mask, OneLane then, OneLane otherwise) => mask._value != 0 ? then : otherwise;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static bool Same(OneLane a, OneLane b) => a._value == b._value;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static uint Bits(OneLane mask) => mask._value != 0 ? 1u : 0u;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane operator +(OneLane a, OneLane b) => new(a._value + b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane operator -(OneLane a, OneLane b) => new(a._value - b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane operator *(OneLane a, OneLane b) => new(a._value * b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane operator /(OneLane a, OneLane b) => new(a._value / b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public static OneLane operator &(OneLane a, OneLane b) => new(a._value * b._value);

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void Store(ref float to) => to = _value;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void AddTo(ref double to) => to += _value;

    [MethodImpl(MethodImplOptions.AggressiveInlining)]
    public void TakeFrom(ref double from) => from -= _value;
}
