package mussel.core.propeller;

import java.util.ArrayList;
import java.util.List;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.measure.Kind;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Sentences;
import mussel.core.measure.YardUnits;

/**
 * Run-out in sentences.
 *
 * @param in what was read
 * @param out what the engine says
 * @param units the units lengths are read in
 */
public record RunoutWords(RunoutInput in, RunoutResult out, YardUnits units) {
    private static final Sentences SAY = Sentences.beside(RunoutWords.class);

    /** What it means and what to do, the most important first. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        String limit = SAY.say(out.limitAssumed() ? "limit.usual" : "limit.manual", mm(out.limitMm()));
        notes.add(SAY.say("runout." + NamedBy.file(out.verdict()), mm(out.runoutMm()), limit));
        if (out.verdict() == RunoutResult.Verdict.UNDECIDED && in.playMm() > 0) {
            notes.add(SAY.say("play", mm(in.playMm())));
        }
        notes.add(SAY.say("do." + NamedBy.file(out.verdict())));
        return List.copyOf(notes);
    }

    /** That the marks contradict each other. */
    public static String swapped() {
        return SAY.say("swapped");
    }

    /** Why the verdict is what it is. */
    public Explanation why() {
        List<InputLine> lines = List.of(
                new InputLine(SAY.say("why.highest"), mm(in.highestMm()), SAY.say("why.read")),
                new InputLine(SAY.say("why.lowest"), mm(in.lowestMm()), SAY.say("why.read")),
                new InputLine(SAY.say("why.play"), mm(in.playMm()), SAY.say("why.read")),
                new InputLine(
                        SAY.say("why.limit"),
                        mm(out.limitMm()),
                        SAY.say(out.limitAssumed() ? "why.usual" : "why.manual")));
        return new Explanation(
                SAY.say("why.title"),
                mm(out.runoutMm()),
                SAY.say("why.formula"),
                lines,
                SAY.say("why.source"),
                SAY.say("why.u", mm(out.uMm())),
                SAY.say("why.change"));
    }

    private String mm(double value) {
        return Display.exact(Kind.LENGTH, value, units);
    }
}
