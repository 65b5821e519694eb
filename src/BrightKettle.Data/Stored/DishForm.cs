namespace BrightKettle.Data.Stored;

/// <summary>An amount as it was said.</summary>
public sealed record AmountForm(double Value, string Unit);

/// <summary>What was wanted, as it is stored. Words are those of the day on which it was written.</summary>
public sealed record DishForm(
    string PulseId,
    AmountForm? Pulse,
    string? RiceId,
    AmountForm? Rice,
    int People,
    string Soak,
    string Style,
    string VesselId,
    string? BurnerId,
    string ServeAtLocal,
    int Seed,
    string Method = "open_pot",
    string? CookerId = null,
    IReadOnlyList<ExtraForm>? Extras = null,
    string? RiceVesselId = null,
    IReadOnlyList<AwayForm>? Away = null,
    string? Salt = null,
    bool? KeepsSoakWater = null,
    int LittleOnes = 0,
    PullForm? Pull = null,
    IReadOnlyList<OtherPulseForm>? Others = null,
    string? CookedFrom = null,
    string? PulseTarget = null,
    string? RiceTarget = null,
    string? RiceJoin = null,
    double? SoakHours = null,
    string? SoakedSinceLocal = null,
    bool? SoaksCold = null,
    IReadOnlyList<string>? Stages = null,
    string? PulseState = null,
    string? HalfCookedTo = null,
    string? RiceState = null,
    string? BagId = null,
    string? RiceBagId = null
);

public sealed record OtherPulseForm(string PulseId, AmountForm? Amount = null, string? Target = null, string? BagId = null);

public sealed record ExtraForm(
    string ExtraId,
    AmountForm? Amount = null,
    string? Time = null,
    int? Pieces = null,
    bool? Blanched = null,
    bool? Frozen = null,
    double? MinutesBefore = null,
    bool? KeptHalf = null,
    string? Strength = null
);

public sealed record AwayForm(string FromLocal, string ToLocal);

/// <summary>Moments that the cook has pulled, in minutes from where they are best.</summary>
public sealed record PullForm(int Table = 0, int Light = 0, int Join = 0, int Seal = 0, int FlameOff = 0);
