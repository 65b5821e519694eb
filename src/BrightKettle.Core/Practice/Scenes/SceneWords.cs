using System.Globalization;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Practice.Scenes;

/// <summary>The short words in which scenes.json writes actions: <c>boils+10: flame gentle</c>.</summary>
/// <remarks>Before the colon what it waits for: boils, up (pressure), down (the pin), each with +minutes, or +minutes alone after the action
/// before; nothing means at once. Behind it: soak 900 (the pulse, in g of water), strain pulse, add pulse, add rice, water 1400 (cold, g), boiling 300, liquor 250 (free liquor made so much),
/// lid ajar, flame low, lock, release quick, mash 0.3, stir, drain, salt 8, serve.</remarks>
internal static class SceneWords
{
    public const string Pulse = "pulse";
    public const string Rice = "rice";

    private static readonly Temperature Tap = Temperature.FromCelsius(18);
    private static readonly Temperature Hot = Temperature.FromCelsius(98);

    /// <exception cref="FormatException">Not one of these words.</exception>
    public static CookAction Read(string text)
    {
        var colon = text.IndexOf(": ", StringComparison.Ordinal);
        var when = colon < 0 ? Trigger.Next : When(text[..colon]);
        var words = text[(colon < 0 ? 0 : colon + 2)..].Split(' ');
        var what = words.Length > 1 ? words[1] : "";
        return words[0] switch
        {
            "soak" => new CookAction.Soak(when, Pulse, Grams(what), Tap),
            "strain" => new CookAction.Drain(when, what),
            "add" => new CookAction.Add(when, what),
            "water" => new CookAction.AddWater(when, Grams(what), Tap),
            "boiling" => new CookAction.AddWater(when, Grams(what), Hot),
            "liquor" => new CookAction.SetLiquor(when, Grams(what)),
            "lid" => new CookAction.Cover(when, Enum.Parse<Lid>(what, ignoreCase: true)),
            "flame" => new CookAction.Heat(when, Enum.Parse<Flame>(what, ignoreCase: true)),
            "lock" => new CookAction.Pressurise(when),
            "release" => new CookAction.Release(when, Enum.Parse<ReleaseKind>(what, ignoreCase: true)),
            "mash" => new CookAction.Mash(when, Pulse, Number(what)),
            "salt" => new CookAction.AddSalt(when, Grams(what)),
            "stir" => new CookAction.Stir(when),
            "drain" => new CookAction.Drain(when, null),
            "serve" => new CookAction.Serve(when),
            _ => throw new FormatException($"No action is called so: {text}"),
        };
    }

    /// <summary>The same, so many minutes later where it waits for nothing else.</summary>
    public static CookAction Later(CookAction action, double minutes) =>
        action with
        {
            Trigger = action.Trigger with { Delay = (action.Trigger.Delay ?? Duration.Zero) + Duration.FromMinutes(minutes) },
        };

    private static Trigger When(string text)
    {
        var plus = text.IndexOf('+', StringComparison.Ordinal);
        var delay = plus < 0 ? (Duration?)null : Duration.FromMinutes(Number(text[(plus + 1)..]));
        return (plus < 0 ? text : text[..plus]) switch
        {
            "" => new Trigger(Delay: delay),
            "boils" => Trigger.Once(PotEvent.Boils, delay),
            "up" => Trigger.Once(PotEvent.PressureUp, delay),
            "down" => Trigger.Once(PotEvent.PinDown, delay),
            _ => throw new FormatException($"Nothing is waited for so: {text}"),
        };
    }

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    private static Mass Grams(string text) => Mass.FromGrams(Number(text));
}
