using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Planning.Stages;

/// <summary>One part of a way, as a cook would name it: it puts its actions after those of the parts before it. Its free numbers stand
/// in the <see cref="Way"/>.</summary>
internal abstract record Stage
{
    public abstract void Emit(List<CookAction> actions, Dish dish, Way way);
}
