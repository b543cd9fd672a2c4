package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mussel.app.demo.DemoYard;
import mussel.exchange.calc.Engine;
import mussel.exchange.record.Json;
import mussel.store.SqliteJournal;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/**
 * What every command, paper and export says of the demo shop, compared with what was kept under {@code src/test/outputs}: a change of structure changes
 * none of it. {@code -Dmussel.outputs=keep} keeps what is said now, where a change is meant; the difference is then read in the commit. Long outputs are
 * kept as their digest, and written to {@code target/outputs} at each run.
 */
class SameOutputsTest {
    private static final Instant DAY = Instant.parse("2026-11-23T09:00:00Z");
    private static final Path KEPT = Path.of("src/test/outputs");
    private static final Path NOW = Path.of("target/outputs");
    private static final Path INPUTS = Path.of("../exchange/src/test/resources/mussel/exchange/calc");
    private static final int LONGEST = 24_000;

    @TempDir
    Path folder;

    private final Map<String, String> outputs = new TreeMap<>();
    private Path log;

    @Test
    void everyOutputIsWhatItWas() throws IOException {
        log = folder.resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        commands();
        engines();
        papers();
        exports();

        Map<String, String> kept = new TreeMap<>();
        for (Map.Entry<String, String> output : outputs.entrySet()) {
            write(NOW.resolve(output.getKey()), output.getValue());
            kept.put(
                    output.getKey(),
                    output.getValue().length() > LONGEST ? digest(output.getValue()) : output.getValue());
        }
        if (System.getProperty("mussel.outputs", "").equals("keep")) {
            for (Map.Entry<String, String> output : kept.entrySet()) {
                write(KEPT.resolve(output.getKey()), output.getValue());
            }
        }
        assertThat(names(KEPT)).as("what is kept and what is said").isEqualTo(List.copyOf(kept.keySet()));
        for (Map.Entry<String, String> output : kept.entrySet()) {
            assertThat(output.getValue())
                    .as(output.getKey() + "; see " + NOW.resolve(output.getKey()))
                    .isEqualTo(Files.readString(KEPT.resolve(output.getKey())));
        }
    }

    private void commands() {
        said("families.json", "families", "--json");
        said("families.txt", "families");
        said("due.txt", "due");
        said("check.txt", "check");
        said("knowledge.json", "knowledge", "--json");
        for (CommandLine command : Main.command().getSubcommands().values()) {
            outputs.put(
                    "help-" + command.getCommandName() + ".txt", command.getUsageMessage(CommandLine.Help.Ansi.OFF));
        }
    }

    private void engines() throws IOException {
        for (Engine engine : Engine.all()) {
            said("schema-" + engine.name() + ".json", "schema", engine.name());
        }
        try (Stream<Path> inputs = Files.list(INPUTS)) {
            for (Path input : inputs.sorted().toList()) {
                String name = input.getFileName().toString().replace(".json", "");
                Optional<Engine> engine = Engine.named(name.replaceFirst("-.*", ""));
                if (engine.isPresent()) {
                    byte[] given = Json.mapper()
                            .writeValueAsBytes(
                                    Json.mapper().readTree(input.toFile()).get("in"));
                    outputs.put(
                            "calc-" + name + ".json",
                            Json.mapper()
                                    .writeValueAsString(
                                            engine.get().run(given).value().orElseThrow()));
                }
            }
        }
    }

    private void papers() throws IOException {
        List<Integer> jobs;
        try (SqliteJournal journal = SqliteJournal.read(log, Clock.fixed(DAY, ZoneOffset.UTC))) {
            jobs = journal.benchLines().open().stream()
                    .map(l -> l.job())
                    .sorted()
                    .toList();
        }
        for (int job : jobs) {
            for (String paper : List.of("sheet", "estimate", "mat")) {
                Path pdf = folder.resolve(paper + job + ".pdf");
                String told = run("report", String.valueOf(job), "--paper", paper, "--out", pdf.toString());
                outputs.put("paper-" + job + "-" + paper + ".txt", told + (Files.exists(pdf) ? text(pdf) : ""));
            }
        }
    }

    private void exports() throws IOException {
        Path json = folder.resolve("log.json");
        run("export", "--format", "json", "--out", json.toString());
        outputs.put("export.json", Files.readString(json));
        Path ics = folder.resolve("due.ics");
        run("export", "--format", "ics", "--out", ics.toString());
        outputs.put("export.ics", Files.readString(ics));
        Path lists = folder.resolve("lists");
        run("export", "--format", "csv", "--out", lists.toString());
        for (String name : names(lists)) {
            outputs.put("export-" + name, Files.readString(lists.resolve(name)));
        }
    }

    private void said(String name, String... words) {
        outputs.put(name, run(words));
    }

    /** Everything a command says, with its exit code where that is not 0; the folder of this run stands for itself. */
    private String run(String... words) {
        List<String> all = new ArrayList<>(List.of("--log", log.toString()));
        all.addAll(List.of(words));
        StringWriter out = new StringWriter();
        CommandLine command = Main.command(Clock.fixed(DAY, ZoneOffset.UTC));
        command.setOut(new PrintWriter(out, true));
        command.setErr(new PrintWriter(out, true));
        int code = command.execute(all.toArray(String[]::new));
        return (out + (code == 0 ? "" : "exit code " + code + "\n")).replace(folder.toString(), "FOLDER");
    }

    private static String text(Path pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            return new PDFTextStripper().getText(document);
        }
    }

    private static List<String> names(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString()).sorted().toList();
        }
    }

    private static void write(Path file, String text) throws IOException {
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
    }

    private static String digest(String text) {
        try {
            return HexFormat.of()
                            .formatHex(
                                    MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)))
                    + "\n";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
