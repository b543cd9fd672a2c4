package mussel.app;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import mussel.core.measure.Problems;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Overrides;
import mussel.exchange.record.Read;
import mussel.exchange.verdict.KnowledgeFiles;

/**
 * The diagnosis tables with the yard's own numbers, where it keeps a file of them in its data folder.
 *
 * @param shipped the tables that ship
 * @param own the yard's numbers; none where there is no file or it was refused
 * @param refused why it was refused
 */
record DiagnosisFile(Knowledge shipped, Overrides own, List<String> refused) {
    /** The file's name in the data folder. */
    static final String FILE = "knowledge.yaml";

    static DiagnosisFile load(Path folder) {
        Path file = folder.resolve(FILE);
        if (!Files.exists(file)) {
            return new DiagnosisFile(KnowledgeFiles.shipped(), Overrides.none(), List.of());
        }
        List<String> refused = new ArrayList<>();
        Read<Overrides> read = OwnFiles.read(file, KnowledgeFiles::overrides);
        read.problems().forEach(p -> refused.add(FILE + " " + p));
        read.value().ifPresent(own -> {
            Problems problems = new Problems();
            own.check(KnowledgeFiles.shipped(), problems);
            problems.list().forEach(p -> refused.add(FILE + " " + p));
        });
        Overrides own = refused.isEmpty() ? read.value().orElseThrow() : Overrides.none();
        return new DiagnosisFile(KnowledgeFiles.shipped(), own, List.copyOf(refused));
    }

    /** The tables the engine uses. */
    Knowledge inUse() {
        return own.over(shipped);
    }
}
