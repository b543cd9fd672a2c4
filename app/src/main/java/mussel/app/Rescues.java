package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import mussel.app.data.Restorer;
import mussel.desktop.shell.Refusal;

/** The backups of a logbook for the page that offers them. */
final class Rescues implements Refusal.Rescue {
    private final Restorer restorer;

    Rescues(Path log) {
        this.restorer = new Restorer(log, DataFolder.path(), Clock.systemDefaultZone());
    }

    @Override
    public List<Refusal.Copy> copies() {
        return restorer.kept().stream()
                .map(k -> new Refusal.Copy(
                        k.file(), k.made().toLocalDate() + ", " + k.made().toLocalTime()))
                .toList();
    }

    @Override
    public List<String> preview(Path backup) {
        return restorer.preview(backup);
    }

    @Override
    public List<String> salvageable() {
        return restorer.salvageable();
    }

    @Override
    public List<String> salvage() {
        return restorer.salvage();
    }

    @Override
    public List<String> restore(Path backup) {
        return restorer.restore(backup);
    }
}
