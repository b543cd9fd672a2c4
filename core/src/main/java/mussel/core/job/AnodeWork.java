package mussel.core.job;

import java.util.Optional;
import mussel.core.anode.AnodeEngine;
import mussel.core.anode.AnodeInput;
import mussel.core.anode.AnodeResult;
import mussel.core.anode.AnodeResult.Verdict;
import mussel.core.anode.AnodeWords;
import mussel.core.visit.EngineSideItem;

/**
 * An anode of a job that was looked at.
 *
 * @param anode which, by its id
 * @param in what was seen
 * @param out how long it lasts
 */
public record AnodeWork(String anode, AnodeInput in, AnodeResult out) {
    private static final double RENEW_AT_PCT = 50;
    private static final double BY_EYE_PCT = 10;

    /** An anode once somebody said what is left of it. */
    public static Optional<AnodeWork> of(Job job, String anode) {
        return job.reading(Field.ANODE_LEFT.of(anode)).stream()
                .mapToObj(left -> new AnodeInput(
                        left,
                        job.reading(Field.ANODE_MONTHS),
                        RENEW_AT_PCT,
                        EngineSideItem.ANODES.months(),
                        BY_EYE_PCT))
                .map(in -> new AnodeWork(anode, in, AnodeEngine.run(in)))
                .findFirst();
    }

    /** Whether it is renewed in this visit. */
    public boolean renew() {
        return out.verdict() == Verdict.RENEW || out.verdict() == Verdict.RENEW_EARLY;
    }

    /** Whether it calls for more than to be looked at when its time comes. */
    public boolean calls() {
        return out.verdict() != Verdict.KEEP;
    }

    /** What it comes to, in a line. */
    public String says() {
        return new AnodeWords(in, out).line(anode);
    }
}
