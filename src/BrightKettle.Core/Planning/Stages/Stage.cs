using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning.Solving;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>One part of a way, as a cook would name it: it puts its actions after those of the parts before it. Sentences (steps.json) and
/// hands (visits.json) go by the ids of its steps; looks with their answers stand in the triggers of its actions.</summary>
internal abstract record Stage
{
    public abstract void Emit(List<CookAction> actions, Dish dish, Way way);

    /// <summary>Its numbers that are free, each with what it has to reach; the solver moves them in this order.</summary>
    public virtual IReadOnlyList<FreeNumber> Frees(Way way) => [];

    /// <summary>Ids of steps that it may mark, of those that are told and handled.</summary>
    public virtual IReadOnlyList<string> Steps => [];

    /// <summary>Share of bags that may be found later than it allows: where it waits for a look. 0 where nothing is waited for.</summary>
    public virtual double Slack => 0;
}
