package mussel.core.simulated;

import java.util.SplittableRandom;
import mussel.core.instrument.DialIndicator;
import mussel.core.language.Messages;

/**
 * A dial indicator on a practice gear set. Hidden in it: the shim that would put the lash in the middle, some tenths from what was found;
 * a run-out that goes once around; the seat of the race, a little different at each assembly; a hand that reads to a hundredth.
 */
public final class SimulatedDialIndicator implements DialIndicator {
    private static final Messages TEXT = Messages.of(SimulatedDialIndicator.class);

    /** Off by this much at least, so that there is something to shim. */
    private static final double LEAST_OFF_MM = 0.2;

    private static final double OFF_MM = 0.15;
    private static final double RUN_OUT_MM = 0.012;
    private static final double SEAT_MM = 0.006;
    private static final double HAND_MM = 0.004;
    private static final double DIAL_MM = 0.01;

    private final long seed;

    /** An indicator on a gear set; the seed decides what chance decides. */
    public SimulatedDialIndicator(long seed) {
        this.seed = seed;
    }

    @Override
    public String name() {
        return TEXT.get("simulated_dial_indicator.simulated_dial_indicator");
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public double read(Gear gear, int place, int places) {
        SplittableRandom set = new SplittableRandom(seed);
        double off = 2 * set.nextDouble() - 1;
        double ideal = Math.max(0, gear.foundMm() + Math.copySign(LEAST_OFF_MM, off) + OFF_MM * off);
        double phase = 2 * Math.PI * set.nextDouble();
        SplittableRandom assembled = new SplittableRandom(seed ^ Math.round(gear.inMm() * 1_000));
        double seat = SEAT_MM * assembled.nextGaussian();
        double lash = gear.middleMm() + gear.factor() * (gear.inMm() - ideal) + seat;
        double around = RUN_OUT_MM * Math.sin(phase + 2 * Math.PI * (place - 1) / places);
        SplittableRandom hand = new SplittableRandom(seed + 31L * place + Math.round(gear.inMm() * 1_000));
        double atArm = (lash + around) * gear.armMm() / gear.pitchRadiusMm() + HAND_MM * hand.nextGaussian();
        return Math.max(0, Math.round(atArm / DIAL_MM) * DIAL_MM);
    }
}
