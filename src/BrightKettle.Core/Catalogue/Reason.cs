using System.Collections.Frozen;

namespace BrightKettle.Core.Catalogue;

/// <summary>Why a rule of the kitchen holds: how well it is supported, and which figures of the model stand behind it.</summary>
/// <param name="Subject">What it is about: soak, bag, water, salt, heat, pressure, rice, looks or safe.</param>
/// <param name="Strength">A broadly agreed, B well supported, C rough, D a guess.</param>
/// <param name="Figures">The effects behind it.</param>
public sealed record Reason(string Id, string Subject, string Strength, IReadOnlyList<Effect> Figures)
{
    /// <summary>In the order in which they are told, subject by subject.</summary>
    public static IReadOnlyList<Reason> All { get; } = Load(PulseCatalogue.Shipped);

    /// <exception cref="InvalidOperationException">A reason names a figure that the catalogue does not have.</exception>
    private static IReadOnlyList<Reason> Load(PulseCatalogue catalogue)
    {
        var effects = catalogue.Effects.ToFrozenDictionary(e => e.Id);
        return
        [
            .. PulseCatalogue
                .ReadList<Row>("reasons.json")
                .Select(r => new Reason(
                    r.Id,
                    r.Subject,
                    r.Strength,
                    [
                        .. r.Figures.Select(f =>
                            effects.TryGetValue(f, out var effect)
                                ? effect
                                : throw new InvalidOperationException($"The reason {r.Id} names the figure {f}, which is not there.")
                        ),
                    ]
                )),
        ];
    }

    private sealed record Row(string Id, string Subject, string Strength, IReadOnlyList<string> Figures);
}
