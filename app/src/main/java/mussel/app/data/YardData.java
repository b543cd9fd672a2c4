package mussel.app.data;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.IntPredicate;
import mussel.core.book.LogBook;
import mussel.core.book.OpenLog;
import mussel.core.job.Assessment;
import mussel.core.job.Journal;
import mussel.core.job.Yard;
import mussel.exchange.file.OutFile;
import mussel.exchange.report.LegTag;
import mussel.exchange.yard.YardTables;
import mussel.store.Backups;
import mussel.store.FileStore;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Ports;

/** Data in and out for the window. Writes read the log on connections of their own: they run beside the work. */
public final class YardData implements Ports.Data {
    private final OpenLog log;
    private final FileStore store;
    private final Path dataFolder;

    /** Data of a log; sheets taken in go into the data folder. */
    public YardData(OpenLog log, FileStore store, Path dataFolder) {
        this.log = log;
        this.store = store;
        this.dataFolder = dataFolder;
    }

    private void export(Exporter.Format format, Path path, Function<Exporter, Exporter.Scope> scope) {
        Clock clock = store.clock();
        try (OpenLog reading = store.read()) {
            Exporter exporter = new Exporter(reading, reading.book());
            exporter.export(format, path, scope.apply(exporter), LocalDate.now(clock), clock.instant(), true);
        }
    }

    private void export(Exporter.Format format, Path path) {
        export(format, path, exporter -> Exporter.Scope.ALL);
    }

    @Override
    public void yard(Yard yard, Path file) {
        byte[] yaml = YardTables.yaml(yard).getBytes(StandardCharsets.UTF_8);
        OutFile.of(file, OutFile.Kind.YARD, true).write(out -> out.write(yaml));
    }

    @Override
    public void json(Path file) {
        export(Exporter.Format.JSON, file);
    }

    @Override
    public void leg(String leg, Path file) {
        export(Exporter.Format.JSON, file, exporter -> exporter.leg(leg));
    }

    @Override
    public void lists(Path folder) {
        export(Exporter.Format.CSV, folder);
    }

    @Override
    public void calendar(Path file) {
        export(Exporter.Format.ICS, file);
    }

    @Override
    public void backup(Path file) {
        Backups.of(store.file(), dataFolder, store.clock()).everything(file, true);
    }

    @Override
    public List<String> backups() {
        return Backups.of(store.file(), store.clock()).kept().stream()
                .map(k -> k.made().toLocalDate() + " " + k.made().toLocalTime() + "  "
                        + k.file().getFileName())
                .toList();
    }

    @Override
    public ImportPreview look(Path file, IntPredicate goOn) {
        return new Importer(log, store, dataFolder).look(file, goOn);
    }

    @Override
    public <T> T aside(BiFunction<Journal, LogBook, T> work) {
        return log.aside(own -> work.apply(own, own.book()));
    }

    @Override
    public void tag(Assessment job, Path file) {
        LegTag.write(job, file);
    }
}
