package mussel.core.measure;

/**
 * One thing wrong with an input.
 *
 * @param at where, as a JSON Pointer (RFC 6901); empty for the whole
 * @param problem a sentence part that reads after the place: which bound, what to do
 */
public record Problem(String at, String problem) {
    @Override
    public String toString() {
        return at + ": " + problem;
    }
}
