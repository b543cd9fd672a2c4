package mussel.exchange.report;

import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.language.Messages;

/** What a paper says of readings that no hand made, and of a leg that is not there. */
final class NotReal {
    private static final Messages TEXT = Messages.of(NotReal.class);

    private NotReal() {}

    /** The sentence; empty where everything is real. */
    static Optional<String> of(Assessment job) {
        if (job.practice()) {
            return Optional.of(TEXT.get("not_real.practice_this_leg_is_not_there"));
        }
        return job.simulated()
                ? Optional.of(TEXT.get("not_real.some_readings_come_from_a_simulated"))
                : Optional.empty();
    }
}
