using BrightKettle.Data;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Hosting;

/// <summary>What is said, in one sentence and a way out, when the kettle cannot start, or a copy cannot be made or put back.</summary>
public static class StartSentences
{
    public static string For(DataFaultException fault)
    {
        ArgumentNullException.ThrowIfNull(fault);
        return fault.Kind switch
        {
            DataFaultKind.NotAFolder => Said.StartNotAFolder(fault.Path),
            DataFaultKind.NotWritable => Said.StartNotWritable(fault.Path),
            DataFaultKind.InUse => Said.StartInUse(fault.Detail, fault.Path),
            DataFaultKind.Foreign => Said.StartForeign(fault.Path),
            DataFaultKind.Damaged => Said.StartDamaged(fault.Path),
            DataFaultKind.Newer => Said.StartNewer(fault.Path),
            DataFaultKind.Full => Said.StartFull(fault.Path),
            DataFaultKind.Missing => Said.StartMissing(fault.Path),
            DataFaultKind.ThereAlready => Said.StartThereAlready(fault.Path),
            DataFaultKind.Certificate => Said.StartCertificate(fault.Path),
            _ => throw new InvalidOperationException($"No sentence for {fault.Kind}."),
        };
    }
}
