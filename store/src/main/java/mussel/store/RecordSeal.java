package mussel.store;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mussel.exchange.log.Chain;
import org.flywaydb.core.api.migration.Context;

/**
 * A digest of each job's record and expectations, kept beside them. Minutes and probabilities depend on the shop's times
 * and findings of the day they were filed, so comparing them with what the journal gives today cannot show an edit.
 */
final class RecordSeal extends LogMigration {
    private static final String RECORDS = "SELECT job, record FROM visit";
    private static final String EXPECTATIONS =
            "SELECT job, cause, probability, prior, found FROM expectation ORDER BY job, cause";

    RecordSeal() {
        super("11", "records are sealed");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection log = context.getConnection();
        try (Statement statement = log.createStatement()) {
            statement.execute("ALTER TABLE visit ADD COLUMN seal BLOB NOT NULL DEFAULT x''");
        }
        Rows rows = new Rows(log, SqlWork.reading());
        for (Map.Entry<Integer, byte[]> seal : now(rows).entrySet()) {
            rows.update("UPDATE visit SET seal = ? WHERE job = ?", seal.getValue(), seal.getKey());
        }
        try (Statement statement = log.createStatement()) {
            statement.execute("PRAGMA user_version = 11");
        }
    }

    /** Seals the record of a job as the tables hold it now. */
    static void keep(Rows rows, int job) throws SQLException {
        List<Object> parts = new ArrayList<>();
        parts.addAll(rows.query(RECORDS + " WHERE job = ?", row -> row.getString(2), job));
        rows.query(EXPECTATIONS.replace(" ORDER", " WHERE job = ? ORDER"), RecordSeal::expectation, job)
                .forEach(parts::addAll);
        rows.update("UPDATE visit SET seal = ? WHERE job = ?", Chain.digest(parts.toArray()), job);
    }

    /** The jobs whose record or expectations are not as they were filed, in order. */
    static List<Integer> edited(Rows rows) {
        Map<Integer, byte[]> now = now(rows);
        return rows
                .query(
                        "SELECT job, seal FROM visit ORDER BY job",
                        row -> Map.entry(row.getInt(1), row.getBytes(2) == null ? new byte[0] : row.getBytes(2)))
                .stream()
                .filter(kept -> !Arrays.equals(kept.getValue(), now.get(kept.getKey())))
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Map<Integer, byte[]> now(Rows rows) {
        Map<Integer, List<Object>> parts = new HashMap<>();
        rows.query(RECORDS, row -> Map.entry(row.getInt(1), row.getString(2)))
                .forEach(record -> parts.computeIfAbsent(record.getKey(), job -> new ArrayList<>())
                        .add(record.getValue()));
        rows.query(EXPECTATIONS, row -> Map.entry(row.getInt(1), expectation(row)))
                .forEach(expected -> parts.computeIfAbsent(expected.getKey(), job -> new ArrayList<>())
                        .addAll(expected.getValue()));
        Map<Integer, byte[]> seals = new HashMap<>();
        parts.forEach((job, all) -> seals.put(job, Chain.digest(all.toArray())));
        return seals;
    }

    private static List<Object> expectation(ResultSet row) throws SQLException {
        return List.of(row.getString(2), row.getDouble(3), row.getDouble(4), row.getInt(5));
    }
}
