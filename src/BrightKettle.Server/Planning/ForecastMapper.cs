using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Core.Safety;
using BrightKettle.Server.Answers;

namespace BrightKettle.Server.Planning;

/// <summary>From a forecast of the core to what a page draws. Rounds to what can be seen; computes nothing.</summary>
public static class ForecastMapper
{
    public static ForecastDto Map(Forecast forecast, IReadOnlyList<GateFinding> gates, IReadOnlyList<string> cautions)
    {
        ArgumentNullException.ThrowIfNull(forecast);
        ArgumentNullException.ThrowIfNull(gates);
        ArgumentNullException.ThrowIfNull(cautions);
        return new(
            [
                .. forecast.Moments.Select(m => new MomentForecastDto(
                    m.StepId,
                    m.Early.ToDateTimeOffset(),
                    m.Reference.ToDateTimeOffset(),
                    m.Late.ToDateTimeOffset()
                )),
            ],
            Series(forecast),
            forecast.ShareTender,
            forecast.Pots,
            [.. gates.Select(g => new GateDto(g.Code, g.IngredientId, g.Action, g.Blocks))],
            [.. cautions.Select(CautionDto.Of)],
            Simulator.ModelVersion,
            PulseCatalogue.ParameterVersion,
            [
                .. forecast.Vessels.Select(v => new VesselSeriesDto(
                    v.VesselId,
                    [.. v.Points.Select(p => Math.Round(p.Celsius, 1))],
                    [.. v.Points.Select(p => Band(p.LiquorMillilitres))],
                    [.. v.Points.Select(p => Band(p.LevelCentimetres, 2))],
                    ClosedSet.Word(v.Base),
                    v.ShareScorched,
                    Band(v.SaltPercent, 2),
                    v.Thickness is { } thick ? ClosedSet.Word(thick) : null,
                    v.OnThePlate is { } plate ? ClosedSet.Word(plate) : null
                )),
            ],
            forecast.Reference.StalledAt is { } at ? Stalled(at, forecast.Cook.Actions[at].Trigger) : null
        );
    }

    public static BandDto Band(Band band, int digits = 0) =>
        new(Math.Round(band.Low, digits), Math.Round(band.Reference, digits), Math.Round(band.High, digits));

    private static StalledDto Stalled(int action, Trigger waits)
    {
        var (kind, what) =
            waits.After is { } seen ? ("event", ClosedSet.Word(seen))
            : waits.Look is { } look ? ("look", look.IngredientId)
            : waits.AfterStep is { } step ? ("step", step)
            : ("time", null);
        return new(
            action,
            kind,
            kind == "event" ? what : null,
            kind == "look" ? what : null,
            kind == "step" ? what : null,
            Messages.Messages.CookNeverEnds(action + 1, kind, what)
        );
    }

    private static SeriesDto Series(Forecast forecast)
    {
        var points = forecast.Points;
        return new(
            [.. points.Select(p => p.At.ToDateTimeOffset())],
            [.. points.Select(p => Math.Round(p.Celsius, 1))],
            [.. points.Select(p => Band(p.LiquorMillilitres))],
            [.. points.Select(p => Band(p.LevelCentimetres, 2))],
            [.. points.Select(p => Math.Round(p.LevelCentimetres.Reference - p.BedCentimetres.Sum(), 2))],
            [.. forecast.Cook.Ingredients.Select((ingredient, i) => Layer(forecast, ingredient, i))],
            Math.Round(forecast.Cook.Kitchen.Vessel.HeightCentimetres, 1)
        );
    }

    private static LayerDto Layer(Forecast forecast, Ingredient ingredient, int index)
    {
        var (kind, seed, name, fallsApartAt) = ingredient switch
        {
            PulseIngredient p => ("pulse", p.Pulse.Id, p.Pulse.Said, p.Pulse.FallsApartAt),
            RiceIngredient r => ("rice", r.Rice.Id, r.Rice.Said, (double?)null),
            ExtraIngredient x => ("extra", x.Extra.Id, x.Extra.Name, null),
            _ => throw new InvalidOperationException(ingredient.GetType().Name),
        };
        return new(
            ingredient.Id,
            kind,
            seed,
            name,
            [.. forecast.Points.Select(p => Math.Round(p.BedCentimetres[index], 2))],
            [.. forecast.Points.Select(p => Band(p.Doneness[index], 1))],
            [.. forecast.Points.Select(p => ClosedSet.Word(Doneness.Felt(p.Doneness[index].Reference, fallsApartAt)))]
        );
    }
}
