package mussel.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** The few statements each entry needs, prepared once for a connection: preparing them took longer than running them. */
final class EntryStatements {
    private final Connection connection;
    private final Map<String, PreparedStatement> statements = new HashMap<>();

    EntryStatements(Connection connection) {
        this.connection = connection;
    }

    interface Row<T> {
        T of(ResultSet row) throws SQLException;
    }

    PreparedStatement with(String sql, Object... given) throws SQLException {
        PreparedStatement statement = statements.get(sql);
        if (statement == null) {
            statement = connection.prepareStatement(sql);
            statements.put(sql, statement);
        }
        for (int i = 0; i < given.length; i++) {
            if (given[i] instanceof Long number) {
                statement.setLong(i + 1, number);
            } else if (given[i] instanceof Integer number) {
                statement.setInt(i + 1, number);
            } else if (given[i] instanceof byte[] bytes) {
                statement.setBytes(i + 1, bytes);
            } else {
                statement.setString(i + 1, String.valueOf(given[i]));
            }
        }
        return statement;
    }

    <T> Optional<T> one(String sql, Row<T> read, Object... given) throws SQLException {
        try (ResultSet row = with(sql, given).executeQuery()) {
            return row.next() ? Optional.of(read.of(row)) : Optional.empty();
        }
    }

    /** Lets all statements go, as before work that wants none open. */
    void release() {
        for (PreparedStatement statement : statements.values()) {
            try {
                statement.close();
            } catch (SQLException e) {
                // It goes with its connection.
                continue;
            }
        }
        statements.clear();
    }

    void change(String sql, Object... given) throws SQLException {
        with(sql, given).executeUpdate();
    }
}
