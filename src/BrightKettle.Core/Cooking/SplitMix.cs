namespace BrightKettle.Core.Cooking;

/// <summary>Random numbers that stay the same on every machine and every version of the runtime (Steele, Lea and Flood 2014).</summary>
internal sealed class SplitMix(int seed)
{
    private ulong _state = unchecked((ulong)seed);

    /// <summary>The numbers 0 to <paramref name="count"/> - 1 in random order.</summary>
    public int[] Permutation(int count)
    {
        var order = Enumerable.Range(0, count).ToArray();
        for (var i = count - 1; i > 0; i--)
        {
            var k = (int)(Next() % (ulong)(i + 1));
            (order[i], order[k]) = (order[k], order[i]);
        }

        return order;
    }

    /// <summary>Numbers that belong to these and to no others.</summary>
    public static SplitMix Of(params ReadOnlySpan<int> names)
    {
        var mixed = new SplitMix(0);
        foreach (var name in names)
        {
            mixed._state ^= unchecked((ulong)name);
            mixed._state = mixed.Next();
        }

        return mixed;
    }

    /// <summary>Between 0 and 1, neither of them.</summary>
    public double Uniform() => ((Next() >> 11) + 0.5) / (1UL << 53);

    /// <summary>One of a normal distribution with mean 0 and standard deviation 1.</summary>
    public double Normal() => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, Uniform());

    private ulong Next()
    {
        var z = unchecked(_state += 0x9E3779B97F4A7C15);
        z = unchecked((z ^ (z >> 30)) * 0xBF58476D1CE4E5B9);
        z = unchecked((z ^ (z >> 27)) * 0x94D049BB133111EB);
        return z ^ (z >> 31);
    }
}
