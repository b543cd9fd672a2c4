package mussel.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Plain statements on one connection, for the tables derived from the journal. */
final class Rows {
    private final Connection connection;
    private final SqlWork work;

    Rows(Connection connection, SqlWork work) {
        this.connection = connection;
        this.work = work;
    }

    interface Row<T> {
        T of(ResultSet row) throws SQLException;
    }

    interface Change {
        void make() throws SQLException;
    }

    <T> List<T> query(String sql, Row<T> read, Object... given) {
        return work.read(() -> {
            try (PreparedStatement statement = prepared(sql, given);
                    ResultSet row = statement.executeQuery()) {
                List<T> all = new ArrayList<>();
                while (row.next()) {
                    all.add(read.of(row));
                }
                return all;
            }
        });
    }

    /** A number that may be missing. */
    static OptionalDouble number(ResultSet row, int column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    void update(String sql, Object... given) throws SQLException {
        try (PreparedStatement statement = prepared(sql, given)) {
            statement.executeUpdate();
        }
    }

    /** All changes or none. */
    void together(Change changes) {
        work.write(() -> {
            connection.setAutoCommit(false);
            try {
                changes.make();
                connection.commit();
                connection.setAutoCommit(true);
            } catch (SQLException | RuntimeException e) {
                takeBack(e);
                throw e;
            }
            return null;
        });
    }

    /** A full disk has taken the changes back by itself already: that this fails then must not hide why. */
    private void takeBack(Exception why) {
        try {
            connection.rollback();
        } catch (SQLException e) {
            why.addSuppressed(e);
        }
        try {
            connection.setAutoCommit(true);
        } catch (SQLException e) {
            why.addSuppressed(e);
        }
    }

    private PreparedStatement prepared(String sql, Object... given) throws SQLException {
        PreparedStatement statement = connection.prepareStatement(sql);
        for (int i = 0; i < given.length; i++) {
            statement.setObject(i + 1, given[i]);
        }
        return statement;
    }
}
