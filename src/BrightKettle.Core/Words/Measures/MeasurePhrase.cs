using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Words.Measures;

/// <summary>What a phrase asks the size of.</summary>
internal abstract record MeasurePhrase
{
    /// <summary>A setting of a slow cooker.</summary>
    public sealed record Crock(Flame Setting) : MeasurePhrase;

    /// <summary>A mark of a hob's dial.</summary>
    /// <param name="Of">Marks that the dial has; null where nobody says.</param>
    public sealed record Mark(double At, int? Of) : MeasurePhrase;

    public sealed record Whistles(int Count) : MeasurePhrase;

    /// <summary>Minutes under pressure, to be told in whistles.</summary>
    public sealed record AtPressure(double Minutes) : MeasurePhrase;

    /// <summary>Water so high over the pulses, cm.</summary>
    public sealed record Over(double Centimetres) : MeasurePhrase;

    /// <param name="Pulse">Id of the pulse that is measured; null where none is named.</param>
    /// <param name="Rice">The same for a rice.</param>
    /// <param name="Of">What is measured, as it was typed; null where nothing is.</param>
    public sealed record Measured(double Low, double High, HouseholdMeasure In, string? Pulse, string? Rice, string? Of) : MeasurePhrase;
}
