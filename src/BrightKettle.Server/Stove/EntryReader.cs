using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Kitchen;
using BrightKettle.Core.Stove;
using BrightKettle.Core.Units;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using NodaTime;

namespace BrightKettle.Server.Stove;

/// <summary>From what a page tells to an entry of the core, and back.</summary>
public sealed class EntryReader(PulseCatalogue catalogue, Cook cook)
{
    /// <summary>A ladle or two of a pot (confidence D).</summary>
    private const double CrushedShare = 0.2;

    /// <summary>At which liquor is measured at the stove, °C.</summary>
    private const double MeasuredCelsius = 98;

    private static double Hot(double millilitres) => PotGeometry.LiquorGrams(millilitres, MeasuredCelsius);

    /// <summary>The entry; null with the faults in the checks, or without any for what the core does not follow (put_away).</summary>
    public Entry? Read(ToldPayload told, FieldFaults checks)
    {
        ArgumentNullException.ThrowIfNull(told);
        ArgumentNullException.ThrowIfNull(checks);
        var d = told.Entry;
        var at = Instant.FromDateTimeOffset(d.OccurredAt);
        double Within(double? value, double low, double high, string field) => checks.Within(value ?? double.NaN, low, high, field);
        Entry Saw(Observation what) => new Entry.Saw(d.EventId, at, what);
        Entry Extra(CookAction action) => new Entry.Extra(d.EventId, at, action with { In = Vessel(d.VesselId, checks) });

        var entry = d.Tells switch
        {
            EntryKind.Did => new Entry.Done(d.EventId, at, d.MomentId ?? string.Empty)
            {
                Poured = d.Millilitres is null ? null : Volume.FromMillilitres(Within(d.Millilitres, 0, 40_000, "millilitres")),
                Salt = d.Grams is null ? null : Mass.FromGrams(Within(d.Grams, 0, 500, "grams")),
            },
            EntryKind.Seen => Saw(
                new Observation.Seen(at, ClosedSet.Read<PotEvent>(d.What, "what", checks)) { VesselId = Vessel(d.VesselId, checks) }
            ),
            EntryKind.NotYet => Saw(
                new Observation.NotYet(at, ClosedSet.Read<PotEvent>(d.What, "what", checks), Vessel(d.VesselId, checks))
            ),
            EntryKind.Felt => Saw(
                new Observation.FeltAs(at, Seed(d.Ingredient, checks), ClosedSet.Read<FeltState>(d.State, "state", checks))
            ),
            EntryKind.Chalky => Chalky(d, at, checks) is { } chalky ? Saw(chalky) : null,
            EntryKind.Liquor => Saw(
                new Observation.Liquor(
                    at,
                    Vessel(d.VesselId, checks),
                    Hot(Within(d.Millilitres, 0, 40_000, "millilitres")),
                    ClosedSet.Read<LiquorBy>(d.What, "what", checks)
                )
            ),
            EntryKind.OverBed => Saw(
                new Observation.OverBed(at, Vessel(d.VesselId, checks), Within(d.Centimetres, -30, 40, "centimetres"))
            ),
            EntryKind.Sticks => Saw(new Observation.Sticks(at, Vessel(d.VesselId, checks), d.What == "scorched")),
            EntryKind.Checked
                when d.What
                    is Visits.BoilOver
                        or Visits.StillLit
                        or Visits.Sticking
                        or Visits.Level
                        or Visits.Silent
                        or Visits.TooLittle
                        or Visits.TooMuch
                        or Visits.Dry => Saw(new Observation.Checked(at, d.What, Vessel(d.VesselId, checks))),
            EntryKind.VentClear => Saw(new Observation.VentClear(at)),
            EntryKind.Probed => Saw(new Observation.Probed(at, Within(d.Celsius, -5, 130, "celsius"))),
            EntryKind.Water => Extra(Water(d, checks)),
            EntryKind.Salt => Extra(new CookAction.AddSalt(Trigger.Next, Mass.FromGrams(Within(d.Grams, 0.1, 500, "grams")))),
            EntryKind.Flame => Extra(new CookAction.Heat(Trigger.Next, ClosedSet.Read<Flame>(d.What, "what", checks))),
            EntryKind.Lid => Extra(new CookAction.Cover(Trigger.Next, ClosedSet.Read<Lid>(d.What, "what", checks))),
            EntryKind.PourOff => Extra(
                new CookAction.SetLiquor(Trigger.Next, Mass.FromGrams(Hot(Within(d.Millilitres, 0, 20_000, "millilitres"))))
                {
                    StepId = "poured_off",
                }
            ),
            EntryKind.Drain => Extra(new CookAction.Drain(Trigger.Next, null) { Keep = d.What == "jug" }),
            EntryKind.Mash => Extra(new CookAction.Mash(Trigger.Next, Seed(d.Ingredient, checks), CrushedShare)),
            EntryKind.WentIn => WentIn(d, at, checks),
            EntryKind.CameOut => new Entry.CameOut(d.EventId, at, d.Ingredient ?? string.Empty, (int)Within(d.Count, 1, 50, "count")),
            EntryKind.Chose when told.Course is { } course && new CookReader(catalogue, checks).Read(course) is { } read => new Entry.Chose(
                d.EventId,
                at,
                read
            ),
            EntryKind.Later when Later(d, checks) => null,
            EntryKind.Chose or EntryKind.PutAway or EntryKind.StillOn => null,
            _ => checks.Refuse<Entry>("request.unknown_word", "kind"),
        };
        return checks.Any ? null : entry;
    }

    /// <summary>Millilitres of a jug are so many grams at the temperature that was told.</summary>
    private static CookAction.AddWater Water(StoveEntry d, FieldFaults checks)
    {
        var celsius = Temperature.FromCelsius(checks.Within(d.Celsius ?? 100, 0, 100, "celsius"));
        var jug = Volume.FromMillilitres(checks.Within(d.Millilitres ?? double.NaN, 5, 20_000, "millilitres"));
        return new(Trigger.Next, jug.MassOfWater(celsius), celsius);
    }

    /// <summary>What an answer takes for granted of the minutes before, as it is stored.</summary>
    public static StoveEntry Write(Entry entry, Guid id, string? by, long basedOn)
    {
        ArgumentNullException.ThrowIfNull(entry);
        var plain = new StoveEntry(id, entry.At.ToDateTimeOffset(), basedOn, string.Empty, by);
        return entry switch
        {
            Entry.Done e => plain with { Kind = ClosedSet.Word(EntryKind.Did), MomentId = e.MomentId, Millilitres = e.Poured?.Millilitres },
            Entry.Extra { Action: CookAction.Heat a } => plain with
            {
                Kind = ClosedSet.Word(EntryKind.Flame),
                What = ClosedSet.Word(a.Flame),
                VesselId = a.In,
            },
            Entry.Extra { Action: CookAction.Cover a } => plain with
            {
                Kind = ClosedSet.Word(EntryKind.Lid),
                What = ClosedSet.Word(a.Lid),
                VesselId = a.In,
            },
            Entry.Saw { What: Observation.FeltAs o } => plain with
            {
                Kind = ClosedSet.Word(EntryKind.Felt),
                Ingredient = o.IngredientId,
                State = ClosedSet.Word(o.State),
            },
            Entry.Saw { What: Observation.Liquor o } => plain with
            {
                Kind = ClosedSet.Word(EntryKind.Liquor),
                Millilitres = PotGeometry.LiquorMillilitres(o.Grams, MeasuredCelsius),
                What = ClosedSet.Word(o.By),
                VesselId = o.VesselId,
            },
            _ => throw new InvalidOperationException($"No stored form for {entry.GetType().Name}."),
        };
    }

    /// <summary>A second half that is to come: the pot knows nothing of it until it is in.</summary>
    private bool Later(StoveEntry d, FieldFaults checks)
    {
        if (catalogue.FindExtra(d.Ingredient ?? string.Empty) is null)
        {
            checks.Add("catalogue.unknown_extra", "ingredient");
        }

        checks.Within(d.Count ?? double.NaN, 1, 600, "count");
        checks.Within(d.Grams ?? double.NaN, 0.1, 5000, "grams");
        return true;
    }

    private Entry.WentIn? WentIn(StoveEntry d, Instant at, FieldFaults checks)
    {
        if (catalogue.FindExtra(d.Ingredient ?? string.Empty) is not { } extra)
        {
            return checks.Refuse<Entry.WentIn>("catalogue.unknown_extra", "ingredient");
        }

        var pieces = d.Count is null ? 0 : (int)checks.Within(d.Count.Value, 0, 50, "count");
        var grams = d.Grams is { } given
            ? checks.Within(given, 0.1, 5000, "grams")
            : Math.Max(1, pieces) * (extra.PieceGrams > 0 ? extra.PieceGrams : extra.GramsEach);
        // Named by its event, so that a second handful is a second ingredient.
        return new Entry.WentIn(
            d.EventId,
            at,
            new ExtraIngredient(
                $"{extra.Id}_{d.EventId:n}",
                Mass.FromGrams(Math.Max(0.1, grams)),
                extra,
                Temperature.FromCelsius(cook.Kitchen.Room.Celsius)
            )
            {
                Pieces = pieces,
            }
        );
    }

    private Observation.ChalkyOf? Chalky(StoveEntry d, Instant at, FieldFaults checks)
    {
        var of = (int)checks.Within(d.Of ?? 5, 1, 20, "of");
        var chalky = (int)checks.Within(d.Count ?? double.NaN, 0, of, "count");
        return new(at, Seed(d.Ingredient, checks), chalky, of);
    }

    private string Seed(string? id, FieldFaults checks)
    {
        if (cook.Ingredients.FirstOrDefault(i => i.Id == id) is PulseIngredient or RiceIngredient)
        {
            return id!;
        }

        checks.Add("cook.unknown_ingredient", "ingredient");
        return string.Empty;
    }

    private string? Vessel(string? id, FieldFaults checks)
    {
        if (cook.Kitchen.IndexOf(id) < 0)
        {
            checks.Add("cook.unknown_vessel", "vesselId");
            return null;
        }

        return id;
    }
}
