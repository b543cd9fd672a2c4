package mussel.store;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.Scratch;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;

/** The tables, indexes and triggers of a log: makes them, and compares those of a log with what this program makes. */
final class Schema {
    private static final Messages TEXT = Messages.of(Schema.class);

    private Schema() {}

    /** Brings a log to the tables of this program, or makes them; a log that cannot be brought there stays as it was. */
    static void migrate(Path file, Clock clock) {
        try {
            Durable.begin(file);
            Flyway.configure(Schema.class.getClassLoader())
                    .dataSource("jdbc:sqlite:" + file.toUri(), "", "")
                    .locations("classpath:mussel/store/migration")
                    .javaMigrations(new ChainMigration(clock.instant()), new SealMigration(), new RecordSeal())
                    .load()
                    .migrate();
        } catch (FlywayException | IOException e) {
            throw new JournalException(TEXT.get("schema.the_logbook_could_not_be_brought", file, SqlWork.plain(e)), e);
        }
    }

    /** What is missing, changed or put in, in sentences. */
    static List<String> differs(Path log, Clock clock) {
        Path folder = Scratch.folder();
        Path fresh = folder.resolve("fresh.mussel");
        migrate(fresh, clock);
        try (Connection here = LogConnections.reading(log);
                Connection there = LogConnections.reading(fresh)) {
            Map<String, String> is = parts(here);
            Map<String, String> ought = parts(there);
            List<String> told = new ArrayList<>();
            ought.forEach((name, sql) -> {
                if (!is.containsKey(name)) {
                    told.add(TEXT.get("schema.the_was_taken_out_of_the", name));
                } else if (!is.get(name).equals(sql)) {
                    told.add(TEXT.get("schema.the_was_changed_by_another_hand", name));
                }
            });
            if (!history(here).equals(history(there))) {
                told.add(TEXT.get("schema.the_list_of_the_versions_the"));
            }
            is.keySet().stream()
                    .filter(name -> !ought.containsKey(name))
                    .forEach(name -> told.add(TEXT.get("schema.the_was_put_into_the_database", name)));
            return told;
        } catch (SQLException e) {
            throw new JournalException(TEXT.get("schema.the_logbook_could_not_be_read", SqlWork.plain(e)), e);
        } finally {
            Scratch.remove(folder);
        }
    }

    private static List<String> history(Connection db) {
        return new Rows(db, SqlWork.reading())
                .query(
                        "SELECT version || ' ' || description || ' ' || type || ' ' || coalesce(checksum, '') || ' ' || success"
                                + " FROM flyway_schema_history ORDER BY installed_rank",
                        row -> row.getString(1));
    }

    private static Map<String, String> parts(Connection db) {
        Map<String, String> parts = new HashMap<>();
        new Rows(db, SqlWork.reading())
                .query(
                        "SELECT type || ' ' || name, coalesce(sql, '') FROM sqlite_master WHERE name NOT LIKE 'sqlite_stat%'",
                        row -> Map.entry(row.getString(1), row.getString(2)))
                .forEach(p -> parts.put(p.getKey(), p.getValue()));
        return parts;
    }
}
