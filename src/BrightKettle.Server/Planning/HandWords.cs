using BrightKettle.Core.Planning.Hands;
using BrightKettle.Server.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>What two hands do, as it is said.</summary>
internal static class HandWords
{
    /// <summary>A moment at the stove, by the id of its step.</summary>
    public static string Of(string mark) => Messages.Messages.Say($"hand.visit.{mark}");

    public static string Of(SideTask task)
    {
        var done = Messages.Messages.Say($"hand.task.{task.Kind}");
        var told = task.What is null ? done : Messages.Messages.HandWhat(task.What, Small(done));
        return task.Batches > 1 ? Messages.Messages.HandBatch(told, task.Batch, task.Batches) : told;
    }

    private static string Small(string sentence) => $"{char.ToLowerInvariant(sentence[0])}{sentence[1..]}";
}
