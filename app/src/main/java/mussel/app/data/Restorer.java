package mussel.app.data;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import mussel.core.book.LogSource;
import mussel.core.book.Merge;
import mussel.core.book.OpenLog;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.exchange.file.Scratch;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.store.Salvage;

/** Puts a backup in place of a logbook that is not open, after a look at what would be gone then. */
public final class Restorer {
    private static final Messages TEXT = Messages.of(Restorer.class);

    private final Path log;
    private final Backups backups;
    private final Clock clock;

    /** A restorer of a logbook; sheets of a backup go into the data folder. */
    public Restorer(Path log, Path dataFolder, Clock clock) {
        this.log = log;
        this.backups = Backups.of(log, dataFolder, clock);
        this.clock = clock;
    }

    /** The automatic backups of the logbook, the latest first. */
    public List<Backups.Kept> kept() {
        return backups.kept();
    }

    /**
     * What the backup holds, and what of the logbook it does not, in sentences.
     *
     * @throws JournalException with a sentence when it is no backup, or a damaged one
     */
    public List<String> preview(Path backup) {
        return Backups.look(backup, clock, inside -> {
            backups.apart(backup, inside.kind());
            List<String> says = new ArrayList<>();
            List<Integer> jobs = inside.numbers();
            long entries = Stream.concat(Stream.of(Journal.YARD), jobs.stream())
                    .mapToLong(j -> inside.entries(j).size())
                    .sum();
            says.add(TEXT.get("restorer.the_backup_holds_jobs_with_entries", jobs.size(), entries));
            says.add(Files.exists(log) ? compared(inside) : TEXT.get("restorer.there_is_no_logbook_yet", log));
            backups.meets(backup).forEach(s -> says.add(s.says()));
            return says;
        });
    }

    private String compared(OpenLog inside) {
        try (OpenLog here = new FileStore(log, clock).read()) {
            Merge lost = Merge.of(inside, LogSource.of(here));
            return lost.changes() ? gone(lost) : TEXT.get("restorer.everything_in_the_logbook_is_in");
        } catch (JournalException e) {
            return TEXT.get("restorer.what_it_holds_cannot_be_compared", e.getMessage());
        }
    }

    /** What of the logbook the backup does not hold. */
    private static String gone(Merge lost) {
        List<String> says = new ArrayList<>();
        long jobs = count(lost, Merge.Change.NEW);
        if (jobs > 0) {
            says.add(jobs + (jobs == 1 ? TEXT.get("restorer.job_is_gone") : TEXT.get("restorer.jobs_are_gone")));
        }
        long shorter = count(lost, Merge.Change.LONGER) + count(lost, Merge.Change.APART);
        if (shorter > 0) {
            long entries = lost.pieces().stream()
                    .filter(p -> p.change() == Merge.Change.LONGER || p.change() == Merge.Change.APART)
                    .mapToLong(Merge.Piece::entries)
                    .sum();
            says.add(TEXT.get(
                    "restorer.lost",
                    shorter,
                    (shorter == 1 ? TEXT.get("restorer.job_has") : TEXT.get("restorer.jobs_have")),
                    entries,
                    (shorter == 1 ? TEXT.get("restorer.of_its_entries") : TEXT.get("restorer.of_their_entries"))));
        }
        return TEXT.get(
                "restorer.after_restoring_what_is_there_now",
                (says.isEmpty() ? TEXT.get("restorer.some_of_the_shops_settings_are") : String.join(" and ", says)));
    }

    private static long count(Merge lost, Merge.Change change) {
        return lost.pieces().stream().filter(p -> p.change() == change).count();
    }

    /**
     * Puts the backup in place, and says what became of it.
     *
     * @throws JournalException with a sentence when it could not; the logbook is as it was then
     */
    public List<String> restore(Path backup) {
        return told(backups.restore(backup), TEXT.get("restorer.restored_into", log));
    }

    private static List<String> told(Backups.Restored done, String what) {
        List<String> says = new ArrayList<>();
        done.before().ifPresent(kept -> says.add(TEXT.get("restorer.what_was_there_is_kept_in", kept)));
        says.addAll(done.says());
        says.add(what);
        return says;
    }

    /**
     * What could be brought out of the logbook itself, in sentences; nothing is changed.
     *
     * @throws JournalException with a sentence when there is nothing whole in it
     */
    public List<String> salvageable() {
        return salvaged(out -> {});
    }

    /**
     * Brings out of the logbook what is whole, puts that in its place and sets the damaged one aside. Says what became of it.
     *
     * @throws JournalException with a sentence when it could not; the logbook is as it was then
     */
    public List<String> salvage() {
        List<String> says = new ArrayList<>();
        says.addAll(salvaged(
                out -> says.addAll(told(backups.putSalvaged(out), TEXT.get("restorer.what_is_whole_was_put_in")))));
        return says;
    }

    private List<String> salvaged(Consumer<Path> then) {
        Path folder = Scratch.folder();
        try {
            Path out = folder.resolve("salvaged.mussel");
            List<String> says = Salvage.bring(log, out, clock);
            then.accept(out);
            return says.stream()
                    .map(s -> s.replace(TEXT.get("restorer.into", out), ""))
                    .toList();
        } finally {
            Scratch.remove(folder);
        }
    }
}
