package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import mussel.app.demo.DemoYard;
import mussel.core.job.Station;
import mussel.exchange.record.Json;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

class CommandsTest {
    private static final Instant DAY = Instant.parse("2026-11-23T09:00:00Z");

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... args) {
        CommandLine command = Main.command();
        command.setOut(new PrintWriter(out));
        command.setErr(new PrintWriter(err));
        return command.execute(args);
    }

    @Test
    void familiesAreListedWithTheIdsOfTheirGoals() throws IOException {
        assertThat(run("families", "--json")).isZero();
        JsonNode families = Json.mapper().readTree(out.toString());
        assertThat(families.findValuesAsText("id")).contains("tern-60", "wren-8");
        assertThat(families.get(0).get("goals").get(0).isTextual()).isTrue();
        assertThat(families.get(0).at("/case/tau_40_min").asDouble()).isPositive();
    }

    @Test
    void aBrokenSheetIsToldWithItsPlaceAndNoTrace() throws IOException {
        Path sheet = Files.writeString(folder.resolve("x.yaml"), "id: x\ntitle: 3\n");
        assertThat(run("families", "--check", sheet.toString())).isEqualTo(2);
        assertThat(err.toString())
                .contains("/title: must be a text", "/oil: is missing")
                .doesNotContain("Exception");
    }

    @Test
    void everyStationHasItsPageInTheGuide() {
        for (Station station : Station.values()) {
            String page = station.title().toLowerCase(Locale.ROOT).replace(' ', '-') + ".md";
            assertThat(Path.of("..", "docs", "guide", page)).isRegularFile();
        }
    }

    /** The number of a leg's job on the bench. */
    private static String open(Path log, String boat) {
        try (SqliteJournal journal = SqliteJournal.read(log, Clock.systemUTC())) {
            return journal.benchLines().open().stream()
                    .filter(l -> l.leg().title().equals(boat))
                    .map(l -> String.valueOf(l.job()))
                    .findFirst()
                    .orElseThrow();
        }
    }

    @Test
    void aJobIsReportedOnOnePage() throws IOException {
        Path log = folder.resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        Path pdf = folder.resolve("job.pdf");

        assertThat(run("--log", log.toString(), "report", open(log, "Byssus"), "--out", pdf.toString()))
                .as(err.toString())
                .isZero();

        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document))
                    .contains(
                            "Byssus",
                            "maker's manual",
                            "2 × Driveshaft seal",
                            "Vacuum test (simulated)",
                            "simulated instrument");
            document.getPage(0).getResources().getFontNames().forEach(name -> {
                try {
                    assertThat(document.getPage(0).getResources().getFont(name).isEmbedded())
                            .isTrue();
                } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                }
            });
        }
    }

    @Test
    void theOwnersEstimateAndTheMatAreReportedToo() throws IOException {
        Path log = folder.resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        Path estimate = folder.resolve("estimate.pdf");
        Path mat = folder.resolve("mat.pdf");

        assertThat(run(
                        "--log",
                        log.toString(),
                        "report",
                        open(log, "Sound Harvester, port"),
                        "--paper",
                        "estimate",
                        "--out",
                        estimate.toString()))
                .as(err.toString())
                .isZero();
        assertThat(run(
                        "--log",
                        log.toString(),
                        "report",
                        open(log, "Sound Harvester, port"),
                        "--paper",
                        "mat",
                        "--out",
                        mat.toString()))
                .isZero();
        try (PDDocument document = Loader.loadPDF(estimate.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Sound Harvester, port", "Rebuilt Skua 225 leg");
        }
        try (PDDocument document = Loader.loadPDF(mat.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("Rebuild order", "Carrier ring");
        }
        assertThat(run(
                        "--log",
                        log.toString(),
                        "report",
                        open(log, "Harvest barge Long Name of the Loch, port"),
                        "--paper",
                        "estimate",
                        "--out",
                        estimate.toString(),
                        "--force"))
                .isEqualTo(2);
        assertThat(err.toString()).contains("nothing is to be done yet").doesNotContain("Exception");
    }

    @Test
    void whatIsNotThereIsSaidInASentence() {
        Path log = folder.resolve("none.mussel");
        assertThat(run("--log", log.toString(), "report", "5", "--out", "x.pdf"))
                .isEqualTo(2);
        assertThat(err.toString()).contains("There is no logbook").doesNotContain("Exception");
        assertThat(log).doesNotExist();
    }

    @Test
    void anUnknownJobIsSaidInASentence() {
        Path log = folder.resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        assertThat(run("report", "500", "--out", "x.pdf", "--log", log.toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("There is no job 500");
    }

    @Test
    void theDemoHasLegsInDifferentStates() {
        Path log = folder.resolve("demo.mussel");
        DemoYard.fill(log, DAY);
        try (var journal = mussel.store.SqliteJournal.open(log, java.time.Clock.systemUTC())) {
            var shop = Yards.over(
                    journal,
                    new FileStore(log, java.time.Clock.systemUTC()),
                    mussel.exchange.sheet.SheetFiles.shipped());
            var open =
                    shop.jobs().stream().filter(j -> j.job().tagged().isEmpty()).toList();
            assertThat(open).hasSizeGreaterThanOrEqualTo(5);
            assertThat(open.stream().map(j -> j.job().leg().boat()).distinct().count())
                    .isGreaterThanOrEqualTo(4);
            assertThat(open.stream().map(j -> j.current()).distinct().count()).isGreaterThanOrEqualTo(4);
            assertThat(shop.jobs()).anyMatch(j -> j.job().tagged().isPresent());
        }
    }

    @Test
    void thePublishedSchemasAreThoseOfTheProgram() throws IOException {
        Path docs = Path.of("..", "docs", "schema");
        for (var schema : SchemaCommand.all().entrySet()) {
            JsonNode published =
                    Json.mapper().readTree(Files.readAllBytes(docs.resolve(schema.getKey() + ".schema.json")));
            assertThat(published.toString())
                    .as(schema.getKey())
                    .isEqualTo(
                            Json.mapper().readTree(schema.getValue().toString()).toString());
        }
    }

    @Test
    void knowledgeNamesTheScalesInUse() throws IOException {
        assertThat(run("knowledge", "--json")).isZero();
        assertThat(Json.mapper().readTree(out.toString()).get("findings").findValuesAsText("id"))
                .contains("oil_water", "magnet", "washers", "pressure_hold", "telltale_tank");
    }

    @Test
    void practiceSaysWhatWaysOfGoingAboutLegsCost() throws Exception {
        assertThat(run("practice", "--legs", "12", "--seed", "3", "--policy", "advice,blind"))
                .as(err.toString())
                .isZero();
        JsonNode result = Json.mapper().readTree(out.toString());
        assertThat(result.at("/policies")).hasSize(2);
        assertThat(result.at("/policies/0/policy").asText()).isEqualTo("advice");
        for (String key :
                new String[] {"cost_mean", "cost_low", "cost_high", "minutes_mean", "missed", "needless", "looks_mean"
                }) {
            assertThat(result.at("/policies/0/" + key).isNumber()).as(key).isTrue();
        }
        assertThat(result.at("/pairs/0/against").asText()).isEqualTo("blind");
        assertThat(result.at("/pairs/0/low").asDouble())
                .isLessThanOrEqualTo(result.at("/pairs/0/difference").asDouble());
        assertThat(result.at("/calibration/brier").isNumber()).isTrue();
        assertThat(result.at("/calibration/bins/0/n").asInt()).isPositive();
        assertThat(result.at("/legs").asInt()).isEqualTo(12);
        assertThat(result.at("/seed").asInt()).isEqualTo(3);
        assertThat(result.at("/knowledge_version").asText()).isNotEmpty();
        assertThat(run("practice", "--legs", "0")).isEqualTo(2);
        assertThat(err.toString()).contains("--legs is 0");
        assertThat(run("practice", "--wrong", "0.5")).isEqualTo(2);
        assertThat(err.toString()).contains("--wrong is 0.5");
    }
}
