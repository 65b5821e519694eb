using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The typical column of a <see cref="Curve"/>, made ready for many pots side by side: a level, and at each point the change of
/// slope.</summary>
internal sealed class LaneCurve
{
    private readonly float _level;
    private readonly float[] _from;
    private readonly float[] _bend;

    public LaneCurve(Curve curve)
    {
        var x = curve.Points.Select(p => p[0]).ToArray();
        var y = x.Select(curve.Typical).ToArray();
        var slopes = Enumerable
            .Range(0, x.Length + 1)
            .Select(i => i == 0 || i == x.Length ? 0 : (y[i] - y[i - 1]) / (x[i] - x[i - 1]))
            .ToArray();
        _level = (float)y[0];
        _from = [.. x.Select(v => (float)v)];
        _bend = [.. Enumerable.Range(0, x.Length).Select(i => (float)(slopes[i + 1] - slopes[i]))];
    }

    public T At<T>(T x)
        where T : struct, ILanes<T>
    {
        var y = T.All(_level);
        for (var i = 0; i < _from.Length; i++)
        {
            y += T.All(_bend[i]) * T.Max(T.All(0), x - T.All(_from[i]));
        }

        return y;
    }
}
