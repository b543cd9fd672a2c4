package mussel.core.job;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.leak.LeakEngine;
import mussel.core.leak.LeakInput;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakResult;
import mussel.core.leak.LeakWords;
import mussel.core.leak.Stage;
import mussel.core.measure.Explanation;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.LeakTest;

/**
 * A hold judged against the family's sheet.
 *
 * @param hold the hold
 * @param limits what the sheet asks for; empty where nobody has read it in the manual: then the hold is drawn and not judged
 * @param input what the leak engine was fed
 * @param problems what keeps it from judging; empty when it judged
 * @param result what it proves
 */
public record HeldTest(
        Hold hold,
        Optional<LeakTest.Limits> limits,
        LeakInput input,
        List<Problem> problems,
        Optional<LeakResult> result) {
    private static final Messages TEXT = Messages.of(HeldTest.class);

    /** The standard atmosphere, taken where no barometer was read (ISO 2533, kPa). */
    public static final double STANDARD_BAROMETER_KPA = 101.325;

    private static final double THERMOMETER_STEP = 0.1;
    private static final double SETTLE_S = 30;
    private static final double DRAWN_MIN = 5;

    /** Judges a hold. */
    public static HeldTest of(Hold hold, LeakTest test, OptionalDouble barometerKpa) {
        Optional<LeakTest.Limits> limits = test.of(hold.mode());
        double begun =
                Math.abs(hold.readings().isEmpty() ? 1 : hold.readings().get(0).gaugeKpa());
        LeakInput input = new LeakInput(
                hold.mode(),
                test.airMl(),
                barometerKpa.orElse(STANDARD_BAROMETER_KPA),
                limits.map(LeakTest.Limits::startKpa).orElse(hold.mode() == LeakMode.PRESSURE ? begun : -begun),
                limits.map(LeakTest.Limits::holdMin).orElse(DRAWN_MIN),
                limits.map(LeakTest.Limits::allowedDropKpa).orElse(begun / 2),
                hold.gaugeStepKpa(),
                THERMOMETER_STEP,
                SETTLE_S,
                hold.readings());
        Problems found = new Problems();
        if (limits.isEmpty()) {
            found.at("", TEXT.get("held_test.are_not_judged_the_sheet_of"));
        } else {
            input.check(found, "");
        }
        Optional<LeakResult> result = found.none() ? Optional.of(LeakEngine.run(input)) : Optional.empty();
        return new HeldTest(hold, limits, input, found.list(), result);
    }

    /** The result in words. */
    public Optional<LeakWords> words(YardUnits units) {
        return result.map(r -> new LeakWords(input, r, units));
    }

    /** Why the drop is what it is, where the air space may be an estimate for a leg of its size. */
    public Optional<Explanation> why(YardUnits units, boolean airEstimated) {
        return result.map(r -> new LeakWords(input, r, units, airEstimated).why());
    }

    /** Whether a reading stood beyond what the sheet allows for this leg at all. */
    public boolean beyondLimit() {
        return limits.isPresent()
                && hold.readings().stream()
                        .anyMatch(r ->
                                Math.abs(r.gaugeKpa()) > Math.abs(limits.get().limitKpa()));
    }

    /** What it is as a finding; nothing while it is undecided. */
    public Optional<String> finding() {
        return result.flatMap(r -> switch (r.verdict()) {
            case TIGHT -> Optional.of("tight");
            case LEAKING -> Optional.of(new LeakWords(input, r, YardUnits.METRIC).fast() ? "fast" : "slow");
            case UNDECIDED -> Optional.empty();
        });
    }

    /** Whether the hold is over: decided, or the manual's own test met. */
    public boolean over() {
        return finding().isPresent()
                || result.filter(r -> r.manual().verdict() == LeakResult.Answer.MET)
                        .isPresent();
    }

    /** The finding a stage makes when it leaks more. */
    public static Optional<String> findingOf(Stage stage) {
        return switch (stage) {
            case STILL -> Optional.empty();
            case DRIVESHAFT -> Optional.of("worse_turning_driveshaft");
            case PROPSHAFT -> Optional.of("worse_turning_propshaft");
            case SIDE_LOAD -> Optional.of("worse_side_load");
            case SHIFT -> Optional.of("worse_shifting");
        };
    }
}
