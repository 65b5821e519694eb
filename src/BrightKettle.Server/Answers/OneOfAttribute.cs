using System.Text.Json;

namespace BrightKettle.Server.Answers;

/// <summary>The closed set that a text of a request or an answer comes from; the interface's description lists it, so that a wrong word
/// does not compile on the page.</summary>
[AttributeUsage(AttributeTargets.Property)]
public class OneOfAttribute : Attribute
{
    /// <param name="set">An enum, each value as it is written in JSON: snake_case.</param>
    public OneOfAttribute(Type set)
    {
        ArgumentNullException.ThrowIfNull(set);
        Words = [.. Enum.GetNames(set).Select(JsonNamingPolicy.SnakeCaseLower.ConvertName)];
    }

    /// <param name="words">The words themselves, where no enum of the core stands for them.</param>
    public OneOfAttribute(params string[] words) => Words = words;

    public IReadOnlyList<string> Words { get; }
}
