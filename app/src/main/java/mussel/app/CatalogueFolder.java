package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import mussel.core.parts.Catalogue;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.record.Read;

/**
 * What the yard can buy: its own catalogue where it keeps one in its data folder, else the one that ships.
 *
 * @param catalogue the catalogue in use
 * @param shipped whether that is the one that ships
 * @param refused why the yard's own was refused
 */
record CatalogueFolder(Catalogue catalogue, boolean shipped, List<String> refused) {
    /** The file's name in the data folder. */
    static final String FILE = "catalogue.yaml";

    static CatalogueFolder load(Path folder) {
        Path file = folder.resolve(FILE);
        if (!Files.exists(file)) {
            return new CatalogueFolder(CatalogueFiles.shipped(), true, List.of());
        }
        Read<Catalogue> read = OwnFiles.read(file, CatalogueFiles::read);
        return read.value()
                .map(own -> new CatalogueFolder(own, false, List.of()))
                .orElseGet(() -> new CatalogueFolder(
                        CatalogueFiles.shipped(),
                        true,
                        read.problems().stream().map(p -> FILE + " " + p).toList()));
    }
}
