package mussel.core.shim;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import org.hipparchus.util.ArithmeticUtils;

/** Shims in sentences. */
public final class ShimWords {
    private static final Messages TEXT = Messages.of(ShimWords.class);

    private ShimWords() {}

    /** What to do with a pinion's shim. */
    public static List<String> pinion(PinionInput in, PinionResult out) {
        List<String> notes = new ArrayList<>();
        notes.add(TEXT.get(
                out.shimMm() <= 0 ? "pinion.impossible" : "pinion", shim(out.shimMm(), List.of()), mm(out.heightMm())));
        notes.add(
                TEXT.get(out.spreadOk() ? "spread.ok" : "heights.spread", mm(out.spreadMm()), mm(in.spreadLimitMm())));
        if (in.marks().isEmpty()) {
            notes.add(TEXT.get("no.marks"));
        }
        notes.add(TEXT.get("order"));
        return List.copyOf(notes);
    }

    /** What to do with a lash. */
    public static List<String> lash(LashInput in, LashResult out) {
        List<String> notes = new ArrayList<>();
        if (out.advice() == LashResult.Advice.READ_AGAIN) {
            notes.add(TEXT.get("lash.none"));
            return List.copyOf(notes);
        }
        notes.add(TEXT.get(
                out.inWindow() ? "lash.in" : "lash.out",
                mm(out.lashMm()),
                mm(in.windowMm().get(0)),
                mm(in.windowMm().get(1))));
        notes.add(TEXT.get(out.spreadOk() ? "spread.ok" : "lash.spread", mm(out.spreadMm()), mm(in.spreadLimitMm())));
        if (out.nearBound()) {
            notes.add(TEXT.get("lash.near"));
        }
        if (out.advice() == LashResult.Advice.LEAVE) {
            notes.add(TEXT.get("lash.leave"));
            return List.copyOf(notes);
        }
        double shim = out.shimMm().orElseThrow();
        double change = out.changeMm().orElseThrow();
        if (shim <= 0) {
            notes.add(TEXT.get("shim.impossible", shim(shim, in.drawer())));
        } else {
            notes.add(TEXT.get(
                    "shim",
                    shim(shim, in.drawer()),
                    shim(Math.abs(change), in.drawer()),
                    TEXT.get(change < 0 ? "thinner" : "thicker")));
        }
        out.stack().ifPresent(stack -> {
            notes.add(stack(stack));
            notes.add(TEXT.get(
                    "chance",
                    String.valueOf(Math.round(100 * out.pInWindow().orElse(0))),
                    mm(out.predictedLashMm().orElse(0))));
        });
        if (out.pInWindow().orElse(1) < 0.8) {
            notes.add(TEXT.get("raise"));
        }
        return List.copyOf(notes);
    }

    /** Why the pinion's shim is what it is. */
    public static Explanation whyPinion(PinionInput in, PinionResult out) {
        List<InputLine> lines = new ArrayList<>();
        lines.add(new InputLine(
                TEXT.get("shim_words.constant"), mm(in.constantMm()), TEXT.get("shim_words.family_sheet")));
        in.marks()
                .forEach(m -> lines.add(new InputLine(
                        m.name(),
                        String.format(Locale.ROOT, "%+.0f hundredths × %+.1f", m.hundredths(), m.coefficient()),
                        TEXT.get("shim_words.read_at_the_bench_coefficient_from"))));
        lines.add(new InputLine(
                TEXT.get("shim_words.mean_of_heights", in.heightsMm().size()),
                mm(out.heightMm()),
                TEXT.get("shim_words.read_at_the_bench")));
        return new Explanation(
                TEXT.get("why.pinion.title"),
                shim(out.shimMm(), List.of()),
                TEXT.get("why.pinion.formula"),
                lines,
                TEXT.get("why.pinion.source"),
                TEXT.get("why.pinion.u", mm(out.spreadMm())),
                TEXT.get("why.pinion.change"));
    }

    /** Why a gear's shim is what it is. */
    public static Explanation whyLash(LashInput in, LashResult out) {
        return new Explanation(
                TEXT.get("why.lash.title"),
                out.shimMm().isPresent() ? shim(out.shimMm().getAsDouble(), in.drawer()) : TEXT.get("lash.none"),
                TEXT.get("why.lash.formula"),
                List.of(
                        new InputLine(
                                TEXT.get(
                                        "shim_words.mean_of_readings_at_the_pitch",
                                        in.readingsMm().size()),
                                mm(out.lashMm()),
                                TEXT.get(
                                        "shim_words.reading_pitch_radius_arm",
                                        mm(in.armPitchRadiusMm()),
                                        (in.armOn() == LashInput.ArmOn.DRIVESHAFT
                                                ? TEXT.get("shim_words.of_the_pinion_the_arm_sits")
                                                : TEXT.get("shim_words.of_the_gear")),
                                        mm(in.armMm()))),
                        new InputLine(
                                TEXT.get("shim_words.window"),
                                TEXT.get(
                                        "shim_words.to",
                                        mm(in.windowMm().get(0)),
                                        mm(in.windowMm().get(1))),
                                TEXT.get("shim_words.family_sheet")),
                        new InputLine(
                                TEXT.get("shim_words.factor_lash_for_shim"),
                                String.format(Locale.ROOT, "%.3f", out.factor()),
                                in.factor().isPresent()
                                        ? TEXT.get("shim_words.family_sheet")
                                        : TEXT.get("shim_words.from_teeth_and_angles_of_the")),
                        new InputLine(
                                TEXT.get("shim_words.shims_that_were_in"),
                                mm(in.presentShimMm()),
                                TEXT.get("shim_words.read_at_the_bench"))),
                TEXT.get("why.lash.source"),
                TEXT.get("why.lash.u", mm(in.uIndicatorMm()), mm(in.uShimMm())),
                TEXT.get("why.lash.change"));
    }

    /** A stack and how far it is off. */
    public static String stack(StackResult out) {
        if (out.pieces().isEmpty()) {
            return TEXT.get(out.feasible() ? "stack.none" : "stack.nothing", mm(out.errorMm()));
        }
        String pieces =
                out.pieces().stream().map(p -> p.count() + " × " + mm(p.mm())).collect(Collectors.joining(" + "));
        return TEXT.get(out.feasible() ? "stack" : "stack.off", pieces, mm(out.thicknessMm()), mm(out.errorMm()));
    }

    /** A thickness to the step of the drawer: what no stack of it can be is not said. Hundredths where there is no drawer. */
    private static String shim(double mm, List<Shim> drawer) {
        int step = drawer.stream()
                .filter(s -> s.count() > 0)
                .mapToInt(Shim::micrometres)
                .reduce(0, ArithmeticUtils::gcd);
        double of = Math.max(10, step) / 1_000.0;
        double said = Math.rint(mm / of) * of;
        return String.format(Locale.ROOT, step % 10 == 0 ? "%.2f mm" : "%.3f mm", said);
    }

    private static String mm(double value) {
        return String.format(Locale.ROOT, "%.3f mm", value);
    }
}
