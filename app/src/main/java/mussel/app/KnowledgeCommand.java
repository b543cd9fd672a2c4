package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import mussel.core.language.Messages;
import mussel.core.verdict.Context;
import mussel.core.verdict.Knowledge;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.record.RecordReader;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
        name = "knowledge",
        mixinStandardHelpOptions = true,
        description = "The diagnosis tables, whole, as the engine uses them.")
final class KnowledgeCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(KnowledgeCommand.class);

    @Option(names = "--json", description = "as JSON")
    private boolean json;

    @Option(names = "--context", paramLabel = "FILE", description = "a JSON context the tables are taken in")
    private Path contextFile;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws JsonProcessingException {
        Read<Context> context = context(contextFile);
        if (context.value().isEmpty()) {
            context.problems().forEach(p -> spec.commandLine().getErr().println(p));
            return 2;
        }
        DiagnosisFile tabled = DiagnosisFile.load(DataFolder.path());
        if (!tabled.refused().isEmpty()) {
            tabled.refused().forEach(p -> spec.commandLine().getErr().println(p));
            return 2;
        }
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(Json.mapper()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(mussel.exchange.verdict.KnowledgeFiles.asUsed(
                            tabled.inUse(), context.value().get())));
        } else {
            print(tabled.inUse(), context.value().get(), out);
        }
        return 0;
    }

    /** A context from a JSON file; an empty one without a file. */
    static Read<Context> context(Path file) {
        if (file == null) {
            return Read.of(Context.empty());
        }
        Read<JsonNode> tree = OwnFiles.read(file, Json::tree);
        return tree.value().isPresent()
                ? RecordReader.read(tree.value().get(), Context.class)
                : new Read<>(Optional.empty(), tree.problems());
    }

    private static void print(Knowledge tables, Context context, PrintWriter out) {
        out.println(TEXT.get("knowledge_command.diagnosis_tables", tables.knowledgeVersion()));
        tables.causes()
                .forEach(c -> out.printf(
                        java.util.Locale.ROOT, "%-22s %5.1f %%  %s%n", c.id(), 100 * c.prior(context), c.why()));
        tables.findings().forEach(f -> out.printf("%-26s %s%n", f.id(), String.join(", ", f.outcomes())));
    }
}
