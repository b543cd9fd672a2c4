package mussel.store;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.language.Messages;
import mussel.exchange.log.FactText;

/** Entries as they stand in the table. */
final class EntryRow {
    private static final Messages TEXT = Messages.of(EntryRow.class);

    static final String READ = "SELECT seq, job, at, by, fact FROM entry";

    private EntryRow() {}

    /** Whatever stands there becomes an entry: what is not understood is named and stands in no other's way. */
    static Entry of(ResultSet row) throws SQLException {
        String by = Optional.ofNullable(row.getString("by")).orElse("");
        String text = Optional.ofNullable(row.getString("fact")).orElse("");
        Fact fact = FactText.read(text);
        Instant at = Instant.EPOCH;
        try {
            at = Instant.parse(Optional.ofNullable(row.getString("at")).orElse(""));
        } catch (DateTimeException e) {
            fact = new Fact.Unread(text, TEXT.get("entry_row.its_time_is", row.getString("at")));
        }
        return new Entry(row.getLong("seq"), row.getInt("job"), at, by, fact);
    }
}
