package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SpecSheet;

/** An earlier job of a leg, in one sentence: when, at which hours, water in the oil, what was done, what was filled. */
public final class EarlierJob {
    private static final Messages TEXT = Messages.of(EarlierJob.class);

    private EarlierJob() {}

    /**
     * The sentence.
     *
     * @param sheet of the job's family; empty where it is not here, which leaves out what was done
     * @param yard whose oils and units it is told in
     */
    public static String words(Job job, Optional<SpecSheet> sheet, Yard yard) {
        YardUnits units = yard.reads();
        StringBuilder when = new StringBuilder(TEXT.get(
                "earlier_job.job",
                job.id(),
                job.tagged().map(Object::toString).orElse(TEXT.get("earlier_job.not_finished"))));
        job.reading(Field.ENGINE_HOURS)
                .ifPresent(h -> when.append(" at ").append(Display.exact(Kind.RUNNING, h, units)));
        List<String> said = new ArrayList<>(List.of(when.toString()));
        job.choice(Scale.OIL_WATER).ifPresent(w -> said.add(TEXT.get("earlier_job.water_in_the_oil", w)));
        sheet.ifPresent(s -> Assessment.goals(job, s).stream().map(Goal::title).forEach(said::add));
        job.reading(Field.PUMPED)
                .ifPresent(ml -> said.add(TEXT.get(
                        "earlier_job.filled_of",
                        Display.exact(Kind.VOLUME, ml, units),
                        new LegOil(job, yard).fillNamed().orElse(TEXT.get("earlier_job.gear_oil")))));
        return String.join(", ", said) + ".";
    }
}
