namespace BrightKettle.Server.Messages;

/// <summary>How a language counts: one, two, few, many or other, by the rules that the page takes from its browser.</summary>
/// <remarks>A language whose catalogue uses other cases than English has its rule added here; the test that compares both sides of
/// every sentence fails without it.</remarks>
public static class Plurals
{
    public static string Of(double count) => count == 1 ? "one" : "other";
}
