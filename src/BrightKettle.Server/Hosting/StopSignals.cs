using System.Runtime.InteropServices;

namespace BrightKettle.Server.Hosting;

/// <summary>How the program ends.</summary>
internal static class StopSignals
{
    /// <summary>Exit code: it was asked to.</summary>
    public const int Asked = 0;

    /// <summary>Exit code: it could not start, and has said why.</summary>
    public const int CannotStart = 1;

    /// <summary>Takes a signal in place of the system, which would end the process at once.</summary>
    public static PosixSignalRegistration On(PosixSignal signal, CancellationTokenSource stopped) =>
        PosixSignalRegistration.Create(signal, context =>
        {
            context.Cancel = true;
            stopped.Cancel();
        });
}
