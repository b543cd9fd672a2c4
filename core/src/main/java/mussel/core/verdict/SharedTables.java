package mussel.core.verdict;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What tables for different contexts have in common, made once: how groups are walked through, which depends on the findings' scopes alone and takes long to
 * find, and how likely each outcome is, which does not depend on how common a fault is.
 */
final class SharedTables {
    private final Map<List<Integer>, Arrangement> packed = new HashMap<>();
    private final Map<List<Integer>, Arrangement> whole = new HashMap<>();
    private final Map<Asked, Likelihood> likelihoods = new HashMap<>();

    private record Asked(
            List<Double> base, List<List<Double>> rows, List<Integer> causes, List<Integer> block, List<Integer> cut) {}

    /** The arrangement of a group of that many causes for findings with those scopes, small blocks put together. */
    synchronized Arrangement packed(int causes, List<Integer> scopes) {
        return packed.computeIfAbsent(
                List.copyOf(scopes), s -> Arrangement.of(causes, s).packed());
    }

    /** The cheapest arrangement of a group of that many causes for findings with those scopes. */
    synchronized Arrangement whole(int causes, List<Integer> scopes) {
        return whole.computeIfAbsent(List.copyOf(scopes), s -> Arrangement.of(causes, s));
    }

    /** A finding within its block, as {@link Likelihood} takes it. */
    synchronized Likelihood likelihood(
            List<Double> base, List<List<Double>> rows, int[] causes, int[] block, int[] cut) {
        return likelihoods.computeIfAbsent(
                new Asked(base, rows, list(causes), list(block), list(cut)),
                a -> new Likelihood(base, rows, causes, block, cut));
    }

    private static List<Integer> list(int[] all) {
        return Arrays.stream(all).boxed().toList();
    }
}
