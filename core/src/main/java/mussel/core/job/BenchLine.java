package mussel.core.job;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.Wide;

/**
 * What the bench shows of a job. Derived from the journal and kept beside it, so that the bench stands without folding a single job.
 *
 * @param job the job's number
 * @param leg the leg
 * @param family its family's name
 * @param hours the engine's hour meter (h)
 * @param next what to do next
 * @param waits what it waits for; empty where it can be worked on
 * @param promised when it was promised; empty where nobody said
 * @param current the station where work goes on
 * @param states how far each station is
 * @param wet whether water was found in the oil
 * @param oil the oil in the case, once it was judged or filled
 * @param tagged the day it was tagged
 * @param due what the tag says is next due; empty before it
 * @param shelf what the job changes on the shelf, by part
 */
@Wide("One row of the job board, filed as one row of a table.")
public record BenchLine(
        int job,
        LegRef leg,
        String family,
        OptionalDouble hours,
        NextAction next,
        String waits,
        String promised,
        Station current,
        Map<Station, Station.State> states,
        boolean wet,
        Optional<Oil> oil,
        Optional<LocalDate> tagged,
        List<Due> due,
        Map<String, Integer> shelf) {
    private static final Messages TEXT = Messages.of(BenchLine.class);

    /**
     * What to go on with first: legs that can be worked on before those that wait, then the earliest promise that is a date, then what is nearest to
     * its tag; closed ones last.
     */
    public static final Comparator<BenchLine> BY_WHAT_IS_NEXT = Comparator.comparing((BenchLine l) -> !l.open())
            .thenComparing(BenchLine::waiting)
            .thenComparing(BenchLine::promisedOn)
            .thenComparing(BenchLine::current, Comparator.reverseOrder())
            .thenComparing(BenchLine::job);

    private LocalDate promisedOn() {
        try {
            return LocalDate.parse(promised.strip());
        } catch (DateTimeParseException notADate) {
            return LocalDate.MAX;
        }
    }

    /** Keeps its own copies. */
    public BenchLine {
        states = new EnumMap<>(states);
        due = List.copyOf(due);
        shelf = OrderedMap.copyOf(shelf);
    }

    /** The line of a job as assessed. */
    public static BenchLine of(Assessment now) {
        Job job = now.job();
        boolean filled = job.reading(Field.PUMPED).isPresent();
        Optional<String> water = job.choice(Scale.OIL_WATER);
        Oil oil = new Oil(
                filled ? now.oil().fill().dye() : now.oil().was().dye(),
                filled ? Optional.empty() : water,
                filled ? Optional.empty() : job.choice(Scale.OIL_HEAT));
        return new BenchLine(
                job.id(),
                job.leg(),
                now.sheet().title(),
                job.reading(Field.ENGINE_HOURS),
                now.nextAction(),
                now.waits(),
                job.note(Topic.PROMISED.address()).orElse(""),
                now.current(),
                now.states(),
                now.drain().words().map(w -> w.wet()).orElse(false),
                filled || water.isPresent() ? Optional.of(oil) : Optional.empty(),
                job.tagged(),
                job.tagged().isPresent() ? now.due() : List.of(),
                now.supply().shelfChange());
    }

    /** Whether the leg is still on the bench. */
    public boolean open() {
        return tagged.isEmpty();
    }

    /** Whether nobody can go on with it. */
    public boolean waiting() {
        return !waits.isEmpty();
    }

    /** Whether the other is the leg that hangs beside this one. */
    public boolean sisterOf(BenchLine other) {
        return job != other.job
                && leg.boat().equals(other.leg.boat())
                && !leg.position().equals(other.leg.position());
    }

    /** Everything one may search for, in lower case. */
    public String words() {
        return String.join(
                        " ",
                        leg.title(),
                        family,
                        next.says(),
                        waits,
                        promised,
                        current.title(),
                        TEXT.get("bench_line.job", job))
                .toLowerCase(java.util.Locale.ROOT);
    }

    /**
     * The oil in the case.
     *
     * @param dye the colour its blender gave it
     * @param water the outcome of the water scale
     * @param heat the outcome of the heat scale
     */
    public record Oil(Yard.Dye dye, Optional<String> water, Optional<String> heat) {}
}
