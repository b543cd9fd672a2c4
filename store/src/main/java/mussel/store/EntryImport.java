package mussel.store;

import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Journal.Brought;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.job.FactJson;
import mussel.exchange.log.FactText;

/** Entries on their way in, job by job, so that a log of any size goes through. */
final class EntryImport {
    private static final Messages TEXT = Messages.of(EntryImport.class);

    /** Numbers up to here stay as they are when a log comes into an empty one; larger ones leave too little room after them. */
    private static final long MOST_KEPT = 1_000_000_000L;

    private final SqlWork work;
    private final Optional<QueuedEntries> waiting;
    private final EntryWriter writer;
    private final boolean keepNumbers;

    EntryImport(EntryStatements prepared, SqlWork work, Optional<QueuedEntries> waiting) throws SQLException {
        this.work = work;
        this.waiting = waiting;
        writer = new EntryWriter(prepared);
        keepNumbers = EntryWriter.last(prepared) == 0;
    }

    /** A number that no entry that is made meanwhile gets as well. */
    private long next() {
        return waiting.map(w -> w.nextSeq(writer.next() - 1)).orElse(writer.next());
    }

    void add(Brought job) {
        Map<Long, Long> numbers = new HashMap<>(job.known());
        for (Entry entry : job.entries()) {
            Fact fact = entry.fact() instanceof Fact.Retracted back
                    ? new Fact.Retracted(numbers.getOrDefault(back.entry(), 0L))
                    : entry.fact();
            if (!FactText.read(FactJson.write(fact)).equals(fact)) {
                throw new JournalException(
                        TEXT.get("entry_import.job_has_an_entry_number_that", job.job(), entry.seq()));
            }
            // What the database refuses here is told as what it refuses anywhere.
            Entry in = work.step(() -> writer.add(
                    keepNumbers && entry.seq() <= MOST_KEPT ? entry.seq() : next(),
                    job.job(),
                    entry.at(),
                    entry.by(),
                    fact));
            numbers.put(entry.seq(), in.seq());
        }
    }

    EntryWriter writer() {
        return writer;
    }
}
