package mussel.core.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.Sentences;
import mussel.core.measure.YardUnits;

/** The fill's result in sentences. */
public final class FillWords {
    private static final Sentences SAY = Sentences.beside(FillWords.class);

    private final FillInput in;
    private final FillResult out;
    private final YardUnits units;

    /** Words for one result, in the yard's units. */
    public FillWords(FillInput in, FillResult out, YardUnits units) {
        this.in = in;
        this.out = out;
        this.units = units;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(SAY.say("need", volume(out.needMl())));
        for (FillResult.Use use : out.use()) {
            if (use.buy() > 0) {
                notes.add(SAY.say("pour.buy", String.valueOf(use.buy()), use.name()));
            }
        }
        notes.add(leave());
        if (out.missingMl() > 0) {
            notes.add(missing());
        }
        out.check().ifPresent(c -> notes.add(check()));
        notes.add(SAY.say("outranks"));
        return List.copyOf(notes);
    }

    /** That nothing is bought for what may be missing. */
    private String missing() {
        return SAY.say("missing", volume(Math.max(1, Math.rint(out.missingMl()))));
    }

    /** Where to stop. */
    public String leave() {
        if (out.leaveIn().isEmpty()) {
            return SAY.say("pour.none");
        }
        String bottle = out.leaveIn().get();
        return out.leaveMl() < 0.5
                ? SAY.say("pour.empty", bottle)
                : SAY.say("pour.leave", volume(out.leaveMl()), bottle);
    }

    /** What the pumped volume means; empty where nothing was pumped yet. */
    public String check() {
        if (out.check().isEmpty()) {
            return "";
        }
        double expected = in.capacityMl() - in.residualMl();
        double pumped = in.pumpedMl().orElse(0);
        return SAY.say(
                "check." + out.check().get().name().toLowerCase(Locale.ROOT),
                Display.exact(Kind.VOLUME, pumped, units),
                volume(expected),
                volume(Math.abs(pumped - expected)));
    }

    /** Why so much is needed. */
    public Explanation whyNeed() {
        return new Explanation(
                SAY.say("why.title"),
                volume(out.needMl()),
                SAY.say("why.formula"),
                List.of(
                        new InputLine("capacity", volume(in.capacityMl()), "family sheet"),
                        new InputLine("still inside", volume(in.residualMl()), "the drain's estimate"),
                        new InputLine("purge", volume(in.purgeMl()), "yard's own"),
                        new InputLine("spill", volume(in.spillMl()), "yard's own")),
                SAY.say("why.source"),
                SAY.say("why.u"),
                SAY.say("why.change"));
    }

    private String volume(double ml) {
        return Display.estimate(Kind.VOLUME, ml, units);
    }
}
