namespace BrightKettle.Core.Cooking.Trace;

/// <summary>How an ingredient's own bowl stands between two actions.</summary>
/// <param name="Soaked">Index of the action that covered it with water last; null for never.</param>
/// <param name="Chilled">Index of the action since then that put it into the fridge; null for none.</param>
/// <param name="Drained">Index of the action that poured its water away; null for none.</param>
/// <param name="Wet">It stands in water now.</param>
public readonly record struct BowlTrace(int? Soaked, int? Chilled, int? Drained, bool Wet);
