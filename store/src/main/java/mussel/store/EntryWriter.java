package mussel.store;

import java.sql.SQLException;
import java.time.Instant;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mussel.core.book.LogKind;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.language.Messages;
import mussel.exchange.job.FactJson;
import mussel.exchange.log.Chain;

/** Puts entries at the ends of their jobs' chains, inside one transaction: each with its seal and link, at the end the heads and their sum. */
final class EntryWriter {
    private static final Messages TEXT = Messages.of(EntryWriter.class);

    /** Numbers up to here are given; beyond it only a hand could have come, and nothing could follow. */
    static final long MOST_SEQ = Long.MAX_VALUE / 4;

    static final int MOST_JOB = 2_000_000_000;

    private static final String LAST = "SELECT max(coalesce((SELECT max(seq) FROM entry), 0),"
            + " coalesce((SELECT seq FROM sqlite_sequence WHERE name = 'entry'), 0))";
    private static final String PUT = "INSERT INTO entry (seq, job, at, by, fact, hash) VALUES (?, ?, ?, ?, ?, ?)";
    private static final String HEAD = "SELECT entries, last, link FROM head WHERE job = ?";
    private static final String PUT_HEAD = "INSERT OR REPLACE INTO head VALUES (?, ?, ?, ?)";
    private static final String PUT_SEAL = "UPDATE seal SET jobs = ?, entries = ?, heads = ?";

    private final EntryStatements log;
    private final Map<Integer, Head> before = new HashMap<>();
    private final Map<Integer, Head> heads = new LinkedHashMap<>();
    private long next;

    EntryWriter(EntryStatements log) throws SQLException {
        this.log = log;
        long last = last(log);
        this.next = last + 1;
        if (last >= MOST_SEQ) {
            throw new JournalException(TEXT.get("entry_writer.nothing_can_be_entered_the_logbook", last));
        }
    }

    /** The last number given, also to an entry that is no more. */
    static long last(EntryStatements log) throws SQLException {
        return log.one(LAST, row -> row.getLong(1)).orElse(0L);
    }

    /** After the largest number of a job that a Mussel gives; one that a hand wrote beyond it is passed over. */
    static int nextJob(EntryStatements log) throws SQLException {
        return log.one("SELECT coalesce(max(job), 0) + 1 FROM entry WHERE job < ?", row -> row.getInt(1), MOST_JOB)
                .orElse(1);
    }

    /** The number of the next entry. */
    long next() {
        return next;
    }

    /** Whether a job has entries. */
    boolean has(int job) throws SQLException {
        return heads.containsKey(job)
                || log.one(HEAD, row -> row.getLong(1), job).isPresent();
    }

    /** Whether an entry of that number can follow those of its job. */
    boolean fits(int job, long seq) throws SQLException {
        Head head = heads.containsKey(job) ? heads.get(job) : stored(job);
        return seq > head.last();
    }

    /** Adds an entry under the next number. */
    Entry add(int job, Instant at, String by, Fact fact) throws SQLException {
        return add(next, job, at, by, fact);
    }

    /** Adds an entry under a number of its own, above those of its job. */
    Entry add(long seq, int job, Instant at, String by, Fact fact) throws SQLException {
        if (fact instanceof Fact.Opened opened) {
            apart(opened.leg());
        } else if (fact instanceof Fact.LegCorrected corrected) {
            apart(corrected.leg());
        }
        Head head = heads.containsKey(job) ? heads.get(job) : stored(job);
        String text = FactJson.write(fact);
        byte[] seal = Chain.seal(seq, job, Chain.at(at), by, text);
        Head after = head.with(seq, seal);
        heads.put(job, after);
        log.change(PUT, seq, job, Chain.at(at), by, text, Chain.carried(seal, after.link()));
        next = Math.max(next, seq + 1);
        return new Entry(seq, job, at, by, fact);
    }

    /** Practice legs go into a practice log and nothing else does, however they come. */
    private void apart(LegRef leg) throws SQLException {
        boolean practice = log.one("SELECT demo FROM log", row -> LogKind.of(row.getInt(1)))
                .equals(Optional.of(LogKind.PRACTICE));
        if (practice != leg.isPractice()) {
            throw new JournalException(
                    practice
                            ? TEXT.get("entry_writer.only_practice_legs_go_into_the")
                            : TEXT.get("entry_writer.is_a_practice_leg_it_is", leg.boat()));
        }
    }

    private Head stored(int job) throws SQLException {
        Optional<Head> there =
                log.one(HEAD, row -> new Head(job, row.getLong(1), row.getLong(2), row.getBytes(3)), job);
        there.ifPresent(head -> before.put(job, head));
        return there.orElseGet(() -> Head.before(job));
    }

    /** Writes what the entries make of heads and sum. */
    void finish() throws SQLException {
        Seal seal = Seal.of(log);
        byte[] sum = seal.heads();
        long jobs = seal.jobs();
        long entries = seal.entries();
        for (Head head : heads.values()) {
            Head was = before.get(head.job());
            if (was == null) {
                jobs++;
            } else {
                sum = Chain.sum(sum, was.digest());
            }
            sum = Chain.sum(sum, head.digest());
            entries += head.entries() - (was == null ? 0 : was.entries());
            log.change(PUT_HEAD, head.job(), head.entries(), head.last(), head.link());
        }
        log.change(PUT_SEAL, jobs, entries, sum);
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
        static Seal of(EntryStatements log) throws SQLException {
            return log.one(
                            "SELECT jobs, entries, heads, settings FROM seal",
                            row -> new Seal(row.getLong(1), row.getLong(2), row.getBytes(3), row.getBytes(4)))
                    .orElseThrow(() -> new JournalException(TEXT.get("entry_writer.nothing_can_be_entered_the_list")));
        }
    }
}
