package mussel.core.verdict;

import java.util.List;

/**
 * What some repairs cost on a lower unit whose faults are known.
 *
 * @param done the repairs done, with those that go with them
 * @param byRule those of them that were not chosen: due, spoilt or lying open
 * @param now work, parts and final check (money)
 * @param later what is to be expected of what was left (money)
 * @param stated the chance of coming back as it was believed (0 to 1)
 * @param back the chance of coming back with these faults (0 to 1)
 */
public record Settled(List<String> done, List<String> byRule, double now, double later, double stated, double back) {
    /** Keeps its own copies. */
    public Settled {
        done = List.copyOf(done);
        byRule = List.copyOf(byRule);
    }
}
