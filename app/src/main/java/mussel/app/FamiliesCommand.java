package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import mussel.core.language.Messages;
import mussel.core.sheet.Goal;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
        name = "families",
        mixinStandardHelpOptions = true,
        description = "The family sheets the product ships or the yard has added; or checks sheets.")
final class FamiliesCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(FamiliesCommand.class);

    @Option(names = "--json", description = "the whole sheets as JSON")
    private boolean json;

    @Option(
            names = "--check",
            paramLabel = "FILE",
            arity = "1..*",
            description = "reads these sheets and tells every problem")
    private List<Path> check = List.of();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws JsonProcessingException {
        return check.isEmpty() ? list() : check();
    }

    private int list() throws JsonProcessingException {
        SheetFolder families = SheetFolder.load(DataFolder.families());
        if (json) {
            spec.commandLine()
                    .getOut()
                    .println(Json.mapper()
                            .writerWithDefaultPrettyPrinter()
                            .writeValueAsString(families.sheets().stream()
                                    .map(FamiliesCommand::tree)
                                    .toList()));
        } else {
            for (SpecSheet sheet : families.sheets()) {
                String goals =
                        String.join(", ", sheet.goals().stream().map(Goal::id).toList());
                spec.commandLine()
                        .getOut()
                        .printf(
                                "%-10s %-10s goals: %s%n           %s%n",
                                sheet.id(), sheet.title(), goals, sheet.origin());
            }
        }
        families.refused().forEach(spec.commandLine().getErr()::println);
        return families.refused().isEmpty() ? 0 : 2;
    }

    /** The sheet with the ids of its goals first, as the contract has them; the goals themselves follow. */
    static com.fasterxml.jackson.databind.node.ObjectNode tree(SpecSheet sheet) {
        com.fasterxml.jackson.databind.node.ObjectNode tree = Json.mapper().valueToTree(sheet);
        tree.set("goal_sheets", tree.get("goals"));
        com.fasterxml.jackson.databind.node.ArrayNode ids = tree.putArray("goals");
        sheet.goals().forEach(g -> ids.add(g.id()));
        return tree;
    }

    private int check() {
        int refused = 0;
        for (Path file : check) {
            Read<List<SpecSheet>> read = OwnFiles.read(file, SheetFiles::families);
            read.problems().forEach(p -> spec.commandLine().getErr().println(SheetFolder.line(file, p)));
            refused += read.problems().isEmpty() ? 0 : 1;
            read.value().orElse(List.of()).forEach(s -> spec.commandLine()
                    .getOut()
                    .println(TEXT.get("families_command.is_sound", file, s.title())));
        }
        return refused == 0 ? 0 : 2;
    }
}
