package mussel.exchange.report;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Stores;
import mussel.core.job.Surroundings;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.parts.Wanted;
import mussel.core.plan.Planning;
import mussel.core.verdict.Judge;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PapersTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());

    @TempDir
    private Path folder;

    private final List<Entry> journal = new ArrayList<>();

    PapersTest() {
        note(new Fact.Opened(new LegRef("l", "Sound Harvester", LegRef.Position.PORT, "skua-225")));
    }

    private void note(Fact fact) {
        journal.add(new Entry(journal.size() + 1L, 9, Instant.EPOCH, "a", fact));
    }

    private Yard yard = SheetFiles.shippedYard();

    private Assessment now() {
        return Assessment.of(
                Job.of(journal),
                SheetFiles.shipped().get(2),
                new Surroundings(
                        yard, JUDGE, List.of(), TODAY, new Stores(CatalogueFiles.shipped(), Map.of()), new Planning()));
    }

    private void work(String... goals) {
        note(new Fact.Chosen(Address.the("prop_hub_oil"), "running"));
        for (String goal : goals) {
            note(new Fact.Chosen(Scale.GOAL.of(goal), "yes"));
        }
    }

    private static String text(Path pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void theOwnersEstimateSaysWhatToDoAndWhy() throws IOException {
        work("propshaft_seals");
        Path pdf = folder.resolve("estimate.pdf");

        Papers.estimate(now(), pdf);

        assertThat(text(pdf))
                .contains("Repair, exchange, or leave as is?", "Sound Harvester, port", "Propeller shaft seals")
                .contains("Repair is cheapest in", "(8 of 10 jobs)", "Rebuilt Skua 225 leg", "€")
                .contains("These are estimates");
    }

    /** Latin, Greek and Cyrillic names stand whole on paper and tag; what no type shipped has is marked, not dropped. */
    @Test
    void namesStandWholeOnPaper() throws IOException {
        note(new Fact.LegCorrected(new LegRef("l", "Žďár Ölfaß Πλωτή Ёршик 漏", LegRef.Position.PORT, "skua-225")));
        note(new Fact.Noted(mussel.core.job.Topic.COMPLAINT.address(), "bell \u0007 rings"));
        work("driveshaft_seals");
        Path sheet = folder.resolve("sheet.pdf");
        Path tag = folder.resolve("tag.pdf");
        JobSheetPdf.write(now(), sheet);
        LegTag.write(now(), tag);
        for (Path paper : List.of(sheet, tag)) {
            assertThat(text(paper).replaceAll("\\s+", " ")).contains("Žďár Ölfaß Πλωτή Ёршик □");
        }
        assertThat(text(sheet)).contains("bell");
    }

    @Test
    void simulatedReadingsAreNamedOnPaper() throws IOException {
        work("propshaft_seals");
        Path without = folder.resolve("without.pdf");
        Papers.estimate(now(), without);
        assertThat(text(without)).doesNotContain("simulated instrument");

        note(new Fact.Read(Field.FLOW_TIME.of("1"), 60, "60 s", "Simulated bucket and stopwatch", true));
        Path with = folder.resolve("with.pdf");
        Papers.estimate(now(), with);
        assertThat(text(with)).contains("come from a simulated instrument");
    }

    @Test
    void anEstimateOfNothingIsRefusedInASentence() {
        assertThatThrownBy(() -> Papers.estimate(now(), folder.resolve("none.pdf")))
                .isInstanceOf(UncheckedIOException.class)
                .hasMessageContaining("nothing is to be done");
        assertThat(folder.resolve("none.pdf")).doesNotExist();
    }

    @Test
    void aFullStripFillsSeveralPagesOfTheMatAndLosesNoPart() throws IOException {
        work("gears", "bearings", "clutch_dog");
        note(new Fact.Noted(Topic.AS_FOUND.of("forward_race_out"), "0.30 and 0.15 mm"));
        note(Fact.Read.byHand(Field.COUNTED.of("detent_ball"), 3, "3"));
        Path pdf = folder.resolve("mat.pdf");

        Papers.mat(now(), pdf);

        String text = text(pdf);
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isGreaterThan(1);
        }
        now().stripSteps().forEach(s -> s.step().partsOut().forEach(p -> assertThat(text)
                .contains(now().sheet()
                        .part(p.part())
                        .orElseThrow()
                        .title()
                        .split(",")[0]
                        .split(":")[0])));
        assertThat(text).contains("0.30 and 0.15 mm", "3 removed, 3 counted", "Rebuild order");
    }

    @Test
    void aYardInKronerPrintsItsMoneyItsAddressItsTaxAndItsOwnSentence() throws IOException {
        yard = YardTables.with(
                        SheetFiles.shippedYard(),
                        Map.of(
                                "currency", "\"NOK\"",
                                "money_as", "\"nb-NO\"",
                                "labour_per_h", "950",
                                "address", "\"Slipway 3, Wrackness\"",
                                "tax_number", "\"TX 123\"",
                                "tax", "0.25",
                                "foot", "\"we call you before continuing\""))
                .value()
                .orElseThrow();
        work("propshaft_seals");
        Papers.estimate(now(), folder.resolve("estimate.pdf"));
        JobSheetPdf.write(now(), folder.resolve("job.pdf"));
        assertThat(text(folder.resolve("estimate.pdf")).replaceAll("\\p{Z}", " "))
                .contains("At kr 950,00 per hour", "Wrackness Yard, Slipway 3, Wrackness, tax number TX 123")
                .contains("Amounts exclude tax; add 25 %.", "we call you before continuing")
                .doesNotContain("€");
        assertThat(text(folder.resolve("job.pdf"))).contains("Slipway 3", "we call you before continuing");
    }

    @Test
    void theLogoStandsAboveEachPaperAndWhatIsNoPictureIsLeftOut() throws IOException {
        work("propshaft_seals");
        java.awt.image.BufferedImage logo =
                new java.awt.image.BufferedImage(200, 50, java.awt.image.BufferedImage.TYPE_INT_RGB);
        java.io.ByteArrayOutputStream png = new java.io.ByteArrayOutputStream();
        javax.imageio.ImageIO.write(logo, "png", png);
        Path with = folder.resolve("with.pdf");
        Papers.estimate(now(), with, Optional.of(png.toByteArray()));
        JobSheetPdf.write(now(), folder.resolve("job.pdf"), Optional.of(png.toByteArray()));
        for (Path paper : List.of(with, folder.resolve("job.pdf"))) {
            try (PDDocument document = Loader.loadPDF(paper.toFile())) {
                assertThat(document.getPage(0).getResources().getXObjectNames()).hasSize(1);
            }
        }
        Papers.estimate(now(), with, Optional.of("no picture".getBytes(StandardCharsets.UTF_8)));
        try (PDDocument document = Loader.loadPDF(with.toFile())) {
            assertThat(document.getPage(0).getResources().getXObjectNames()).isEmpty();
        }
        assertThat(text(with)).contains("Repair, exchange, or leave as is?");
    }

    @Test
    void anOrderGoesOutAsPdfAndAsCsvWithoutFormulas() throws IOException {
        work("propshaft_seals");
        note(new Fact.Ordered(
                "9-1",
                "=SIM(1)",
                true,
                List.of(new Order.Line(
                        "+K225-2054", "Haldrec \"counter\"", 2, 37.4, List.of(new Wanted("prop_seal", 1)), TODAY)),
                9.5,
                46.9));
        Order order = now().job().orders().get(0);

        Papers.order(now(), order, folder.resolve("order.pdf"));
        Papers.order(now(), order, folder.resolve("order.csv"));

        assertThat(text(folder.resolve("order.pdf"))).contains("Simulated supplier", "€46.90", "Propeller shaft seal");
        String csv = Files.readString(folder.resolve("order.csv"));
        List<CSVRecord> read = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new java.io.StringReader(csv))
                .getRecords();
        assertThat(read).singleElement().satisfies(r -> {
            assertThat(r.get("number")).isEqualTo("'+K225-2054");
            assertThat(r.get("reference")).startsWith("'=");
            assertThat(r.get("supplier")).isEqualTo("Haldrec \"counter\"");
            assertThat(r.get("qty")).isEqualTo("2");
            assertThat(r.get("simulated")).isEqualTo("yes");
        });
    }
}
