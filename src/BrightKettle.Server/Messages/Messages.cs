namespace BrightKettle.Server.Messages;

/// <content>Sentences by keys that are known only when they are said, such as those of a refusal's code.</content>
public static partial class Messages
{
    private static readonly MessageFacts NoFacts = new(new Dictionary<string, object?>());

    public static IReadOnlyCollection<string> Keys => ByKey.Keys;

    /// <exception cref="KeyNotFoundException">There is no such sentence, or it wants a fact that it was not given.</exception>
    public static string Say(string key, MessageFacts? facts = null) =>
        ByKey.TryGetValue(key, out var say) ? say(facts ?? NoFacts) : throw new KeyNotFoundException($"No sentence for {key}.");
}
