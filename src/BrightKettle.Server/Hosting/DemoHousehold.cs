using BrightKettle.Core.Catalogue;
using BrightKettle.Core.Cooking;
using BrightKettle.Core.Planning;
using BrightKettle.Data;
using BrightKettle.Data.Events;
using BrightKettle.Data.Records;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Kitchen;
using BrightKettle.Server.Planning;
using BrightKettle.Server.Record;
using NodaTime;

namespace BrightKettle.Server.Hosting;

/// <summary>An invented household with pots and dinners of its own, dated from the day on which it is made.</summary>
public static class DemoHousehold
{
    private const string Zone = "Europe/Lisbon";

    public static async Task SeedAsync(
        KettleDb db,
        PulseCatalogue catalogue,
        Simulator simulator,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        ArgumentNullException.ThrowIfNull(db);
        db.Households.Add(
            new HouseholdRow
            {
                Name = "Quince Lane",
                Zone = Zone,
                AltitudeMetres = 120,
                RoomCelsius = 19,
                HardnessMilligramsPerLitre = 60,
            }
        );
        db.Vessels.AddRange(
            new VesselRow
            {
                Id = "milk-pan",
                Name = "Milk pan",
                DiameterCentimetres = 16,
                BrimMillilitres = 1800,
                Position = 1,
            },
            new VesselRow
            {
                Id = "blue-pot",
                Name = "Blue pot",
                DiameterCentimetres = 22,
                BrimMillilitres = 4500,
                Position = 2,
            },
            new VesselRow
            {
                Id = "wide-pot",
                Name = "Wide white pot",
                DiameterCentimetres = 28,
                BrimMillilitres = 7600,
                Position = 3,
            },
            new VesselRow
            {
                Id = "steam-drum",
                Name = "Steam drum",
                DiameterCentimetres = 22,
                BrimMillilitres = 6000,
                CookerKind = "electric",
                Position = 4,
            },
            new VesselRow
            {
                Id = "day-crock",
                Name = "Day crock",
                DiameterCentimetres = 24,
                BrimMillilitres = 6000,
                CookerKind = "slow",
                Position = 5,
            }
        );
        db.Burners.AddRange(
            new BurnerRow
            {
                Id = "front",
                Name = "Front burner",
                MostWatts = 1500,
                LeastWatts = 120,
                Position = 1,
                Gas = true,
            },
            new BurnerRow
            {
                Id = "back",
                Name = "Small back burner",
                MostWatts = 800,
                LeastWatts = 70,
                Position = 2,
                Gas = true,
            }
        );
        db.Bags.AddRange(Bag("chickpea", 340), Bag("borlotti", 500), Bag("lentil_french", 220), Bag("brown_basmati", 900));
        await db.SaveChangesAsync(cancel);

        var now = Instant.FromDateTimeOffset(clock.GetUtcNow());
        var today = now.InZone(DateTimeZoneProviders.Tzdb[Zone]).Date;
        (string Title, DishDto Dish)[] dinners =
        [
            (
                "Lamplight chickpeas",
                Dish("chickpea", 300, "brown_basmati", 300, 4, "overnight", "dry", "blue-pot", today.PlusDays(2), "19:00")
            ),
            // Two dishes of one evening, each in its pot and on its burner.
            (
                "Green gate lentils",
                Dish("lentil_french", 180, "long_white", 260, 4, "none", "moist", "wide-pot", today.PlusDays(2), "19:15") with
                {
                    BurnerId = "back",
                }
            ),
            ("Quarry-day adzuki", Dish("adzuki", 200, "sushi_short", 400, 5, "none", "dry", "blue-pot", today.PlusDays(3), "18:30")),
            ("Sunday borlotti broth", Dish("borlotti", 400, null, 0, 6, "overnight", "soup", "wide-pot", today.PlusDays(4), "13:00")),
            ("Copper-lid yellow peas", Dish("split_pea_yellow", 300, null, 0, 4, "none", "saucy", "wide-pot", today.PlusDays(5), "18:45")),
        ];
        var kitchen = await KitchenStore.ReadAsync(db, cancel);
        var planner = new Planner(simulator);
        foreach (var (title, dto) in dinners)
        {
            var dish = new DishMapper(catalogue, kitchen, now).Map(dto, new FieldFaults());
            if (dish is null || planner.Plan(dish) is not PlanAnswer.Planned { Plan: var plan })
            {
                throw new InvalidOperationException($"The demo dinner {title} cannot be planned.");
            }

            var made = clock.GetUtcNow();
            var saved = CookEvents.Make(
                Guid.CreateVersion7(made),
                CookProjection.Saved,
                Guid.CreateVersion7(made),
                made,
                null,
                clock,
                SavedDinner.Of(title, dto, plan).Json(),
                dish.Seed
            );
            db.CookEvents.Add(saved);
            await db.SaveChangesAsync(cancel);
            db.Cooks.Add(CookProjection.Start(saved, title, dish.ServeAt.ToDateTimeOffset()));
            await db.SaveChangesAsync(cancel);
        }
    }

    private static BagRow Bag(string food, double grams) =>
        new()
        {
            Id = $"bag-{food.Replace('_', '-')}",
            FoodId = food,
            Name = string.Empty,
            Grams = grams,
            Storage = "cupboard",
        };

    private static DishDto Dish(
        string pulse,
        double grams,
        string? rice,
        double riceGrams,
        int people,
        string soak,
        string style,
        string vessel,
        LocalDate day,
        string time
    ) =>
        new(
            pulse,
            new AmountDto(grams, "g"),
            rice,
            rice is null ? null : new AmountDto(riceGrams, "g"),
            people,
            soak,
            style,
            vessel,
            "front",
            $"{day.ToString("uuuu-MM-dd", null)}T{time}",
            7
        );
}
