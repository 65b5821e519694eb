using System.Text.Json;

namespace BrightKettle.Server.Answers;

/// <summary>Reads and writes the members of closed sets by their words, as surface_dry. The one place in which a word becomes a
/// member.</summary>
public static class ClosedSet
{
    public static string Word<T>(T value)
        where T : struct, Enum => JsonNamingPolicy.SnakeCaseLower.ConvertName(value.ToString());

    /// <summary>The member that a word means; null for no word, or one that is not of the set.</summary>
    public static T? Find<T>(string? word)
        where T : struct, Enum
    {
        foreach (var value in Enum.GetValues<T>())
        {
            if (Word(value) == word)
            {
                return value;
            }
        }

        return null;
    }

    /// <summary>The member that a word means, or the first of the set with a fault.</summary>
    public static T Read<T>(string? word, string field, FieldFaults faults)
        where T : struct, Enum
    {
        ArgumentNullException.ThrowIfNull(faults);
        if (Find<T>(word) is { } value)
        {
            return value;
        }

        faults.Add(word is null ? "request.missing" : "request.unknown_word", field);
        return default;
    }
}
