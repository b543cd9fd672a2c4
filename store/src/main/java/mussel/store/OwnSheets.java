package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import mussel.core.job.JournalException;

/** The sheets a yard keeps of its own in its data folder, on their way into a backup and out of it. */
final class OwnSheets {
    private static final String PREFIX = "sheets/";
    /** Nothing else comes out of a backup, whatever it holds: a name cannot lead out of the folder. */
    private static final Pattern NAME = Pattern.compile(
            "yard\\.yaml|catalogue\\.yaml|knowledge\\.yaml|families/[A-Za-z0-9_][^/\\\\:]*\\.(?:ya?ml|json)");

    private final Path folder;

    OwnSheets(Path folder) {
        this.folder = folder;
    }

    /** The sheets there are. */
    List<Path> files() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.walk(folder, 2)) {
            return files.filter(Files::isRegularFile)
                    .filter(f -> NAME.matcher(name(f)).matches())
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new JournalException("The sheets in " + folder + " cannot be listed: " + e.getMessage() + ".", e);
        }
    }

    private String name(Path file) {
        return folder.relativize(file).toString().replace('\\', '/');
    }

    /** What a sheet is called in a backup. */
    String entry(Path file) {
        return PREFIX + name(file);
    }

    private static boolean isSheet(ZipEntry entry) {
        return entry.getName().startsWith(PREFIX)
                && NAME.matcher(entry.getName().substring(PREFIX.length())).matches();
    }

    /** Where a sheet of a backup goes. */
    Path target(ZipEntry entry) {
        return folder.resolve(entry.getName().substring(PREFIX.length()));
    }

    /** The sheets of a backup that are not here. */
    List<? extends ZipEntry> missing(ZipFile zip) {
        return zip.stream()
                .filter(OwnSheets::isSheet)
                .filter(e -> !Files.exists(target(e)))
                .toList();
    }

    /** What becomes of the sheets of a backup. */
    List<String> says(ZipFile zip) {
        return zip.stream()
                .filter(OwnSheets::isSheet)
                .map(e -> "Sheet " + e.getName().substring(PREFIX.length())
                        + (Files.exists(target(e))
                                ? ": the one that is here stays."
                                : ": comes in; it counts from the next start on."))
                .toList();
    }
}
