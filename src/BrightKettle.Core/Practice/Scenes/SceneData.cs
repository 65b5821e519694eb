using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Planning;

namespace BrightKettle.Core.Practice.Scenes;

/// <summary>scenes.json: one decision, with what was done before it and what each answer does.</summary>
/// <param name="Grams">Of the pulse, dry.</param>
/// <param name="Spread">Of the bag's pace, ln; the wider, the less a clock says.</param>
/// <param name="Begun">In <see cref="SceneWords"/>, up to the moment.</param>
/// <param name="After">Minutes from the last of them to the moment.</param>
/// <param name="Liquor">Free liquor at the table that is right, g: least and most.</param>
internal sealed record SceneData(
    string Id,
    string Pulse,
    double Grams,
    string? Rice,
    double RiceGrams,
    Style Style,
    string Pot,
    double Spread,
    IReadOnlyList<string> Begun,
    double After,
    IReadOnlyList<SceneChoice> Choices,
    IReadOnlyList<double> Liquor
)
{
    public static IReadOnlyList<SceneData> All { get; } = PulseCatalogue.ReadList<SceneData>("scenes.json");
}

/// <summary>An answer, and what is done from the moment on.</summary>
internal sealed record SceneChoice(string Id, IReadOnlyList<string> Then);
