package mussel.core.propeller;

import java.util.ArrayList;
import java.util.List;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;

/**
 * Run-out in sentences.
 *
 * @param in what was read
 * @param out what the engine says
 * @param units the units lengths are read in
 */
public record RunoutWords(RunoutInput in, RunoutResult out, YardUnits units) {
    private static final Messages TEXT = Messages.of(RunoutWords.class);

    /** What it means and what to do, the most important first. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        String limit = TEXT.get(out.limitAssumed() ? "limit.usual" : "limit.manual", mm(out.limitMm()));
        notes.add(TEXT.get("runout." + NamedBy.file(out.verdict()), mm(out.runoutMm()), limit));
        if (out.verdict() == RunoutResult.Verdict.UNDECIDED && in.playMm() > 0) {
            notes.add(TEXT.get("play", mm(in.playMm())));
        }
        notes.add(TEXT.get("do." + NamedBy.file(out.verdict())));
        return List.copyOf(notes);
    }

    /** That the marks contradict each other. */
    public static String swapped() {
        return TEXT.get("swapped");
    }

    /** Why the verdict is what it is. */
    public Explanation why() {
        List<InputLine> lines = List.of(
                new InputLine(TEXT.get("why.highest"), mm(in.highestMm()), TEXT.get("why.read")),
                new InputLine(TEXT.get("why.lowest"), mm(in.lowestMm()), TEXT.get("why.read")),
                new InputLine(TEXT.get("why.play"), mm(in.playMm()), TEXT.get("why.read")),
                new InputLine(
                        TEXT.get("why.limit"),
                        mm(out.limitMm()),
                        TEXT.get(out.limitAssumed() ? "why.usual" : "why.manual")));
        return new Explanation(
                TEXT.get("why.title"),
                mm(out.runoutMm()),
                TEXT.get("why.formula"),
                lines,
                TEXT.get("why.source"),
                TEXT.get("why.u", mm(out.uMm())),
                TEXT.get("why.change"));
    }

    private String mm(double value) {
        return Display.exact(Kind.LENGTH, value, units);
    }
}
