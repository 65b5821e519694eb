using System.Collections.Concurrent;
using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Practice;
using BrightKettle.Sweep;

namespace BrightKettle.Players;

/// <summary>One dinner cooked twice in the same kitchen.</summary>
internal sealed record Played(int Number, Dinner Dinner, Plan Plan, PotTraits Hidden, PlayedDinner Advice, PlayedDinner Clock);

internal sealed record WayPlayed(string Name, IReadOnlyList<Played> Dinners)
{
    public int ByAdvice => Dinners.Count(d => d.Advice.Spoilt is null);

    public int ByClock => Dinners.Count(d => d.Clock.Spoilt is null);

    public double Promised => 100 * Dinners.Average(d => d.Plan.ShareTender);

    public double Looks => Dinners.Average(d => d.Advice.Looks);

    public double MinutesLate =>
        Dinners
            .Where(d => d.Advice.Served is not null)
            .Select(d => (d.Advice.Served!.Value - d.Plan.Dish.ServeAt).TotalMinutes)
            .Order()
            .ElementAt(Dinners.Count(d => d.Advice.Served is not null) / 2);

    public string Spoilt =>
        string.Join(
            ", ",
            Dinners
                .Where(d => d.Advice.Spoilt is not null)
                .GroupBy(d => d.Advice.Spoilt)
                .OrderByDescending(g => g.Count())
                .Select(g => $"{g.Count()} {g.Key}")
        );

    public string Line() =>
        $"{Name}: advice {ByAdvice} of {Dinners.Count}, clock {ByClock}, promised {Promised:0}, looks {Looks:0.0}, late {MinutesLate:0} min ({Spoilt})";
}

/// <summary>Ordinary dinners of one way by lot, each in a kitchen of its own.</summary>
internal sealed class Table(PulseCatalogue catalogue, int way)
{
    internal const int Seed = 20261202;

    private readonly Simulator _model = new(catalogue.Constants);

    public WayPlayed Play(int kitchens)
    {
        var asked = Ways.All[way];
        var dinners = Dinners.All(catalogue).Where(asked.Cooks).ToArray();
        new Random(Seed + way).Shuffle(dinners);
        var planner = new Planner(_model);
        // A dinner that is refused so is none; they come round again where there are fewer than kitchens.
        var plans = dinners
            .Select(d => (Dinner: d, Plan: (planner.Plan(asked.As(Dinners.Dish(d), d)) as PlanAnswer.Planned)?.Plan))
            .Where(p => p.Plan is not null)
            .Take(kitchens)
            .ToList();
        var played = new ConcurrentBag<Played>();
        Parallel.For(0, kitchens, new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount }, i =>
        {
            var (dinner, plan) = plans[i % plans.Count];
            var hidden = PotTraits.Many(plan!.Cook with { Seed = Seed + (1000 * way) }, catalogue.Constants, kitchens)[i];
            played.Add(
                new(
                    i,
                    dinner,
                    plan,
                    hidden,
                    new AdvicePlayer(_model).Play(plan, hidden, (1000 * way) + i),
                    new ClockPlayer(_model).Play(plan, hidden)
                )
            );
        });
        return new(asked.Name, [.. played.OrderBy(p => p.Number)]);
    }
}
