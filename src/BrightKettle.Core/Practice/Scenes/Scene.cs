using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Practice.Scenes;

/// <summary>One decision at a pot whose traits nobody knows.</summary>
public sealed class Scene
{
    /// <summary>Different pots of one scene, each with its number from 0.</summary>
    public const int Pots = 200;

    /// <summary>A pot of a household, and a flame under it.</summary>
    private static readonly Burner Front = new("front", "front", Power.FromWatts(1600), Power.FromWatts(120));

    private static readonly Instant Evening = Instant.FromUtc(2026, 11, 1, 17, 0);

    private readonly SceneData _data;
    private readonly PulseCatalogue _catalogue;
    private PotTraits[]? _traits;

    private Scene(SceneData data, PulseCatalogue catalogue) => (_data, _catalogue) = (data, catalogue);

    public static IReadOnlyList<Scene> All(PulseCatalogue catalogue) => [.. SceneData.All.Select(d => new Scene(d, catalogue))];

    public string Id => _data.Id;

    public Pulse Pulse => _catalogue.FindPulse(_data.Pulse)!;

    public Rice? Rice => _data.Rice is { } id ? _catalogue.FindRice(id) : null;

    public Mass PulseDry => Mass.FromGrams(_data.Grams);

    public Mass RiceDry => Mass.FromGrams(_data.RiceGrams);

    public Style Style => _data.Style;

    public IReadOnlyList<string> Choices => [.. _data.Choices.Select(c => c.Id)];

    public Targets Targets => new(_data.Style);

    /// <summary>Free liquor at the table that is right, g.</summary>
    public (double Least, double Most) Liquor => (_data.Liquor[0], _data.Liquor[1]);

    /// <summary>The whole evening with this answer.</summary>
    /// <exception cref="ArgumentException">The scene has no such answer.</exception>
    public Cook Cook(string choice)
    {
        var chosen = _data.Choices.FirstOrDefault(c => c.Id == choice) ?? throw new ArgumentException("No such answer.", nameof(choice));
        var then = chosen.Then.Select(SceneWords.Read).ToList();
        then[0] = SceneWords.Later(then[0], _data.After);
        return new(
            new(Vessel, Front, Altitude.SeaLevel, Temperature.FromCelsius(20)),
            [
                new PulseIngredient(SceneWords.Pulse, PulseDry, Pulse, new Pace(1, _data.Spread)),
                .. Rice is { } rice ? [new RiceIngredient(SceneWords.Rice, RiceDry, rice)] : (IEnumerable<Ingredient>)[],
            ],
            [.. _data.Begun.Select(SceneWords.Read), .. then],
            Evening,
            Seed: Id.Sum(c => c)
        );
    }

    /// <summary>Place of the first action behind the moment.</summary>
    internal int Moment => _data.Begun.Count;

    /// <summary>Minutes from the last thing that was done to the moment.</summary>
    public double MinutesAfter => _data.After;

    /// <summary>The hidden traits of one of the pots.</summary>
    /// <param name="pot">0 to <see cref="Pots"/> - 1.</param>
    internal PotTraits Traits(int pot, ModelConstants constants) =>
        (_traits ??= PotTraits.Many(Cook(_data.Choices[0].Id), constants, Pots))[pot];

    public Vessel Vessel =>
        _data.Pot switch
        {
            "cooker" => Cooker(CookerKind.Spring, 22, 6),
            "crock" => Cooker(CookerKind.Slow, 24, 5),
            "wide" => new("wide", "wide", Length.FromCentimetres(26), Volume.FromMillilitres(5500)),
            _ => new("pot", "pot", Length.FromCentimetres(22), Volume.FromMillilitres(4500)),
        };

    private static Vessel Cooker(CookerKind kind, double centimetres, double litres) =>
        new("cooker", "cooker", Length.FromCentimetres(centimetres), Volume.FromMillilitres(litres * 1000))
        {
            Cooker = Kitchen.Cooker.Typical(kind, litres * 1000),
        };
}
