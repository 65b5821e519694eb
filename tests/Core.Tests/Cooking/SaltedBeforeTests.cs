using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using Xunit;
using static BrightKettle.Core.Tests.Cooking.Pots;

namespace BrightKettle.Core.Tests.Cooking;

/// <summary>A portion before the salt is without salt, or it is said why not.</summary>
public class SaltedBeforeTests
{
    private static IReadOnlyList<string> Found(IReadOnlyList<Ingredient> ingredients, params IEnumerable<CookAction> actions) =>
        SaltedBefore.In(new(Cook(Kitchens.Pot(), ingredients, actions)));

    [Fact]
    public void Cubes_cured_meat_brine_tins_and_earlier_salt_are_told_and_nothing_else()
    {
        var pulse = Pulse("chickpea", 200);
        Assert.Empty(Found([pulse], Add("p"), Water(800), Salt(8), Serve()));
        // Fresh food has a trace of its own.
        Assert.Empty(Found([pulse, Extra("onion", 80)], Add("p"), Add("onion"), Water(800), Salt(8), Serve()));
        Assert.Equal(["p"], Found([pulse], [.. Soak(8, salt: 0.015), Add("p"), Water(800), Salt(4), Serve()]));
        Assert.Equal([SaltedBefore.Salt], Found([pulse], Add("p"), Salt(3), Water(800), Salt(4), Serve()));
        // With the last salt, not before it.
        Assert.Empty(Found([pulse, Extra("stock_cube", 10)], Add("p"), Water(800), Salt(4), Add("stock_cube"), Serve()));
        // Without any salt at the table all that went in counts; what was taken out again has left its salt.
        Assert.Equal(["hock"], Found([pulse, Extra("ham_hock", 300, name: "hock")], Add("p"), Add("hock"), Water(800), Serve()));
        var tin = pulse with { Start = new SeedStart(Core.Units.Temperature.FromCelsius(20)), CookedSaltShare = 0.008 };
        Assert.Equal(["p"], Found([tin], Add("p"), Water(200), Salt(4), Serve()));
    }

    /// <summary>Everything in the catalogue that is salty by its own figures is told, whatever it is.</summary>
    [Fact]
    public void Every_salty_extra_of_the_catalogue_is_told()
    {
        var salty = Kitchens.Catalogue.Extras.Where(x => x.Salt.Typical >= 0.002 || x.HiddenSodium > 0.002).ToList();
        Assert.True(salty.Count >= 5, $"{salty.Count}");
        Assert.All(salty, x =>
            Assert.Equal([x.Id], Found([Pulse("chickpea", 200), Extra(x.Id, 50)], Add("p"), Add(x.Id), Water(800), Salt(4), Serve()))
        );
    }
}
