using System.Collections.Frozen;
using System.Security.Cryptography;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace BrightKettle.Core.Catalogue;

/// <summary>All pulses, rices and model figures, read once from the data files beside this code.</summary>
public sealed class PulseCatalogue
{
    private static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new SpanConverter(), new TripleConverter(), new JsonStringEnumConverter() },
        UnmappedMemberHandling = JsonUnmappedMemberHandling.Skip,
    };

    private readonly FrozenDictionary<string, Pulse> _pulses;
    private readonly FrozenDictionary<string, Rice> _rices;

    private readonly FrozenDictionary<string, Extra> _extras;

    public PulseCatalogue(
        IReadOnlyList<Pulse> pulses,
        IReadOnlyList<Rice> rices,
        IReadOnlyList<Extra> extras,
        IReadOnlyList<Effect> effects,
        IReadOnlyList<Curve> curves
    )
    {
        Extras = extras;
        Curves = curves;
        _extras = extras.ToFrozenDictionary(e => e.Id);
        Pulses = pulses;
        Rices = rices;
        Effects = effects;
        _pulses = pulses.ToFrozenDictionary(p => p.Id);
        _rices = rices.ToFrozenDictionary(r => r.Id);
        Constants = new ModelConstants(effects.ToDictionary(e => e.Id), curves.ToDictionary(c => c.Id));
    }

    /// <summary>The catalogue that ships with the core.</summary>
    public static PulseCatalogue Shipped { get; } = Load();

    /// <summary>In the order of the data file.</summary>
    public IReadOnlyList<Pulse> Pulses { get; }

    public IReadOnlyList<Rice> Rices { get; }

    public IReadOnlyList<Extra> Extras { get; }

    public IReadOnlyList<Effect> Effects { get; }

    public IReadOnlyList<Curve> Curves { get; }

    public ModelConstants Constants { get; }

    /// <summary>Changes with any figure of the shipped data files; stored with each saved forecast.</summary>
    public static string ParameterVersion { get; } = Fingerprint();

    public Pulse? FindPulse(string id) => _pulses.GetValueOrDefault(id);

    public Rice? FindRice(string id) => _rices.GetValueOrDefault(id);

    public Extra? FindExtra(string id) => _extras.GetValueOrDefault(id);

    private static PulseCatalogue Load()
    {
        var kinetics = Read<Kinetics>("kinetics.json").ToDictionary(k => k.PulseId);
        var pulses = Read<PulseRow>("pulses.json").ConvertAll(row => row.With(kinetics[row.Id]));
        return new(pulses, Read<Rice>("rices.json"), Read<Extra>("extras.json"), Read<Effect>("effects.json"), Read<Curve>("curves.json"));
    }

    /// <summary>A data file of this assembly that is a list.</summary>
    internal static IReadOnlyList<T> ReadList<T>(string name) => Read<T>(name);

    /// <summary>A data file of this assembly that is one object.</summary>
    internal static T ReadOne<T>(string name)
    {
        using var stream = Open(name);
        return JsonSerializer.Deserialize<T>(stream, Json) ?? throw new InvalidOperationException($"The data file {name} is empty.");
    }

    private static Stream Open(string name) =>
        typeof(PulseCatalogue).Assembly.GetManifestResourceStream(name)
        ?? throw new InvalidOperationException($"The data file {name} is not in the assembly.");

    private static string Fingerprint()
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        foreach (
            var name in new[] { "pulses.json", "rices.json", "extras.json", "effects.json", "curves.json", "kinetics.json", "targets.json" }
        )
        {
            using var stream = Open(name);
            using var copy = new MemoryStream();
            stream.CopyTo(copy);
            hash.AppendData(copy.ToArray());
        }

        return Convert.ToHexStringLower(hash.GetHashAndReset())[..12];
    }

    private static List<T> Read<T>(string name)
    {
        using var stream = Open(name);
        return JsonSerializer.Deserialize<List<T>>(stream, Json) ?? throw new InvalidOperationException($"The data file {name} is empty.");
    }

    private sealed class SpanConverter : JsonConverter<Span>
    {
        public override Span Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            var n = JsonSerializer.Deserialize<double[]>(ref reader)!;
            return new(n[0], n[1]);
        }

        public override void Write(Utf8JsonWriter writer, Span value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, new[] { value.Low, value.High });
    }

    private sealed class TripleConverter : JsonConverter<Triple>
    {
        public override Triple Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options)
        {
            var n = JsonSerializer.Deserialize<double[]>(ref reader)!;
            return new(n[0], n[1], n[2]);
        }

        public override void Write(Utf8JsonWriter writer, Triple value, JsonSerializerOptions options) =>
            JsonSerializer.Serialize(writer, new[] { value.Low, value.Typical, value.High });
    }
}
