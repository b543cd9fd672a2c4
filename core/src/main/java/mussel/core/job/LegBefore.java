package mussel.core.job;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import mussel.core.measure.OrderedMap;

/**
 * What earlier jobs of a leg say of it today: what its dates already tell is not asked again, and a figure that goes against them is.
 *
 * @param meter the last reading of the hour meter (h), with its day
 * @param fill the last filling (ml), with its day
 * @param fillMeter the hour meter at that filling (h)
 * @param age the leg's age (months) as it was last written down, with that day
 * @param told what was last written down of the leg itself, by topic
 * @param figures what was last read of its engine, by field
 * @param waiting what was put off or refused the last time it was asked, and still waits
 * @param done what was repaired on it, the latest first
 * @param layUp the steps of its last lay-up that were done, by what their ticks are known by; empty where it never was laid up
 */
public record LegBefore(
        Optional<Dated> meter,
        Optional<Dated> fill,
        OptionalDouble fillMeter,
        Optional<Dated> age,
        Map<Topic, Told> told,
        Map<Field, Double> figures,
        List<Waiting> waiting,
        List<Done> done,
        Optional<Set<String>> layUp) {
    /** A leg nobody saw before. */
    public static final LegBefore UNKNOWN = new LegBefore(
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            Optional.empty(),
            Map.of(),
            Map.of(),
            List.of(),
            List.of(),
            Optional.empty());

    /** What stays with a leg from job to job. */
    private static final List<Topic> OF_THE_LEG =
            List.of(Topic.LEG_MADE, Topic.LEG_OWN, Topic.OWNER, Topic.REACHED, Topic.PAYS, Topic.ENGINE_MADE);

    /** What of the engine is asked once. */
    private static final List<Field> OF_THE_ENGINE =
            List.of(Field.CYLINDERS, Field.ENGINE_TAKES, Field.FILTER_HOLDS, Field.FUEL_TANK, Field.STABILISER_DOSE);

    /** What the ticks of a lay-up begin with. */
    public static final String LAY_UP = "layup:";

    /** What those of a spring begin with. */
    public static final String SPRING = "spring:";

    private static final Set<String> WAITS = Set.of("put_off", "refused");
    private static final double DAYS_A_MONTH = 365.25 / 12;

    /** Keeps its own copy. */
    public LegBefore {
        told = OrderedMap.copyOf(told);
        figures = OrderedMap.copyOf(figures);
        waiting = List.copyOf(waiting);
        done = List.copyOf(done);
    }

    /**
     * Work that waits, beside the leg or on it.
     *
     * @param about which item or goal
     * @param refused whether the owner refused it; else it was put off
     * @param why as it was written down; empty where nobody did
     * @param job the job it was asked in
     * @param day of that
     */
    public record Waiting(Address about, boolean refused, String why, int job, LocalDate day) {}

    /**
     * Work that was done on it.
     *
     * @param job in which job
     * @param day it was tagged
     * @param goals what was repaired
     * @param held whether a hold was made once work had begun
     */
    public record Done(int job, LocalDate day, List<String> goals, boolean held) {
        /** Keeps its own copy. */
        public Done {
            goals = List.copyOf(goals);
        }
    }

    /**
     * What was written down of a leg.
     *
     * @param text the words
     * @param job the job they stand in
     */
    public record Told(String text, int job) {}

    /**
     * A figure of a day.
     *
     * @param value in the canonical unit of its kind
     * @param day the day it was read
     */
    public record Dated(double value, LocalDate day) {}

    /**
     * What these jobs of one leg say, the latest first; a job that was never tagged counts from the day it was opened.
     *
     * @param zone the yard's own zone
     */
    public static LegBefore of(List<Job> earlier, ZoneId zone) {
        Optional<Job> filled = earlier.stream()
                .filter(j -> j.tagged().isPresent() && j.reading(Field.PUMPED).isPresent())
                .findFirst();
        return new LegBefore(
                last(earlier, Field.ENGINE_HOURS, zone),
                filled.map(j -> dated(j, Field.PUMPED, zone)),
                filled.map(j -> j.reading(Field.ENGINE_HOURS)).orElse(OptionalDouble.empty()),
                last(earlier, Field.AGE, zone),
                told(earlier),
                figures(earlier),
                waiting(earlier, zone),
                done(earlier),
                earlier.stream()
                        .map(LegBefore::layUp)
                        .filter(done -> !done.isEmpty())
                        .findFirst());
    }

    /** A figure of the engine: as it was typed in the job of today, else as it was in an earlier one. */
    public OptionalDouble ofTheEngine(Field field, Job today) {
        OptionalDouble now = today.reading(field);
        Double earlier = figures.get(field);
        return now.isPresent() || earlier == null ? now : OptionalDouble.of(earlier);
    }

    /** The steps of a lay-up that are ticked in a job. */
    public static Set<String> layUp(Job job) {
        return job.steps().stream().filter(s -> s.startsWith(LAY_UP)).collect(Collectors.toSet());
    }

    private static Map<Field, Double> figures(List<Job> earlier) {
        Map<Field, Double> figures = new EnumMap<>(Field.class);
        for (Field field : OF_THE_ENGINE) {
            earlier.stream()
                    .map(j -> j.reading(field))
                    .filter(OptionalDouble::isPresent)
                    .findFirst()
                    .ifPresent(f -> figures.put(field, f.getAsDouble()));
        }
        return figures;
    }

    /** The last answer to each item and each goal counts. */
    private static List<Waiting> waiting(List<Job> earlier, ZoneId zone) {
        List<Waiting> waiting = new ArrayList<>();
        Set<Address> answered = new HashSet<>();
        for (Job job : earlier) {
            job.choices().forEach((about, answer) -> {
                boolean asked = about.name().equals(Scale.BESIDE.address().name())
                        || about.name().equals(Scale.GOAL.address().name());
                if (asked && answered.add(about) && WAITS.contains(answer)) {
                    waiting.add(new Waiting(
                            about,
                            answer.equals("refused"),
                            job.note(Topic.PUT_OFF_WHY.of(about.of())).orElse(""),
                            job.id(),
                            day(job, zone)));
                }
            });
        }
        return waiting;
    }

    private static List<Done> done(List<Job> earlier) {
        return earlier.stream()
                .filter(j -> j.tagged().isPresent())
                .map(j -> new Done(j.id(), j.tagged().orElseThrow(), goals(j), held(j)))
                .filter(d -> !d.goals().isEmpty())
                .toList();
    }

    private static List<String> goals(Job job) {
        return job.choices().entrySet().stream()
                .filter(c -> c.getKey().name().equals(Scale.GOAL.address().name()))
                .filter(c -> c.getValue().equals("yes"))
                .map(c -> c.getKey().of())
                .toList();
    }

    /** Whether a hold was made on a job once work had begun. */
    public static boolean held(Job job) {
        Optional<Instant> begun =
                job.steps().stream().flatMap(s -> job.ticked(s).stream()).min(Comparator.naturalOrder());
        return job.holds().stream().anyMatch(h -> begun.isPresent() && h.begun().isAfter(begun.get()));
    }

    private static LocalDate day(Job job, ZoneId zone) {
        return job.tagged().orElseGet(() -> LocalDate.ofInstant(job.opened(), zone));
    }

    private static Map<Topic, Told> told(List<Job> earlier) {
        Map<Topic, Told> told = new EnumMap<>(Topic.class);
        for (Topic topic : OF_THE_LEG) {
            earlier.stream()
                    .filter(j -> j.note(topic.address()).isPresent())
                    .findFirst()
                    .ifPresent(j ->
                            told.put(topic, new Told(j.note(topic.address()).orElseThrow(), j.id())));
        }
        return told;
    }

    /** What is written down of the leg itself: in the job of today, else in the last one that says so. */
    public Optional<Told> ofTheLeg(Topic topic, Job today) {
        return today.note(topic.address())
                .map(text -> new Told(text, today.id()))
                .or(() -> Optional.ofNullable(told.get(topic)));
    }

    private static Optional<Dated> last(List<Job> earlier, Field field, ZoneId zone) {
        return earlier.stream()
                .filter(j -> j.reading(field).isPresent())
                .findFirst()
                .map(j -> dated(j, field, zone));
    }

    private static Dated dated(Job job, Field field, ZoneId zone) {
        return new Dated(
                job.reading(field).orElseThrow(), job.tagged().orElse(LocalDate.ofInstant(job.opened(), zone)));
    }

    /**
     * What the dates of the leg say of a field today, in its canonical unit: hours and months on the oil, what went in last, its age. Empty where they say nothing.
     *
     * @param field the field
     * @param meterNow the hour meter today (h), where it was read
     * @param today the day
     */
    public OptionalDouble known(Field field, OptionalDouble meterNow, LocalDate today) {
        return switch (field) {
            case HOURS_SINCE_FILL ->
                meterNow.isPresent() && fillMeter.isPresent() && meterNow.getAsDouble() >= fillMeter.getAsDouble()
                        ? OptionalDouble.of(meterNow.getAsDouble() - fillMeter.getAsDouble())
                        : OptionalDouble.empty();
            case MONTHS_SINCE_FILL -> months(fill, today);
            case AGE -> {
                OptionalDouble since = months(age, today);
                yield since.isEmpty() ? since : OptionalDouble.of(age.get().value() + since.getAsDouble());
            }
            case FILL -> fill.map(f -> OptionalDouble.of(f.value())).orElse(OptionalDouble.empty());
            default -> OptionalDouble.empty();
        };
    }

    private static OptionalDouble months(Optional<Dated> from, LocalDate today) {
        return from.filter(f -> !f.day().isAfter(today))
                .map(f -> OptionalDouble.of(
                        Math.round(10 * ChronoUnit.DAYS.between(f.day(), today) / DAYS_A_MONTH) / 10.0))
                .orElse(OptionalDouble.empty());
    }
}
