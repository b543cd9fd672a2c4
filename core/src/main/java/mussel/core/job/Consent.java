package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.measure.Money;
import mussel.core.measure.Sentences;

/** What the owner has agreed to, and what the work comes to against it. */
public final class Consent {
    private static final Sentences SAY = Sentences.beside(Consent.class);

    private final Assessment all;
    private final Job job;

    /** The consent of a job. */
    public Consent(Assessment all) {
        this.all = all;
        this.job = all.job();
    }

    /** How he stands to it. */
    public enum Answer {
        /** Nobody has asked him, or he has not answered. */
        NONE,
        /** He said yes to the estimate. */
        YES,
        /** Yes up to a figure. */
        UP_TO,
        /** No. */
        NO
    }

    /** What he answered; what he spends without being asked is a yes up to that. */
    public Answer answer() {
        return job.choice(Scale.CONSENT)
                .map(c -> Answer.valueOf(c.toUpperCase(java.util.Locale.ROOT)))
                .orElse(job.reading(Field.SPENDING_LIMIT).isPresent() ? Answer.UP_TO : Answer.NONE);
    }

    /** The most he agreed to; empty where he named no figure. */
    public OptionalDouble limit() {
        return switch (answer()) {
            case UP_TO ->
                job.reading(Field.CONSENT_LIMIT).isPresent()
                        ? job.reading(Field.CONSENT_LIMIT)
                        : job.reading(Field.SPENDING_LIMIT);
            default -> OptionalDouble.empty();
        };
    }

    private Optional<Option> repair() {
        return all.worth().map(w -> w.result().option(EstimateEngine.REPAIR));
    }

    private Money money() {
        return all.yard().money();
    }

    /** What he said, in a sentence. */
    public String says() {
        String by = job.note(Topic.CONSENT_BY.address())
                .or(() -> job.note(Topic.OWNER.address()))
                .orElse(SAY.say("consent.owner"));
        String how = job.choice(Scale.CONSENT_HOW)
                .map(h -> " " + SAY.say("consent." + h))
                .orElse("");
        return switch (answer()) {
            case NONE -> SAY.say("consent.none");
            case YES -> SAY.say("consent.yes", by, how);
            case NO -> SAY.say("consent.no", by, how);
            case UP_TO ->
                limit().isPresent()
                        ? SAY.say(
                                job.choice(Scale.CONSENT).isPresent() ? "consent.up_to" : "consent.unasked",
                                by,
                                how,
                                money().exact(limit().getAsDouble()))
                        : SAY.say("consent.up_to.nothing", by, how);
        };
    }

    /** Whether the work is likely to go beyond what he agreed to, with what to tell him; empty where it is not, or nobody can tell. */
    public Optional<String> beyond() {
        Optional<Option> repair = repair();
        if (limit().isEmpty() || repair.isEmpty()) {
            return Optional.empty();
        }
        double limit = limit().getAsDouble();
        Option cost = repair.get();
        if (cost.mean() > limit) {
            return Optional.of(SAY.say(
                    "consent.beyond",
                    money().sum(cost.mean()),
                    money().exact(limit),
                    money().sum(cost.p10()),
                    money().sum(cost.p90())));
        }
        return cost.p90() > limit
                ? Optional.of(SAY.say("consent.perhaps", money().exact(limit), money().sum(cost.p90())))
                : Optional.empty();
    }

    /** Whether orders and what opens the case go on without his word. */
    public boolean missing() {
        return answer() == Answer.NONE || answer() == Answer.NO;
    }

    /** What is said before the case is opened or parts are ordered; none where he agreed to it. */
    public List<String> before() {
        List<String> says = new ArrayList<>();
        if (missing() && !all.goals().isEmpty()) {
            says.add(answer() == Answer.NO ? says() : SAY.say("consent.missing"));
        }
        beyond().ifPresent(says::add);
        return says;
    }
}
