package mussel.store;

import java.util.Arrays;
import mussel.exchange.log.Chain;

/**
 * Where a job's chain stands.
 *
 * @param job the job
 * @param entries how many entries it has
 * @param last the number of the last
 * @param link the link of the last
 */
record Head(int job, long entries, long last, byte[] link) {
    /** Keeps its own copy. */
    Head {
        link = link.clone();
    }

    /** Before the first entry of a job. */
    static Head before(int job) {
        return new Head(job, 0, 0, Chain.start());
    }

    @Override
    public byte[] link() {
        return link.clone();
    }

    /** After one more entry. */
    Head with(long seq, byte[] seal) {
        return new Head(job, entries + 1, seq, Chain.link(link, seal));
    }

    /** Its part of the sum of all heads. */
    byte[] digest() {
        return Chain.digest(job, entries, last, link);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Head head
                && job == head.job
                && entries == head.entries
                && last == head.last
                && Arrays.equals(link, head.link);
    }

    @Override
    public int hashCode() {
        return 31 * job + Arrays.hashCode(link);
    }
}
