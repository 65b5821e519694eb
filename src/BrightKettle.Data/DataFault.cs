namespace BrightKettle.Data;

/// <summary>Why a folder cannot be used. Each is somebody's to mend, so each has a sentence of its own where the server starts.</summary>
public enum DataFaultKind
{
    /// <summary>The path is a file, or its folder cannot be made.</summary>
    NotAFolder,

    /// <summary>The folder, or the database in it, may not be written by this user.</summary>
    NotWritable,

    /// <summary>Another server works in this folder.</summary>
    InUse,

    /// <summary>The file is a database of another program, or none at all.</summary>
    Foreign,

    /// <summary>The file is cut off, or its pages do not belong together.</summary>
    Damaged,

    /// <summary>It was written by a later version of this program.</summary>
    Newer,

    /// <summary>No room is left on the disk.</summary>
    Full,

    /// <summary>There is no such file, or nothing is in it.</summary>
    Missing,

    /// <summary>A file of this name is there, and is not written over.</summary>
    ThereAlready,

    /// <summary>The file with the household's certificate authority cannot be read.</summary>
    Certificate,
}

/// <summary>The server cannot start on this folder; nothing in it was changed.</summary>
/// <param name="path">The file or folder that it is about.</param>
/// <param name="detail">What is known beside: a process, a version; null for nothing.</param>
public sealed class DataFaultException(DataFaultKind kind, string path, string? detail = null, Exception? inner = null)
    : Exception($"{kind}: {path}", inner)
{
    public DataFaultKind Kind { get; } = kind;

    public string Path { get; } = path;

    public string? Detail { get; } = detail;
}
