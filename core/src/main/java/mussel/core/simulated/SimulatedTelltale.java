package mussel.core.simulated;

import java.util.SplittableRandom;
import mussel.core.instrument.Telltale;
import mussel.core.language.Messages;

/**
 * A bucket under a practice engine's telltale, and a hand at the stopwatch: the flow of the pump it is given, the scatter of a stream, and
 * a thumb that is a few tenths of a second off.
 */
public final class SimulatedTelltale implements Telltale {
    private static final Messages TEXT = Messages.of(SimulatedTelltale.class);

    private static final double STREAM_SCATTER = 0.03;
    private static final double THUMB_S = 0.3;
    private static final double MARK_L = 0.05;

    private final SplittableRandom random;

    /** A telltale; the seed decides what chance decides. */
    public SimulatedTelltale(long seed) {
        random = new SplittableRandom(seed);
    }

    @Override
    public String name() {
        return TEXT.get("simulated_telltale.simulated_bucket_and_stopwatch");
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public Caught fill(double litres, double flowLMin) {
        double flow = Math.max(0.01, flowLMin * (1 + STREAM_SCATTER * random.nextGaussian()));
        double seconds = Math.max(1, litres / flow * 60 + THUMB_S * random.nextGaussian());
        double read = Math.max(MARK_L, Math.round(litres / MARK_L) * MARK_L);
        return new Caught(read, Math.round(seconds * 10) / 10.0);
    }
}
