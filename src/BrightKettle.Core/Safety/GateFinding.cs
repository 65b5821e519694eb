namespace BrightKettle.Core.Safety;

/// <summary>What a gate says of a cook. Sentences for the codes stand elsewhere.</summary>
/// <param name="Code">Stable.</param>
/// <param name="IngredientId">What it is about; null for the pot as a whole.</param>
/// <param name="Action">Index of the action that it is about, or null for the whole cook.</param>
/// <param name="Blocks">The cook is no advice as it stands.</param>
/// <param name="Minutes">Of hard boil that are asked for, where the finding asks for some.</param>
public sealed record GateFinding(string Code, string? IngredientId, int? Action, bool Blocks, double? Minutes = null);
