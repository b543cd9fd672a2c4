package mussel.core.job;

import java.util.Optional;

/**
 * The leg beside one of a job: the other of a twin while both are in the yard, or any leg that shares its visit.
 *
 * @param job its job
 * @param assessed everything computed for it by itself; only where both are one visit
 */
public record OtherLeg(Job job, Optional<Assessment> assessed) {
    /** Whether two jobs are one visit: each names the other, or either leg of a twin says so and neither that it is not. */
    public static boolean oneVisit(Job one, Job other) {
        if (VisitWith.mutual(one, other)) {
            return true;
        }
        Optional<String> here = one.choice(Scale.ONE_VISIT);
        Optional<String> there = other.choice(Scale.ONE_VISIT);
        return (here.equals(YES) || there.equals(YES)) && !here.equals(NO) && !there.equals(NO);
    }

    private static final Optional<String> YES = Optional.of("yes");
    private static final Optional<String> NO = Optional.of("no");
}
