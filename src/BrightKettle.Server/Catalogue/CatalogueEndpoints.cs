using BrightKettle.Core.Catalogue;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.Http.HttpResults;

namespace BrightKettle.Server.Catalogue;

public static class CatalogueEndpoints
{
    public static void Map(IEndpointRouteBuilder routes)
    {
        routes.MapGet("/api/catalogue", All);
        routes.MapGet("/api/catalogue/pulses", FindPulses);
        routes.MapGet("/api/catalogue/rices", FindRices);
        routes.MapGet("/api/catalogue/extras", Extras);
        routes.MapGet("/api/effects", Effects);
        routes.MapGet("/api/reasons", Reasons);
    }

    public static Ok<CatalogueDto> All(PulseCatalogue catalogue) =>
        TypedResults.Ok(
            new CatalogueDto(
                [
                    .. catalogue.Pulses.Select(p => new PulseDto(
                        p.Id,
                        p.Name,
                        p.Said,
                        p.Aliases,
                        ClosedSet.Word(p.Kind),
                        p.GramsPerCup,
                        p.SoakHours.Low,
                        p.SoakHours.High,
                        ClosedSet.Word(p.LectinRisk),
                        p.HoldsShape,
                        p.Green is not null,
                        p.Note
                    )),
                ],
                [.. catalogue.Rices.Select(r => new RiceDto(r.Id, r.Name, r.Said, r.Aliases, r.GramsPerCup, r.Rinse, r.Note))]
            )
        );

    /// <summary>Pulses by any of their names, slips of spelling forgiven; best first; all of them when nothing is asked.</summary>
    public static Ok<IReadOnlyList<FoundDto>> FindPulses(PulseCatalogue catalogue, string? q = null) =>
        TypedResults.Ok(NameSearch.Find(q, catalogue.Pulses.Select(p => (p.Id, p.Name, Names(p.Said, p.Aliases)))));

    public static Ok<IReadOnlyList<FoundDto>> FindRices(PulseCatalogue catalogue, string? q = null) =>
        TypedResults.Ok(NameSearch.Find(q, catalogue.Rices.Select(r => (r.Id, r.Name, Names(r.Said, r.Aliases)))));

    public static Ok<IReadOnlyList<EffectDto>> Effects(PulseCatalogue catalogue) =>
        TypedResults.Ok<IReadOnlyList<EffectDto>>([
            .. catalogue.Effects.Select(Figure),
            .. catalogue.Curves.SelectMany(c =>
                c.Points.Select(p => new EffectDto($"{c.Id} at {p[0]} {c.Unit}", p[1], p[2], p[3], "factor", c.Confidence, c.Basis))
            ),
        ]);

    public static Ok<IReadOnlyList<ReasonDto>> Reasons() =>
        TypedResults.Ok<IReadOnlyList<ReasonDto>>([
            .. Reason.All.Select(r => new ReasonDto(r.Id, r.Subject, r.Strength, [.. r.Figures.Select(Figure)])),
        ]);

    /// <summary>Everything of the kitchen's vocabulary beside pulses and rice.</summary>
    public static Ok<IReadOnlyList<ExtraDto>> Extras(PulseCatalogue catalogue) =>
        TypedResults.Ok<IReadOnlyList<ExtraDto>>([
            .. catalogue.Extras.Select(e => new ExtraDto(
                e.Id,
                e.Name,
                e.Aliases,
                ClosedSet.Word(e.Kind),
                e.Salt.Typical,
                e.SaltAfterBlanch,
                e.ComesOut,
                e.Freezes,
                e.Leaves is not null,
                e.Confidence,
                e.Note
            )),
        ]);

    private static EffectDto Figure(Effect e) => new(e.Id, e.Low, e.Typical, e.High, e.Unit, e.Confidence, e.Basis);

    private static IReadOnlyList<string> Names(string said, IReadOnlyList<string> aliases) => [said, .. aliases];
}
