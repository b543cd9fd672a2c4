package mussel.exchange.report;

import java.util.Optional;
import mussel.core.job.Assessment;

/** What a paper says of readings that no hand made, and of a leg that is not there. */
final class NotReal {
    private NotReal() {}

    /** The sentence; empty where everything is real. */
    static Optional<String> of(Assessment job) {
        if (job.practice()) {
            return Optional.of("Practice: this leg is not there. Nothing on this paper is of a customer’s leg.");
        }
        return job.simulated()
                ? Optional.of("Some readings come from a simulated instrument and say nothing of this leg.")
                : Optional.empty();
    }
}
