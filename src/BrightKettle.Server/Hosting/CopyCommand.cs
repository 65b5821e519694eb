using BrightKettle.Data;
using BrightKettle.Data.Copies;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Hosting;

/// <summary>The program as ./kettle backup and ./kettle restore run it: one copy is made or put back, and it ends.</summary>
public static class CopyCommand
{
    private const string Backup = "backup";
    private const string Restore = "restore";

    public static bool Is(string[] args) => args is [Backup or Restore, _, _];

    /// <param name="args">What is done, the copy's file, the household's folder.</param>
    /// <returns>The exit code.</returns>
    public static async Task<int> RunAsync(string[] args, TimeProvider clock)
    {
        try
        {
            using var directory = new DataDirectory(args[2]);
            using var copies = new HouseholdCopies(directory);
            var file = Path.GetFullPath(args[1]);
            if (args[0] == Backup)
            {
                await copies.BackupAsync(file);
                Console.WriteLine(Said.StartKeptIn(file));
            }
            else
            {
                // A server that works in the folder would go on with what it has read.
                await directory.ClaimAsync();
                Console.WriteLine(Said.StartPutBack(file, await copies.RestoreAsync(file, clock.GetUtcNow())));
            }

            return StopSignals.Asked;
        }
        catch (DataFaultException fault)
        {
            Console.Error.WriteLine($"Bright Kettle: {StartSentences.For(fault)}");
            return StopSignals.CannotStart;
        }
    }
}
