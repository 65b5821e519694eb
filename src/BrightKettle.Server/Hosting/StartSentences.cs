using BrightKettle.Data;

namespace BrightKettle.Server.Hosting;

/// <summary>What is said, in one sentence and a way out, when the kettle cannot start.</summary>
public static class StartSentences
{
    public static string For(DataFaultException fault)
    {
        ArgumentNullException.ThrowIfNull(fault);
        var path = fault.Path;
        return fault.Kind switch
        {
            DataFaultKind.NotAFolder => $"{path} cannot be used as the data folder. Name another one with --data.",
            DataFaultKind.NotWritable => $"{path} may not be written by this user. Give yourself the right to write it, or name another folder with --data.",
            DataFaultKind.InUse => $"Another Bright Kettle{(fault.Detail is { } process ? $" (process {process})" : string.Empty)} is using {path}. Use that one, stop it first, or name another folder with --data.",
            DataFaultKind.Foreign => $"{path} is not a database of Bright Kettle. Move it away, or name another folder with --data.",
            DataFaultKind.Damaged => $"{path} is damaged. Keep it, put the latest copy (before-….db, in the same folder, or one of your own) in its place, and start again.",
            DataFaultKind.Newer => $"{path} was written by a newer Bright Kettle. Start that version, or name another folder with --data.",
            DataFaultKind.Full => $"The disk of {path} is full. Make room and start again.",
            DataFaultKind.Certificate => $"{path} cannot be read as this household's certificate. Move it away and start again; phones then have to be paired anew.",
            _ => throw new InvalidOperationException($"No sentence for {fault.Kind}."),
        } + " Nothing was changed.";
    }

    /// <summary>Said at each start while it is so.</summary>
    public static string OpenToOthers(string path) => $"Other users of this machine may look into {path}. To close it: chmod 700 {path}";
}
