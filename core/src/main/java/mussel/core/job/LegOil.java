package mussel.core.job;

import java.util.Optional;

/**
 * The gear oil of a job: what was in the lower unit and what goes in.
 *
 * @param job the job
 * @param yard whose oils are meant
 */
public record LegOil(Job job, Yard yard) {
    /** The oil that was in it; the yard's first where nobody entered one. */
    public Yard.Oil was() {
        return yard.oil(job.choice(Scale.OIL_LAST));
    }

    /** What that is called; empty where nobody entered it. */
    public Optional<String> wasNamed() {
        return job.choice(Scale.OIL_LAST).map(o -> was().title());
    }

    /** The oil that goes in; what was in it where nobody chose another. */
    public Yard.Oil fill() {
        return yard.oil(chosen());
    }

    /** What that is called; empty where nobody entered any. */
    public Optional<String> fillNamed() {
        return chosen().map(o -> fill().title());
    }

    private Optional<String> chosen() {
        return job.choice(Scale.OIL_NEW).or(() -> job.choice(Scale.OIL_LAST));
    }

    /** How the oil that goes in stands to what a sheet asks for. */
    public OilGrade against(String grade) {
        Optional<String> chosen = chosen();
        return OilGrade.of(
                grade,
                yard.oils().stream()
                        .filter(o -> chosen.equals(Optional.of(o.id())))
                        .findFirst());
    }
}
