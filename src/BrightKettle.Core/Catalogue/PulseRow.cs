namespace BrightKettle.Core.Catalogue;

/// <summary>What the fit found for one pulse; written by the calibration.</summary>
public sealed record Kinetics(string PulseId, double SofteningMinutesAt98C, double HydrationPerHourAt98C);

/// <summary>A line of pulses.json: the tables' figures, before the fit joins them.</summary>
internal sealed record PulseRow(
    string Id,
    string Name,
    string Said,
    IReadOnlyList<string> Aliases,
    PulseKind Kind,
    double GramsPerCup,
    double CookedGramsPerCup,
    Span SoakHours,
    Span SimmerSoakedMinutes,
    Span SimmerUnsoakedMinutes,
    Span PressureSoakedMinutes,
    Span PressureUnsoakedMinutes,
    Span SlowHighHours,
    Span SlowLowHours,
    Span? CollapsedSimmerUnsoakedMinutes,
    Triple Absorbed,
    double ColdCeiling,
    double SolidsLoss,
    Triple HydrationPerHourAt20C,
    double LagHoursAt20C,
    string Foam,
    int HoldsShape,
    LectinRisk LectinRisk,
    IReadOnlyList<string> Cautions,
    string Note,
    bool Preboil = false,
    GreenSeed? Green = null
)
{
    public Pulse With(Kinetics kinetics) =>
        new()
        {
            Id = Id,
            Name = Name,
            Said = Said,
            Aliases = Aliases,
            Kind = Kind,
            GramsPerCup = GramsPerCup,
            CookedGramsPerCup = CookedGramsPerCup,
            SoakHours = SoakHours,
            SimmerSoakedMinutes = SimmerSoakedMinutes,
            SimmerUnsoakedMinutes = SimmerUnsoakedMinutes,
            PressureSoakedMinutes = PressureSoakedMinutes,
            PressureUnsoakedMinutes = PressureUnsoakedMinutes,
            SlowHighHours = SlowHighHours,
            SlowLowHours = SlowLowHours,
            CollapsedSimmerUnsoakedMinutes = CollapsedSimmerUnsoakedMinutes,
            Absorbed = Absorbed,
            ColdCeiling = ColdCeiling,
            SolidsLoss = SolidsLoss,
            HydrationPerHourAt20C = HydrationPerHourAt20C,
            LagHoursAt20C = LagHoursAt20C,
            Foam = Foam switch
            {
                "high" => Catalogue.Foam.High,
                "med" => Catalogue.Foam.Medium,
                _ => Catalogue.Foam.Low,
            },
            HoldsShape = HoldsShape,
            LectinRisk = LectinRisk,
            BoilsFirst = LectinRisk != LectinRisk.Low || Preboil,
            Cautions = Cautions,
            Note = Note,
            Green = Green,
            SofteningMinutesAt98C = kinetics.SofteningMinutesAt98C,
            HydrationPerHourAt98C = kinetics.HydrationPerHourAt98C,
        };
}
