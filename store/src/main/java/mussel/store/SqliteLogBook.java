package mussel.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import mussel.core.book.Filed;
import mussel.core.book.LogBook;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit;
import mussel.core.verdict.Calibration;
import mussel.exchange.log.VisitJson;

/** The yard's book in the same file as the journal, searched by SQLite's full text index. */
final class SqliteLogBook implements LogBook {
    private static final Messages TEXT = Messages.of(SqliteLogBook.class);

    /** The sign keeps SQLite from walking the whole index of jobs for what the last few entries answer. */
    private static final String STALE = "SELECT DISTINCT +job FROM entry WHERE seq > max("
            + "(SELECT coalesce(max(upto), 0) FROM visit), (SELECT coalesce(max(upto), 0) FROM owed)) AND +job > 0 ORDER BY 1";

    private final Path file;
    private final Rows rows;
    private final SqliteBenchLines lines;

    SqliteLogBook(Path file, Connection connection, SqlWork work, SqliteBenchLines lines) {
        this.file = file;
        this.rows = new Rows(connection, work);
        this.lines = lines;
    }

    @Override
    public void file(List<Filed> jobs) {
        rows.together(() -> {
            for (Filed job : jobs) {
                file(job, last(job.visit().job()));
            }
            lines.keep(jobs.stream().map(Filed::line).toList());
        });
    }

    private long last(int job) {
        return rows.query("SELECT coalesce(max(seq), 0) FROM entry WHERE job = ?", row -> row.getLong(1), job)
                .get(0);
    }

    @Override
    public void settle(List<Filed> jobs) {
        rows.together(() -> {
            List<Filed> stillOwed = new ArrayList<>();
            for (Filed job : jobs) {
                Optional<Long> upto = owedUpto(job.visit().job());
                if (upto.isPresent()) {
                    file(job, upto.get());
                    stillOwed.add(job);
                }
            }
            lines.keep(stillOwed.stream().map(Filed::line).toList());
        });
    }

    private Optional<Long> owedUpto(int job) {
        return rows.query("SELECT upto FROM owed WHERE job = ?", row -> row.getLong(1), job).stream()
                .findFirst();
    }

    @Override
    public void owe(List<Integer> jobs) {
        rows.together(() -> {
            for (int job : jobs) {
                rows.update("INSERT OR REPLACE INTO owed VALUES (?, ?)", job, last(job));
            }
        });
    }

    @Override
    public List<Integer> owed() {
        return rows.query("SELECT job FROM owed ORDER BY job DESC", row -> row.getInt(1));
    }

    private void file(Filed filed, long upto) throws SQLException {
        Visit visit = filed.visit();
        rows.update("DELETE FROM owed WHERE job = ?", visit.job());
        for (String table : List.of("renewal", "expectation")) {
            rows.update("DELETE FROM " + table + " WHERE job = ?", visit.job());
        }
        rows.update(
                "INSERT OR REPLACE INTO visit VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, x'')",
                visit.job(),
                upto,
                visit.leg(),
                visit.boat(),
                visit.title(),
                visit.family(),
                visit.familyTitle(),
                visit.day().toString(),
                visit.tagged().isPresent() ? 1 : 0,
                boxed(visit.hours()),
                visit.water().orElse(null),
                visit.sand() ? 1 : 0,
                VisitJson.write(visit));
        for (Visit.Renewal renewal : visit.renewals()) {
            rows.update(
                    "INSERT INTO renewal VALUES (?, ?, ?, ?)",
                    visit.job(),
                    renewal.what().name(),
                    renewal.failed().map(f -> f ? 1 : 0).orElse(null),
                    boxed(renewal.age()));
        }
        for (Visit.Expectation expected : visit.expected()) {
            rows.update(
                    "INSERT INTO expectation VALUES (?, ?, ?, ?, ?)",
                    visit.job(),
                    expected.cause(),
                    expected.probability(),
                    expected.prior(),
                    expected.found() ? 1 : 0);
        }
        RecordSeal.keep(rows, visit.job());
        rows.update("DELETE FROM search WHERE rowid = ?", visit.job());
        String marks = String.join(
                " ",
                SearchSql.mark("state", visit.tagged().isPresent() ? "tagged" : "open"),
                SearchSql.mark("family", visit.family()),
                SearchSql.mark("year", String.valueOf(visit.day().getYear())));
        rows.update("INSERT INTO search (rowid, words, marks) VALUES (?, ?, ?)", visit.job(), filed.words(), marks);
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    @Override
    public List<Integer> stale() {
        return rows.query(STALE, row -> row.getInt(1));
    }

    @Override
    public Optional<Visit> visit(int job) {
        return rows
                .query("SELECT record FROM visit WHERE job = ?", row -> VisitJson.read(row.getString(1)), job)
                .stream()
                .findFirst();
    }

    @Override
    public List<Visit> visits(String leg) {
        return rows.query(
                "SELECT record FROM visit WHERE leg = ? ORDER BY job DESC",
                row -> VisitJson.read(row.getString(1)),
                leg);
    }

    @Override
    public List<Visit> every() {
        return rows.query("SELECT record FROM visit ORDER BY leg, job", row -> VisitJson.read(row.getString(1)));
    }

    @Override
    public List<Visit> lately(String family, int most) {
        return rows.query(
                "SELECT record FROM visit WHERE family = ? AND tagged = 1 ORDER BY job DESC LIMIT ?",
                row -> VisitJson.read(row.getString(1)),
                family,
                most);
    }

    @Override
    public List<Found> search(Query query) {
        Object[] match =
                Stream.of(SearchSql.match(query)).filter(m -> !m.isEmpty()).toArray();
        return rows.query(SearchSql.of(query), SqliteLogBook::found, match);
    }

    private static Found found(ResultSet row) throws SQLException {
        return new Found(
                row.getInt(1),
                row.getString(2),
                row.getString(3),
                row.getString(4),
                LocalDate.parse(row.getString(5)),
                row.getInt(6) != 0,
                row.getString(7));
    }

    @Override
    public int jobs() {
        return rows.query("SELECT count(*) FROM visit", row -> row.getInt(1)).get(0);
    }

    @Override
    public Choices choices() {
        Map<String, String> families = new LinkedHashMap<>();
        rows.query(
                        "SELECT DISTINCT family, named FROM visit ORDER BY named",
                        row -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(f -> families.put(f.getKey(), f.getValue()));
        return new Choices(
                families,
                rows.query("SELECT DISTINCT substr(day, 1, 4) FROM visit ORDER BY 1 DESC", row -> row.getInt(1)));
    }

    @Override
    public Optional<String> twin(String leg) {
        return rows
                .query(
                        "SELECT v.leg FROM visit v WHERE v.boat = (SELECT boat FROM visit WHERE leg = ? ORDER BY job DESC LIMIT 1)"
                                + " AND v.leg <> ? ORDER BY v.job DESC LIMIT 1",
                        row -> row.getString(1),
                        leg,
                        leg)
                .stream()
                .findFirst();
    }

    @Override
    public List<Renewed> renewals() {
        return rows.query(
                "SELECT v.leg, v.hours, v.water, v.sand, r.what, r.failed, r.age FROM renewal r JOIN visit v ON v.job = r.job"
                        + " WHERE v.hours IS NOT NULL ORDER BY v.leg, v.job",
                row -> new Renewed(
                        row.getString(1),
                        row.getDouble(2),
                        Optional.ofNullable(row.getString(3)),
                        row.getInt(4) != 0,
                        renewal(row)));
    }

    private static Visit.Renewal renewal(ResultSet row) throws SQLException {
        int failed = row.getInt(6);
        Optional<Boolean> said = row.wasNull() ? Optional.empty() : Optional.of(failed != 0);
        return new Visit.Renewal(Visit.Wearing.valueOf(row.getString(5)), said, Rows.number(row, 7));
    }

    @Override
    public Map<String, MeterReading> lastReadings() {
        Map<String, MeterReading> last = new HashMap<>();
        rows.query(
                        "SELECT leg, day, hours FROM visit WHERE hours IS NOT NULL ORDER BY job",
                        row -> Map.entry(row.getString(1), reading(row)))
                .forEach(r -> last.put(r.getKey(), r.getValue()));
        return last;
    }

    private static MeterReading reading(ResultSet row) throws SQLException {
        return new MeterReading(LocalDate.parse(row.getString(2)), row.getDouble(3));
    }

    @Override
    public List<Awaiting> due(int most) {
        // The readings of all their meters are read at once: to ask leg by leg takes twice as long as the rest.
        Map<String, List<MeterReading>> readings = new HashMap<>();
        rows.query(
                        "SELECT leg, day, hours FROM visit WHERE hours IS NOT NULL AND leg IN"
                                + " (SELECT leg FROM due_now ORDER BY likely_on, job LIMIT ?) ORDER BY leg, job",
                        row -> Map.entry(row.getString(1), reading(row)),
                        most)
                .forEach(r -> readings.computeIfAbsent(r.getKey(), leg -> new ArrayList<>())
                        .add(r.getValue()));
        return next(most).stream()
                .map(a -> new Awaiting(
                        a.job(),
                        a.leg(),
                        a.due(),
                        a.likely(),
                        readings.getOrDefault(a.leg().id(), List.of())))
                .toList();
    }

    @Override
    public List<Awaiting> next(int most) {
        // A leg has many clocks, and many fall on the same day: each is read once.
        Map<Integer, LegRef> legs = new HashMap<>();
        Map<String, LocalDate> days = new HashMap<>();
        return rows.query(
                "SELECT d.job, d.leg, l.boat, l.position, l.family, d.id, d.what, d.at_hours, d.on_day, d.likely_on FROM due_now d"
                        + " JOIN bench_line l ON l.job = d.job ORDER BY d.likely_on, d.job LIMIT ?",
                row -> {
                    int job = row.getInt(1);
                    LegRef leg = legs.get(job);
                    if (leg == null) {
                        leg = new LegRef(
                                row.getString(2),
                                row.getString(3),
                                LegRef.Position.valueOf(row.getString(4)),
                                row.getString(5));
                        legs.put(job, leg);
                    }
                    return new Awaiting(
                            job,
                            leg,
                            new Due(
                                    row.getString(6),
                                    row.getString(7),
                                    Rows.number(row, 8),
                                    days.computeIfAbsent(row.getString(9), LocalDate::parse)),
                            days.computeIfAbsent(row.getString(10), LocalDate::parse),
                            List.of());
                },
                most);
    }

    @Override
    public List<Calibration.Judged> judged() {
        return rows.query(
                "SELECT cause, probability, prior, found FROM expectation ORDER BY job, cause",
                row -> new Calibration.Judged(
                        row.getString(1), row.getDouble(2), row.getDouble(3), row.getInt(4) != 0));
    }

    @Override
    public <T> T aside(Function<LogBook, T> ask) {
        try (Connection own = LogConnections.reading(file)) {
            SqlWork work = SqlWork.reading();
            return ask.apply(new SqliteLogBook(file, own, work, new SqliteBenchLines(own, work)));
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("sqlite_log_book.the_logbook_could_not_be_read", SqlWork.plain(e)), e);
        }
    }
}
