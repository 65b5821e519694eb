namespace BrightKettle.Core.Cooking.Engine;

/// <summary>Salt between liquor and seeds, over a minute or so. What it does to softening is worked out a lane at a time in <see cref="Chemistry"/>.</summary>
internal static class ChemistryStep<T>
    where T : struct, ILanes<T>
{
    public static void Settle(PotGroup g, int vessel, T seconds)
    {
        ref var liquorSalt = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Salt);
        ref var liquorBook = ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.SaltBook);
        var liquor = T.Max(T.All(1), T.FromWide(ref g.WideRow<T>(Layout.VesselDouble(vessel) + Layout.Liquor)));
        foreach (var i in g.Inside(vessel))
        {
            var f = g.FloatAt[i];
            var d = g.WideAt[i];
            ref var own = ref g.WideRow<T>(d + Layout.SaltIn);
            var salt = T.Max(T.All(0), T.FromWide(ref liquorSalt));
            var inside = T.FromWide(ref own);
            var water = T.FromWide(ref g.WideRow<T>(d + Layout.Wet)) + T.FromWide(ref g.WideRow<T>(d + Layout.Swollen));
            var rate = T.Load(ref g.Row<T>(f + Layout.SaltRate)) * seconds;
            // Towards equal strength in the water of both; both ends move, so the flow is shared out by their sizes.
            var share = water / (water + liquor);
            var aim = (salt + inside) * share;
            var flow = (aim - inside) * RateLaws.Taken(T.Min(T.All(0.5f), rate));
            flow = T.Where(HeatStep<T>.Here(g, f, vessel), T.Max(T.All(0) - inside, T.Min(salt, flow)), T.All(0));
            flow.TakeFrom(ref liquorSalt);
            flow.TakeFrom(ref liquorBook);
            flow.AddTo(ref own);
            flow.AddTo(ref g.WideRow<T>(d + Layout.SaltInBook));
        }
    }
}
