package mussel.store;

import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.exchange.job.FactJson;
import mussel.exchange.log.Chain;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.statement.PreparedBatch;

/** Puts entries at the ends of their jobs' chains, inside one transaction: each with its seal and link, at the end the heads and their sum. */
final class EntryWriter {
    /** Numbers up to here are given; beyond it only a hand could have come, and nothing could follow. */
    static final long MOST_SEQ = Long.MAX_VALUE / 4;

    static final int MOST_JOB = 2_000_000_000;
    private static final int AT_ONCE = 4_000;

    private final Handle h;
    private final PreparedBatch batch;
    private final Map<Integer, Head> before = new HashMap<>();
    private final Map<Integer, Head> heads = new LinkedHashMap<>();
    private long next;

    EntryWriter(Handle h) {
        this.h = h;
        this.batch = h.prepareBatch("INSERT INTO entry (seq, job, at, by, fact, hash) VALUES (?, ?, ?, ?, ?, ?)");
        long last = last(h);
        this.next = last + 1;
        if (last >= MOST_SEQ) {
            throw new JournalException(
                    "Nothing can be entered: an entry of the logbook has the number " + last
                            + ", after which there is none. No Mussel gave that number; mussel check says more, and mussel salvage makes a logbook whose numbers are in order.");
        }
    }

    /** The last number given, also to an entry that is no more. */
    static long last(Handle h) {
        return h.createQuery("SELECT max(coalesce((SELECT max(seq) FROM entry), 0),"
                        + " coalesce((SELECT seq FROM sqlite_sequence WHERE name = 'entry'), 0))")
                .mapTo(Long.class)
                .one();
    }

    /** Adds an entry under the next number. */
    Entry add(int job, Instant at, String by, Fact fact) {
        return add(next, job, at, by, fact);
    }

    /** Adds an entry under a number of its own, above those of its job. */
    Entry add(long seq, int job, Instant at, String by, Fact fact) {
        Head head = heads.computeIfAbsent(job, this::stored);
        String text = FactJson.write(fact);
        byte[] seal = Chain.seal(seq, job, Chain.at(at), by, text);
        Head after = head.with(seq, seal);
        heads.put(job, after);
        batch.add(seq, job, Chain.at(at), by, text, Chain.carried(seal, after.link()));
        next = Math.max(next, seq + 1);
        if (batch.size() >= AT_ONCE) {
            write();
        }
        return new Entry(seq, job, at, by, fact);
    }

    private Head stored(int job) {
        Optional<Head> there = h.createQuery("SELECT entries, last, link FROM head WHERE job = :job")
                .bind("job", job)
                .map((row, context) -> new Head(job, row.getLong(1), row.getLong(2), row.getBytes(3)))
                .findOne();
        there.ifPresent(head -> before.put(job, head));
        return there.orElseGet(() -> Head.before(job));
    }

    private void write() {
        if (batch.size() > 0) {
            batch.execute();
        }
    }

    /** Writes what waits, and what it makes of heads and sum. */
    void finish() {
        write();
        Seal seal = Seal.of(h);
        byte[] sum = seal.heads();
        long jobs = seal.jobs();
        long entries = seal.entries();
        PreparedBatch put = h.prepareBatch("INSERT OR REPLACE INTO head VALUES (?, ?, ?, ?)");
        for (Head head : heads.values()) {
            Head was = before.get(head.job());
            if (was == null) {
                jobs++;
            } else {
                sum = Chain.sum(sum, was.digest());
            }
            sum = Chain.sum(sum, head.digest());
            entries += head.entries() - (was == null ? 0 : was.entries());
            put.add(head.job(), head.entries(), head.last(), head.link());
        }
        put.execute();
        h.createUpdate("UPDATE seal SET jobs = ?, entries = ?, heads = ?")
                .bind(0, jobs)
                .bind(1, entries)
                .bind(2, sum)
                .execute();
    }

    /** The jobs written to. */
    Iterable<Integer> jobs() {
        return heads.keySet();
    }

    /**
     * The list of all jobs: its count and sums.
     *
     * @param jobs how many jobs
     * @param entries how many entries
     * @param heads the sum of their heads
     * @param settings the sum of the settings
     */
    record Seal(long jobs, long entries, byte[] heads, byte[] settings) {
        static Seal of(Handle h) {
            return h.createQuery("SELECT jobs, entries, heads, settings FROM seal")
                    .map((row, context) -> new Seal(row.getLong(1), row.getLong(2), row.getBytes(3), row.getBytes(4)))
                    .findOne()
                    .orElseThrow(
                            () -> new JournalException(
                                    "Nothing can be entered: the list of the logbook’s jobs is missing. Another hand took it out; mussel check says more, and mussel salvage makes a logbook that is whole."));
        }
    }
}
