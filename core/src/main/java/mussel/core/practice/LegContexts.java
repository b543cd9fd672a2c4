package mussel.core.practice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.verdict.Context;
import mussel.core.verdict.Context.CaseKind;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.Context.Duty;
import mussel.core.verdict.Context.LastJob;
import mussel.core.verdict.Context.SealLayout;
import mussel.core.verdict.Context.Storage;
import mussel.core.verdict.Context.Waters;
import org.hipparchus.random.MersenneTwister;

/**
 * What is known of practice legs before anyone looks: a working fleet on a sea loch, with what its boats come in for. The shares are estimates of a yard's year.
 * A service brings legs with nothing wrong, every other complaint raises what people bring such a leg for by the tables' own factors, so that what is drawn is
 * what the tables say of it.
 */
final class LegContexts {
    private static final Complaint[] COMPLAINTS = {
        Complaint.SERVICE,
        Complaint.WATER_IN_OIL,
        Complaint.OIL_OUTSIDE,
        Complaint.HOT,
        Complaint.WEAK_STREAM,
        Complaint.NOISE,
        Complaint.GEAR_TROUBLE,
        Complaint.STIFF
    };
    private static final double[] COMING = {0.35, 0.15, 0.1, 0.12, 0.1, 0.07, 0.07, 0.04};
    private static final double[] HOURS = {20, 60, 110, 180, 260};
    private static final double[] MONTHS = {3, 8, 12, 18, 30};
    private static final double[] AGES = {1, 4, 8, 14, 25};
    private static final double[] PUMP_MONTHS = {4, 12, 24, 40, 60};

    private LegContexts() {}

    /** The context of a leg: one that was given, else drawn. */
    static Context draw(long seed, int number, Optional<Context> given) {
        if (given.isPresent()) {
            return given.get();
        }
        // Its own stream, so that a leg of a given context has the same causes drawn in the same way.
        MersenneTwister random = PracticeLeg.source(~seed, number);
        return new Context(
                Optional.of(pick(random, Waters.values(), 0.15, 0.7, 0.15)),
                Optional.of(random.nextDouble() < 0.35),
                Optional.of(pick(random, Storage.values(), 0.6, 0.3, 0.1)),
                OptionalDouble.of(any(random, HOURS)),
                OptionalDouble.of(any(random, MONTHS)),
                Optional.of(pick(random, CaseKind.values(), 0.7, 0.3)),
                OptionalDouble.of(any(random, AGES)),
                Optional.of(pick(random, LastJob.values(), 0.15, 0.6, 0.15, 0.1)),
                Optional.of(pick(random, SealLayout.values(), 0.75, 0.25)),
                List.of(),
                List.of(pick(random, COMPLAINTS, COMING)),
                Optional.of(pick(random, Duty.values(), 0.2, 0.5, 0.3)),
                OptionalDouble.of(any(random, PUMP_MONTHS)));
    }

    private static double any(MersenneTwister random, double[] all) {
        return all[(int) (random.nextDouble() * all.length)];
    }

    private static <T> T pick(MersenneTwister random, T[] all, double... shares) {
        double at = random.nextDouble();
        for (int i = 0; i < all.length - 1; i++) {
            at -= shares[i];
            if (at < 0) {
                return all[i];
            }
        }
        return all[all.length - 1];
    }
}
