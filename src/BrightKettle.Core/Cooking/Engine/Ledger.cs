namespace BrightKettle.Core.Cooking.Engine;

/// <summary>The double-entry book of water and of salt in one lane, g.</summary>
/// <remarks>The physics keeps its own amounts; the book is written beside it, so that a flow that one of them forgets shows as a
/// difference.</remarks>
internal static class Ledger
{
    /// <summary>Largest difference in any account, and of the sum over all accounts from zero.</summary>
    public static double Error(PotGroup g, int lane)
    {
        var worst = 0.0;
        var water =
            g.Wide(Layout.Tap, lane)
            + g.Wide(Layout.Steam, lane)
            + g.Wide(Layout.Gone, lane)
            + g.Wide(Layout.JugBook, lane)
            + g.Wide(Layout.Shelf, lane);
        var salt = g.Wide(Layout.SaltAdded, lane) + g.Wide(Layout.SaltGone, lane) + g.Wide(Layout.SaltJugBook, lane);
        Compare(g.Wide(Layout.Jug, lane), g.Wide(Layout.JugBook, lane), ref worst);
        Compare(g.Wide(Layout.SaltJug, lane), g.Wide(Layout.SaltJugBook, lane), ref worst);
        for (var v = 0; v < g.Layout.Vessels; v++)
        {
            Compare(g.VesselWide(v, Layout.Liquor, lane), g.VesselWide(v, Layout.LiquorBook, lane), ref worst);
            Compare(g.VesselWide(v, Layout.Salt, lane), g.VesselWide(v, Layout.SaltBook, lane), ref worst);
            water += g.VesselWide(v, Layout.LiquorBook, lane);
            salt += g.VesselWide(v, Layout.SaltBook, lane);
        }

        for (var i = 0; i < g.Layout.Ingredients; i++)
        {
            Compare(g.OfWide(i, Layout.Wet, lane) + g.OfWide(i, Layout.Swollen, lane), g.OfWide(i, Layout.Book, lane), ref worst);
            Compare(g.OfWide(i, Layout.Bowl, lane), g.OfWide(i, Layout.BowlBook, lane), ref worst);
            Compare(g.OfWide(i, Layout.SaltIn, lane), g.OfWide(i, Layout.SaltInBook, lane), ref worst);
            water += g.OfWide(i, Layout.Book, lane) + g.OfWide(i, Layout.BowlBook, lane);
            salt += g.OfWide(i, Layout.SaltInBook, lane) + g.OfWide(i, Layout.SaltBowl, lane);
        }

        Compare(water, 0, ref worst);
        Compare(salt, 0, ref worst);
        return worst;
    }

    private static void Compare(double physics, double book, ref double worst) => worst = Math.Max(worst, Math.Abs(physics - book));
}
