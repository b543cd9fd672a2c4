package mussel.desktop.desk;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.Yard;
import mussel.core.sheet.FamilySheet;

/** What the screens see of the yard: its journal, its families, its units. */
public final class Workshop {
    private final Journal journal;
    private final Map<String, FamilySheet> families = new LinkedHashMap<>();
    private final Clock clock;
    private final JobSheets jobSheets;
    private Yard yard;
    private Optional<List<Assessment>> ahead = Optional.empty();

    /** Everything a screen needs, brought together by the application. */
    public Workshop(Journal journal, List<FamilySheet> families, Yard yard, Clock clock, JobSheets jobSheets) {
        this.journal = journal;
        families.forEach(f -> this.families.put(f.id(), f));
        this.yard = yard;
        this.clock = clock;
        this.jobSheets = jobSheets;
    }

    /** Writes job sheets; the format is not the desktop's concern. */
    public interface JobSheets {
        /** Writes the job's sheet into the file. An UncheckedIOException says why it could not. */
        void write(Assessment job, Path file);
    }

    /** The journal. */
    public Journal journal() {
        return journal;
    }

    /** The families known, in their order. */
    public List<FamilySheet> families() {
        return List.copyOf(families.values());
    }

    /** The yard. */
    public Yard yard() {
        return yard;
    }

    /** Goes on with other units or another name. */
    public void setYard(Yard changed) {
        yard = changed;
    }

    /** The printer of job sheets. */
    public JobSheets jobSheets() {
        return jobSheets;
    }

    /** Today. */
    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Who makes the entries at this bench. */
    public String by() {
        return journal.setting("by", "bench");
    }

    /** Assesses a job; empty where its family's sheet is not here. */
    public Optional<Assessment> assess(Job job) {
        return Optional.ofNullable(families.get(job.leg().family()))
                .map(sheet -> Assessment.of(job, sheet, yard, today()));
    }

    /** Reads the journal ahead, so that the first {@link #jobs()} answers at once. */
    public Workshop readAhead() {
        ahead = Optional.of(jobs());
        return this;
    }

    /** Every job of the journal whose family is known, in the order of opening. */
    public List<Assessment> jobs() {
        if (ahead.isPresent()) {
            List<Assessment> read = ahead.get();
            ahead = Optional.empty();
            return read;
        }
        List<Assessment> jobs = new ArrayList<>();
        for (List<Entry> entries : journal.all()) {
            assess(Job.of(entries)).ifPresent(jobs::add);
        }
        return jobs;
    }

    /** Earlier jobs of the leg of that job, the latest first. */
    public List<Assessment> history(Job job) {
        List<Assessment> earlier = new ArrayList<>(jobs().stream()
                .filter(j ->
                        j.job().leg().id().equals(job.leg().id()) && j.job().id() < job.id())
                .toList());
        java.util.Collections.reverse(earlier);
        return earlier;
    }

    /** Opens a job's desk. */
    public Desk desk(int job) {
        return new Desk(this, job);
    }

    /** Takes a leg in and returns the number of its new job. */
    public int takeIn(LegRef leg) {
        return journal.open(leg, by()).job();
    }

    /** The leg of a job. */
    public LegRef leg(int job) {
        return Job.of(journal.entries(job)).leg();
    }
}
