using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Stove;
using NodaTime;

namespace BrightKettle.Core.Practice;

/// <summary>Somebody who cooks a plan at the stove in a kitchen with hidden traits, and does what the product says when it says it: nothing
/// earlier, and nothing that was not asked.</summary>
/// <remarks>Proves the advice, not the model: what is done goes to the kitchen, what is told to the evening, and neither sees the
/// other.</remarks>
public sealed class AdvicePlayer(Simulator simulator)
{
    /// <summary>A dinner of more than this has gone wrong.</summary>
    private const int MostTurns = 250;

    /// <summary>Pots of a standing: its reference is gone by, and its quick ones for a look.</summary>
    private const int Pots = 24;

    /// <summary>Dry and hard after that, it wants more than a sprinkling.</summary>
    private const int MostSprinkled = 2;

    /// <summary>Five are taken out and halved in so long.</summary>
    private static readonly Duration Halving = Duration.FromSeconds(15);

    /// <summary>What the answers to a level stand for, cm, as the page tells them.</summary>
    private const double JustCovers = 0.3;
    private const double StandOut = 0.7;

    /// <summary>From so much on they are well under it, cm.</summary>
    private const double WellOver = 1;

    /// <summary>Liquor that is no more than a film, g.</summary>
    private const double Dry = 20;

    private readonly EveningForecaster _eye = new(simulator);
    private readonly Forecaster _judge = new(simulator);

    /// <param name="plan">Is followed; what the product changes on the way is followed too.</param>
    /// <param name="hidden">Of the kitchen.</param>
    /// <param name="seed">Of the hand.</param>
    public PlayedDinner Play(Plan plan, PotTraits hidden, int seed)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var game = new Game(this, plan, hidden, seed);
        for (var turn = 0; turn < MostTurns && game.Served is null && game.Turn(); turn++) { }

        return game.End();
    }

    /// <summary>One dinner under way.</summary>
    private sealed class Game
    {
        private readonly AdvicePlayer _player;
        private readonly Plan _plan;
        private readonly SimulatedKitchen _kitchen;
        private readonly List<Entry> _told = [];
        private readonly int _seed;
        private readonly Dictionary<string, int> _sprinkled = [];
        private readonly Dictionary<string, Instant> _firstLook = [];
        private EveningState _evening;
        private Instant _now;
        private int _looks;

        public Game(AdvicePlayer player, Plan plan, PotTraits hidden, int seed)
        {
            (_player, _plan, _seed) = (player, plan, seed);
            _kitchen = new(player.Simulator, plan.Cook, hidden);
            _evening = new(plan.Cook, []);
            _now = plan.Cook.Starts;
        }

        public Instant? Served { get; private set; }

        /// <summary>Goes on to what is due next and does it. False where nothing ever is.</summary>
        public bool Turn()
        {
            var ahead = _player._eye.Forecast(_evening, _now, _plan.Dish.Targets, Pots);
            var next = ahead
                .Evening.Leading.Select(m => (Moment: m, At: NextDue.At(ahead, m, _kitchen)))
                .Where(x => x.At is not null)
                .MinBy(x => x.At);
            if (next.Moment is not { } moment || next.At is not { } due)
            {
                return false;
            }

            if (Visits.Of(ahead, new HashSet<string>()).FirstOrDefault(v => v.At < due && SeesTo(v)) is { } visit)
            {
                _now = Instant.Max(_now, visit.At);
                See(visit);
                return true;
            }

            _now = due;
            var trigger = ahead.Cook.Actions[NextDue.FirstOf(ahead, moment)!.Value].Trigger;
            if (trigger.After is { } what)
            {
                // It is heard or seen; where something is still to wait after it, that comes with the next turn.
                Tell((id, at) => new Entry.Saw(id, at, new Observation.Seen(at, what) { VesselId = moment.Lane }));
                if (moment.Trigger.Delay is not null || _evening.Pending.All(m => m.Id != moment.Id))
                {
                    return true;
                }
            }
            else if (trigger.Look is { } look && !Looks(ahead, moment, look))
            {
                return true;
            }

            Do(ahead, moment);
            return true;
        }

        public PlayedDinner End()
        {
            if (Served is not { } at)
            {
                return new(Planning.Spoilt.NeverDone, null, _told, _looks, []);
            }

            var run = _kitchen.Served(at);
            return new(
                _player._judge.SpoiltBy(_kitchen.Setup, run, _plan.Dish.Targets),
                at,
                _told,
                _looks,
                [.. run.Final.Select(f => f.Doneness)]
            );
        }

        private void Tell(Func<Guid, Instant, Entry> entry)
        {
            var told = entry(new Guid(_seed, 0, 0, 0, 0, 0, 0, 0, 0, (byte)(_told.Count >> 8), (byte)_told.Count), _now);
            _told.Add(told);
            _evening = _evening.With(told);
        }

        private void Do(EveningForecast ahead, Moment moment)
        {
            for (var i = 0; i < ahead.Pending.Count; i++)
            {
                if (ahead.Pending[i]?.Id != moment.Id)
                {
                    continue;
                }

                var action = ahead.Cook.Actions[i];
                if (action is CookAction.Serve)
                {
                    Served = _now;
                    continue;
                }

                _now = Instant.Max(_now, _kitchen.Do(_now, action));
                if (
                    action is CookAction.TakeOut { IngredientId: var id }
                    && _evening.ComesOut().FirstOrDefault(x => x.IngredientId == id) is { } inside
                )
                {
                    Tell((entry, at) => new Entry.CameOut(entry, at, id, inside.Left));
                }
            }

            Tell((id, at) => new Entry.Done(id, at, moment.Id));
        }

        private void Extra(CookAction action)
        {
            _ = _kitchen.Do(_now, action);
            Tell((id, at) => new Entry.Extra(id, at, action));
        }

        /// <summary>Answers a look as the page asks for it, and does what the plan says to a no.</summary>
        private bool Looks(EveningForecast ahead, Moment moment, Look look)
        {
            _looks++;
            var first = _firstLook.TryAdd(moment.Id, _now) ? _now : _firstLook[moment.Id];
            bool? found;
            EveningForecast seen;
            do
            {
                seen = _player._eye.Forecast(_evening, _now, _plan.Dish.Targets, Pots);
                var (asked, judged) = LookAsked.Judge(seen, moment)!.Value;
                found = judged;
                if (found is null)
                {
                    _now += Halving;
                    Answer(asked);
                }
            } while (found is null);

            if (found == true || (look.NotYet?.Longest is { } longest && _now - first >= longest))
            {
                Steam(moment, look);
                return true;
            }

            if (look.NotYet is { LockAgain: null } no)
            {
                Wait(moment, no);
            }

            return false;
        }

        /// <summary>Felt by five, and told.</summary>
        private void Answer(LookAsked asked)
        {
            var ingredient = asked.IngredientId;
            var place = _evening.Cook.IndexOf(ingredient);
            var real = _kitchen.Doneness(ingredient, _now);
            if (asked.EnoughChalky is not null)
            {
                var count = FiveTaken.Chalky(real, _player.Simulator.Constants.SeedSpread, SplitMix.Of(_seed, _looks, place, 1, 0));
                Tell((id, at) => new Entry.Saw(id, at, new Observation.ChalkyOf(at, ingredient, count, LookAsked.Of)));
                return;
            }

            var apart = (_evening.Cook.Ingredients[place] as PulseIngredient)?.Pulse.FallsApartAt;
            var felt = FiveTaken.Felt(real, apart, SplitMix.Of(_seed, _looks, place, 2, 0));
            Tell((id, at) => new Entry.Saw(id, at, new Observation.FeltAs(at, ingredient, felt)));
        }

        /// <summary>The flame as the plan says to a no, and boiling water over what is dry.</summary>
        private void Wait(Moment moment, NotYet no)
        {
            Extra(new CookAction.Heat(Trigger.Next, no.Flame) { In = moment.Lane });
            var poured = _sprinkled.GetValueOrDefault(moment.Id);
            if (no.Sprinkle.Grams > 0 && poured < MostSprinkled && _kitchen.Liquor(moment.Lane, _now) < 1)
            {
                _sprinkled[moment.Id] = poured + 1;
                Extra(new CookAction.AddWater(Trigger.Next, no.Sprinkle, Units.Temperature.FromCelsius(100)) { In = moment.Lane });
            }
        }

        /// <summary>Done and too wet: the lid is off until it is not, as the step says.</summary>
        private void Steam(Moment moment, Look look)
        {
            if (look.LidOff is not { } off || _kitchen.Liquor(moment.Lane, _now) <= off.Over.Grams)
            {
                return;
            }

            var until = _now + off.Longest;
            Extra(new CookAction.Cover(Trigger.Next, Lid.Open) { In = moment.Lane });
            while (_now < until && _kitchen.Liquor(moment.Lane, _now) > off.Over.Grams)
            {
                _now += Duration.FromMinutes(1);
            }

            Extra(new CookAction.Cover(Trigger.Next, Lid.On) { In = moment.Lane });
        }

        /// <summary>Boiling water until they are just under it.</summary>
        private void Cover(string vessel, double over)
        {
            var pot = _kitchen.Setup.Kitchen[_kitchen.Setup.Kitchen.IndexOf(vessel)].Vessel;
            var grams = Math.Ceiling(pot.AreaSquareCentimetres * (JustCovers - over) / 50) * 50;
            Extra(new CookAction.AddWater(Trigger.Next, Units.Mass.FromGrams(grams), Units.Temperature.FromCelsius(100)) { In = vessel });
        }

        /// <summary>What can be seen to without a choice.</summary>
        private static bool SeesTo(Visit visit) => visit.Code is Visits.Level or Visits.Dry or Visits.Chilli;

        private void See(Visit visit)
        {
            if (visit is { Code: Visits.Chilli, IngredientId: { } chilli })
            {
                _ = _kitchen.Do(_now, new CookAction.TakeOut(Trigger.Next, chilli) { In = visit.VesselId });
                Tell((id, at) => new Entry.CameOut(id, at, chilli, 1));
                return;
            }

            if (visit.Code == Visits.Level && _kitchen.OverBed(visit.VesselId, _now) is < WellOver and var over)
            {
                Tell((id, at) => new Entry.Saw(id, at, new Observation.OverBed(at, visit.VesselId, over < 0 ? -StandOut : JustCovers)));
                if (over < 0)
                {
                    Cover(visit.VesselId, over);
                }

                return;
            }

            if (visit.Code == Visits.Dry && _kitchen.Liquor(visit.VesselId, _now) < Dry)
            {
                Cover(visit.VesselId, 0);
                return;
            }

            Tell((id, at) => new Entry.Saw(id, at, new Observation.Checked(at, visit.Code, visit.VesselId)));
        }
    }

    private Simulator Simulator => simulator;
}
