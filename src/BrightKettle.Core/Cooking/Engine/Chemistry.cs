using BrightKettle.Core.Catalogue;

namespace BrightKettle.Core.Cooking.Engine;

/// <summary>What hard water and age do to a seed's speed, and the bounds of all that chemistry can do. What goes on in the pot is
/// <see cref="ChemistryStep{T}"/>.</summary>
/// <remarks>Curves stand in curves.json with their spread. A time factor over six means that it never softens.</remarks>
internal static class Chemistry
{
    /// <summary>Factor on the cooking time beyond which a seed never gets there in a household's time.</summary>
    public const float Never = 6;

    /// <summary>No helper makes it faster than this.</summary>
    public const float Least = 0.35f;

    /// <summary>Speed against the reference for a time factor: one over it, within the bounds; 0 where it never softens.</summary>
    public static T Speed<T>(T time)
        where T : struct, ILanes<T> => T.Where(T.Less(time, T.All(Never)), T.All(1) / T.Max(T.All(Least), time), T.All(0));

    /// <summary>Time factor of how a bag was kept.</summary>
    public static double Age(Lot lot, ModelConstants c) =>
        c.Curve(
                lot.Storage switch
                {
                    Storage.Cool => "age_cool",
                    Storage.Cupboard => "age_cupboard",
                    Storage.Warm => "age_warm",
                    _ => "age_hot",
                }
            )
            .Typical(lot.Years);
}
