package mussel.core.log;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;

/**
 * When something falls due as the leg is used: on its calendar day or when its hours are reached, whichever comes first.
 *
 * @param due what is due
 * @param by the likely day
 * @param earliest the earliest day by its hours' upper bound; the likely day where the calendar decides
 * @param latest the latest day; never after the calendar's
 * @param byHours whether the hours come first
 * @param use how much it runs; empty where nobody can tell
 * @param last the last reading of its meter; empty where there is none
 * @param urgency how pressing it is
 */
public record DueForecast(
        Due due,
        LocalDate by,
        LocalDate earliest,
        LocalDate latest,
        boolean byHours,
        Optional<UseRate> use,
        Optional<MeterReading> last,
        Due.Urgency urgency) {
    private static final Messages TEXT = Messages.of(DueForecast.class);

    /** The forecast on a day, from every reading of the engine's meter; the last one counts, since a meter may have been replaced. */
    public static DueForecast of(Due due, List<MeterReading> readings, LocalDate today) {
        Optional<UseRate> use = UseRate.of(readings);
        Optional<MeterReading> last = last(readings);
        OptionalDouble now = use.map(u -> OptionalDouble.of(u.on(today).hours()))
                .orElseGet(() -> last.stream().mapToDouble(MeterReading::hours).findFirst());
        Due.Urgency urgency = due.urgency(today, now);
        Optional<UseRate.Reached> reached = reached(due, use, last);
        if (reached.isEmpty() || reached.get().likely().isAfter(due.on())) {
            LocalDate earliest = reached.map(UseRate.Reached::earliest)
                    .filter(day -> day.isBefore(due.on()))
                    .orElse(due.on());
            return new DueForecast(due, due.on(), earliest, due.on(), false, use, last, urgency);
        }
        LocalDate latest =
                reached.get().latest().filter(day -> day.isBefore(due.on())).orElse(due.on());
        return new DueForecast(due, reached.get().likely(), reached.get().earliest(), latest, true, use, last, urgency);
    }

    /** The likely day alone, as {@link #by} has it. */
    public static LocalDate likely(Due due, List<MeterReading> readings) {
        if (due.atHours().isEmpty()) {
            return due.on();
        }
        double at = due.atHours().getAsDouble();
        return UseRate.of(readings)
                .flatMap(u -> u.likely(at))
                .or(() -> last(readings).filter(r -> r.hours() >= at).map(MeterReading::on))
                .filter(day -> day.isBefore(due.on()))
                .orElse(due.on());
    }

    private static Optional<MeterReading> last(List<MeterReading> readings) {
        return readings.stream().max(Comparator.comparing(MeterReading::on));
    }

    /** When its hours are reached: as the leg runs, or at its last reading where that has passed them. */
    private static Optional<UseRate.Reached> reached(Due due, Optional<UseRate> use, Optional<MeterReading> last) {
        if (due.atHours().isEmpty()) {
            return Optional.empty();
        }
        double at = due.atHours().getAsDouble();
        return use.flatMap(u -> u.reaches(at)).or(() -> last.filter(r -> r.hours() >= at)
                .map(r -> new UseRate.Reached(r.on(), r.on(), Optional.of(r.on()))));
    }

    /** In a sentence: what comes first and how sure that is. */
    public String says(LocalDate today) {
        long days = ChronoUnit.DAYS.between(today, by);
        String when = days < 0 ? TEXT.get("ago", -days) : days == 0 ? TEXT.get("today") : TEXT.get("ahead", days);
        if (!byHours) {
            return TEXT.get(
                    due.atHours().isEmpty() ? "calendar.only" : use.isEmpty() ? "calendar.alone" : "calendar.first",
                    due.on().toString(),
                    when);
        }
        double at = due.atHours().orElseThrow();
        MeterReading read = last.orElseThrow();
        if (read.hours() >= at) {
            return TEXT.get(
                    "hours.passed",
                    Display.exact(Kind.RUNNING, at, YardUnits.METRIC),
                    Display.exact(Kind.RUNNING, read.hours(), YardUnits.METRIC),
                    read.on().toString());
        }
        return TEXT.get(
                "hours.first",
                Display.exact(Kind.RUNNING, at, YardUnits.METRIC),
                by.toString(),
                when,
                earliest.toString(),
                latest.toString());
    }

    /** How the day came about. */
    public Explanation explain(LocalDate today) {
        List<InputLine> inputs = new ArrayList<>();
        inputs.add(new InputLine(TEXT.get("why.day"), due.on().toString(), TEXT.get("why.sheet")));
        due.atHours().ifPresent(at -> inputs.add(new InputLine(TEXT.get("why.at"), hours(at), TEXT.get("why.sheet"))));
        use.ifPresent(u -> {
            inputs.add(new InputLine(
                    TEXT.get("why.last"), hours(u.last().hours()), u.last().on().toString()));
            inputs.add(new InputLine(
                    TEXT.get("why.rate"),
                    hours(u.perDay() * 30.4),
                    TEXT.get("why.intervals", u.intervals(), u.days())));
            UseRate.Hours now = u.on(today);
            inputs.add(new InputLine(
                    TEXT.get("why.now"),
                    hours(now.hours()),
                    TEXT.get("why.band", hours(now.low()), hours(now.high()))));
        });
        return new Explanation(
                due.what(),
                by.toString(),
                TEXT.get("why.formula"),
                inputs,
                TEXT.get("why.source"),
                use.map(u -> TEXT.get(u.spread().isEmpty() ? "why.single" : "why.spread", earliest, latest))
                        .orElse(TEXT.get("why.none")),
                TEXT.get("why.change"));
    }

    private static String hours(double hours) {
        return Display.estimate(Kind.RUNNING, hours, YardUnits.METRIC);
    }
}
