using Xunit;

namespace BrightKettle.Core.Tests;

/// <summary>Counts the cases of a law that had something to judge: a law whose cases are all refused proves nothing.</summary>
internal sealed class Judged
{
    private int _all;
    private int _judged;

    /// <summary>A case that the law says nothing of. Always true, for a law that answers with it.</summary>
    public bool Passed()
    {
        Interlocked.Increment(ref _all);
        return true;
    }

    /// <summary>A case that is judged; answers with the judgement.</summary>
    public bool By(bool holds)
    {
        Interlocked.Increment(ref _all);
        Interlocked.Increment(ref _judged);
        return holds;
    }

    /// <summary>Fails when fewer than so many of a hundred were judged.</summary>
    public void AtLeast(double percent) =>
        Assert.True(_judged * 100.0 >= percent * _all && _judged > 0, $"only {_judged} of {_all} cases had something to judge");
}
