package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import mussel.app.demo.DemoYard;
import mussel.core.job.Assessment;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.work.desk.Desk;
import mussel.work.shop.Workshop;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Papers read by programs that share no line with the one that wrote them. */
class PapersElsewhereTest {
    private static final Clock DAY = Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC);

    @TempDir
    static Path folder;

    private static Workshop shop;

    @BeforeAll
    static void open() {
        DemoYard.fill(folder.resolve("demo.mussel"), DAY.instant());
        shop = Yards.open(new FileStore(folder.resolve("demo.mussel"), DAY), SheetFiles.shipped());
    }

    @AfterAll
    static void close() {
        shop.journal().close();
    }

    private static Assessment job(String boat) {
        return new Desk(
                        shop,
                        shop.journal().benchLines().open().stream()
                                .filter(l -> l.leg().title().equals(boat))
                                .findFirst()
                                .orElseThrow()
                                .job())
                .now();
    }

    private static String run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said;
    }

    private static String text(Path pdf) throws IOException, InterruptedException {
        assertThat(run("qpdf", "--check", pdf.toString())).contains("No syntax or stream encoding errors");
        List<String> fonts = run("pdffonts", pdf.toString()).lines().skip(2).toList();
        assertThat(fonts).isNotEmpty().allMatch(f -> f.contains("B612") && f.matches(".*\\byes\\s+yes\\s+yes\\b.*"));
        return run("pdftotext", "-layout", pdf.toString(), "-");
    }

    @Test
    void jobSheetEstimateAndMatAreSoundSelectableAndBringTheirType() throws Exception {
        Path sheet = folder.resolve("sheet.pdf");
        shop.jobSheets().write(job("Byssus"), sheet);
        assertThat(text(sheet)).contains("Byssus", "simulated");
        Path estimate = folder.resolve("estimate.pdf");
        shop.papers().estimate(job("Sound Harvester, port"), estimate);
        assertThat(text(estimate)).contains("Repair, exchange, or leave as is?", "€");
        Path mat = folder.resolve("mat.pdf");
        shop.papers().mat(job("Byssus"), mat);
        assertThat(text(mat)).contains("Rebuild order");
    }

    @Test
    void theTagSaysWhenAgainAndItsCodeOpensTheLeg() throws Exception {
        Path tag = folder.resolve("tag.pdf");
        Assessment job = job("Byssus");
        shop.data().tag(job, tag);
        assertThat(text(tag)).contains("Byssus", "1322 h", "Gear oil", "comes before this tag");
        try (var document = Loader.loadPDF(tag.toFile())) {
            BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 300);
            int[] pixels = page.getRGB(0, 0, page.getWidth(), page.getHeight(), null, 0, page.getWidth());
            String code = new MultiFormatReader()
                    .decode(new BinaryBitmap(
                            new HybridBinarizer(new RGBLuminanceSource(page.getWidth(), page.getHeight(), pixels))))
                    .getText();
            assertThat(code).isEqualTo("mussel:leg:" + job.job().leg().id());
        }
    }
}
