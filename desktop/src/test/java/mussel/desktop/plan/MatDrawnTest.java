package mussel.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Shape;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Seal;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.FxThread;
import mussel.desktop.desk.TestShop;
import mussel.exchange.sheet.SheetFiles;
import mussel.work.desk.Desk;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The mat as it lies: every part is drawn, lips face as they faced, and the next place is open. */
class MatDrawnTest {
    static List<SpecSheet> families() {
        return SheetFiles.shipped();
    }

    @ParameterizedTest
    @MethodSource("families")
    void everyPartOfEveryFamilyIsDrawnWithinItsPlace(SpecSheet sheet) throws Exception {
        FxThread.on(() -> {
            for (Part part : sheet.parts()) {
                PartGlyph glyph = new PartGlyph(sheet, part, part.qty());
                new Scene(new StackPane(glyph));
                glyph.applyCss();
                glyph.layout();
                assertThat(shapes(glyph)).as(part.id()).isNotEmpty();
                assertThat(glyph.getBoundsInLocal().getWidth())
                        .as(part.id() + " across")
                        .isLessThanOrEqualTo(PartGlyph.WIDTH + 10);
                assertThat(glyph.getBoundsInLocal().getHeight())
                        .as(part.id() + " high")
                        .isLessThanOrEqualTo(PartGlyph.HEIGHT + 10);
            }
            return null;
        });
    }

    private static List<Shape> shapes(Node node) {
        List<Shape> found = new java.util.ArrayList<>();
        collect(node, found);
        return found;
    }

    private static void collect(Node node, List<Shape> into) {
        if (node instanceof Shape shape) {
            into.add(shape);
        } else if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(n -> collect(n, into));
        }
    }

    @ParameterizedTest
    @MethodSource("families")
    void lipsFaceAsTheSheetSays(SpecSheet sheet) throws Exception {
        FxThread.on(() -> {
            for (Seal seal : sheet.seals()) {
                Part part = sheet.part(seal.part()).orElseThrow();
                List<Line> lips = shapes(new PartGlyph(sheet, part, seal.lips().size())).stream()
                        .filter(Line.class::isInstance)
                        .map(Line.class::cast)
                        .toList();
                assertThat(lips).as(seal.id()).hasSize(2 * seal.lips().size());
                for (int i = 0; i < seal.lips().size(); i++) {
                    boolean up =
                            seal.lips().get(i) == Seal.Lip.UP || seal.lips().get(i) == Seal.Lip.OUT;
                    Line lip = lips.get(2 * i);
                    assertThat(lip.getEndY() < lip.getStartY()).as(seal.id()).isEqualTo(up);
                }
            }
            return null;
        });
    }

    @Test
    void theNextPlaceIsOpenAndMovesOnWithTheTick() throws Exception {
        FxThread.on(() -> {
            Desk desk = new TestShop().leg("Byssus", LegRef.Position.SINGLE, "tern-60");
            desk.note(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes"));
            Mat mat = new Mat(desk);
            new Scene(mat, 700, 2_000);
            mat.show(desk.now());
            List<String> first = next(mat);
            String step = desk.now().stripSteps().stream()
                    .filter(s -> !s.step().partsOut().isEmpty())
                    .findFirst()
                    .orElseThrow()
                    .step()
                    .id();
            List<PartQty> out = desk.now().sheet().step(step).orElseThrow().partsOut();
            assertThat(first).hasSameSizeAs(out).allMatch(w -> w.contains("next: lay it here"));
            desk.note(new Fact.Ticked(step, true));
            mat.show(desk.now());
            assertThat(next(mat)).isNotEmpty().doesNotContainAnyElementsOf(first);
            return null;
        });
    }

    private static List<String> next(Mat mat) {
        return mat.lookupAll(".piece").stream()
                .filter(n -> n.getPseudoClassStates().toString().contains("next"))
                .map(Node::getAccessibleText)
                .toList();
    }
}
