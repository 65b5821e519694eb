using BrightKettle.Core.Units;

namespace BrightKettle.Core.Kitchen;

/// <summary>A burner by what it brings into a pot: net of what passes it by.</summary>
/// <param name="Id">Stable name within the household.</param>
/// <param name="Name">What the household calls it.</param>
/// <param name="Most">Net power at full flame, 200 to 5000 W.</param>
/// <param name="Least">Net power at the lowest flame that stays lit; below <paramref name="Most"/>.</param>
public sealed record Burner(string Id, string Name, Power Most, Power Least);
