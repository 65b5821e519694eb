namespace BrightKettle.Core.Cooking.Engine;

/// <summary>As many numbers side by side as one instruction takes: the equations are written once and run on one pot or on eight.</summary>
/// <remarks>A mask is a value of the same type, made by a comparison; only <see cref="Where"/>, <see cref="Bits"/> and the and-operator
/// read it.</remarks>
internal interface ILanes<T>
    where T : struct, ILanes<T>
{
    /// <summary>How many pots.</summary>
    static abstract int Width { get; }

    static abstract T All(float value);

    static abstract T Load(ref float from);

    /// <summary>The difference of two rows of doubles, as floats.</summary>
    static abstract T Difference(ref double a, ref double b);

    static abstract T FromWide(ref double from);

    static abstract T Min(T a, T b);

    static abstract T Max(T a, T b);

    static abstract T Exp(T a);

    static abstract T Less(T a, T b);

    static abstract T Where(T mask, T then, T otherwise);

    /// <summary>Whether all lanes are equal.</summary>
    static abstract bool Same(T a, T b);

    /// <summary>One bit a lane, the first lane lowest.</summary>
    static abstract uint Bits(T mask);

    static abstract T operator +(T a, T b);

    static abstract T operator -(T a, T b);

    static abstract T operator *(T a, T b);

    static abstract T operator /(T a, T b);

    /// <summary>Both masks.</summary>
    static abstract T operator &(T a, T b);

    void Store(ref float to);

    /// <summary>Adds to a row of doubles.</summary>
    void AddTo(ref double to);

    /// <summary>Takes from a row of doubles.</summary>
    void TakeFrom(ref double from);
}
