package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.exchange.file.Durable;
import mussel.exchange.file.InFile;

/**
 * Pictures beside a logbook, each named by the SHA-256 of its content: the same picture is kept once, and a name in the journal can never
 * come to mean another picture.
 */
public final class PictureFolder {
    private static final Messages TEXT = Messages.of(PictureFolder.class);

    /** The largest picture taken in (bytes). */
    public static final long MOST_BYTES = 40L * 1024 * 1024;

    private static final Set<String> KINDS = Set.of("jpg", "jpeg", "png", "gif");

    private final Path folder;

    private PictureFolder(Path folder) {
        this.folder = folder;
    }

    /** The folder of a logbook; made when the first picture comes. */
    public static PictureFolder beside(Path log) {
        return new PictureFolder(log.resolveSibling(log.getFileName() + ".pictures"));
    }

    /**
     * Takes a picture in and returns its name in the folder.
     *
     * @throws JournalException with a sentence when it is no picture, too large, or cannot be kept; nothing has changed then
     */
    public String keep(Path picture) {
        String name = picture.getFileName().toString();
        String kind = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        if (!KINDS.contains(kind)) {
            throw new JournalException(TEXT.get("picture_folder.is_no_picture_mussel_can_show", name));
        }
        try {
            Optional<String> refused = InFile.refused(picture, MOST_BYTES);
            if (refused.isPresent()) {
                throw new JournalException(TEXT.get("picture_folder.nothing_was_put_in", name, refused.get()));
            }
            byte[] content = Files.readAllBytes(picture);
            String kept = hash(content) + "." + kind;
            if (!has(kept)) {
                put(kept, content);
            }
            return kept;
        } catch (IOException e) {
            throw new JournalException(TEXT.get("picture_folder.could_not_be_kept", name, Durable.why(e)), e);
        }
    }

    /** Whether the picture of that name is here, and still what its name says. */
    boolean has(String name) throws IOException {
        return Files.isRegularFile(at(name)) && unchanged(at(name));
    }

    /** Puts content under a name; false, with nothing changed, where the name is not that of the content. */
    boolean put(String name, byte[] content) throws IOException {
        if (!name.startsWith(hash(content) + ".")) {
            return false;
        }
        Durable.folders(folder);
        Durable.write(at(name), out -> out.write(content));
        return true;
    }

    /** The pictures there are that still are what their names say. */
    List<Path> sound() throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        List<Path> sound = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(
                            f -> Settings.isPicture(f.getFileName().toString()))
                    .sorted()
                    .toList()) {
                if (unchanged(file)) {
                    sound.add(file);
                }
            }
        }
        return sound;
    }

    /** The pictures that a folder of automatic backups shares. */
    static PictureFolder in(Path folder) {
        return new PictureFolder(folder);
    }

    /** Where a picture of that name lies; where nothing lies for a name that no picture has. */
    public Path at(String name) {
        return folder.resolve(Settings.isPicture(name) ? name : "no-picture");
    }

    /** Whether a picture still is what its name says. */
    boolean unchanged(Path file) throws IOException {
        String name = file.getFileName().toString();
        return name.startsWith(hash(Files.readAllBytes(file)) + ".");
    }

    private static String hash(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
