using BrightKettle.Core.Cooking;

namespace BrightKettle.Core.Learning.House;

/// <summary>How fast a bag cooks, with what that is known from.</summary>
/// <param name="Pace">For the next dinner from it.</param>
/// <param name="Dinners">From this bag that told something.</param>
/// <param name="OtherBags">Of the same pulse that told something.</param>
public sealed record BagPace(Pace Pace, int Dinners, int OtherBags);

/// <summary>What all dinners together say of the paces in this house: bags within pulses within the house, each shrunk towards what it
/// is part of, the house towards the reference.</summary>
/// <remarks>All of it is normal in ln(pace) and a tree, so one walk up (what the parts say of the whole) and one down (what the whole
/// says of its parts) give the exact middle and spread of each. A dinner that does not fit its bag weighs less, the less the worse it
/// fits (a t-law, by reweighting), so that one odd pot ruins nothing. Nothing depends on the order of the dinners, and a dinner that is
/// left out is as if it had never been.</remarks>
public sealed class HousePaces
{
    // Of the variance between unknown bags (lot_spread in effects.json), how much lies between bags of one pulse, between pulses in one
    // house, and between houses (our own split, confidence D): most is the bag's, but a house's water, shop and shelf are in all of them.
    private const double BagShare = 0.4;
    private const double PulseShare = 0.35;
    private const double HouseShare = 0.25;

    /// <summary>From dinner to dinner of one bag, ln(pace): what season, water and the model's own errors leave (confidence D).</summary>
    public const double DinnerSpread = 0.05;

    /// <summary>Degrees of freedom of the t-law: four, as is usual where one in some dozens is odd.</summary>
    private const double Freedom = 4;

    private const int Reweightings = 12;

    /// <summary>What is said of one ln(pace): how firmly, and that times where.</summary>
    private readonly record struct Says(double Precision, double Pull)
    {
        public static Says Nothing => default;

        public double Mean => Precision > 0 ? Pull / Precision : 0;

        public double Variance => 1 / Precision;

        public static Says operator +(Says a, Says b) => new(a.Precision + b.Precision, a.Pull + b.Pull);

        public static Says operator -(Says a, Says b) => new(a.Precision - b.Precision, a.Pull - b.Pull);

        /// <summary>What that says of something that differs from it by so much.</summary>
        public Says Across(double variance) => Precision <= 0 ? Nothing : new(1 / (Variance + variance), Mean / (Variance + variance));
    }

    private readonly double _bag;
    private readonly double _pulse;
    private readonly double _house;
    private readonly List<IGrouping<string, IGrouping<string, BagEvidence>>> _tree;
    private readonly Dictionary<string, Says> _bags = [];
    private readonly Dictionary<string, Says> _pulses = [];
    private Says _whole;

    /// <param name="dinners">What each dinner says of each bag that went in; any order.</param>
    /// <param name="lotSpread">Of ln(pace) between unknown bags.</param>
    public HousePaces(IEnumerable<BagEvidence> dinners, double lotSpread)
    {
        ArgumentNullException.ThrowIfNull(dinners);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(lotSpread);
        var variance = lotSpread * lotSpread;
        (_bag, _pulse, _house) = (variance * BagShare, variance * PulseShare, variance * HouseShare);
        _tree =
        [
            .. dinners
                .OrderBy(d => d.PulseId, StringComparer.Ordinal)
                .ThenBy(d => d.BagId, StringComparer.Ordinal)
                .ThenBy(d => d.DinnerId, StringComparer.Ordinal)
                .GroupBy(d => d.BagId)
                .GroupBy(bag => bag.First().PulseId),
        ];
        // Each dinner counts in full until it is seen not to fit.
        Walk(_ => 1);
        for (var turn = 0; turn < Reweightings && _tree.Count > 0; turn++)
        {
            var middles = _bags.ToDictionary(b => b.Key, b => b.Value.Mean);
            // What fits counts as what it is, and never for more.
            Walk(d => Math.Min(1, (Freedom + 1) / (Freedom + (Math.Pow(d.Log - middles[d.BagId], 2) / Noise(d)))));
        }
    }

    /// <summary>Nothing was cooked yet.</summary>
    public static HousePaces Unknown(double lotSpread) => new([], lotSpread);

    /// <summary>A bag by its dinners, and by what is known of its pulse and of the house; one that was never cooked by the latter
    /// alone.</summary>
    /// <param name="bagId">Null for a bag that nobody keeps a record of.</param>
    public BagPace Of(string? bagId, string pulseId)
    {
        ArgumentNullException.ThrowIfNull(pulseId);
        var own = bagId is not null && _bags.TryGetValue(bagId, out var bag) ? bag : (Says?)null;
        var (known, more) =
            own is { } o ? (o, 0)
            : _pulses.TryGetValue(pulseId, out var pulse) ? (pulse, _bag)
            : (_whole, _bag + _pulse);
        var variance = known.Variance + more + (_tree.Count == 0 ? 0 : DinnerSpread * DinnerSpread);
        var bags = _tree.Find(p => p.Key == pulseId);
        return new(
            // Nothing that was learned makes a bag less known than one of which nothing is.
            new(Math.Exp(known.Mean), Math.Sqrt(Math.Min(variance, _bag + _pulse + _house))),
            own is null ? 0 : bags?.FirstOrDefault(b => b.Key == bagId)?.Count() ?? 0,
            bags?.Count(b => b.Key != bagId) ?? 0
        );
    }

    private static double Noise(BagEvidence dinner) => (dinner.Spread * dinner.Spread) + (DinnerSpread * DinnerSpread);

    private void Walk(Func<BagEvidence, double> weight)
    {
        var ofBags = _tree
            .SelectMany(p => p)
            .ToDictionary(
                bag => bag.Key,
                bag => bag.Select(d => weight(d) / Noise(d) is var w ? new Says(w, w * d.Log) : default).Aggregate((a, b) => a + b)
            );
        var ofPulses = _tree.ToDictionary(p => p.Key, p => p.Select(b => ofBags[b.Key].Across(_bag)).Aggregate((a, b) => a + b));
        _whole = ofPulses.Values.Select(p => p.Across(_pulse)).Aggregate(new Says(1 / _house, 0), (a, b) => a + b);
        foreach (var pulse in _tree)
        {
            var up = ofPulses[pulse.Key];
            // What the rest of the house says of this pulse, and then the rest of the pulse of this bag.
            var known = up + (_whole - up.Across(_pulse)).Across(_pulse);
            _pulses[pulse.Key] = known;
            foreach (var bag in pulse)
            {
                var own = ofBags[bag.Key];
                _bags[bag.Key] = own + (known - own.Across(_bag)).Across(_bag);
            }
        }
    }
}
