package mussel.app;

import java.util.List;
import java.util.Optional;
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.practice.Lesson;
import mussel.exchange.practice.LessonFiles;
import mussel.store.FileStore;
import mussel.work.shop.Ports;
import mussel.work.shop.Workshop;

/** The practice log beside a yard's: a file of its own, marked so that neither takes what is the other's. */
final class PracticeLog implements Ports.Practice {
    private static final Messages TEXT = Messages.of(PracticeLog.class);

    private final FileStore store;
    private Optional<OpenLog> open = Optional.empty();
    private Workshop.Catalogue worked;
    private Optional<Workshop> bench = Optional.empty();
    private Optional<List<Lesson>> lessons = Optional.empty();

    PracticeLog(FileStore store) {
        this.store = store;
    }

    @Override
    public synchronized Workshop bench(Workshop yard) {
        Workshop.Catalogue now = yard.forPractice();
        if (bench.isEmpty() || !now.equals(worked)) {
            worked = now;
            bench = Optional.of(Yards.practising(opened(), store, now, this, yard.background()));
        }
        return bench.get();
    }

    @Override
    public Journal journal() {
        return opened();
    }

    private synchronized OpenLog opened() {
        if (open.isEmpty()) {
            OpenLog journal = store.open();
            if (journal.kind() != LogKind.PRACTICE && !journal.numbers().isEmpty()) {
                journal.close();
                throw new JournalException(TEXT.get("practice_log.is_no_practice_log_so_nothing", store.place()));
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
        open.ifPresent(OpenLog::close);
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
