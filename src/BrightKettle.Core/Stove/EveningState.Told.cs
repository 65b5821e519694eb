using BrightKettle.Core.Cooking;
using BrightKettle.Core.Units;
using NodaTime;

namespace BrightKettle.Core.Stove;

/// <summary>What was told counts for what comes: extras that are in, salt beside the plan, water that was not what the plan says.</summary>
public sealed partial class EveningState
{
    /// <summary>Planned extras that went in before their moment, by whatever name it was told.</summary>
    private readonly HashSet<string> _inAlready = [];

    /// <summary>What of a planned extra has to be in for it not to be asked for again.</summary>
    private const double MostOfIt = 0.7;

    private void InAlready(ExtraIngredient what)
    {
        var planned = Pending
            .SelectMany(m => m.Actions)
            .OfType<CookAction.Add>()
            .Select(a => Cook.Ingredients[Cook.IndexOf(a.IngredientId)])
            .OfType<ExtraIngredient>()
            .FirstOrDefault(x => x.Extra.Id == what.Extra.Id && !_inAlready.Contains(x.Id));
        if (planned is null || (!what.Extra.ComesOut && what.Dry.Grams < MostOfIt * planned.Dry.Grams))
        {
            return;
        }

        _inAlready.Add(planned.Id);
        for (var i = 0; i < _moments.Count; i++)
        {
            // A moment with nothing left in it is over.
            if (_moments[i].State == MomentState.Waiting && Doing(_moments[i].Moment).Actions.Count == 0)
            {
                _moments[i] = _moments[i] with { State = MomentState.PassedOver };
            }
        }
    }

    /// <summary>Whether a planned extra went in before its moment.</summary>
    public bool IsInAlready(string ingredientId) => _inAlready.Contains(ingredientId);

    /// <summary>A moment without what is in already, and with the salt that is still to add.</summary>
    /// <param name="at">When it was done: what came in later took nothing off it. Null for one that is still to be done.</param>
    private Moment Doing(Moment moment, Instant? at = null)
    {
        if (_inAlready.Count == 0 && SaltBrought(moment.Lane, at) == 0)
        {
            return moment;
        }

        var left = moment
            .Actions.Where(a =>
                !(a is CookAction.Add add && _inAlready.Contains(add.IngredientId))
                && !(a is CookAction.TakeOut @out && _inAlready.Contains(@out.IngredientId))
            )
            .Select(a => a is CookAction.AddSalt salt ? salt with { Salt = SaltLeft(salt.Salt, moment.Lane, at) } : a)
            .ToList();
        if (left.Count > 0)
        {
            left[0] = left[0] with { Trigger = moment.Trigger };
        }

        return moment with
        {
            Actions = left,
        };
    }

    /// <summary>Of salt that is planned for a pot, what is left to add now that unplanned salt went into it, cured meat and the like
    /// counted.</summary>
    /// <param name="until">What came in after this is not counted; null for all.</param>
    public Mass SaltLeft(Mass planned, string lane, Instant? until = null) =>
        Mass.Max(Mass.Zero, planned - Mass.FromGrams(SaltBrought(lane, until)));

    /// <summary>Salt that came into a pot beside the plan, g; less than nothing where less of a planned extra went in.</summary>
    private double SaltBrought(string lane, Instant? until) =>
        _entries
            .Where(e => until is null || e.At <= until)
            .Sum(e =>
                e switch
                {
                    Entry.Extra { Action: CookAction.AddSalt salt } when Moment.LaneOf(salt, Cook.Kitchen) == lane => salt.Salt.Grams,
                    Entry.WentIn { What: var what } when Cook.Kitchen.Vessel.Id == lane => (what.Salt.Typical * what.Dry.Grams)
                        - PlannedSalt(what),
                    _ => 0,
                }
            );

    private double PlannedSalt(ExtraIngredient what) =>
        Cook.Ingredients.OfType<ExtraIngredient>().FirstOrDefault(x => _inAlready.Contains(x.Id) && x.Extra.Id == what.Extra.Id)
            is { } planned
            ? planned.Salt.Typical * planned.Dry.Grams
            : 0;

    /// <summary>The last water that was poured in by a planned step, where it was not what the plan says, and nothing has set it right
    /// since: g too much, less than 0 for too little.</summary>
    public (Instant At, string Lane, double Grams)? WrongWater
    {
        get
        {
            foreach (var (_, entry) in _done.OrderByDescending(d => d.At))
            {
                var moment = Find(entry.MomentId)!.Moment;
                var planned = moment.Actions.Select(Amount).FirstOrDefault(a => a is not null);
                if (planned is null)
                {
                    continue;
                }

                if (entry.Poured is not { } jug || moment.Actions.All(a => a is not CookAction.AddWater))
                {
                    return null;
                }

                var real = jug.MassOfWater(moment.Actions.OfType<CookAction.AddWater>().First().Temperature).Grams;
                var since = _extras
                    .Where(x => x.At >= entry.At && Moment.LaneOf(x.Action, Cook.Kitchen) == moment.Lane)
                    .Sum(x => x.Action is CookAction.AddWater water ? water.Water.Grams : 0);
                return (entry.At, moment.Lane, real + since - planned.Value.Grams);
            }

            return null;

            static Mass? Amount(CookAction action) =>
                action switch
                {
                    CookAction.AddWater water => water.Water,
                    CookAction.SetLiquor set => set.Liquor,
                    _ => null,
                };
        }
    }
}
