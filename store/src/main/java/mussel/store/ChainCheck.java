package mussel.store;

import java.sql.Connection;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.IntPredicate;
import mussel.core.job.Journal;
import mussel.exchange.log.Chain;

/**
 * Follows the chain of every job and names what does not fit: entries edited, dropped, moved or slipped in, jobs taken out or put in, settings
 * changed by another hand. Reads only, a few thousand entries at a time, so that it can run beside the work.
 */
final class ChainCheck {
    private static final int AT_ONCE = 2_000;

    private final Rows rows;
    private final Consumer<String> trouble;
    private final Map<Integer, Head> listed = new HashMap<>();
    private final List<Head> found = new ArrayList<>();

    private ChainCheck(Connection reading, Consumer<String> trouble) {
        this.rows = new Rows(reading, SqlWork.reading());
        this.trouble = trouble;
    }

    /**
     * Checks a log through a connection of its own.
     *
     * @param trouble told each thing that is wrong, in a sentence with the job and the entry
     * @param goOn told how many jobs were followed, after each few; false stops
     * @return whether it went to the end
     */
    static boolean of(Connection reading, Consumer<String> trouble, IntPredicate goOn) {
        return new ChainCheck(reading, trouble).run(goOn);
    }

    /** An entry as it lies. */
    private record Row(long seq, int job, String at, String by, String fact, byte[] hash) {
        Row {
            hash = hash == null ? new byte[0] : hash;
        }
    }

    private boolean run(IntPredicate goOn) {
        rows.query(
                        "SELECT job, entries, last, link FROM head",
                        row -> new Head(row.getInt(1), row.getLong(2), row.getLong(3), row.getBytes(4)))
                .forEach(h -> listed.put(h.job(), h));
        Head at = null;
        int job = Integer.MIN_VALUE;
        long seq = Long.MIN_VALUE;
        while (true) {
            List<Row> some = some(job, seq);
            for (Row row : some) {
                if (at == null || at.job() != row.job()) {
                    close(at);
                    at = Head.before(row.job());
                }
                at = follow(at, row);
                job = row.job();
                seq = row.seq();
            }
            if (some.size() < AT_ONCE) {
                break;
            }
            if (!goOn.test(found.size())) {
                return false;
            }
        }
        close(at);
        missing();
        list();
        return true;
    }

    private List<Row> some(int job, long seq) {
        return rows.query(
                "SELECT seq, job, at, by, fact, hash FROM entry WHERE (job, seq) > (?, ?) ORDER BY job, seq LIMIT "
                        + AT_ONCE,
                row -> new Row(
                        row.getLong(1),
                        row.getInt(2),
                        String.valueOf(row.getString(3)),
                        String.valueOf(row.getString(4)),
                        String.valueOf(row.getString(5)),
                        row.getBytes(6)),
                job,
                seq);
    }

    /** Whose entries they are. */
    static String whose(int job) {
        return job == Journal.YARD ? "What the yard has decided" : "Job " + job;
    }

    private static String name(Row row) {
        return whose(row.job()) + ", entry " + row.seq();
    }

    private Head follow(Head before, Row row) {
        if (row.hash().length != 2 * Chain.BYTES) {
            trouble.accept(name(row) + ": another hand slipped it in; it carries no seal.");
            return before;
        }
        byte[] seal = Chain.seal(row.seq(), row.job(), row.at(), row.by(), row.fact());
        if (!Arrays.equals(seal, Chain.sealOf(row.hash()))) {
            trouble.accept(name(row) + ": it was changed after it was made; it does not fit its seal.");
            // What follows is held against what this one was, so that one change is told once.
            return new Head(before.job(), before.entries() + 1, row.seq(), Chain.linkOf(row.hash()));
        }
        Head after = before.with(row.seq(), seal);
        if (!Arrays.equals(after.link(), Chain.linkOf(row.hash()))) {
            trouble.accept(
                    name(row)
                            + ": what stands before it is not what stood there when it was made; an entry was taken out or moved.");
            return new Head(before.job(), before.entries() + 1, row.seq(), Chain.linkOf(row.hash()));
        }
        return after;
    }

    private void close(Head at) {
        if (at == null) {
            return;
        }
        Head head = listed.remove(at.job());
        found.add(at);
        if (head == null) {
            trouble.accept(whose(at.job()) + ": another hand put it in; the list of jobs does not name it.");
        } else if (head.entries() != at.entries() || head.last() != at.last()) {
            trouble.accept(whose(at.job()) + ", entry " + head.last() + ": it has " + at.entries()
                    + " entries up to number " + at.last() + ", and should have " + head.entries()
                    + " up to that one; entries were taken out or put in.");
        } else if (!head.equals(at)) {
            trouble.accept(whose(at.job()) + ", entry " + at.last() + ": the job does not end as it was left.");
        }
    }

    private void missing() {
        listed.values()
                .forEach(h -> trouble.accept(whose(h.job()) + ", up to entry " + h.last() + ": its " + h.entries()
                        + " entries were taken out, all of them."));
    }

    private void list() {
        List<EntryWriter.Seal> seals = rows.query(
                "SELECT jobs, entries, heads, settings FROM seal",
                row -> new EntryWriter.Seal(row.getLong(1), row.getLong(2), row.getBytes(3), row.getBytes(4)));
        if (seals.size() != 1) {
            trouble.accept("The list of jobs has lost its own seal: another hand took it out.");
            return;
        }
        EntryWriter.Seal seal = seals.get(0);
        List<Head> heads = rows.query(
                "SELECT job, entries, last, link FROM head",
                row -> new Head(row.getInt(1), row.getLong(2), row.getLong(3), row.getBytes(4)));
        byte[] sum = Chain.start();
        for (Head head : heads) {
            sum = Chain.sum(sum, head.digest());
        }
        long named = heads.stream().mapToLong(Head::entries).sum();
        if (seal.jobs() != heads.size() || seal.entries() != named) {
            trouble.accept("The list of jobs names " + heads.size() + " jobs with " + named
                    + " entries, and should name " + seal.jobs() + " with " + seal.entries()
                    + ": a job was taken out of it or put in whole.");
        } else if (!Arrays.equals(sum, seal.heads())) {
            trouble.accept("The list of jobs was changed by another hand: its sum is not what it was.");
        }
        byte[] settings = Chain.start();
        for (byte[] each : rows.query(
                "SELECT key, value FROM setting",
                row -> ChainMigration.settingDigest(
                        String.valueOf(row.getString(1)), String.valueOf(row.getString(2))))) {
            settings = Chain.sum(settings, each);
        }
        if (!Arrays.equals(settings, seal.settings())) {
            trouble.accept("A setting of the yard was changed by another hand.");
        }
        sheets();
        identity();
        counter();
    }

    private void sheets() {
        byte[] sum = Chain.start();
        for (byte[] each : rows.query(
                "SELECT name FROM sheet", row -> SealMigration.sheetDigest(String.valueOf(row.getString(1))))) {
            sum = Chain.sum(sum, each);
        }
        if (!Arrays.equals(sum, sealed("sheets"))) {
            trouble.accept("A spec sheet that jobs were worked by was deleted or put in by another hand.");
        }
    }

    private void identity() {
        List<byte[]> is = rows.query(SealMigration.LOG, SealMigration::logDigest);
        if (is.size() != 1 || !Arrays.equals(is.get(0), sealed("log"))) {
            trouble.accept(
                    "What the logbook is (its id, its kind, since when it is chained) was changed by another hand.");
        }
    }

    private byte[] sealed(String column) {
        return rows.query("SELECT " + column + " FROM seal", row -> row.getBytes(1))
                .get(0);
    }

    /** The counter that gives entries their numbers stands at the last one. */
    private void counter() {
        long last = rows.query("SELECT coalesce(max(seq), 0) FROM entry", row -> row.getLong(1))
                .get(0);
        long counter = rows.query(
                        "SELECT coalesce(max(seq), 0) FROM sqlite_sequence WHERE name = 'entry'", row -> row.getLong(1))
                .get(0);
        if (counter != last) {
            trouble.accept("The counter of entries is at " + counter + ", and the last entry has the number " + last
                    + ": another hand changed it. mussel check --mend sets it right.");
        }
    }
}
