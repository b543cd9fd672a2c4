package mussel.core.measure;

import java.util.regex.Pattern;

/**
 * One thing wrong with an input.
 *
 * @param at where, as a JSON Pointer (RFC 6901); empty for the whole
 * @param problem a sentence part that reads after the place: which bound, what to do
 */
public record Problem(String at, String problem) {
    private static final int LONG = 500;
    private static final Pattern ENDLESS = Pattern.compile("(\\S{100})\\S+");

    /** Repeats no word without an end. */
    public Problem {
        at = shown(at);
        problem = shown(problem);
    }

    private static String shown(String text) {
        return text.length() > LONG ? ENDLESS.matcher(text).replaceAll("$1…") : text;
    }

    @Override
    public String toString() {
        return at + ": " + problem;
    }
}
