package mussel.core.anode;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import mussel.core.anode.AnodeResult.Verdict;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/**
 * An anode in sentences.
 *
 * @param in what was seen
 * @param out what the engine says
 */
public record AnodeWords(AnodeInput in, AnodeResult out) {
    private static final Messages TEXT = Messages.of(AnodeWords.class);

    /** What an anode is called by its id; {@code tab}, {@code outer_pair} and {@code inner} are known. */
    public static String title(String anode) {
        return TEXT.get("anode." + anode);
    }

    /** What it comes to, the most important first. */
    public List<String> notes() {
        String share = out.verdict() == Verdict.RENEW || out.monthsLeft().isEmpty()
                ? TEXT.get("left", whole(in.leftPct()))
                : TEXT.get(
                        out.monthsHigh().isPresent() ? "left.lasts" : "left.lasts.at_least",
                        whole(in.leftPct()),
                        whole(out.monthsLeft()),
                        whole(out.monthsLow()),
                        whole(out.monthsHigh()));
        // Without its months nobody can promise that it lasts.
        return out.verdict() == Verdict.KEEP && in.months().isEmpty()
                ? List.of(share)
                : List.of(share, TEXT.get("do." + NamedBy.file(out.verdict())));
    }

    /** The same of one anode, in one line. */
    public String line(String anode) {
        return TEXT.get("line", title(anode), String.join(" ", notes()));
    }

    private static String whole(OptionalDouble value) {
        return value.isPresent() ? whole(value.getAsDouble()) : "";
    }

    private static String whole(double value) {
        return String.format(Locale.ROOT, "%.0f", value);
    }
}
