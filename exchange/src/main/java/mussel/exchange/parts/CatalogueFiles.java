package mussel.exchange.parts;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.measure.Problems;
import mussel.core.parts.Catalogue;
import mussel.core.parts.Objective;
import mussel.core.parts.PartsInput;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import mussel.exchange.record.Yaml;

/** Reads catalogues from YAML (JSON is YAML too). */
public final class CatalogueFiles {
    private CatalogueFiles() {}

    /** The catalogue that ships with the demo's invented suppliers, read when first asked for. */
    public static Catalogue shipped() {
        return Shipped.CATALOGUE;
    }

    /** Reads a catalogue, or says everything that is wrong with it: what the parts engine would refuse as well. */
    public static Read<Catalogue> read(byte[] utf8) {
        Read<JsonNode> tree = Yaml.tree(utf8);
        if (tree.value().isEmpty()) {
            return new Read<>(Optional.empty(), tree.problems());
        }
        Read<Catalogue> read = RecordReader.read(tree.value().get(), Catalogue.class);
        if (read.value().isEmpty()) {
            return read;
        }
        Problems problems = new Problems();
        Catalogue catalogue = read.value().get();
        for (int i = 0; i < catalogue.families().size(); i++) {
            new PartsInput(
                            List.of(),
                            List.of(),
                            catalogue.families().get(i).offers(),
                            catalogue.suppliers(),
                            Objective.COST,
                            OptionalDouble.empty(),
                            0)
                    .check(problems, "/families/" + i);
        }
        return problems.none() ? read : new Read<>(Optional.empty(), problems.list());
    }

    private static final class Shipped {
        private static final Catalogue CATALOGUE = load();

        private Shipped() {}

        private static Catalogue load() {
            try (InputStream in = CatalogueFiles.class.getResourceAsStream("catalogue.json")) {
                return RecordReader.read(Json.tree(in.readAllBytes()).value().orElseThrow(), Catalogue.class)
                        .value()
                        .orElseThrow();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
