package mussel.core.simulated;

import java.util.SplittableRandom;
import mussel.core.instrument.TorqueWrench;
import mussel.core.language.Messages;

/**
 * A torque wrench on a practice bolt: its own error, the same at every pull, within its accuracy; the hand that pulls a little through the
 * click or stops short of it; and a dial that shows tenths.
 */
public final class SimulatedTorqueWrench implements TorqueWrench {
    private static final Messages TEXT = Messages.of(SimulatedTorqueWrench.class);

    private static final double HAND = 0.012;
    private static final double DIAL_NM = 0.1;

    private final SplittableRandom random;
    private final double bias;

    /** A wrench; the seed decides what chance decides. */
    public SimulatedTorqueWrench(long seed) {
        random = new SplittableRandom(seed);
        bias = 0.5 * (2 * random.nextDouble() - 1);
    }

    @Override
    public String name() {
        return TEXT.get("simulated_torque_wrench.simulated_torque_wrench");
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public double pull(double settingNm, double accuracy) {
        double reached = settingNm * (1 + bias * accuracy + HAND * random.nextGaussian());
        return Math.max(0, Math.round(reached / DIAL_NM) * DIAL_NM);
    }
}
