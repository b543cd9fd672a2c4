package mussel.core.shim;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import mussel.core.measure.Sentences;

/** Shims in sentences. */
public final class ShimWords {
    private static final Sentences SAY = Sentences.beside(ShimWords.class);

    private ShimWords() {}

    /** What to do with a pinion's shim. */
    public static List<String> pinion(PinionInput in, PinionResult out) {
        List<String> notes = new ArrayList<>();
        notes.add(SAY.say(out.shimMm() <= 0 ? "pinion.impossible" : "pinion", mm(out.shimMm()), mm(out.heightMm())));
        notes.add(SAY.say(out.spreadOk() ? "spread.ok" : "heights.spread", mm(out.spreadMm()), mm(in.spreadLimitMm())));
        if (in.marks().isEmpty()) {
            notes.add(SAY.say("no.marks"));
        }
        notes.add(SAY.say("order"));
        return List.copyOf(notes);
    }

    /** What to do with a lash. */
    public static List<String> lash(LashInput in, LashResult out) {
        List<String> notes = new ArrayList<>();
        notes.add(SAY.say(
                out.inWindow() ? "lash.in" : "lash.out",
                mm(out.lashMm()),
                mm(in.windowMm().get(0)),
                mm(in.windowMm().get(1))));
        notes.add(SAY.say(out.spreadOk() ? "spread.ok" : "lash.spread", mm(out.spreadMm()), mm(in.spreadLimitMm())));
        if (out.shimMm() <= 0) {
            notes.add(SAY.say("shim.impossible", mm(out.shimMm())));
        } else {
            notes.add(SAY.say(
                    "shim",
                    mm(out.shimMm()),
                    mm(Math.abs(out.changeMm())),
                    SAY.say(out.changeMm() < 0 ? "thinner" : "thicker")));
        }
        out.stack().ifPresent(stack -> {
            notes.add(stack(stack));
            notes.add(SAY.say(
                    "chance",
                    String.valueOf(Math.round(100 * out.pInWindow().orElse(0))),
                    mm(out.predictedLashMm().orElse(0))));
        });
        if (out.pInWindow().orElse(1) < 0.8) {
            notes.add(SAY.say("raise"));
        }
        return List.copyOf(notes);
    }

    /** A stack and how far it is off. */
    public static String stack(StackResult out) {
        if (out.pieces().isEmpty()) {
            return SAY.say(out.feasible() ? "stack.none" : "stack.nothing", mm(out.errorMm()));
        }
        String pieces =
                out.pieces().stream().map(p -> p.count() + " × " + mm(p.mm())).collect(Collectors.joining(" + "));
        return SAY.say(out.feasible() ? "stack" : "stack.off", pieces, mm(out.thicknessMm()), mm(out.errorMm()));
    }

    private static String mm(double value) {
        return String.format(Locale.ROOT, "%.3f mm", value);
    }
}
