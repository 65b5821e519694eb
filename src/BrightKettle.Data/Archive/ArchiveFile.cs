using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text.Json.Serialization;

namespace BrightKettle.Data.Archive;

/// <summary>Why a file is no household that can be brought back.</summary>
public enum ArchiveFault
{
    /// <summary>Another kind of file, or cut off.</summary>
    Foreign,

    /// <summary>Written by a later version of this program.</summary>
    Newer,

    /// <summary>Its digest is another: a word of it was changed or lost.</summary>
    Altered,

    /// <summary>Whole, but what is in it does not fit together.</summary>
    Unreadable,
}

/// <summary>A file was refused, and nothing was changed.</summary>
public sealed class ArchiveFaultException(ArchiveFault fault, Exception? inner = null) : Exception(fault.ToString(), inner)
{
    public ArchiveFault Fault { get; } = fault;
}

/// <summary>A household as one open file.</summary>
/// <param name="Format">Always <see cref="Name"/>.</param>
/// <param name="Version">Of the form, from 1.</param>
/// <param name="Written">When.</param>
/// <param name="Digest">SHA-256 over the tables' JSON without white space, as hexadecimal digits.</param>
public sealed record ArchiveFile(string Format, int Version, DateTimeOffset Written, string Digest, ArchiveTables Tables)
{
    public const string Name = "bright-kettle-household";

    /// <summary>The form that is written.</summary>
    public const int Form = 1;

    /// <summary>Deeper is nothing that this program writes: what was told stands in it as text.</summary>
    private const int MostDeep = 8;

    private static readonly JsonSerializerOptions Strict = new(JsonSerializerDefaults.General)
    {
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow,
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
        AllowDuplicateProperties = false,
        NumberHandling = JsonNumberHandling.Strict,
        MaxDepth = MostDeep,
    };

    /// <summary>JSON Schema of the form.</summary>
    public static JsonNode Schema => Strict.GetJsonSchemaAsNode(typeof(ArchiveFile));

    public static byte[] Write(ArchiveTables tables, DateTimeOffset now)
    {
        var json = JsonSerializer.SerializeToElement(tables, Strict);
        return JsonSerializer.SerializeToUtf8Bytes(new ArchiveFile(Name, Form, now, DigestOf(json), tables), Strict);
    }

    /// <exception cref="ArchiveFaultException">It is none, or not as it was written.</exception>
    public static ArchiveTables Read(ReadOnlyMemory<byte> file)
    {
        try
        {
            using var json = JsonDocument.Parse(file, new JsonDocumentOptions { MaxDepth = MostDeep, AllowDuplicateProperties = false });
            var root = json.RootElement;
            if (
                root.ValueKind != JsonValueKind.Object
                || !root.TryGetProperty("format", out var format)
                || format.ValueKind != JsonValueKind.String
                || format.GetString() != Name
                || !root.TryGetProperty("version", out var version)
                || version.ValueKind != JsonValueKind.Number
                || !version.TryGetInt32(out var form)
                || form < 1
            )
            {
                throw new ArchiveFaultException(ArchiveFault.Foreign);
            }

            if (form > Form)
            {
                throw new ArchiveFaultException(ArchiveFault.Newer);
            }

            if (
                !root.TryGetProperty("tables", out var tables)
                || !root.TryGetProperty("digest", out var digest)
                || digest.ValueKind != JsonValueKind.String
                || digest.GetString() != DigestOf(tables)
            )
            {
                throw new ArchiveFaultException(ArchiveFault.Altered);
            }

            return root.Deserialize<ArchiveFile>(Strict)!.Tables;
        }
        catch (JsonException broken)
        {
            throw new ArchiveFaultException(ArchiveFault.Foreign, broken);
        }
    }

    private static string DigestOf(JsonElement tables) =>
        Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(tables)));
}
