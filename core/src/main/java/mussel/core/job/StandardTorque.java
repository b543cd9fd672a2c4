package mussel.core.job;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.sheet.Fastener;
import mussel.core.torque.ScrewThread;
import mussel.core.torque.Strength;
import mussel.core.torque.TorqueInput.Condition;

/**
 * What a standard allows a thread whose torque nobody has read in a manual: an upper bound, and no maker's figure.
 */
final class StandardTorque {
    /** The share of the proof load a joint that is opened again is tightened to: Shigley, Mechanical Engineering Design, equation 8-31. */
    private static final double SHARE_OF_PROOF = 0.75;

    private static final Messages TEXT = Messages.of(StandardTorque.class);

    private StandardTorque() {}

    /**
     * The most a fastener is tightened to by its thread and strength class (N·m): T = K F d with F three quarters of the proof load, stress area and proof
     * stress by ISO 898-1 or ISO 3506-1. Empty where thread or class are not known.
     */
    static Optional<Double> mostNm(Fastener fastener) {
        Optional<Strength> strength = Stream.of(Strength.values())
                .filter(s -> s.file().equals(fastener.strength()))
                .findFirst();
        return ScrewThread.read(fastener.thread())
                .flatMap(thread -> strength.map(s -> {
                    double clampKn = SHARE_OF_PROOF * s.proofMpa(thread.diameterMm()) * thread.stressAreaMm2() / 1_000;
                    return condition(fastener).nutFactor() * clampKn * thread.diameterMm();
                }));
    }

    private static Condition condition(Fastener fastener) {
        return Condition.valueOf(fastener.wetted().name());
    }

    /** What goes for a fastener until its torque was read, in a sentence; empty where thread or class are not known. */
    static String meanwhile(Fastener fastener) {
        return mostNm(fastener)
                .map(nm -> TEXT.get(
                        "standard.torque",
                        fastener.thread(),
                        fastener.strength(),
                        condition(fastener).name().toLowerCase(Locale.ROOT),
                        nm < 10 ? String.format(Locale.ROOT, "%.1f", nm) : String.valueOf(Math.round(nm))))
                .orElse("");
    }
}
