package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.sheet.SetupSheet;
import mussel.core.shim.LashInput;
import mussel.core.shim.PinionInput;
import mussel.core.shim.Shim;

/**
 * What a job holds for setting up its gears, place by place.
 *
 * @param job the job
 * @param sheet how the family is set up
 * @param stores what lies in the drawer, this job's takings not taken off
 */
record SetupReadings(Job job, SetupSheet sheet, Stores stores) {
    private static final Messages TEXT = Messages.of(SetupReadings.class);

    SetupPlace.School school(String place, SetupPlace.School otherwise) {
        return job.choice(Scale.SCHOOL.of(place))
                .map(s -> SetupPlace.School.valueOf(s.toUpperCase(Locale.ROOT)))
                .orElse(otherwise);
    }

    OptionalDouble present(String place) {
        return job.reading(Field.PRESENT_SHIM.of(place));
    }

    OptionalDouble arm(String place) {
        return job.reading(Field.ARM.of(place));
    }

    List<Double> heights() {
        return numbered(Field.HEIGHT, "");
    }

    List<Double> around(Field which, String place) {
        return numbered(which, place + ".");
    }

    private List<Double> numbered(Field which, String before) {
        List<Double> read = new ArrayList<>();
        for (int i = 1; i <= SetupPlace.AROUND; i++) {
            job.reading(which.of(before + i)).ifPresent(read::add);
        }
        return read;
    }

    List<PinionInput.Mark> marks() {
        return sheet.pinion().marks().stream()
                .filter(m -> job.reading(Field.MARK.of(m.id())).isPresent())
                .map(m -> new PinionInput.Mark(
                        m.title(),
                        m.coefficient(),
                        job.reading(Field.MARK.of(m.id())).getAsDouble()))
                .toList();
    }

    /** Marks the sheet names and nobody read: one that is not read is not zero. */
    List<Problem> unreadMarks() {
        return sheet.pinion().marks().stream()
                .filter(m -> job.reading(Field.MARK.of(m.id())).isEmpty())
                .map(m -> new Problem("", TEXT.get("setup_readings.no_shim_yet_the_mark_is", m.title())))
                .toList();
    }

    /** On which shaft the indicator's arm sits. */
    Optional<LashInput.ArmOn> armOn(String place) {
        return job.choice(Scale.ARM_ON.of(place)).map(on -> Assessment.constant(LashInput.ArmOn.class, on));
    }

    /** The pieces put in at a place, by whole micrometres. */
    Map<Integer, Integer> taken(String place) {
        Map<Integer, Integer> taken = new TreeMap<>();
        for (double mm : sheet.shimsMm()) {
            int size = (int) Math.round(mm * 1_000);
            int count = (int) job.reading(Field.SHIM_IN.of(place + "." + size)).orElse(0);
            if (count > 0) {
                taken.put(size, count);
            }
        }
        return taken;
    }

    /** What the drawer has for a place: all that is not in at another one. */
    List<Shim> drawer(String place) {
        List<Shim> drawer = new ArrayList<>();
        for (double mm : sheet.shimsMm()) {
            int left = stores.shelf().getOrDefault(SetupSheet.shimId(mm), 0) - elsewhere(mm, place);
            if (left > 0) {
                drawer.add(new Shim(mm, left));
            }
        }
        return drawer;
    }

    private int elsewhere(double mm, String place) {
        String size = "." + Math.round(mm * 1_000);
        return job.readings().entrySet().stream()
                .filter(e -> e.getKey().name().equals(NamedBy.file(Field.SHIM_IN)))
                .filter(e -> e.getKey().of().endsWith(size) && !e.getKey().of().equals(place + size))
                .mapToInt(e -> (int) e.getValue().value())
                .sum();
    }

    boolean simulated(String place) {
        return job.readings().entrySet().stream()
                .filter(e -> e.getKey().of().startsWith(place + "."))
                .anyMatch(e -> e.getValue().simulated());
    }
}
