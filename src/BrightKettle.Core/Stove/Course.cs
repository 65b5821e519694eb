using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>What is to be done from a moment on, instead of what was planned.</summary>
/// <param name="Code">Stable: what was chosen.</param>
/// <param name="Vessels">Vessels that it needs beside those of the cook.</param>
/// <param name="Extras">What it puts in beside the ingredients of the cook.</param>
public sealed record Course(
    string Code,
    IReadOnlyList<CookAction> Actions,
    IReadOnlyList<CookVessel> Vessels,
    IReadOnlyList<ExtraIngredient> Extras
);
