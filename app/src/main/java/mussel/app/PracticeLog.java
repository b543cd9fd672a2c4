package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.practice.Lesson;
import mussel.exchange.practice.LessonFiles;
import mussel.store.LogKind;
import mussel.store.SqliteJournal;
import mussel.work.shop.Ports;
import mussel.work.shop.Workshop;

/** The practice log beside a yard's: a file of its own, marked so that neither takes what is the other's. */
final class PracticeLog implements Ports.Practice {

    private final Path file;
    private final Clock clock;
    private Optional<SqliteJournal> open = Optional.empty();
    private Workshop.Catalogue worked;
    private Optional<Workshop> bench = Optional.empty();
    private Optional<List<Lesson>> lessons = Optional.empty();

    PracticeLog(Path yard, Clock clock) {
        this.file = beside(yard);
        this.clock = clock;
    }

    /** Where the practice log of a yard's lies. */
    static Path beside(Path yard) {
        return yard.resolveSibling(LogKind.PRACTICE_NAME + yard.getFileName());
    }

    @Override
    public synchronized Workshop bench(Workshop yard) {
        Workshop.Catalogue now = yard.forPractice();
        if (bench.isEmpty() || !now.equals(worked)) {
            worked = now;
            bench = Optional.of(Yards.practising(opened(), file, clock, now, this, yard.background()));
        }
        return bench.get();
    }

    @Override
    public Journal journal() {
        return opened();
    }

    private synchronized SqliteJournal opened() {
        if (open.isEmpty()) {
            SqliteJournal journal = SqliteJournal.open(file, clock);
            if (journal.kind() != LogKind.PRACTICE && !journal.numbers().isEmpty()) {
                journal.close();
                throw new JournalException(
                        file
                                + " is no practice log, so nothing is practised in it. Move it elsewhere; nothing of it was touched.");
            }
            if (journal.kind() != LogKind.PRACTICE) {
                journal.mark(LogKind.PRACTICE);
            }
            open = Optional.of(journal);
        }
        return open.get();
    }

    @Override
    public synchronized void close() {
        open.ifPresent(SqliteJournal::close);
        open = Optional.empty();
        bench = Optional.empty();
    }

    @Override
    public synchronized List<Lesson> lessons() {
        if (lessons.isEmpty()) {
            lessons = Optional.of(LessonFiles.shipped());
        }
        return lessons.get();
    }
}
