using System.Globalization;
using BrightKettle.Core.Planning;
using BrightKettle.Server.Messages;
using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Said = BrightKettle.Server.Messages.Messages;

namespace BrightKettle.Server.Planning;

/// <summary>A plan as iCalendar (RFC 5545): an entry and an alarm for each moment that must not be missed.</summary>
public static class CalendarWriter
{
    public static string Write(Plan plan, PlanDto told, DateTimeOffset madeAt)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(told);
        var calendar = new Ical.Net.Calendar { ProductId = "-//Bright Kettle//Dinner//EN" };
        var day = plan.Dish.Household.LocalOf(plan.Dish.ServeAt).Date;
        foreach (var (step, n) in told.Steps.Select((s, n) => (s, n)))
        {
            var earlier = told.Steps.Take(n).Count(s => s.Kind == step.Kind);
            if (StepWarnings.Of(step.Kind) is not { } warning)
            {
                continue;
            }

            var words = StepWords.Title(step, told);
            var entry = new CalendarEvent
            {
                // The same step of a dinner of the same day keeps its id, so that a dinner that moves within its day replaces what was imported.
                Uid = string.Create(
                    CultureInfo.InvariantCulture,
                    $"{day:uuuuMMdd}-{plan.Dish.Pulse.Id}-{step.Kind}-{earlier}@bright-kettle"
                ),
                Summary = words,
                Description = Range(step, plan),
                DtStamp = new CalDateTime(madeAt.UtcDateTime, "UTC"),
                Start = new CalDateTime(step.At.UtcDateTime, "UTC"),
                Duration = Duration.FromMinutes(5),
            };
            entry.Alarms.Add(
                new Alarm
                {
                    Action = AlarmAction.Display,
                    Description = words,
                    Trigger = new Trigger(Duration.FromMinutes(-warning)),
                }
            );
            calendar.Events.Add(entry);
        }

        return new CalendarSerializer().SerializeToString(calendar)
            ?? throw new InvalidOperationException("The calendar could not be written.");
    }

    private static string Range(StepDto step, Plan plan)
    {
        string Local(DateTimeOffset at) => Hours.Of(plan.Dish.Household.LocalOf(NodaTime.Instant.FromDateTimeOffset(at)));
        return step.Late - step.Early > TimeSpan.FromMinutes(1)
            ? Said.CalendarRange(Local(step.Early), Local(step.Late))
            : Said.CalendarByTheClock();
    }
}
