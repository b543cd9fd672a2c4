package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.job.JournalException;
import mussel.core.language.Messages;
import mussel.core.measure.Problem;
import mussel.exchange.file.Durable;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;

/** The sheets a yard keeps of its own in its data folder, on their way into a backup and out of it. */
final class OwnSheets {
    private static final Messages TEXT = Messages.of(OwnSheets.class);

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
            throw new JournalException(
                    TEXT.get("own_sheets.the_sheets_in_cannot_be_listed", folder, Durable.why(e)), e);
        }
    }

    private String name(Path file) {
        return folder.relativize(file).toString().replace('\\', '/');
    }

    /** What a sheet is called in a backup. */
    String entry(Path file) {
        return PREFIX + name(file);
    }

    /** Whether a backup may hold that: no name of it leads out of the folder. */
    static boolean isSheet(String entry) {
        return entry.startsWith(PREFIX) && NAME.matcher(name(entry)).matches();
    }

    /** What a sheet of a backup is called in the folder. */
    static String name(String entry) {
        return entry.substring(PREFIX.length());
    }

    /** Holds a sheet of a backup against what is here, brings it where that is wanted and it can be read. */
    SheetInBackup meet(String entry, byte[] content, boolean bring) throws IOException {
        String name = name(entry);
        Path target = folder.resolve(name);
        if (Files.exists(target)) {
            return new SheetInBackup(false, TEXT.get("own_sheets.sheet_the_one_that_is_here", name));
        }
        List<Problem> problems = problems(name, content);
        if (!problems.isEmpty()) {
            return new SheetInBackup(
                    false,
                    TEXT.get(
                            "own_sheets.sheet_left_out_it",
                            name,
                            problems.get(0).problem()));
        }
        if (bring) {
            Durable.folders(target.getParent());
            Durable.write(target, out -> out.write(content));
        }
        return new SheetInBackup(true, TEXT.get("own_sheets.sheet_comes_in_it_counts_from", name));
    }

    private static List<Problem> problems(String name, byte[] content) {
        return switch (name) {
            case "yard.yaml" -> SheetFiles.yard(content).problems();
            case "catalogue.yaml" -> CatalogueFiles.read(content).problems();
            case "knowledge.yaml" -> KnowledgeFiles.overrides(content).problems();
            default -> SheetFiles.family(content).problems();
        };
    }
}
