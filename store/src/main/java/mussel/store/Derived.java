package mussel.store;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import mussel.core.book.OpenLog;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Scratch;
import mussel.exchange.record.Json;

/** Compares what was derived from the journal with what the journal gives: on a copy of the log everything is derived once more. */
final class Derived {
    private static final Messages TEXT = Messages.of(Derived.class);

    private static final int MOST_TOLD = 20;
    /** What a record says by the times and findings that the yard had when it was made: made anew, it may be another. */
    private static final Set<String> AS_OF_THEN = Set.of("work", "probability");

    /** Sums in another order differ in their last places. */
    private static final double ROUNDING = 1e-9;

    /**
     * A derived table with what of it must be the same.
     *
     * @param title what it holds, in words
     * @param columns what must be the same, the first the job or leg it is about
     */
    private record Table(String name, String title, String columns) {}

    private static final List<Table> TABLES = List.of(
            new Table(
                    "visit",
                    "the book's line",
                    "job, upto, leg, boat, title, family, named, day, tagged, hours, water, sand"),
            new Table(
                    "bench_line",
                    "the bench's line",
                    "job, upto, leg, boat, position, family, family_name, hours, promised, wet, dye, water, heat, tagged"),
            new Table("renewal", "what was renewed", "job, what, failed, age"),
            new Table("search", "what it is found by", "rowid AS job, words, marks"),
            new Table("bench_due", "what is due", "job, id, at_hours, on_day"),
            new Table("due_now", "what is due", "leg, id, job, at_hours, on_day"),
            new Table("bench_shelf", "what it took off the shelf", "job, family, part, qty"));

    private Derived() {}

    /** Tells each line that differs, in a sentence. */
    static void compare(Path log, Clock clock, Consumer<OpenLog> refile, Consumer<String> trouble) {
        Path folder = Scratch.folder();
        Path fresh = folder.resolve("fresh.mussel");
        try (Connection reading = LogConnections.reading(log);
                Statement statement = reading.createStatement()) {
            statement.execute("VACUUM INTO '" + fresh.toString().replace("'", "''") + "'");
            try (SqliteJournal journal = SqliteJournal.open(fresh, clock)) {
                journal.forgetDerived();
                refile.accept(journal);
            }
            statement.execute("ATTACH '" + fresh.toString().replace("'", "''") + "' AS fresh");
            List<String> told = new ArrayList<>();
            Rows rows = new Rows(reading, SqlWork.reading());
            // What waits to be filed, or belongs to a family that is not here, differs and rightly so.
            String waits = "(SELECT job FROM owed UNION SELECT job FROM fresh.owed UNION SELECT e.job FROM entry e"
                    + " JOIN visit v ON v.job = e.job GROUP BY e.job HAVING max(e.seq) > max(v.upto)"
                    + " UNION SELECT job FROM entry WHERE job NOT IN (SELECT job FROM visit)"
                    + " AND job NOT IN (SELECT job FROM bench_line))";
            for (Table table : TABLES) {
                compare(rows, table, waits, told);
            }
            boolean learns = !rows.query(
                            "SELECT 1 FROM setting WHERE key = 'learn_priors' AND value = 'on'", row -> row.getInt(1))
                    .isEmpty();
            // What the yard has found changes what would be expected today, and not what was expected then.
            compare(
                    rows,
                    new Table(
                            "expectation",
                            TEXT.get("derived.what_was_expected"),
                            learns ? "job, cause, found" : "job, cause, prior, found"),
                    waits,
                    told);
            records(rows, waits, told);
            RecordSeal.edited(rows)
                    .forEach(job -> told.add(TEXT.get("derived.job_its_record_visit_expectation_was", job)));
            outlines(rows, told);
            sums(rows, told);
            told.stream().limit(MOST_TOLD).forEach(trouble);
            if (told.size() > MOST_TOLD) {
                trouble.accept(TEXT.get("derived.and_more_lines_like_these", (told.size() - MOST_TOLD)));
            }
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("derived.the_logbook_could_not_be_read", SqlWork.plain(e)), e);
        } finally {
            Scratch.remove(folder);
        }
    }

    private static void compare(Rows rows, Table table, String waits, List<String> told) {
        String job = table.columns().startsWith("rowid") ? "rowid" : "job";
        // What a leg has due is its last job's: while one of its jobs waits, all of it does.
        String legs = table.columns().startsWith("leg")
                ? " AND leg NOT IN (SELECT leg FROM main.visit WHERE job IN " + waits
                        + " UNION SELECT leg FROM fresh.visit WHERE job IN " + waits + ")"
                : "";
        String here = "SELECT " + table.columns() + " FROM main." + table.name() + " WHERE " + job + " NOT IN " + waits
                + legs;
        String there = "SELECT " + table.columns() + " FROM fresh." + table.name() + " WHERE " + job + " NOT IN "
                + waits + legs;
        String about = table.columns().startsWith("leg") ? "leg" : "job";
        for (String differing : rows.query(
                "SELECT DISTINCT " + about + " FROM (SELECT * FROM (" + here + " EXCEPT " + there
                        + ") UNION ALL SELECT * FROM (" + there + " EXCEPT " + here + ")) ORDER BY 1",
                row -> row.getString(1))) {
            told.add(TEXT.get(
                    "derived.is_not_what_the_journal_gives",
                    (about.equals("job") ? "Job " : "Leg "),
                    differing,
                    table.title(),
                    table.name()));
        }
    }

    /** The records of the jobs, whatever the order their parts were written in. */
    private static void records(Rows rows, String waits, List<String> told) {
        rows
                .query(
                        "SELECT here.job, here.record, there.record FROM main.visit here JOIN fresh.visit there ON there.job = here.job"
                                + " WHERE here.record <> there.record AND here.job NOT IN " + waits
                                + " ORDER BY here.job",
                        row -> alike(row.getString(2), row.getString(3)) ? "" : row.getString(1))
                .stream()
                .filter(job -> !job.isEmpty())
                .forEach(job -> told.add(TEXT.get("derived.job_the_books_record_visit_is", job)));
    }

    private static boolean alike(String one, String other) {
        try {
            return alike(Json.mapper().readTree(one), Json.mapper().readTree(other));
        } catch (JsonProcessingException e) {
            return false;
        }
    }

    private static boolean alike(JsonNode one, JsonNode other) {
        if (one.isNumber() && other.isNumber()) {
            double difference = Math.abs(one.doubleValue() - other.doubleValue());
            return difference <= ROUNDING * Math.max(1, Math.abs(one.doubleValue()));
        }
        if (one.isContainerNode() && one.size() == other.size() && one.getNodeType() == other.getNodeType()) {
            for (int i = 0; one.isArray() && i < one.size(); i++) {
                if (!alike(one.get(i), other.get(i))) {
                    return false;
                }
            }
            return one.properties().stream()
                    .allMatch(f -> other.has(f.getKey())
                            && (AS_OF_THEN.contains(f.getKey()) || alike(f.getValue(), other.get(f.getKey()))));
        }
        return one.equals(other);
    }

    private static void outlines(Rows rows, List<String> told) {
        String columns = "family, nr, id, kind, path";
        // The bench draws the outline of a family when it first shows one.
        List<String> both = rows.query(
                "SELECT family FROM main.bench_outline INTERSECT SELECT family FROM fresh.bench_outline",
                row -> row.getString(1));
        rows
                .query(
                        "SELECT DISTINCT family FROM (SELECT * FROM (SELECT " + columns
                                + " FROM main.bench_outline EXCEPT SELECT " + columns
                                + " FROM fresh.bench_outline) UNION ALL SELECT * FROM (SELECT " + columns
                                + " FROM fresh.bench_outline EXCEPT SELECT " + columns + " FROM main.bench_outline))",
                        row -> row.getString(1))
                .stream()
                .filter(both::contains)
                .forEach(family -> told.add(TEXT.get("derived.the_outline_of_bench_outline_is", family)));
    }

    private static void sums(Rows rows, List<String> told) {
        rows.query(
                        "SELECT DISTINCT part FROM (SELECT * FROM (SELECT family, part, qty FROM shelf_now WHERE qty <> 0 EXCEPT"
                                + " SELECT family, part, sum(qty) FROM bench_shelf GROUP BY family, part)"
                                + " UNION ALL SELECT * FROM (SELECT family, part, sum(qty) AS qty FROM bench_shelf GROUP BY family, part"
                                + " HAVING sum(qty) <> 0 EXCEPT SELECT family, part, qty FROM shelf_now))",
                        row -> row.getString(1))
                .forEach(part -> told.add(TEXT.get("derived.the_shelfs_count_of_shelf_now", part)));
        long lost = rows.query(
                        "SELECT count(*) FROM visit WHERE job NOT IN (SELECT rowid FROM search)", row -> row.getLong(1))
                .get(0);
        if (lost > 0) {
            told.add(TEXT.get("derived.jobs_cannot_be_found_by_searching", lost));
        }
    }
}
