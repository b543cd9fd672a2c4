package mussel.store;

import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;

/** Puts entries that waited beside the log into it, inside a transaction that is open. */
final class QueuedEntriesWriter {
    private final EntryStatements prepared;
    private final QueuedEntries waiting;
    /** Numbers that are new in this transaction. */
    private final Map<Long, Long> seqs = new HashMap<>();

    private final Map<Integer, Integer> jobs = new HashMap<>();

    QueuedEntriesWriter(EntryStatements prepared, QueuedEntries waiting) {
        this.prepared = prepared;
        this.waiting = waiting;
    }

    void add(List<Entry> entries) throws SQLException {
        EntryWriter writer = new EntryWriter(prepared);
        for (Entry entry : entries) {
            add(writer, entry);
        }
        writer.finish();
        waiting.going(seqs, jobs);
    }

    /** An entry keeps its number unless another has taken it meanwhile, and so does its job; one that is in already, from before the plug was pulled, is passed over. */
    private void add(EntryWriter writer, Entry entry) throws SQLException {
        long seq = seqOf(entry.seq());
        Fact fact =
                entry.fact() instanceof Fact.Retracted back ? new Fact.Retracted(seqOf(back.entry())) : entry.fact();
        Optional<Entry> there = prepared.one(EntryRow.READ + " WHERE seq = ?", EntryRow::of, seq);
        if (there.equals(Optional.of(new Entry(seq, jobOf(entry.job()), entry.at(), entry.by(), fact)))) {
            return;
        }
        if (fact instanceof Fact.Opened && writer.has(jobOf(entry.job()))) {
            jobs.put(entry.job(), EntryWriter.nextJob(prepared));
        }
        int job = jobOf(entry.job());
        Entry in = there.isEmpty() && writer.fits(job, seq)
                ? writer.add(seq, job, entry.at(), entry.by(), fact)
                : writer.add(job, entry.at(), entry.by(), fact);
        if (in.seq() != seq) {
            seqs.put(entry.seq(), in.seq());
        }
    }

    private long seqOf(long seq) {
        return seqs.getOrDefault(seq, waiting.seqOf(seq));
    }

    private int jobOf(int job) {
        return jobs.getOrDefault(job, waiting.numberOf(job));
    }
}
