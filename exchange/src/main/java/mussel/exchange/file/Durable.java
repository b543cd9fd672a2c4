package mussel.exchange.file;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileAttribute;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.EnumSet;
import java.util.Set;
import mussel.core.language.Messages;

/** Files for their owner alone (0600, folders 0700), there whole or not at all: written beside, synced, renamed, their folder synced. */
public final class Durable {
    private static final Messages TEXT = Messages.of(Durable.class);

    private static final Set<PosixFilePermission> FILE =
            EnumSet.of(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
    private static final Set<PosixFilePermission> FOLDER = EnumSet.of(
            PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE, PosixFilePermission.OWNER_EXECUTE);
    private static final String HALF = ".half";

    private Durable() {}

    /** Writes what a file is to hold. */
    @FunctionalInterface
    public interface Content {
        /** Writes it; the stream is closed by the caller. */
        void to(OutputStream out) throws IOException;
    }

    /** Writes a file in one go; what was there of that name is replaced only once the new one is whole and on the disk. */
    public static void write(Path target, Content content) throws IOException {
        Path half = beside(target);
        try {
            try (FileChannel channel = FileChannel.open(
                            half,
                            EnumSet.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE),
                            attributes(half, FILE));
                    OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel), 65_536)) {
                content.to(out);
                out.flush();
                channel.force(true);
            }
            replace(half, target);
        } finally {
            Files.deleteIfExists(half);
        }
    }

    /** Puts a file that is whole in the place of another, on the same disk, in one step that survives a pulled plug. */
    public static void replace(Path whole, Path target) throws IOException {
        Files.move(whole, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        syncFolder(target);
    }

    /** A short name of its own beside the target, so that also the longest name a disk takes can be written. */
    private static Path beside(Path target) throws IOException {
        Path folder = folderOf(target);
        if (!Files.isDirectory(folder)) {
            throw new NoSuchFileException(folder.toString());
        }
        return folder.resolve(".mussel-" + Long.toHexString(System.nanoTime()) + HALF);
    }

    /** The folder a file lies in. */
    public static Path folderOf(Path file) {
        return file.toAbsolutePath().getParent();
    }

    /** Makes a folder, and those above it, for the owner alone; those that are there stay as they are. */
    public static void folders(Path folder) throws IOException {
        Path above = folder.toAbsolutePath();
        while (above != null && !Files.exists(above)) {
            above = above.getParent();
        }
        Files.createDirectories(folder, attributes(above == null ? folder.toAbsolutePath() : above, FOLDER));
    }

    /** Makes an empty file for the owner alone where there is none, so that whoever opens it for writing keeps it so. */
    public static void begin(Path file) throws IOException {
        if (!Files.exists(file)) {
            FileChannel.open(
                            file,
                            EnumSet.of(StandardOpenOption.CREATE, StandardOpenOption.WRITE),
                            attributes(folderOf(file), FILE))
                    .close();
        }
    }

    /** Takes a file or folder that is there from everybody but its owner; where the disk knows no owners nothing happens. */
    public static void keepPrivate(Path file) {
        try {
            PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
            if (view != null) {
                Set<PosixFilePermission> wanted = Files.isDirectory(file) ? FOLDER : FILE;
                if (!view.readAttributes().permissions().equals(wanted)) {
                    view.setPermissions(wanted);
                }
            }
        } catch (IOException | UnsupportedOperationException e) {
            // Somebody else's file, or a disk without owners: it stays as its owner has it.
            return;
        }
    }

    /** Brings a file's content to the disk. */
    public static void sync(Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
    }

    /** Brings the names in a file's folder to the disk; where a system has no such thing nothing happens. */
    public static void syncFolder(Path file) {
        try (FileChannel channel = FileChannel.open(folderOf(file), StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Windows opens no folder; its renames are on the disk when they return.
            return;
        }
    }

    private static FileAttribute<?>[] attributes(Path there, Set<PosixFilePermission> permissions) {
        boolean posix = there.getFileSystem().supportedFileAttributeViews().contains("posix");
        return posix
                ? new FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(permissions)}
                : new FileAttribute<?>[0];
    }

    /** Why a file could not be read or written, in words: the system's own message is often only the path. */
    public static String why(IOException e) {
        if (e instanceof NoSuchFileException) {
            return TEXT.get("durable.it_is_not_there");
        }
        if (e instanceof AccessDeniedException) {
            return TEXT.get("durable.it_may_not_be_read_or");
        }
        if (e instanceof NotDirectoryException) {
            return TEXT.get("durable.it_is_no_folder");
        }
        if (e instanceof FileSystemException system && system.getReason() != null) {
            String reason = system.getReason();
            return switch (reason) {
                case "No space left on device" -> TEXT.get("durable.the_disk_is_full");
                case "Read-only file system" -> TEXT.get("durable.the_disk_is_for_reading_only");
                case "File name too long" -> TEXT.get("durable.its_name_is_too_long");
                default -> reason.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + reason.substring(1);
            };
        }
        String message = e.getMessage();
        return "No space left on device".equals(message)
                ? TEXT.get("durable.the_disk_is_full")
                : message == null || message.isBlank() ? TEXT.get("durable.the_system_gives_no_reason") : message;
    }
}
