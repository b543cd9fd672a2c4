package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import mussel.core.job.LegRef;
import mussel.core.job.Station;
import mussel.core.measure.UnitSet;
import mussel.core.sheet.Part;
import mussel.core.sheet.Step;
import mussel.desktop.estimate.EstimateStation;
import mussel.desktop.parts.PartsStation;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.FileStore;
import mussel.store.SqliteJournal;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Workshop;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A yard is set up from nothing by the keyboard, and takes a leg through an order and an estimate. */
class YardFromNothingTest extends WindowJourney {
    private Node focused() {
        return window.getScene().getFocusOwner();
    }

    /** Goes to a button by keys alone, as far as it is, and presses it. */
    private void reach(String id) {
        for (int i = 0; i < 200 && !id.equals(focused().getId()); i++) {
            robot.push(KeyCode.TAB);
        }
        assertThat(focused().getId()).isEqualTo(id);
        robot.push(KeyCode.SPACE);
    }

    /** Types a line, cell after cell: a figure with a hash picks a tile. */
    private void line(int number, String... cells) {
        for (int i = 0; i < cells.length; i++) {
            String cell = "yard-" + number + "-" + i;
            for (int k = 0; k < 40 && !String.valueOf(focused().getId()).startsWith(cell); k++) {
                robot.push(KeyCode.TAB);
            }
            assertThat(focused().getId()).startsWith(cell);
            if (cells[i].startsWith("#")) {
                robot.write(cells[i].substring(1));
            } else {
                robot.push(KeyCode.CONTROL, KeyCode.A);
                robot.push(KeyCode.BACK_SPACE).write(cells[i]);
            }
        }
    }

    private void things(String table, String[]... lines) {
        reach("change-" + table);
        for (int i = 0; i < lines.length; i++) {
            if (window.lookup("#yard-" + i + "-0") == null) {
                reach("yard-more");
            }
            line(i, lines[i]);
        }
        reach("yard-keep");
        Hands.until(() -> window.lookup("#yard-editor") == null);
    }

    private static String[] of(String... cells) {
        return cells;
    }

    /** A list as an old program writes it, at the numbers of the sheet's parts, with what is wrong in it. */
    private Path list() throws IOException {
        StringBuilder text = new StringBuilder("Art. no;Description;Net price;Per\n");
        for (Part part : SheetFiles.shipped().get(0).parts()) {
            if (Step.says(part.number())) {
                text.append(part.number()).append(";“").append(part.title()).append("”;1.234,50;1\n");
            }
        }
        text.append("T60-1302;doubled;2,00;1\nX-1;größer;-3,00;1\n");
        return Files.write(
                folder.resolve("gulf seals.csv"),
                text.toString().replace("1.234,50", "101,25").getBytes(Charset.forName("windows-1252")));
    }

    @Test
    void aYardSetUpByKeysTakesALegThroughOrderAndEstimateAndIsTheSameElsewhere() throws Exception {
        robot.interact(window::firstStart);
        robot.write("Sand Bar Boats").push(KeyCode.TAB);
        robot.write("2");
        assertThat(focused().getId()).isEqualTo("first-currency");
        robot.write("usd").push(KeyCode.TAB);
        robot.write("2");
        robot.push(KeyCode.ENTER);
        assertThat(window.lookup("#first-start")).isNull();
        assertThat(shop.families()).as("none of the demo yard's sheets").isEmpty();
        assertThat(shop.yard().wrenches()).isEmpty();
        shop.setDemo(true);

        robot.push(KeyCode.CONTROL, KeyCode.L);
        for (int i = 0; i < 200 && !String.valueOf(focused().getId()).startsWith("book-page"); i++) {
            robot.push(KeyCode.TAB);
        }
        robot.write("6");
        things("labour_per_h", of("95"));
        things(
                "oils",
                of("plain-90", "Plain 90", "#3", "GL-4 90", "170", "15", "0.9"),
                of("blue-80", "Blue 80W-90", "#2", "GL-5 80W-90", "140", "14.5", "0.89"));
        things(
                "wrenches",
                of("small", "#1", "20", "200", "1", "9 in", "4 %", "2026-05-01", "12"),
                of("middle", "#2", "10", "80", "0.5", "14 in", "4 %", "2025-05-01", "12"),
                of("big", "#2", "30", "250", "1", "24 in", "4 %", "2026-05-01", "12"));
        things("technicians", of("Ada", "8"), of("Ben", "6"));
        assertThat(shop.yard().oils()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(shop.yard().wrenches()).extracting(w -> w.wrench().id()).startsWith("small", "middle", "big");

        robot.interact(() -> {
            try {
                window.takeInFile(list());
            } catch (IOException e) {
                throw new AssertionError(e);
            }
        });
        Hands.until(() -> window.lookup("#prices-column-price") != null);
        assertThat(said("#price-list-page")).contains("Windows-1252");
        robot.push(KeyCode.CONTROL, KeyCode.A).write("Gulf Seals").push(KeyCode.TAB);
        robot.write("nok").push(KeyCode.TAB);
        reach("prices-do");
        assertThat(said("#price-list-page")).contains("how many USD one NOK costs");
        robot.clickOn("#prices-rate").write("0.1");
        reach("prices-do");
        Hands.until(() -> find("#prices-do", Button.class).getText().equals("Import"));
        assertThat(said("#prices-says"))
                .contains("T60-1302. The number is in line 19 already")
                .contains("new, 0 more expensive");
        assertThat(shop.yard().prices()).as("not before it was seen").isEmpty();
        robot.push(KeyCode.SPACE);
        assertThat(window.lookup("#price-list-page")).isNull();
        assertThat(shop.yard().supplier("gulf seals").orElseThrow().columns())
                .containsEntry("number", "Art. no")
                .containsEntry("price", "Net price");
        assertThat(shop.yard().prices()).hasSizeGreaterThan(20).allMatch(p -> p.price() == 101.25);

        int job = shop.takeIn(new LegRef(
                "gull",
                "Gull",
                LegRef.Position.SINGLE,
                SheetFiles.shipped().get(0).id()));
        robot.interact(() -> window.open(job));
        go(Station.STRIP);
        click("#pick-goal-driveshaft_seals-yes");
        go(Station.PARTS);
        PartsStation parts = (PartsStation) window.station().orElseThrow();
        Hands.until(parts::ready);
        assertThat(now().stores().catalogue().of("tern-60").offers())
                .filteredOn(o -> o.supplier().equals("Gulf Seals"))
                .isNotEmpty()
                .allMatch(o -> o.price() == 10.13);
        reach("order");
        assertThat(now().job().orders()).hasSize(1);
        go(Station.ESTIMATE);
        Path pdf = folder.resolve("estimate.pdf");
        EstimateStation estimate = (EstimateStation) window.station().orElseThrow();
        robot.interact(() -> estimate.print(pdf));
        Hands.until(() -> estimate.printed().startsWith("Saved"));
        try (var document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Sand Bar Boats", "$")
                    .doesNotContain("€");
        }

        Path file = folder.resolve("yard.yaml");
        shop.data().yard(shop.yard(), file);
        assertThat(shop.yard().units()).isEqualTo(UnitSet.US);
        try (SqliteJournal elsewhere = SqliteJournal.open(folder.resolve("elsewhere.mussel"), DAY)) {
            Workshop theirs =
                    Yards.over(elsewhere, new FileStore(folder.resolve("elsewhere.mussel"), DAY), SheetFiles.shipped());
            ImportPreview incoming = theirs.data().look(file, done -> true);
            assertThat(incoming.refused()).isEmpty();
            incoming.take().accept(done -> true);
            incoming.then().run();
            theirs.followEverything();
            assertThat(theirs.yard()).as("the same yard elsewhere").isEqualTo(shop.yard());
        }
    }
}
