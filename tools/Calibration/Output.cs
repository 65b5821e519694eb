using System.Text.Json;
using System.Text.Json.Nodes;
using BrightKettle.Core.Catalogue;

namespace BrightKettle.Calibration;

/// <summary>Writes what was found into the catalogue's data files.</summary>
internal static class Output
{
    public static void Write(string folder, ModelConstants constants, IReadOnlyList<Pulse> pulses)
    {
        var json = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        File.WriteAllText(
            Path.Combine(folder, "kinetics.json"),
            "[\n"
                + string.Join(
                    ",\n",
                    pulses.Select(p =>
                        "  " + JsonSerializer.Serialize(new Kinetics(p.Id, p.SofteningMinutesAt98C, p.HydrationPerHourAt98C), json)
                    )
                )
                + "\n]\n"
        );

        var path = Path.Combine(folder, "effects.json");
        var effects = JsonNode.Parse(File.ReadAllText(path))!.AsArray();
        foreach (var effect in effects)
        {
            if (Fit.Shared.Contains(effect!["id"]!.GetValue<string>()))
            {
                effect["typical"] = Fit.Typical(constants, effect["id"]!.GetValue<string>());
            }
        }

        File.WriteAllText(
            path,
            "[\n"
                + string.Join(
                    ",\n",
                    effects.Select(e =>
                        "  "
                        + e!.ToJsonString(
                            new JsonSerializerOptions { Encoder = System.Text.Encodings.Web.JavaScriptEncoder.UnsafeRelaxedJsonEscaping }
                        )
                    )
                )
                + "\n]\n"
        );
    }
}
