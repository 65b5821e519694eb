using BrightKettle.Core.Cooking;
using BrightKettle.Core.Cooking.Trace;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>What went in with pieces, until they are counted out.</summary>
public sealed partial class EveningState
{
    /// <summary>What went in and must come out again, whether or not it has.</summary>
    public IReadOnlyList<Inside> ComesOut()
    {
        // Nothing that was counted out is among these: what went in, and was neither poured away nor lifted out, is inside.
        var done = Done().OrderBy(d => d.At).ThenBy(d => d.Order).Select(d => d.Action).ToList();
        var trace = new CookTrace(Cook with { Actions = done });
        return
        [
            .. Cook
                .Ingredients.OfType<ExtraIngredient>()
                .Where(x => x.Extra.ComesOut && trace.PlaceBefore(done.Count, x.Id) >= 0)
                .Select(x => new Inside(
                    x.Id,
                    x.Extra.Name,
                    Pieces(x),
                    Math.Min(Pieces(x), _counts.Where(c => c.IngredientId == x.Id).Sum(c => c.Pieces))
                )),
        ];
    }

    private static int Pieces(ExtraIngredient x) => Math.Max(1, x.Pieces);

    /// <summary>When the last piece was counted out; null while one is inside.</summary>
    private Instant? OutAt(ExtraIngredient x)
    {
        var left = Pieces(x);
        foreach (var count in _counts.Where(c => c.IngredientId == x.Id).OrderBy(c => c.At))
        {
            left -= count.Pieces;
            if (left <= 0)
            {
                return count.At;
            }
        }

        return null;
    }
}
