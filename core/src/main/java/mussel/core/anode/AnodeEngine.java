package mussel.core.anode;

import java.util.OptionalDouble;
import mussel.core.anode.AnodeResult.Verdict;

/** How long an anode lasts at the rate it went so far. */
public final class AnodeEngine {
    private static final double NEW_PCT = 100;

    private AnodeEngine() {}

    /**
     * What went so far goes on at the same rate: the current between leg and anode hardly changes, and the metal that goes is in proportion to it
     * (Faraday's law of electrolysis). The uncertainty is that of the share as it was seen.
     */
    public static AnodeResult run(AnodeInput in) {
        OptionalDouble rate = in.months().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of((NEW_PCT - in.leftPct()) / in.months().getAsDouble());
        OptionalDouble low = monthsLeft(in, in.leftPct() - in.uPct());
        OptionalDouble high = monthsLeft(in, in.leftPct() + in.uPct());
        return new AnodeResult(rate, monthsLeft(in, in.leftPct()), low, high, verdict(in, low, high));
    }

    private static OptionalDouble monthsLeft(AnodeInput in, double left) {
        if (in.months().isEmpty() || left >= NEW_PCT) {
            return OptionalDouble.empty();
        }
        double above = Math.max(0, left - in.renewAtPct());
        return OptionalDouble.of(above * in.months().getAsDouble() / (NEW_PCT - left));
    }

    private static Verdict verdict(AnodeInput in, OptionalDouble low, OptionalDouble high) {
        if (in.leftPct() <= in.renewAtPct()) {
            return Verdict.RENEW;
        }
        if (low.isEmpty() || low.getAsDouble() >= in.nextMonths()) {
            return Verdict.KEEP;
        }
        return high.isPresent() && high.getAsDouble() < in.nextMonths() ? Verdict.RENEW_EARLY : Verdict.LOOK_EARLIER;
    }
}
