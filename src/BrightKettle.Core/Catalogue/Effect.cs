namespace BrightKettle.Core.Catalogue;

/// <summary>One figure of the model with its spread, unit, confidence (A best, D guess) and basis.</summary>
public sealed record Effect(string Id, double Low, double Typical, double High, string Unit, string Confidence, string Basis);
