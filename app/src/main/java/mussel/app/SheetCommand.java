package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import mussel.core.job.MissingValue;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.file.OutFile;
import mussel.exchange.library.Compact;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetDiff;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
        name = "sheet",
        mixinStandardHelpOptions = true,
        description =
                "Compact sheets: begins one from answers, makes the full sheet of one, tells what differs between two.")
final class SheetCommand {
    private static final Messages TEXT = Messages.of(SheetCommand.class);

    private static final int REFUSED = 2;

    @Spec
    private CommandSpec spec;

    @Command(
            name = "new",
            mixinStandardHelpOptions = true,
            description = "Begins a compact sheet from how a leg is built; answers left out are unknown.")
    int begin(
            @Parameters(paramLabel = "ANSWERS.json", description = "{\"title\":…,\"size\":…,\"features\":{…}}")
                    Path answers,
            @Option(names = "--out", paramLabel = "FILE", description = "where to write it; standard output without it")
                    Path out,
            @Option(names = "--force", description = "replaces a compact sheet of that name") boolean force) {
        Optional<OutFile> file = Optional.ofNullable(out).map(o -> OutFile.of(o, OutFile.Kind.SHEET, force));
        Read<ObjectNode> begun = OwnFiles.read(answers, Compact::begin);
        if (refused(answers, begun)) {
            return REFUSED;
        }
        String yaml = Compact.yaml(begun.value().orElseThrow());
        if (file.isEmpty()) {
            PrintWriter to = spec.commandLine().getOut();
            to.print(yaml);
            to.flush();
        } else {
            file.get().write(to -> to.write(yaml.getBytes(StandardCharsets.UTF_8)));
            spec.commandLine().getOut().println(TEXT.get("sheet_command.written_to", out));
        }
        return 0;
    }

    @Command(
            name = "expand",
            mixinStandardHelpOptions = true,
            description = "The full sheet as one JSON object, with what is still missing and where it is asked for.")
    int expand(@Parameters(paramLabel = "FILE") Path file) throws JsonProcessingException {
        Read<SpecSheet> read = SheetFolder.read(file);
        if (refused(file, read)) {
            return REFUSED;
        }
        SpecSheet sheet = read.value().orElseThrow();
        ObjectNode tree = FamiliesCommand.tree(sheet);
        ArrayNode missing = tree.putArray("missing");
        for (MissingValue value : MissingValue.of(sheet)) {
            ObjectNode one = missing.addObject().put("at", value.at()).put("title", value.title());
            ArrayNode stations = one.putArray("stations");
            value.stations().forEach(s -> stations.add(NamedBy.file(s)));
        }
        print(tree);
        return 0;
    }

    @Command(
            name = "diff",
            mixinStandardHelpOptions = true,
            description = "What differs between two sheets, a line each.")
    int diff(@Parameters(paramLabel = "A") Path a, @Parameters(paramLabel = "B") Path b) {
        Read<SpecSheet> first = SheetFolder.read(a);
        Read<SpecSheet> second = SheetFolder.read(b);
        boolean wrong = refused(a, first) | refused(b, second);
        if (wrong) {
            return REFUSED;
        }
        SheetDiff.lines(first.value().orElseThrow(), second.value().orElseThrow())
                .forEach(spec.commandLine().getOut()::println);
        return 0;
    }

    private void print(JsonNode tree) throws JsonProcessingException {
        spec.commandLine()
                .getOut()
                .println(Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(tree));
    }

    private boolean refused(Path file, Read<?> read) {
        List<Problem> problems = read.problems();
        problems.forEach(p -> spec.commandLine().getErr().println(SheetFolder.line(file, p)));
        return read.value().isEmpty();
    }
}
