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
import mussel.core.language.Messages;
import mussel.exchange.log.Chain;

/**
 * Follows the chain of every job and names what does not fit: entries edited, dropped, moved or slipped in, jobs taken out or put in, settings
 * changed by another hand. Reads only, a few thousand entries at a time, so that it can run beside the work.
 */
final class ChainCheck {
    private static final Messages TEXT = Messages.of(ChainCheck.class);

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
        return job == Journal.YARD
                ? TEXT.get("chain_check.what_the_yard_has_decided")
                : TEXT.get("chain_check.job", job);
    }

    private static String name(Row row) {
        return TEXT.get("chain_check.entry", whose(row.job()), row.seq());
    }

    private Head follow(Head before, Row row) {
        if (row.hash().length != 2 * Chain.BYTES) {
            trouble.accept(TEXT.get("chain_check.another_hand_slipped_it_in_it", name(row)));
            return before;
        }
        byte[] seal = Chain.seal(row.seq(), row.job(), row.at(), row.by(), row.fact());
        if (!Arrays.equals(seal, Chain.sealOf(row.hash()))) {
            trouble.accept(TEXT.get("chain_check.it_was_changed_after_it_was", name(row)));
            // What follows is held against what this one was, so that one change is told once.
            return new Head(before.job(), before.entries() + 1, row.seq(), Chain.linkOf(row.hash()));
        }
        Head after = before.with(row.seq(), seal);
        if (!Arrays.equals(after.link(), Chain.linkOf(row.hash()))) {
            trouble.accept(TEXT.get("chain_check.what_stands_before_it_is_not", name(row)));
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
            trouble.accept(TEXT.get("chain_check.another_hand_put_it_in_the", whose(at.job())));
        } else if (head.entries() != at.entries() || head.last() != at.last()) {
            trouble.accept(TEXT.get(
                    "chain_check.entry_it_has_entries_up_to",
                    whose(at.job()),
                    head.last(),
                    at.entries(),
                    at.last(),
                    head.entries()));
        } else if (!head.equals(at)) {
            trouble.accept(TEXT.get("chain_check.entry_the_job_does_not_end", whose(at.job()), at.last()));
        }
    }

    private void missing() {
        listed.values()
                .forEach(h -> trouble.accept(
                        TEXT.get("chain_check.up_to_entry_its_entries_were", whose(h.job()), h.last(), h.entries())));
    }

    private void list() {
        List<EntryWriter.Seal> seals = rows.query(
                "SELECT jobs, entries, heads, settings FROM seal",
                row -> new EntryWriter.Seal(row.getLong(1), row.getLong(2), row.getBytes(3), row.getBytes(4)));
        if (seals.size() != 1) {
            trouble.accept(TEXT.get("chain_check.the_list_of_jobs_has_lost"));
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
            trouble.accept(TEXT.get(
                    "chain_check.the_list_of_jobs_names_jobs", heads.size(), named, seal.jobs(), seal.entries()));
        } else if (!Arrays.equals(sum, seal.heads())) {
            trouble.accept(TEXT.get("chain_check.the_list_of_jobs_was_changed"));
        }
        byte[] settings = Chain.start();
        for (byte[] each : rows.query(
                "SELECT key, value FROM setting",
                row -> ChainMigration.settingDigest(
                        String.valueOf(row.getString(1)), String.valueOf(row.getString(2))))) {
            settings = Chain.sum(settings, each);
        }
        if (!Arrays.equals(settings, seal.settings())) {
            trouble.accept(TEXT.get("chain_check.a_setting_of_the_yard_was"));
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
            trouble.accept(TEXT.get("chain_check.a_spec_sheet_that_jobs_were"));
        }
    }

    private void identity() {
        List<byte[]> is = rows.query(SealMigration.LOG, SealMigration::logDigest);
        if (is.size() != 1 || !Arrays.equals(is.get(0), sealed("log"))) {
            trouble.accept(TEXT.get("chain_check.what_the_logbook_is_its_id"));
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
            trouble.accept(TEXT.get("chain_check.the_counter_of_entries_is_at", counter, last));
        }
    }
}
