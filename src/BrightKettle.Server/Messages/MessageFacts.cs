namespace BrightKettle.Server.Messages;

/// <summary>Facts for a sentence whose key is known only when it is said: words, figures and nulls by name.</summary>
public sealed class MessageFacts(IReadOnlyDictionary<string, object?> facts)
{
    /// <exception cref="KeyNotFoundException">The sentence wants a fact that it was not given.</exception>
    public string? Text(string name) => (string?)facts[name];

    /// <inheritdoc cref="Text"/>
    public double? Figure(string name) =>
        facts[name] is { } value ? Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture) : null;
}
