package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Station;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Step;
import mussel.desktop.estimate.EstimateStation;
import mussel.desktop.parts.PartsStation;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** After the verdict, in the real window: what else while it is open, the mat, the order, and the owner's estimate. */
class PlanAndPartsTest extends DemoJourney {
    /** The view of one leg is used for the next: what stands at a step is what that leg's own sheet says, never what the last one's said. */
    @Test
    void aStepSaysWhatTheSheetOfItsOwnLegSaysWhicheverLegWasOpenBefore() {
        int split = begun("Raft tender 2", "wren-8");
        int whole = begun("Gannet", "tern-60");
        for (int job : new int[] {split, whole, split}) {
            robot.interact(() -> window.open(job));
            click("#station-strip");
            click("#strip-view-steps");
            for (PlannedStep step : now().stripSteps()) {
                click("#open-" + step.step().id());
                assertThat(find("#open-" + step.step().id(), ButtonBase.class).getText())
                        .endsWith(step.step().title());
                if (Step.says(step.step().detail())) {
                    assertThat(robot.lookup(".label").queryAllAs(Label.class))
                            .as(step.step().title())
                            .extracting(Label::getText)
                            .contains(step.step().detail());
                }
            }
        }
    }

    private int begun(String boat, String family) {
        int job = shop.takeIn(new LegRef(boat, boat, LegRef.Position.SINGLE, family));
        shop.journal().append(job, "a", new Fact.Chosen(Scale.GOAL.of("propshaft_seals"), "yes"));
        return job;
    }

    @Test
    void theMilkyLegGetsItsPlanItsPartsAndItsWorth() throws Exception {
        open("Spat Lass, port");
        click("#station-strip");
        click("#pick-goal-driveshaft_seals-yes");
        assertThat(now().further())
                .anyMatch(f -> f.goal().equals("impeller") && !f.cost().isEmpty());
        double alone = now().timedPlan().minutes().mean();
        click("#pick-goal-pump_kit-yes");
        assertThat(now().timedPlan().minutes().mean()).isCloseTo(alone, org.assertj.core.api.Assertions.within(20.0));
        assertThat(now().twinPriced()).contains("both");

        click("#strip-view-steps");
        tick(now().stripSteps());
        click("#strip-view-mat");
        assertThat(now().partsOff()).contains("impeller", "ds_seal", "seal_carrier");
        click("#field-counted-top_washers .text-field");
        robot.write("2\n");
        assertThat(now().loose()).anyMatch(l -> l.part().equals("top_washers") && l.off());

        click("#station-parts");
        click("#take-all");
        assertThat(now().job().reading(Field.FROM_SHELF.of("impeller"))).hasValue(1);
        PartsStation parts = (PartsStation) window.station().orElseThrow();
        Hands.until(parts::ready);
        click("#order");
        assertThat(now().job().orders()).hasSize(1);
        assertThat(now().supply().open()).isEmpty();

        click("#station-estimate");
        assertThat(now().worth().orElseThrow().result().option("repair").mean()).isPositive();
        Path pdf = folder.resolve("estimate.pdf");
        EstimateStation estimate = (EstimateStation) window.station().orElseThrow();
        robot.interact(() -> estimate.print(pdf));
        Hands.until(() -> estimate.printed().startsWith("Saved"));
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains("Repair, exchange, or leave as is?", "Spat Lass, port")
                    .contains(now().worth().orElseThrow().words().advice());
        }

        restart();
        open("Spat Lass, port");
        assertThat(now().job().orders()).hasSize(1);
        assertThat(now().states()).containsEntry(Station.STRIP, Station.State.DONE);
        assertThat(shop.journal().benchLines().shelfChange("tern-60", 0)).containsEntry("impeller", -1);
    }

    @Test
    void aLostPieceKeepsTheLegFromBeingTagged() {
        open("Sound Harvester, port");
        click("#station-tag");
        assertThat(find("#tag-it", ButtonBase.class).isDisabled()).isTrue();
        click("#station-pump");
        click("#note-piece_found");
        robot.write("water tube\n");
        click("#station-tag");
        assertThat(now().blocks()).noneMatch(b -> b.contains("piece of the impeller"));
        assertThat(find("#tag-it", ButtonBase.class).isDisabled())
                .isEqualTo(!now().blocks().isEmpty());
    }

    @Test
    void aHoldOnOneFamilyStopsWhenALegOfAnotherComesOnTheDesk() {
        open("Spat Lass, port");
        click("#station-leak");
        click("#hold-source-practice");
        click("#practice-pump");
        open("Mooring punt");
        int entries = window.desk().orElseThrow().entries();
        assertThat(find(".tag-boat", javafx.scene.control.Label.class).getText())
                .isEqualTo("Mooring punt");
        WaitForAsyncUtils.sleep(1_500, TimeUnit.MILLISECONDS);
        assertThat(find(".tag-boat", javafx.scene.control.Label.class).getText())
                .isEqualTo("Mooring punt");
        assertThat(window.desk().orElseThrow().entries()).isEqualTo(entries);
    }
}
