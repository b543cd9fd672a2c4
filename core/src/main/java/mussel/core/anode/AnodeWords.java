package mussel.core.anode;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import mussel.core.anode.AnodeResult.Verdict;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Sentences;

/**
 * An anode in sentences.
 *
 * @param in what was seen
 * @param out what the engine says
 */
public record AnodeWords(AnodeInput in, AnodeResult out) {
    private static final Sentences SAY = Sentences.beside(AnodeWords.class);

    /** What an anode is called by its id; {@code tab}, {@code outer_pair} and {@code inner} are known. */
    public static String title(String anode) {
        return SAY.say("anode." + anode);
    }

    /** What it comes to, the most important first. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(SAY.say("left." + NamedBy.file(out.verdict()), whole(in.leftPct()), whole(in.nextMonths())));
        if (out.verdict() != Verdict.RENEW && out.monthsLeft().isPresent()) {
            notes.add(SAY.say(
                    out.monthsHigh().isPresent() ? "lasts" : "lasts.at_least",
                    whole(out.monthsLeft()),
                    whole(out.monthsLow()),
                    whole(out.monthsHigh())));
        }
        return List.copyOf(notes);
    }

    /** The same of one anode, in one line. */
    public String line(String anode) {
        return SAY.say("line", title(anode), String.join(" ", notes()));
    }

    private static String whole(OptionalDouble value) {
        return value.isPresent() ? whole(value.getAsDouble()) : "";
    }

    private static String whole(double value) {
        return String.format(Locale.ROOT, "%.0f", value);
    }
}
