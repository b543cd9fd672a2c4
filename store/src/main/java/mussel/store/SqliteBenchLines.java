package mussel.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mussel.core.job.BenchLine;
import mussel.core.job.BenchLines;
import mussel.core.job.LegRef;
import mussel.core.job.NextAction;
import mussel.core.job.Station;
import mussel.core.job.Yard;
import mussel.core.log.Due;
import mussel.core.log.DueForecast;
import mussel.core.log.MeterReading;
import mussel.core.sheet.Region;

/**
 * The bench's lines in the same file. Reads them by plain JDBC: they are the first thing the window shows, and the five hundred classes of
 * a mapping library would take as long to load as the rest of the start.
 */
final class SqliteBenchLines implements BenchLines {
    private static final String LINE =
            "SELECT job, leg, boat, position, family, family_name, hours, next, next_of, next_named, waits,"
                    + " promised, current, states, wet, dye, water, heat, tagged FROM bench_line ";

    private final Rows rows;
    private final SqlWork work;

    SqliteBenchLines(Connection connection, SqlWork work) {
        this.rows = new Rows(connection, work);
        this.work = work;
    }

    @Override
    public List<BenchLine> open() {
        return lines(LINE + "WHERE tagged IS NULL ORDER BY job");
    }

    @Override
    public List<BenchLine> lastTagged() {
        return lines(LINE
                + "WHERE job IN (SELECT max(job) FROM bench_line WHERE tagged IS NOT NULL GROUP BY leg) ORDER BY job");
    }

    @Override
    public List<BenchLine> find(String text) {
        return lines(
                LINE + "WHERE instr(words, ?) > 0 ORDER BY tagged IS NOT NULL, job DESC LIMIT " + MOST_FOUND,
                text.toLowerCase(Locale.ROOT));
    }

    @Override
    public List<Integer> jobsOf(String leg) {
        return rows.query("SELECT job FROM bench_line WHERE leg = ? ORDER BY job", row -> row.getInt(1), leg);
    }

    @Override
    public Optional<LegRef> leg(String boat, LegRef.Position position) {
        return lines(
                        LINE + "WHERE boat = ? COLLATE NOCASE AND position = ? ORDER BY job DESC LIMIT 1",
                        boat,
                        position.name())
                .stream()
                .map(BenchLine::leg)
                .findFirst();
    }

    /** Keeps lines in place of those of the same jobs, within the changes of its caller. */
    void keep(List<BenchLine> lines) throws SQLException {
        Set<String> legs = new TreeSet<>();
        for (BenchLine line : lines) {
            legs.add(line.leg().id());
            legs.addAll(rows.query("SELECT leg FROM bench_line WHERE job = ?", row -> row.getString(1), line.job()));
            keep(line);
        }
        for (String leg : legs) {
            dueNow(leg);
        }
    }

    /** Of each service the last tagged job of the leg that says so; columns beside max() come from its row. A recheck, or the change after running in, is over once a later job has looked. */
    private void dueNow(String leg) throws SQLException {
        rows.update("DELETE FROM due_now WHERE leg = ?", leg);
        rows.update(
                "INSERT INTO due_now SELECT leg, id, what, job, at_hours, on_day, on_day FROM"
                        + " (SELECT l.leg, d.id, d.what, max(l.job) AS job, d.at_hours, d.on_day"
                        + " FROM bench_line l JOIN bench_due d ON d.job = l.job WHERE l.leg = ? GROUP BY d.id)"
                        + " WHERE id NOT IN (?, ?) OR job = (SELECT max(job) FROM bench_line WHERE leg = ? AND tagged IS NOT NULL)",
                leg,
                Due.ONCE.get(0),
                Due.ONCE.get(1),
                leg);
        List<MeterReading> readings = readings(leg);
        for (Due due : rows.query(
                "SELECT id, what, at_hours, on_day FROM due_now WHERE leg = ?",
                row -> new Due(
                        row.getString(1), row.getString(2), Rows.number(row, 3), LocalDate.parse(row.getString(4))),
                leg)) {
            rows.update(
                    "UPDATE due_now SET likely_on = ? WHERE leg = ? AND id = ?",
                    DueForecast.likely(due, readings).toString(),
                    leg,
                    due.id());
        }
    }

    /** Every reading of a leg's meter that the book knows. */
    List<MeterReading> readings(String leg) {
        return rows.query(
                "SELECT day, hours FROM visit WHERE leg = ? AND hours IS NOT NULL ORDER BY job",
                row -> new MeterReading(LocalDate.parse(row.getString(1)), row.getDouble(2)),
                leg);
    }

    private void keep(BenchLine line) throws SQLException {
        rows.update("DELETE FROM bench_due WHERE job = ?", line.job());
        rows.update("DELETE FROM bench_shelf WHERE job = ?", line.job());
        for (Map.Entry<String, Integer> part : line.shelf().entrySet()) {
            rows.update(
                    "INSERT INTO bench_shelf VALUES (?, ?, ?, ?)",
                    line.job(),
                    line.leg().family(),
                    part.getKey(),
                    part.getValue());
        }
        Optional<BenchLine.Oil> oil = line.oil();
        rows.update(
                "INSERT OR REPLACE INTO bench_line (job, upto, leg, boat, position, family, family_name, hours, next, next_of,"
                        + " next_named, waits, promised, current, states, wet, dye, water, heat, tagged, words)"
                        + " VALUES (?, (SELECT max(seq) FROM entry WHERE job = ?),"
                        + " ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)",
                line.job(),
                line.job(),
                line.leg().id(),
                line.leg().boat(),
                line.leg().position().name(),
                line.leg().family(),
                line.family(),
                line.hours().isPresent() ? line.hours().getAsDouble() : null,
                line.next().what().name(),
                line.next().of(),
                line.next().named(),
                line.waits(),
                line.promised(),
                line.current().name(),
                states(line.states()),
                line.wet() ? 1 : 0,
                oil.map(o -> o.dye().name()).orElse(null),
                oil.flatMap(BenchLine.Oil::water).orElse(null),
                oil.flatMap(BenchLine.Oil::heat).orElse(null),
                line.tagged().map(LocalDate::toString).orElse(null),
                line.words());
        for (Due due : line.due()) {
            rows.update(
                    "INSERT INTO bench_due (job, what, at_hours, on_day, id) VALUES (?, ?, ?, ?, ?)",
                    line.job(),
                    due.what(),
                    due.atHours().isPresent() ? due.atHours().getAsDouble() : null,
                    due.on().toString(),
                    due.id());
        }
    }

    @Override
    public Map<String, Integer> shelfChange(String family, int exceptJob) {
        return rows
                .query(
                        "SELECT n.part, n.qty - coalesce(j.qty, 0) FROM shelf_now n"
                                + " LEFT JOIN bench_shelf j ON j.job = ? AND j.family = n.family AND j.part = n.part"
                                + " WHERE n.family = ? AND n.qty <> coalesce(j.qty, 0)",
                        row -> Map.entry(row.getString(1), row.getInt(2)),
                        exceptJob,
                        family)
                .stream()
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    @Override
    public List<Region> outline(String family) {
        return rows.query(
                "SELECT id, kind, path FROM bench_outline WHERE family = ? ORDER BY nr",
                row -> new Region(
                        row.getString(1), Region.Material.valueOf(row.getString(2)), "-", "-", "-", row.getString(3)),
                family);
    }

    @Override
    public void keepOutline(String family, List<Region> regions) {
        work.write(() -> {
            rows.update("DELETE FROM bench_outline WHERE family = ?", family);
            for (int i = 0; i < regions.size(); i++) {
                Region region = regions.get(i);
                rows.update(
                        "INSERT INTO bench_outline VALUES (?, ?, ?, ?, ?)",
                        family,
                        i,
                        region.id(),
                        region.kind().name(),
                        region.path());
            }
            return null;
        });
    }

    private List<BenchLine> lines(String sql, Object... given) {
        return rows.query(sql, this::line, given);
    }

    private BenchLine line(ResultSet row) throws SQLException {
        int job = row.getInt("job");
        double hours = row.getDouble("hours");
        boolean read = !row.wasNull();
        Optional<LocalDate> tagged =
                Optional.ofNullable(row.getString("tagged")).map(LocalDate::parse);
        return new BenchLine(
                job,
                new LegRef(
                        row.getString("leg"),
                        row.getString("boat"),
                        LegRef.Position.valueOf(row.getString("position")),
                        row.getString("family")),
                row.getString("family_name"),
                read ? OptionalDouble.of(hours) : OptionalDouble.empty(),
                new NextAction(
                        NextAction.What.valueOf(row.getString("next")),
                        row.getString("next_of"),
                        row.getString("next_named")),
                row.getString("waits"),
                row.getString("promised"),
                Station.valueOf(row.getString("current")),
                states(row.getString("states")),
                row.getInt("wet") != 0,
                Optional.ofNullable(row.getString("dye")).map(dye -> oil(dye, row)),
                tagged,
                tagged.isPresent() ? due(job) : List.of(),
                Map.of());
    }

    private BenchLine.Oil oil(String dye, ResultSet row) {
        return work.read(() -> new BenchLine.Oil(
                Yard.Dye.valueOf(dye),
                Optional.ofNullable(row.getString("water")),
                Optional.ofNullable(row.getString("heat"))));
    }

    private List<Due> due(int job) {
        return rows.query(
                "SELECT what, at_hours, on_day, id FROM bench_due WHERE job = ? ORDER BY rowid",
                row -> new Due(
                        row.getString(4), row.getString(1), Rows.number(row, 2), LocalDate.parse(row.getString(3))),
                job);
    }

    private static String states(Map<Station, Station.State> states) {
        List<String> each = new ArrayList<>();
        states.forEach((station, state) -> each.add(station.name() + "=" + state.name()));
        return String.join(",", each);
    }

    private static Map<Station, Station.State> states(String kept) {
        Map<Station, Station.State> states = new EnumMap<>(Station.class);
        for (String each : kept.split(",")) {
            int at = each.indexOf('=');
            states.put(Station.valueOf(each.substring(0, at)), Station.State.valueOf(each.substring(at + 1)));
        }
        return states;
    }
}
