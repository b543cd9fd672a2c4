package mussel.core.fill;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;

/** The fill's result in sentences. */
public final class FillWords {
    private static final Messages TEXT = Messages.of(FillWords.class);

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
        notes.add(TEXT.get("need", volume(out.needMl())));
        for (FillResult.Use use : out.use()) {
            if (use.buy() > 0) {
                notes.add(TEXT.get("pour.buy", String.valueOf(use.buy()), use.name()));
            }
        }
        notes.add(leave());
        if (out.missingMl() > 0) {
            notes.add(missing());
        }
        out.check().ifPresent(c -> notes.add(check()));
        notes.add(TEXT.get("outranks"));
        return List.copyOf(notes);
    }

    /** That nothing is bought for what may be missing. */
    private String missing() {
        return TEXT.get("missing", volume(Math.max(1, Math.rint(out.missingMl()))));
    }

    /** Where to stop. */
    public String leave() {
        if (out.leaveIn().isEmpty()) {
            return TEXT.get("pour.none");
        }
        String bottle = out.leaveIn().get();
        return out.leaveMl() < 0.5
                ? TEXT.get("pour.empty", bottle)
                : TEXT.get("pour.leave", volume(out.leaveMl()), bottle);
    }

    /** What the pumped volume means; empty where nothing was pumped yet. */
    public String check() {
        if (out.check().isEmpty()) {
            return "";
        }
        double expected = in.capacityMl() - in.residualMl();
        double pumped = in.pumpedMl().orElse(0);
        return TEXT.get(
                "check." + out.check().get().name().toLowerCase(Locale.ROOT),
                Display.exact(Kind.VOLUME, pumped, units),
                volume(expected),
                volume(Math.abs(pumped - expected)));
    }

    /** Why so much is needed. */
    public Explanation whyNeed() {
        return new Explanation(
                TEXT.get("why.title"),
                volume(out.needMl()),
                TEXT.get("why.formula"),
                List.of(
                        new InputLine(
                                TEXT.get("fill_words.capacity"),
                                volume(in.capacityMl()),
                                TEXT.get("fill_words.family_sheet")),
                        new InputLine(
                                TEXT.get("fill_words.still_inside"),
                                volume(in.residualMl()),
                                TEXT.get("fill_words.the_drains_estimate")),
                        new InputLine(TEXT.get("fill_words.purge"), volume(in.purgeMl()), "yard's own"),
                        new InputLine(TEXT.get("fill_words.spill"), volume(in.spillMl()), "yard's own")),
                TEXT.get("why.source"),
                TEXT.get("why.u"),
                TEXT.get("why.change"));
    }

    private String volume(double ml) {
        return Display.estimate(Kind.VOLUME, ml, units);
    }
}
