package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.concurrent.Callable;
import mussel.core.job.Scale;
import mussel.core.measure.NamedBy;
import mussel.exchange.record.Json;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
        name = "knowledge",
        mixinStandardHelpOptions = true,
        description = "The scales of findings in use. Causes and their probabilities are not part of this version.")
final class KnowledgeCommand implements Callable<Integer> {
    @Option(names = "--json", description = "as JSON")
    private boolean json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws JsonProcessingException {
        ObjectNode all = Json.mapper().createObjectNode();
        ArrayNode findings = all.putArray("findings");
        for (Scale scale : Scale.values()) {
            if (!scale.outcomes().isEmpty()) {
                ObjectNode finding =
                        findings.addObject().put("id", NamedBy.file(scale)).put("title", scale.label());
                scale.outcomes().forEach(finding.putArray("outcomes")::add);
            }
        }
        all.putArray("notes").add("Scales only: this version has no diagnosis tables yet.");
        if (json) {
            spec.commandLine()
                    .getOut()
                    .println(Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(all));
        } else {
            findings.forEach(f ->
                    spec.commandLine().getOut().printf("%-12s %s%n", f.get("id").asText(), f.get("outcomes")));
        }
        return 0;
    }
}
