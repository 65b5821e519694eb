using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Solving;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>Pulses that were drained when they were found right stand covered until the table, within the hour.</summary>
internal sealed record ServeDrained : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new TableHour()];

    public override IReadOnlyList<string> Steps => [StepIds.Table];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.AddSalt(dish, SaltSchool.WithTheRice);
        actions.AddServe(dish, Trigger.At(way.JoinAt), way.ServeAfter(dish));
    }
}

/// <summary>Tender pulses may have waited an hour: they come to the boil once more, so that nothing is served lukewarm.</summary>
internal sealed record ReheatAndServe : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new TableHour()];

    public override IReadOnlyList<string> Steps => [StepIds.Reheat, StepIds.Mash, StepIds.Season, StepIds.Finish, StepIds.Table];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Heat(Trigger.At(way.JoinAt), Flame.Full) { StepId = StepIds.Reheat });
        if (dish.Style != Style.Dry && way.BoilDownMinutes > 0)
        {
            actions.Add(new CookAction.Cover(Trigger.Next, Lid.Open));
        }

        actions.AddExtras(dish, ExtraTime.Join);
        var boils = Trigger.Once(PotEvent.Boils);
        if (dish.Has(AskedStage.Mash))
        {
            new MashSome(boils).Emit(actions, dish, way);
            boils = Trigger.Next;
        }

        var last = dish.Extras.Where(x => x.Time != ExtraTime.Start).Select(x => x.LeastMinutes).Append(dish.SeasonMinutes).Max();
        if (last > 0)
        {
            actions.Add(new CookAction.Heat(boils, Flame.Gentle) { StepId = dish.Has(AskedStage.Season) ? StepIds.Season : null });
            actions.AddExtras(dish, ExtraTime.Late);
            boils = Trigger.Later(Duration.FromMinutes(Math.Ceiling(last)));
        }

        actions.Add(
            dish.Style == Style.Dry
                ? new CookAction.Drain(boils, null) { StepId = StepIds.Finish }
                : way.SetLiquor(boils, Mass.FromGrams(dish.WantedLiquorGrams), StepIds.Finish)
        );
        // What is poured off would take its share along.
        actions.AddSalt(dish, SaltSchool.WithTheRice);
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off));
        actions.AddServe(dish, Trigger.Next, way.ServeAfter(dish));
    }
}
