using System.Text.Json;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Stove;
using BrightKettle.Data;
using BrightKettle.Data.Records;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Work;
using Microsoft.EntityFrameworkCore;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>When an evening is over: what it took from the cupboard, and what it says of the bags.</summary>
public sealed partial class DinnerLessons(KettleDb db, EveningStore evenings, WorkScheduler queue, ILogger<DinnerLessons> log)
{
    /// <summary>In the scheduler's turn it is a screen of its own.</summary>
    private const string Who = "lessons";

    /// <summary>The dish with the bags that it is cooked from now.</summary>
    public static DishDto WithBags(DishDto dish, KitchenState kitchen)
    {
        ArgumentNullException.ThrowIfNull(dish);
        ArgumentNullException.ThrowIfNull(kitchen);
        return dish with
        {
            BagId = kitchen.BagFor(dish.BagId, dish.PulseId)?.Id,
            RiceBagId = dish.RiceId is { } rice ? kitchen.BagFor(dish.RiceBagId, rice)?.Id : null,
            Others = dish.Others?.Select(o => o with { BagId = kitchen.BagFor(o.BagId, o.PulseId)?.Id }).ToList(),
        };
    }

    /// <summary>By pulse: the bag that it came from.</summary>
    private static Dictionary<string, string> Bags(DishDto dish) =>
        (dish.Others ?? [])
            .Select(o => (o.PulseId, o.BagId))
            .Prepend((dish.PulseId, dish.BagId))
            .Where(b => b.BagId is not null)
            .ToDictionary(b => b.PulseId, b => b.BagId!);

    private static string Model(long version) => $"{version} {Simulator.ModelVersion} {PulseCatalogue.ParameterVersion}";

    /// <summary>Reads a dinner that is over; again, it takes nothing from the cupboard a second time.</summary>
    public async Task LearnAsync(Guid id, CancellationToken cancel)
    {
        if (await evenings.ReadAsync(db, id, cancel) is not { } stored)
        {
            return;
        }

        var bags = Bags(stored.Started.Dish);
        var said = await queue.RunAsync(
            Who,
            WorkLength.Quick,
            simulator => new DinnerReader(simulator).Read(id.ToString(), stored.Evening, bags),
            cancel
        );
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var row = await db.Cooks.SingleAsync(c => c.Id == id, cancel);
        if (row.LearnedAs is null)
        {
            await TakeAsync(stored, bags, cancel);
        }

        row.LearnedAs = Model(stored.Row.Version);
        await db.Learned.Where(l => l.CookId == id).ExecuteDeleteAsync(cancel);
        db.Learned.AddRange(
            said.Select(s => new LearnedRow
            {
                CookId = id,
                BagId = s.BagId,
                PulseId = s.PulseId,
                Log = s.Log,
                Spread = s.Spread,
            })
        );
        await db.SaveChangesAsync(cancel);
        await db.Households.ExecuteUpdateAsync(h => h.SetProperty(x => x.LearnedVersion, x => x.LearnedVersion + 1), cancel);
        await transaction.CommitAsync(cancel);
    }

    /// <summary>The same for an evening that is closed whatever comes of it: one that cannot be read, or takes too long, is written to the
    /// log, and tried again when the program starts next.</summary>
    public async Task TryLearnAsync(Guid id, CancellationToken cancel)
    {
        try
        {
            await LearnAsync(id, cancel);
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or OverBudgetException)
        {
            LogUnreadable(e, id);
            db.ChangeTracker.Clear();
        }
    }

    /// <summary>What went into the pot is no longer in its bag.</summary>
    private async Task TakeAsync(StoredEvening stored, Dictionary<string, string> bags, CancellationToken cancel)
    {
        var added = stored.Evening.ActionsDone().Select(d => d.Action).OfType<CookAction.Add>().Select(a => a.IngredientId).ToHashSet();
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var day = kitchen.Household.LocalOf(stored.Evening.ServedAt ?? Instant.FromDateTimeOffset(stored.Row.ServeAt)).Date.ToDateOnly();
        foreach (var ingredient in stored.Evening.Cook.Ingredients.Where(i => added.Contains(i.Id)))
        {
            var bagId = ingredient switch
            {
                PulseIngredient { Start: null, Green: false } p => bags.GetValueOrDefault(p.Pulse.Id),
                RiceIngredient { Start: null } => stored.Started.Dish.RiceBagId,
                _ => null,
            };
            if (bagId is not null && await db.Bags.SingleOrDefaultAsync(b => b.Id == bagId, cancel) is { } bag)
            {
                // What is left and cannot be planned with is used up.
                var left = bag.Grams - ingredient.Dry.Grams;
                bag.Grams = left < LeastLeft ? 0 : left;
                bag.OpenedOn ??= day;
                bag.Version++;
            }
        }
    }

    private const double LeastLeft = 20;

    /// <summary>Reads anew what an older model has read, or nobody yet.</summary>
    public async Task CatchUpAsync(CancellationToken cancel)
    {
        var model = Model(0)[1..];
        var behind = await db
            .Cooks.AsNoTracking()
            .Where(c => c.FinishedAt != null && (c.LearnedAs == null || !c.LearnedAs.EndsWith(model)))
            .OrderBy(c => c.ServeAt)
            .Select(c => c.Id)
            .ToListAsync(cancel);
        foreach (var id in behind)
        {
            await TryLearnAsync(id, cancel);
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "The dinner {Id} cannot be read; nothing is learned from it.")]
    private partial void LogUnreadable(Exception why, Guid id);
}

/// <summary>Once, when the server has started.</summary>
public sealed class LessonsCatchUp(IServiceScopeFactory scopes) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // The port opens first.
        await Task.Yield();
        await using var scope = scopes.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<DinnerLessons>().CatchUpAsync(stoppingToken);
    }
}
