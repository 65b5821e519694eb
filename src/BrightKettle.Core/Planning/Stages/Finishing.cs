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

/// <summary>Tender pulses may have waited an hour: they come to the boil once more, so that nothing is served lukewarm, and their liquor is
/// set.</summary>
internal sealed record Reheat : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new Tail()];

    public override IReadOnlyList<string> Steps => [StepIds.Reheat, StepIds.Mash, StepIds.Season, StepIds.Finish];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Heat(way.JoinTrigger, Flame.Full) { StepId = StepIds.Reheat });
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

        boils = Simmered(actions, dish, way, boils);
        actions.Add(
            dish.Style == Style.Dry
                ? new CookAction.Drain(boils, null) { StepId = StepIds.Finish }
                : way.SetLiquor(boils, way.FinishLiquor ?? Mass.FromGrams(dish.WantedLiquorGrams), StepIds.Finish)
        );
        // What is poured off would take its share along.
        actions.AddSalt(dish, SaltSchool.WithTheRice);
    }

    /// <summary>How long it simmers with what goes in, before its liquor is set; 0 or less where nothing wants it.</summary>
    public static double SimmerMinutes(Dish dish, Way way) =>
        // What is set, bound and boiled down after it takes its minutes too.
        Math.Ceiling(
            dish.Extras.Where(x => x.Time == ExtraTime.Join)
                .Select(x => x.LeastMinutes)
                .Concat(AddLate.InTheSimmer(dish, way).Select(x => x.MinutesBefore - AddLate.After(dish, way)))
                .Append(dish.SeasonMinutes)
                .Max()
        );

    /// <summary>On low for as long as what went in wants, each thing by its minutes.</summary>
    /// <returns>When that is over.</returns>
    private static Trigger Simmered(List<CookAction> actions, Dish dish, Way way, Trigger boils)
    {
        var left = SimmerMinutes(dish, way);
        if (left <= 0)
        {
            return boils;
        }

        actions.Add(new CookAction.Heat(boils, Flame.Gentle) { StepId = dish.Has(AskedStage.Season) ? StepIds.Season : null });
        return actions.AddLate(AddLate.InTheSimmer(dish, way), Trigger.Next, left, AddLate.After(dish, way));
    }
}

/// <summary>What is wanted in the pot for a shorter time than its liquor takes to boil down goes in when that is over.</summary>
internal sealed record AddLate : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new FinishLiquor()];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        if (AfterTheSimmer(dish, way) is not [var longest, ..] late)
        {
            return;
        }

        actions.Add(new CookAction.Cover(Trigger.Next, Lid.On));
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Gentle));
        var binding = Binding(dish);
        var over = actions.AddLate(late, Trigger.Next, Math.Max(0, longest.MinutesBefore - binding), binding);
        if (over.Delay is not null)
        {
            actions.Add(new CookAction.Stir(over));
        }
    }

    /// <summary>Minutes from the end of the simmer to the table, in the middle bag.</summary>
    public static double After(Dish dish, Way way) =>
        way.TailMinutes
        ?? (
            dish.StirsRiceIn ? dish.RiceRestMinutes + way.BoilDownMinutes
            : dish.Style == Style.Dry ? Binding(dish)
            : way.BoilDownMinutes + Binding(dish)
        );

    /// <summary>What goes in while it simmers, the longest first.</summary>
    public static IReadOnlyList<DishExtra> InTheSimmer(Dish dish, Way way) =>
        [.. dish.Late().Where(x => x.MinutesBefore > After(dish, way))];

    /// <summary>What goes in once the liquor is set.</summary>
    public static IReadOnlyList<DishExtra> AfterTheSimmer(Dish dish, Way way) => [.. dish.Late().Except(InTheSimmer(dish, way))];

    private static double Binding(Dish dish) => dish.Has(AskedStage.Bind) ? BindLiquor.Boiled.TotalMinutes : 0;
}

/// <summary>Starch, wetted with cold water, is stirred in and boiled for a moment, so that the liquor binds.</summary>
internal sealed record BindLiquor : Stage
{
    /// <summary>Cold water that wets it, g per g.</summary>
    private const double WaterShare = 2;

    /// <summary>So long at the boil, and it tastes of flour no more (confidence C).</summary>
    public static readonly Duration Boiled = Duration.FromMinutes(3);

    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new Starch()];

    public override IReadOnlyList<string> Steps => [StepIds.Bind];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        // Where the pulses bind it by themselves there is nothing to do.
        if (way.StarchGrams < 1)
        {
            return;
        }

        var starch = Mass.FromGrams(way.StarchGrams);
        actions.Add(new CookAction.Thicken(Trigger.Next, starch, starch * WaterShare) { StepId = StepIds.Bind });
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Lively));
        actions.Add(new CookAction.Stir(Trigger.Later(Boiled)));
    }
}

/// <summary>Flame off, and to the table.</summary>
internal sealed record ServeHot : Stage
{
    public override IReadOnlyList<FreeNumber> Frees(Way way) => [new TableHour()];

    public override IReadOnlyList<string> Steps => [StepIds.Table];

    public override void Emit(List<CookAction> actions, Dish dish, Way way)
    {
        actions.Add(new CookAction.Heat(Trigger.Next, Flame.Off));
        actions.AddServe(dish, Trigger.Next, way.ServeAfter(dish));
    }
}
