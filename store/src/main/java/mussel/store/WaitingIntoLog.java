package mussel.store;

import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Entry;
import mussel.core.job.Fact;

/** Puts entries that waited beside the log into it, inside a transaction that is open. */
final class WaitingIntoLog {
    private final Prepared prepared;
    private final Map<Long, Long> seqs;
    private final Map<Integer, Integer> jobs;

    /**
     * A way in.
     *
     * @param seqs numbers that entries got instead of their own, written down for those that follow
     * @param jobs the same for jobs
     */
    WaitingIntoLog(Prepared prepared, Map<Long, Long> seqs, Map<Integer, Integer> jobs) {
        this.prepared = prepared;
        this.seqs = seqs;
        this.jobs = jobs;
    }

    void add(List<Entry> entries) throws SQLException {
        EntryWriter writer = new EntryWriter(prepared);
        for (Entry entry : entries) {
            add(writer, entry);
        }
        writer.finish();
    }

    /** An entry that waited keeps its number unless another has taken it meanwhile, and so does its job; one that is in already, from before the plug was pulled, is passed over. */
    private void add(EntryWriter writer, Entry entry) throws SQLException {
        Optional<Entry> there = prepared.one(EntryRow.READ + " WHERE seq = ?", EntryRow::of, entry.seq());
        if (there.filter(t -> t.job() == jobs.getOrDefault(entry.job(), entry.job())
                        && t.at().equals(entry.at())
                        && t.by().equals(entry.by())
                        && t.fact().equals(entry.fact()))
                .isPresent()) {
            return;
        }
        if (entry.fact() instanceof Fact.Opened && writer.has(entry.job())) {
            jobs.put(entry.job(), EntryWriter.nextJob(prepared));
        }
        int job = jobs.getOrDefault(entry.job(), entry.job());
        Fact fact = entry.fact() instanceof Fact.Retracted back
                ? new Fact.Retracted(seqs.getOrDefault(back.entry(), back.entry()))
                : entry.fact();
        Entry in = there.isEmpty() && writer.fits(job, entry.seq())
                ? writer.add(entry.seq(), job, entry.at(), entry.by(), fact)
                : writer.add(job, entry.at(), entry.by(), fact);
        seqs.put(entry.seq(), in.seq());
    }
}
