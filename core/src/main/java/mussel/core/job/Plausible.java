package mussel.core.job;

import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;

/**
 * Whether a figure is likely for this very leg: its own history, its sheet and what was typed beside it. An unlikely figure is asked about and
 * never refused; what no instrument can show is refused by the field's range before it comes here.
 */
public final class Plausible {
    private static final Messages TEXT = Messages.of(Plausible.class);
    /** Hours a day an engine may be run between two readings before the second is doubted. */
    private static final double MOST_HOURS_A_DAY = 12;
    /** Hours a year over a whole life: a hard-worked boat makes 1,000 to 1,500. */
    private static final double MOST_HOURS_A_YEAR = 2_000;

    private static final double MONTHS_A_YEAR = 12;
    /** Gear oil is seldom left in longer. */
    private static final double MOST_MONTHS_ON_OIL = 120;

    private static final double MOST_OF_CAPACITY = 1.5;
    private static final double LEAST_OF_CAPACITY = 0.25;
    private static final double LEAST_DENSITY = 0.8;
    private static final double MOST_DENSITY = 1.06;

    private final Assessment now;
    private final double value;

    private Plausible(Assessment now, double value) {
        this.now = now;
        this.value = value;
    }

    /**
     * What makes a figure unlikely, in a sentence that asks; empty where it is likely or nothing is known to hold it against.
     *
     * @param now the job, the figure itself not counted
     * @param at where it is to be entered
     * @param value in the canonical unit of the field's kind
     */
    public static Optional<String> doubt(Assessment now, Address at, double value) {
        return Field.at(at).flatMap(field -> new Plausible(now, value).doubt(field));
    }

    private Optional<String> doubt(Field field) {
        return switch (field) {
            case ENGINE_HOURS -> meter();
            case HOURS_SINCE_FILL ->
                above(now.job().reading(Field.ENGINE_HOURS), "oil.hours")
                        .or(() -> against(field, "oil.hours.known", 0.25, 20));
            case MONTHS_SINCE_FILL ->
                above(now.known(Field.AGE), "oil.months")
                        .or(() -> against(field, "oil.months.known", 0.25, 2))
                        .or(() -> beyond(0, MOST_MONTHS_ON_OIL, "oil.old"));
            case AGE -> against(field, "age.known", 0.1, 6);
            case DRAINED, FILL, PUMPED -> volume();
            case FREE_WATER -> above(now.job().reading(Field.DRAINED), "water.more");
            case OIL_TEMP, MEASURED_TEMP -> beyond(-5, 90, "oil.temp");
            case MINUTES -> beyond(2, 24 * 60, "drain.minutes");
            case MASS -> weight();
            case STORAGE_MIN -> beyond(-35, 25, "storage");
            case BAROMETER -> beyond(92, 107, "barometer");
            case RUN_TEMP -> beyond(5, 110, "run.temp");
            case VANE_SET -> beyond(0, 75, "vane.set");
            default -> Optional.empty();
        };
    }

    /** The hour meter against its last reading and against the leg's age. */
    private Optional<String> meter() {
        Optional<LegBefore.Dated> last = now.before().meter();
        if (last.isPresent()) {
            double was = last.get().value();
            long days = Math.max(0, ChronoUnit.DAYS.between(last.get().day(), now.today()));
            if (value < was) {
                return say("meter.back", was, last.get().day());
            }
            if (value - was > MOST_HOURS_A_DAY * (days + 1)) {
                return say("meter.fast", value - was, days, last.get().day());
            }
        }
        OptionalDouble age = now.known(Field.AGE);
        boolean tooMany = age.isPresent()
                && age.getAsDouble() > 0
                && value > MOST_HOURS_A_YEAR * Math.max(1, age.getAsDouble() / MONTHS_A_YEAR);
        return tooMany ? say("meter.many", age.getAsDouble() / MONTHS_A_YEAR) : Optional.empty();
    }

    private Optional<String> volume() {
        if (now.sheet().oil().capacityMl().isEmpty()) {
            return Optional.empty();
        }
        double capacity = now.sheet().oil().capacityMl().getAsDouble();
        String holds = Display.exact(
                mussel.core.measure.Kind.VOLUME, capacity, now.yard().reads());
        if (value > MOST_OF_CAPACITY * capacity) {
            return Optional.of(TEXT.get("plausible.volume.more", holds));
        }
        return value < LEAST_OF_CAPACITY * capacity
                ? Optional.of(TEXT.get("plausible.volume.less", holds))
                : Optional.empty();
    }

    private Optional<String> weight() {
        OptionalDouble drained = now.job().reading(Field.DRAINED);
        if (drained.isEmpty() || drained.getAsDouble() <= 0) {
            return Optional.empty();
        }
        double density = value / drained.getAsDouble();
        return density < LEAST_DENSITY || density > MOST_DENSITY ? say("weight", density) : Optional.empty();
    }

    private Optional<String> above(OptionalDouble most, String key) {
        return most.isPresent() && value > most.getAsDouble() ? say(key, most.getAsDouble()) : Optional.empty();
    }

    private Optional<String> beyond(double low, double high, String key) {
        return value < low || value > high ? say(key) : Optional.empty();
    }

    /** Against what the leg's dates say of the same field, with a share and a least difference that pass. */
    private Optional<String> against(Field field, String key, double share, double least) {
        OptionalDouble known = now.knownBefore(field);
        boolean off = known.isPresent()
                && Math.abs(value - known.getAsDouble()) > Math.max(least, share * known.getAsDouble());
        return off ? say(key, known.getAsDouble()) : Optional.empty();
    }

    private static Optional<String> say(String key, Object... with) {
        Object[] words = with.clone();
        for (int i = 0; i < words.length; i++) {
            words[i] = words[i] instanceof Double figure ? Display.significant(figure) : String.valueOf(words[i]);
        }
        return Optional.of(TEXT.get("plausible." + key, words));
    }
}
