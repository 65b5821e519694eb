using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>A dinner that was cooked to its end in a kitchen that nobody knew.</summary>
/// <param name="Spoilt">What the table would send back; null where all is as wanted.</param>
/// <param name="Served">Null where it never came to the table.</param>
/// <param name="Told">What was told on the way.</param>
/// <param name="Looks">How often somebody looked.</param>
/// <param name="Final">How done each ingredient was; empty where it never came to the table.</param>
public sealed record PlayedDinner(Spoilt? Spoilt, Instant? Served, IReadOnlyList<Entry> Told, int Looks, IReadOnlyList<double> Final);
