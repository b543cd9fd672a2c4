package mussel.exchange.sheet;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.library.Library;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.verdict.KnowledgeFiles;

/**
 * Run by the build: checks the sheets that ship and writes each as JSON beside its YAML, since JSON is read in a tenth of the time when
 * the application starts. A sheet with a problem fails the build.
 */
public final class SheetCompiler {
    private SheetCompiler() {}

    /** Takes the folder of the compiled classes. */
    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0], "mussel", "exchange", "sheet");
        Path procedures = folder.resolveSibling("library").resolve("library.yaml");
        JsonNode tree = Yaml.tree(Files.readAllBytes(procedures))
                .value()
                .orElseThrow(() -> new IllegalStateException("The library that ships cannot be read"));
        Files.write(procedures.resolveSibling("library.json"), Json.mapper().writeValueAsBytes(tree));
        Library library = Library.of(tree);
        for (String id : SheetFiles.SHIPPED) {
            Path yaml = folder.resolve("families").resolve(id + ".yaml");
            Read<SpecSheet> sheet =
                    SheetFiles.family(Files.readAllBytes(yaml), () -> library, base -> Optional.empty());
            write(yaml.resolveSibling(id + ".json"), sheet, id);
        }
        for (String id : SheetFiles.EARLIER) {
            Path yaml = folder.resolve("earlier").resolve(id + ".yaml");
            write(
                    yaml.resolveSibling(id + ".json"),
                    SheetFiles.family(Files.readAllBytes(yaml), () -> library, base -> Optional.empty()),
                    id);
        }
        Path verdict = folder.resolveSibling("verdict");
        write(
                verdict.resolve("knowledge.json"),
                KnowledgeFiles.read(Files.readAllBytes(verdict.resolve("knowledge.yaml"))),
                "knowledge");
        Path parts = folder.resolveSibling("parts");
        write(
                parts.resolve("catalogue.json"),
                CatalogueFiles.read(Files.readAllBytes(parts.resolve("catalogue.yaml"))),
                "catalogue");
        write(folder.resolve("yard.json"), SheetFiles.yard(Files.readAllBytes(folder.resolve("yard.yaml"))), "yard");
    }

    private static void write(Path json, Read<?> sheet, String id) throws IOException {
        if (sheet.value().isEmpty()) {
            throw new IllegalStateException("The sheet " + id + " that ships: " + sheet.problems());
        }
        Files.write(json, Json.mapper().writeValueAsBytes(sheet.value().get()));
    }
}
