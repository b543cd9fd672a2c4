package mussel.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Set;
import mussel.core.job.JournalException;

/**
 * Pictures beside a logbook, each named by the SHA-256 of its content: the same picture is kept once, and a name in the journal can never
 * come to mean another picture.
 */
public final class PictureFolder {
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
            throw new JournalException(name + " is no picture Mussel can show: it takes JPEG, PNG and GIF.");
        }
        try {
            if (Files.size(picture) > MOST_BYTES) {
                throw new JournalException(
                        name + " is " + Files.size(picture) / (1024 * 1024) + " MB; a picture may have "
                                + MOST_BYTES / (1024 * 1024) + " MB. Make it smaller and put it in again.");
            }
            byte[] content = Files.readAllBytes(picture);
            String kept = hash(content) + "." + kind;
            Path target = folder.resolve(kept);
            if (!Files.exists(target)) {
                Files.createDirectories(folder);
                Path half = Files.createTempFile(folder, "half", ".tmp");
                Files.write(half, content);
                Files.move(half, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            }
            return kept;
        } catch (IOException e) {
            throw new JournalException(name + " could not be kept: " + e.getMessage() + ".", e);
        }
    }

    /** Where a picture of that name lies. */
    public Path at(String name) {
        return folder.resolve(Path.of(name).getFileName());
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
