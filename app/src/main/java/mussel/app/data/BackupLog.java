package mussel.app.data;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import mussel.core.book.LogSource;
import mussel.core.job.Entry;
import mussel.store.Backups;

/**
 * The log in a backup.
 *
 * @param file the backup
 * @param clock tells the time
 */
record BackupLog(Path file, Clock clock) implements LogSource {
    @Override
    public Map<String, String> walk(Consumer<List<Entry>> job) {
        return Backups.look(file, clock, kept -> {
            LogSource.of(kept).walk(job);
            return kept.settings();
        });
    }

    @Override
    public void sheets(BiConsumer<String, String> each) {
        Backups.look(file, clock, kept -> {
            LogSource.of(kept).sheets(each);
            return null;
        });
    }
}
