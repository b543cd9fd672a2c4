package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mussel.core.job.Yard;
import mussel.exchange.file.InFile;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;

/** Files a yard keeps of its own in its data folder. */
final class OwnFiles {
    /** The yard sheet's name in the data folder. */
    static final String YARD = "yard.yaml";

    private static final long MOST_BYTES = 8L * 1024 * 1024;

    private OwnFiles() {}

    /** Reads one, or says why it is refused. */
    static <T> Read<T> read(Path file, Function<byte[], Read<T>> reader) {
        Read<byte[]> bytes = InFile.bytes(file, MOST_BYTES);
        return bytes.value().isPresent()
                ? reader.apply(bytes.value().get())
                : new Read<>(Optional.empty(), bytes.problems());
    }

    /**
     * The yard's sheet: its own where it keeps one, else the one that ships.
     *
     * @param yard the sheet in use
     * @param refused why its own was refused
     */
    record OwnYard(Yard yard, List<String> refused) {
        static OwnYard load(Path folder) {
            Path file = folder.resolve(YARD);
            if (!Files.exists(file)) {
                return new OwnYard(SheetFiles.shippedYard(), List.of());
            }
            Read<Yard> read = read(file, SheetFiles::yard);
            return new OwnYard(
                    read.value().orElseGet(SheetFiles::shippedYard),
                    read.problems().stream().map(p -> YARD + " " + p).toList());
        }
    }
}
