using System.Text.Json;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Contracts;
using Microsoft.Extensions.Caching.Memory;
using NodaTime;

namespace BrightKettle.Server.Endpoints;

/// <summary>Plans that were asked for just now: a page that pulls on one asks for it many times a second. Nothing depends on it but speed.</summary>
public sealed class PlanMemory(Planner planner) : IDisposable
{
    private const int MostPlans = 64;

    private readonly MemoryCache _plans = new(new MemoryCacheOptions { SizeLimit = MostPlans });

    /// <summary>The answer to a dish as it was asked for in this kitchen, within this minute.</summary>
    public PlanAnswer Plan(DishDto asked, Dish dish, KitchenState kitchen)
    {
        ArgumentNullException.ThrowIfNull(dish);
        ArgumentNullException.ThrowIfNull(kitchen);
        var minute = Instant.FromUnixTimeSeconds(dish.Now.ToUnixTimeSeconds() / 60 * 60);
        var key = $"{minute.ToUnixTimeSeconds()} {JsonSerializer.Serialize(asked)} {JsonSerializer.Serialize(kitchen.Row)} {string.Join(';', kitchen.Vessels)} {string.Join(';', kitchen.Burners)} {string.Join(';', kitchen.ShelfGrams)}";
        return _plans.GetOrCreate(key, entry =>
        {
            entry.Size = 1;
            entry.SlidingExpiration = TimeSpan.FromMinutes(5);
            return planner.Plan(dish);
        })!;
    }

    public void Dispose() => _plans.Dispose();
}
