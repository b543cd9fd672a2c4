package mussel.core.job;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * The journal of a yard: entries are appended and never changed. An appended entry is safe when the call returns. Implementations
 * need not serve several threads at once.
 */
public interface Journal extends AutoCloseable {
    /** The number under which the entries of the yard itself stand: what it has decided. No job has it. */
    int YARD = 0;

    /**
     * Opens a job for a leg and returns its first entry.
     *
     * @throws JournalException when it could not be written; nothing has changed then
     */
    Entry open(LegRef leg, String by);

    /**
     * Appends one fact to a job.
     *
     * @throws JournalException when it could not be written; nothing has changed then
     */
    Entry append(int job, String by, Fact fact);

    /**
     * Appends several facts to a job, all or none.
     *
     * @throws JournalException when they could not be written; nothing has changed then
     */
    List<Entry> append(int job, String by, List<Fact> facts);

    /** All entries of one job, or of the yard, in order; empty for an unknown job. */
    List<Entry> entries(int job);

    /** How far a job has come, without reading it; empty for an unknown job. */
    Optional<Job.Mark> mark(int job);

    /** All entries of jobs, job by job in the order of opening. */
    List<List<Entry>> all();

    /**
     * What came into the journal after a mark, by whatever hand: through this journal, another one open on the same log, or an import.
     *
     * @param mark the mark of an earlier answer; 0 for everything
     */
    Changes since(long mark);

    /**
     * What came into a journal.
     *
     * @param mark where the journal stands now, to ask from the next time
     * @param jobs the jobs that got entries, {@link #YARD} among them where the shop decided something
     */
    record Changes(long mark, Set<Integer> jobs) {
        /** Keeps its own copy. */
        public Changes {
            jobs = Set.copyOf(jobs);
        }
    }

    /** The numbers of all jobs. */
    List<Integer> numbers();

    /** Jobs of a leg that began at that moment. */
    List<Integer> jobsBegun(String leg, Instant at);

    /**
     * Brings entries made elsewhere in, all or none, with their own times and names. Entries keep their numbers where the journal was empty;
     * else they get new ones, and what takes them back follows.
     *
     * @param settings settings that come with them, kept in the same step
     * @param jobs hands over job after job; what it throws takes everything back
     * @throws JournalException when they could not be written, or would not be understood when read back; nothing has changed then
     */
    void bring(Map<String, String> settings, Consumer<Consumer<Brought>> jobs);

    /**
     * Entries for one job.
     *
     * @param job the job they go to
     * @param entries in their order
     * @param known numbers of earlier entries there, to their numbers here
     */
    record Brought(int job, List<Entry> entries, Map<Long, Long> known) {}

    /** Every setting of the yard. */
    Map<String, String> settings();

    /** A setting of the yard, or the fallback. */
    String setting(String key, String fallback);

    /** Keeps a setting of the yard. */
    void keepSetting(String key, String value);

    /**
     * Enters what the yard has decided, and keeps the setting that follows from it, both or neither. {@link Decisions} knows what follows.
     *
     * @param fact a decision, or that an earlier one is taken back
     * @throws JournalException when it could not be written; nothing has changed then
     */
    Entry decide(String by, Fact fact, String key, String value);

    /** Keeps the text of a sheet under the name its content gives it. One that is kept already stays. */
    void keepSheet(String name, String text);

    /** The text of a kept sheet. */
    Optional<String> sheet(String name);

    /** The names of the sheets that are kept, in their order. */
    List<String> sheetNames();

    /** The lines of the bench kept beside the journal. */
    BenchLines benchLines();

    /**
     * Puts entries into the journal that wait beside it because something long was writing to it, as a file that was taken in. They are safe and count
     * already; those that find it taken go on waiting.
     *
     * @return whether none waits any more
     */
    default boolean bringInWaiting() {
        return true;
    }

    /** The number of a job that was opened while it had to wait: another where its own was taken meanwhile. */
    default int numberOf(int job) {
        return job;
    }

    /** Whether entries are refused because the journal was opened for reading. */
    boolean readOnly();

    @Override
    void close();
}
