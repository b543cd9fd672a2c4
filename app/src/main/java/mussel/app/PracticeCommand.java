package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import mussel.core.language.Messages;
import mussel.core.practice.Policy;
import mussel.core.practice.Practice;
import mussel.core.practice.PracticeInput;
import mussel.core.verdict.Context;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.sheet.SheetFiles;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
        name = "practice",
        mixinStandardHelpOptions = true,
        description = "What ways of going about legs cost, on legs drawn from the diagnosis tables. As JSON.")
final class PracticeCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(PracticeCommand.class);

    private static final double MOST_WRONG = 100;

    @Option(names = "--legs", paramLabel = "N", defaultValue = "2000", description = "how many legs (${DEFAULT-VALUE})")
    private int legs;

    @Option(names = "--seed", paramLabel = "N", defaultValue = "1", description = "the seed (${DEFAULT-VALUE})")
    private long seed;

    @Option(
            names = "--policy",
            paramLabel = "WAY",
            split = ",",
            defaultValue = "advice,single,checklist,strip,blind",
            description = "the ways: ${COMPLETION-CANDIDATES} (${DEFAULT-VALUE})")
    private List<Policy> policies;

    @Option(
            names = "--context",
            paramLabel = "FILE",
            description = "a JSON context that every leg has; drawn without it")
    private Path contextFile;

    @Option(
            names = "--wrong",
            paramLabel = "F",
            defaultValue = "1",
            description = "draw the legs from tables that are off by factors up to F (${DEFAULT-VALUE})")
    private double wrong;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws JsonProcessingException {
        Optional<String> refused = refused();
        if (refused.isPresent()) {
            spec.commandLine().getErr().println(refused.get());
            return 2;
        }
        Read<Context> context = KnowledgeCommand.context(contextFile);
        if (context.value().isEmpty()) {
            context.problems().forEach(p -> spec.commandLine().getErr().println(p));
            return 2;
        }
        DiagnosisFile tabled = DiagnosisFile.load(DataFolder.path());
        if (!tabled.refused().isEmpty()) {
            tabled.refused().forEach(p -> spec.commandLine().getErr().println(p));
            return 2;
        }
        PracticeInput in = new PracticeInput(
                legs,
                seed,
                policies.stream().distinct().toList(),
                contextFile == null ? Optional.empty() : context.value(),
                wrong,
                SheetFiles.shippedYard().labourPerH());
        spec.commandLine()
                .getOut()
                .println(Json.mapper()
                        .writerWithDefaultPrettyPrinter()
                        .writeValueAsString(Practice.run(tabled.inUse(), in)));
        return 0;
    }

    private Optional<String> refused() {
        if (legs < 1 || legs > PracticeInput.MOST_LEGS) {
            return Optional.of(TEXT.get("practice_command.legs_is_give_1_to_legs", legs, PracticeInput.MOST_LEGS));
        }
        if (!(wrong >= 1 && wrong <= MOST_WRONG)) {
            return Optional.of(TEXT.get("practice_command.wrong_is_give_a_factor_of", wrong, (int) MOST_WRONG));
        }
        return Optional.empty();
    }
}
