package mussel.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.file.Durable;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;

/** The families the product ships, and those a yard has put into its data folder. */
final class SheetFolder {
    private static final Messages TEXT = Messages.of(SheetFolder.class);

    private final List<SpecSheet> sheets = new ArrayList<>(SheetFiles.shipped());
    private final List<String> refused = new ArrayList<>();
    private final StringBuilder own = new StringBuilder();

    /** Loads all; a sheet that is refused leaves the others alone. */
    static SheetFolder load(Path folder) {
        SheetFolder families = new SheetFolder();
        if (Files.isDirectory(folder)) {
            try (Stream<Path> files = Files.list(folder)) {
                files.filter(f -> f.toString().matches(".*\\.(ya?ml|json)"))
                        .sorted()
                        .forEach(families::add);
            } catch (IOException e) {
                families.refused.add(TEXT.get("sheet_folder.the_folder_cannot_be_read", folder, Durable.why(e)));
            }
        }
        return families;
    }

    private void add(Path file) {
        own.append(';').append(file.getFileName()).append(file.toFile().lastModified());
        Read<SpecSheet> read = read(file);
        read.problems().forEach(p -> refused.add(file.getFileName() + " " + p));
        read.value().ifPresent(sheet -> {
            sheets.removeIf(s -> s.id().equals(sheet.id()));
            sheets.add(sheet);
        });
    }

    /** Reads one file, or says everything that is wrong with it. */
    static Read<SpecSheet> read(Path file) {
        return OwnFiles.read(file, SheetFiles::family);
    }

    List<SpecSheet> sheets() {
        return List.copyOf(sheets);
    }

    /** Changes when a sheet of the yard's own does. */
    String own() {
        return own.toString();
    }

    /** A line for each problem of each sheet refused. */
    List<String> refused() {
        return List.copyOf(refused);
    }

    static String line(Path file, Problem problem) {
        return file + " " + problem;
    }
}
