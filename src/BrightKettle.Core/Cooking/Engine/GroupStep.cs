namespace BrightKettle.Core.Cooking.Engine;

/// <summary>One step of all pots of a group: each lane by its own length, at most to its next grid line, its next duty or its
/// ceiling.</summary>
internal static class GroupStep<T>
    where T : struct, ILanes<T>
{
    /// <summary>To be called whenever something may have been done to a lane.</summary>
    public static void Note(PotGroup g)
    {
        g.NoteChanges();
        if (g.Stale)
        {
            g.Stale = false;
            ChemistryStep<T>.Freshen(g);
        }
    }

    /// <summary>Moves every lane on; answers a bit for each lane that wants attending to.</summary>
    public static uint Advance(PotGroup g, ref int count)
    {
        ref var now = ref g.WideRow<T>(Layout.Now);
        ref var due = ref g.WideRow<T>(Layout.Due);
        var toGrid = T.Load(ref g.Row<T>(Layout.ToGrid));
        var step = T.Max(T.All(0), T.Min(toGrid, T.Difference(ref due, ref now)));
        var vessels = g.Layout.Vessels;
        if (vessels > 1)
        {
            T.All(0).Store(ref g.Row<T>(Layout.VesselFloat(0) + Layout.FromBelow));
            for (var v = 1; v < vessels; v++)
            {
                if (g.Layout.IsAbove(v))
                {
                    HeatStep<T>.Above(g, v);
                }
            }
        }

        foreach (var v in g.Awake)
        {
            step = HeatStep<T>.Look(g, v, step);
        }

        foreach (var v in g.Awake)
        {
            var (boil, middle) = HeatStep<T>.Move(g, v, step);
            WaterStep<T>.Distribute(g, v, step, boil, middle);
            if (g.Layout.IsAbove(v))
            {
                WaterStep<T>.Condense(g, v, step);
            }
        }

        if (g.Layout.Chemistry)
        {
            var elapsed = T.Load(ref g.Row<T>(Layout.Elapsed)) + step;
            elapsed.Store(ref g.Row<T>(Layout.Elapsed));
            if (++count % g.ChemistryEvery == 0)
            {
                ChemistryStep<T>.Equilibrate(g);
            }
        }

        step.AddTo(ref now);
        var left = toGrid - step;
        T.Where(T.Less(left, T.All(1e-3f)), T.Load(ref g.Row<T>(Layout.Grid)), left).Store(ref g.Row<T>(Layout.ToGrid));
        var reached = T.Less(T.All(0.5f), T.Load(ref g.Row<T>(Layout.Reached)));
        var attention = T.Where(reached, T.All(-1), T.Difference(ref due, ref now));
        return T.Bits(T.Less(attention, T.All(1e-3f)));
    }
}
