namespace BrightKettle.Core.Cooking;

/// <summary>Where water can be.</summary>
public enum WaterAccount
{
    /// <summary>Outside: what was poured in comes from here, so its balance is negative.</summary>
    Tap,
    Liquor,
    Bowl,
    Steam,
    PouredAway,

    /// <summary>The first ingredient; the second has the next number, and so on.</summary>
    FirstIngredient,
}

/// <summary>Double-entry book of water in one cook, grams.</summary>
/// <remarks>The physics keeps its own amounts; this book is written beside it, so that a flow that one of them forgets shows as a difference.</remarks>
public sealed class WaterLedger(int ingredients)
{
    private readonly double[] _grams = new double[(int)WaterAccount.FirstIngredient + ingredients];

    public double this[WaterAccount account] => _grams[(int)account];

    /// <summary>Water bound in an ingredient beyond its dry weight, grams.</summary>
    public double InIngredient(int index) => _grams[(int)WaterAccount.FirstIngredient + index];

    /// <summary>Sum over all accounts, grams: zero but for rounding, since each flow is posted twice.</summary>
    public double Sum
    {
        get
        {
            var sum = 0.0;
            foreach (var grams in _grams)
            {
                sum += grams;
            }

            return sum;
        }
    }

    public static WaterAccount Ingredient(int index) => WaterAccount.FirstIngredient + index;

    public void Post(WaterAccount from, WaterAccount to, double grams)
    {
        _grams[(int)from] -= grams;
        _grams[(int)to] += grams;
    }
}
