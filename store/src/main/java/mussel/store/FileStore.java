package mussel.store;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.IntPredicate;
import mussel.core.book.LogKind;
import mussel.core.book.LogStore;
import mussel.core.book.OpenLog;

/**
 * A log in one file.
 *
 * @param file where it is, or is to be
 * @param clock the time of new entries
 */
public record FileStore(Path file, Clock clock) implements LogStore {
    @Override
    public String place() {
        return file.toString();
    }

    @Override
    public OpenLog open() {
        return SqliteJournal.open(file, clock);
    }

    @Override
    public OpenLog read() {
        return SqliteJournal.read(file, clock);
    }

    @Override
    public OpenLog openOrRead() {
        return SqliteJournal.openOrRead(file, clock);
    }

    @Override
    public FileStore practice() {
        return new FileStore(file.resolveSibling(LogFile.PRACTICE_NAME + file.getFileName()), clock);
    }

    @Override
    public LogCheck check(Consumer<OpenLog> refile) {
        boolean practice;
        try (OpenLog log = read()) {
            practice = log.kind() == LogKind.PRACTICE;
        }
        // A practice log has a bench of its own, and no shop stands over it: nothing is derived from it.
        return Integrity.of(file, clock, Optional.of(refile).filter(r -> !practice));
    }

    @Override
    public List<String> checkChains(IntPredicate goOn) {
        return Integrity.chains(file, goOn);
    }
}
