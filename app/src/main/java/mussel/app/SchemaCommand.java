package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.parts.Catalogue;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Overrides;
import mussel.exchange.calc.Engine;
import mussel.exchange.log.LogSchema;
import mussel.exchange.record.Json;
import mussel.exchange.record.RecordSchema;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(name = "schema", mixinStandardHelpOptions = true, description = "Prints the JSON Schema of a format.")
final class SchemaCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(SchemaCommand.class);

    @Parameters(
            paramLabel = "FORMAT",
            description = "log, family, sheet, yard, catalogue, knowledge, overrides, or an engine's name")
    private String format;

    @Spec
    private CommandSpec spec;

    /** Every published schema by its name. */
    static Map<String, ObjectNode> all() {
        Map<String, ObjectNode> all = new TreeMap<>();
        all.put("family", RecordSchema.of(SpecSheet.class, TEXT.get("schema_command.mussel_family_sheet")));
        all.put("sheet", RecordSchema.of(CompactSheet.class, TEXT.get("schema_command.mussel_compact_sheet")));
        all.put("yard", RecordSchema.of(Yard.class, TEXT.get("schema_command.mussel_yard_sheet")));
        all.put("catalogue", RecordSchema.of(Catalogue.class, TEXT.get("schema_command.mussel_catalogue_of_parts")));
        all.put("knowledge", RecordSchema.of(Knowledge.class, TEXT.get("schema_command.mussel_diagnosis_tables")));
        all.put("overrides", RecordSchema.of(Overrides.class, TEXT.get("schema_command.a_yards_own_numbers_for_the")));
        Engine.all()
                .forEach(e -> all.put(
                        e.name(),
                        RecordSchema.of(e.input(), TEXT.get("schema_command.input_of_the_engine", e.name()))));
        return all;
    }

    @Override
    public Integer call() throws JsonProcessingException {
        if (format.equals("log")) {
            PrintWriter out = spec.commandLine().getOut();
            out.print(LogSchema.text());
            // A line that is not ended is not sent by itself.
            out.flush();
            return 0;
        }
        ObjectNode schema = all().get(format);
        if (schema == null) {
            spec.commandLine()
                    .getErr()
                    .println(TEXT.get(
                            "schema_command.there_is_no_format_there_are", format, String.join(", ", all().keySet())));
            return 2;
        }
        spec.commandLine()
                .getOut()
                .println(Json.mapper().writerWithDefaultPrettyPrinter().writeValueAsString(schema));
        return 0;
    }
}
