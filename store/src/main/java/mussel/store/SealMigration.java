package mussel.store;

import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import mussel.exchange.log.Chain;
import org.flywaydb.core.api.migration.Context;

/** Version 10: the seal covers the sheets that jobs were worked by and what the log is; no sheet can be deleted. */
final class SealMigration extends LogMigration {
    /** What the log is, as it is sealed. */
    static final String LOG = "SELECT id, chained_at, chained_from, demo FROM log WHERE nr = 1";

    private static final List<String> CHANGES = List.of(
            "ALTER TABLE seal ADD COLUMN sheets BLOB NOT NULL DEFAULT x''",
            "ALTER TABLE seal ADD COLUMN log BLOB NOT NULL DEFAULT x''",
            "CREATE TRIGGER sheet_is_never_removed BEFORE DELETE ON sheet\nBEGIN\n"
                    + "    SELECT RAISE(ABORT, 'a sheet that jobs were worked by stays');\nEND");

    SealMigration() {
        super("10", "sheets are sealed");
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection log = context.getConnection();
        try (Statement statement = log.createStatement()) {
            for (String sql : CHANGES) {
                statement.execute(sql);
            }
        }
        byte[] sheets = Chain.start();
        try (Statement statement = log.createStatement();
                ResultSet row = statement.executeQuery("SELECT name FROM sheet")) {
            while (row.next()) {
                sheets = Chain.sum(sheets, sheetDigest(row.getString(1)));
            }
        }
        try (Statement statement = log.createStatement();
                ResultSet row = statement.executeQuery(LOG);
                PreparedStatement seal = log.prepareStatement("UPDATE seal SET sheets = ?, log = ?")) {
            seal.setBytes(1, sheets);
            seal.setBytes(2, row.next() ? logDigest(row) : new byte[0]);
            seal.executeUpdate();
        }
        try (Statement statement = log.createStatement()) {
            statement.execute("PRAGMA user_version = 10");
        }
    }

    /** A sheet's part of the sum of all: its name, which its content gives it. */
    static byte[] sheetDigest(String name) {
        return Chain.digest(name.getBytes(StandardCharsets.UTF_8));
    }

    /** The seal of what the log is. */
    static byte[] logDigest(ResultSet row) throws SQLException {
        return Chain.digest(row.getString(1), row.getString(2), row.getLong(3), row.getInt(4));
    }
}
