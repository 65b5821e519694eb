using BrightKettle.Server.Hosting;

namespace BrightKettle.Server.Settings;

/// <summary>How the server was started; each from the command line (--Kettle:Data=…) or the environment (Kettle__Data).</summary>
public sealed class KettleOptions
{
    public const string Section = "Kettle";

    /// <summary>Folder of the database; created when it is missing. Default: data, in the current folder.</summary>
    public string Data { get; set; } = "data";

    /// <summary>Fill an empty database with the invented household.</summary>
    public bool Demo { get; set; }

    /// <summary>With the demo: cook what its household cooked in the two months before.</summary>
    public bool Past { get; set; }

    /// <summary>For tests alone: an instant at which the clock stands until it is set anew, as 2026-11-24T18:00:00Z. Null: the machine's
    /// clock.</summary>
    public string? Clock { get; set; }

    /// <summary>Whether a few dinners are planned at the start, so that the first real one meets compiled code.</summary>
    public bool WarmUp { get; set; } = true;

    /// <summary>Port at which phones of this network are let in, by HTTPS and after pairing; 0: this machine alone.</summary>
    public int LanPort { get; set; }
}
