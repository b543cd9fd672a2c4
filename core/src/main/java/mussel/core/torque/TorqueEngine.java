package mussel.core.torque;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.torque.TorqueInput.Aim;
import mussel.core.torque.TorqueInput.Wrench;
import mussel.core.torque.TorqueResult.Choice;
import mussel.core.torque.TorqueResult.Refused;
import mussel.core.torque.TorqueResult.StageTorque;
import mussel.core.torque.TorqueResult.Target;

/** From the sheet's range to the wrench in the hand. A pure function of its input. */
public final class TorqueEngine {
    /** Below this share of its largest setting a wrench is not trusted. */
    static final double LEAST_SHARE = 0.2;
    /** Above this share of the proof load a bolt is overloaded. */
    static final double MOST_PROOF = 0.9;
    /** Below this share of the proof load a joint hardly clamps. */
    static final double LEAST_PROOF = 0.05;

    /** The clamp a torque makes is known to a quarter at best: this much of it is sure. */
    private static final double SURE_CLAMP = 0.75;

    private static final double SLIP = 12;
    private static final double ROUNDING = 1e-9;
    private static final Messages TEXT = Messages.of(TorqueEngine.class);

    private final TorqueInput in;
    private final double lowNm;
    private final double highNm;

    private TorqueEngine(TorqueInput in) {
        this.in = in;
        double prevailing = in.prevailingNm().orElse(0);
        this.lowNm = in.lowNm() + prevailing;
        this.highNm = in.highNm() + prevailing;
    }

    /** Computes the torque; the input has been checked. */
    public static TorqueResult run(TorqueInput in) {
        return new TorqueEngine(in).result();
    }

    private TorqueResult result() {
        double target = target();
        Optional<ScrewThread> thread = in.thread().flatMap(ScrewThread::read);
        OptionalDouble clamp = thread.isPresent()
                ? OptionalDouble.of(
                        target / (in.condition().nutFactor() * thread.get().diameterMm()))
                : OptionalDouble.empty();
        boolean unitAsked = clamp.isPresent() && clamp.getAsDouble() * SURE_CLAMP > most(thread.get());
        List<Choice> qualified = new ArrayList<>();
        for (Wrench wrench : in.wrenches()) {
            Optional.of(wrench).filter(w -> !unitAsked).flatMap(this::setting).ifPresent(qualified::add);
        }
        Optional<Choice> best = qualified.stream()
                .min(Comparator.comparingDouble((Choice c) -> Math.round(c.band() / ROUNDING) * ROUNDING)
                        .thenComparingDouble(c -> stepNm(c.wrench())));
        Optional<TorqueResult.Nearest> nearest = best.isPresent() || unitAsked ? Optional.empty() : nearest();
        List<Refused> refused = new ArrayList<>();
        for (Wrench wrench : in.wrenches()) {
            if (best.isEmpty() || !best.get().wrench().equals(wrench.id())) {
                refused.add(
                        new Refused(wrench.id(), unitAsked ? TEXT.get("unit.first") : why(wrench, qualified, best)));
            }
        }
        OptionalDouble share = clamp.isPresent() && in.strength().isPresent()
                ? OptionalDouble.of(clamp.getAsDouble()
                        / proofKn(thread.get(), in.strength().get()))
                : OptionalDouble.empty();
        return new TorqueResult(
                Target.of(target),
                best,
                nearest,
                unitAsked,
                refused,
                in.stages().stream().map(s -> stage(s, target, best)).toList(),
                in.places().isEmpty()
                        ? BoltOrder.of(
                                in.layout(), in.count(), (int) in.columns().orElse(in.count()))
                        : BoltOrder.of(in.places()),
                share.isPresent() ? clamp : OptionalDouble.empty(),
                share,
                warnings(share, nearest, unitAsked));
    }

    /** What the sheet's aim is (N·m), without what a locknut takes. */
    private double target() {
        double low = in.unit().toNm(in.low());
        double high = in.unit().toNm(in.high());
        return in.aim() == Aim.LOW ? low : in.aim() == Aim.HIGH ? high : (low + high) / 2;
    }

    /** The most such a bolt holds (kN): its proof load, or that of the strongest class there is where its own is not known. */
    private double most(ScrewThread thread) {
        double mpa = in.strength().map(s -> s.proofMpa(thread.diameterMm())).orElse(Strength.STRONGEST_MPA);
        return mpa * thread.stressAreaMm2() / 1_000;
    }

    private static double proofKn(ScrewThread thread, Strength strength) {
        return strength.proofMpa(thread.diameterMm()) * thread.stressAreaMm2() / 1_000;
    }

    private double stepNm(String id) {
        Wrench wrench = in.wrenches().stream()
                .filter(w -> w.id().equals(id))
                .findFirst()
                .orElseThrow();
        return wrench.unit().toNm(wrench.step());
    }

    /** The setting of a wrench that keeps the range with its accuracy: of those that do the lowest, the highest or the one nearest the middle. */
    private Optional<Choice> setting(Wrench wrench) {
        double perDial = wrench.unit().toNm(1) * in.gain(wrench);
        double least = Math.max(wrench.min(), LEAST_SHARE * wrench.max());
        double from = Math.max(least, lowNm / (1 - wrench.accuracy()) / perDial) / wrench.step();
        double to = Math.min(wrench.max(), highNm / (1 + wrench.accuracy()) / perDial) / wrench.step();
        long lowest = (long) Math.ceil(from - ROUNDING);
        long highest = (long) Math.floor(to + ROUNDING);
        if (lowest > highest) {
            return Optional.empty();
        }
        long middle = Math.round((lowNm + highNm) / 2 / perDial / wrench.step());
        long steps =
                switch (in.aim()) {
                    case LOW -> lowest;
                    case HIGH -> highest;
                    case MIDDLE -> Math.max(lowest, Math.min(highest, middle));
                };
        return Optional.of(choice(wrench, steps, perDial)).filter(c -> qualifies(wrench, c, least));
    }

    private static Choice choice(Wrench wrench, long steps, double perDial) {
        double setting = Math.round(steps * wrench.step() / ROUNDING) * ROUNDING;
        double delivered = setting * perDial;
        return new Choice(
                wrench.id(),
                rounded(setting),
                wrench.unit(),
                delivered,
                delivered * (1 - wrench.accuracy()),
                delivered * (1 + wrench.accuracy()));
    }

    /** Free of the last bits that multiplying a step leaves behind. */
    private static double rounded(double setting) {
        return Math.round(setting * 1e9) / 1e9;
    }

    private boolean qualifies(Wrench wrench, Choice choice, double least) {
        double slack = ROUNDING * highNm;
        return choice.setting() >= least - ROUNDING
                && choice.setting() <= wrench.max() + ROUNDING
                && choice.lowNm() >= lowNm - slack
                && choice.highNm() <= highNm + slack;
    }

    private String why(Wrench wrench, List<Choice> qualified, Optional<Choice> best) {
        Optional<Choice> own =
                qualified.stream().filter(c -> c.wrench().equals(wrench.id())).findFirst();
        if (own.isPresent()) {
            double band = own.get().band();
            double least = best.orElseThrow().band();
            return band <= least + ROUNDING
                    ? TEXT.get(
                            "coarser",
                            figure(wrench.unit().toNm(wrench.step())),
                            figure(stepNm(best.get().wrench())))
                    : TEXT.get("wider", figure(band), figure(least));
        }
        double perDial = wrench.unit().toNm(1) * in.gain(wrench);
        double dial = (lowNm + highNm) / 2 / perDial;
        String unit = wrench.unit().symbol();
        if (dial > wrench.max()) {
            return TEXT.get("too.high", figure(dial), unit, figure(wrench.max()));
        }
        if (dial < wrench.min()) {
            return TEXT.get("too.low", figure(dial), unit, figure(wrench.min()));
        }
        if (dial < LEAST_SHARE * wrench.max()) {
            return TEXT.get("bottom", figure(dial), unit, figure(wrench.max()));
        }
        return TEXT.get("coarse", figure(miss(wrench)));
    }

    private Optional<TorqueResult.Nearest> nearest() {
        return in.wrenches().stream().map(this::nearest).min(Comparator.comparingDouble(TorqueResult.Nearest::missNm));
    }

    private double miss(Wrench wrench) {
        return nearest(wrench).missNm();
    }

    /** The setting of a wrench whose band leaves the range by the least. */
    private TorqueResult.Nearest nearest(Wrench wrench) {
        double perDial = wrench.unit().toNm(1) * in.gain(wrench);
        double dial = (lowNm + highNm) / 2 / perDial;
        double least = Math.max(wrench.min(), LEAST_SHARE * wrench.max());
        double held = Math.max(least, Math.min(wrench.max(), dial));
        Choice nearest = choice(wrench, Math.round(held / wrench.step()), perDial);
        double miss = Math.max(0, Math.max(lowNm - nearest.lowNm(), nearest.highNm() - highNm));
        return new TorqueResult.Nearest(nearest, miss);
    }

    private StageTorque stage(double share, double target, Optional<Choice> best) {
        double nm = target * share;
        if (best.isEmpty()) {
            return new StageTorque(share, nm, OptionalDouble.empty());
        }
        Wrench wrench = in.wrenches().stream()
                .filter(w -> w.id().equals(best.get().wrench()))
                .findFirst()
                .orElseThrow();
        double dial = share >= 1
                ? best.get().setting()
                : rounded(Math.round(best.get().setting() * share / wrench.step()) * wrench.step());
        boolean onDial = dial >= wrench.min() && dial > 0;
        return new StageTorque(share, nm, onDial ? OptionalDouble.of(dial) : OptionalDouble.empty());
    }

    private List<String> warnings(OptionalDouble share, Optional<TorqueResult.Nearest> nearest, boolean unitAsked) {
        List<String> warnings = new ArrayList<>();
        if (in.oneFigure()) {
            warnings.add(
                    TEXT.get("one.figure", figure(in.oneFigureShare() * 100), figure(in.lowNm()), figure(in.highNm())));
        }
        if (unitAsked && share.isEmpty()) {
            warnings.add(TEXT.get("unit.any"));
        }
        if (share.isPresent()) {
            double s = share.getAsDouble();
            String percent = String.valueOf(Math.round(100 * s));
            if (s > MOST_PROOF) {
                boolean slip = s / SLIP >= LEAST_PROOF && s / SLIP <= MOST_PROOF;
                warnings.add(TEXT.get(unitAsked ? "unit.own" : "proof.over", percent)
                        + (slip ? " " + TEXT.get("slip.over") : ""));
            } else if (s < LEAST_PROOF) {
                boolean slip = s * SLIP >= LEAST_PROOF && s * SLIP <= MOST_PROOF;
                warnings.add(TEXT.get("proof.under", percent) + (slip ? " " + TEXT.get("slip.under") : ""));
            }
        }
        nearest.ifPresent(n -> warnings.add(TEXT.get(
                "none",
                n.choice().wrench(),
                Display.significant(n.choice().setting()),
                n.choice().unit().symbol(),
                figure(n.choice().deliveredNm()),
                figure(n.choice().lowNm()),
                figure(n.choice().highNm()),
                figure(n.missNm()))));
        return warnings;
    }

    private static String figure(double value) {
        return String.format(Locale.ROOT, Math.abs(value) < 10 ? "%.2f" : "%.1f", value);
    }
}
