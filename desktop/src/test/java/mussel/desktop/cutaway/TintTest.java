package mussel.desktop.cutaway;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.scene.shape.SVGPath;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.FxThread;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class TintTest {
    private static Map<SVGPath, Region> drawn(SpecSheet sheet) {
        Map<SVGPath, Region> regions = new LinkedHashMap<>();
        for (Region region : sheet.drawing()) {
            SVGPath path = new SVGPath();
            path.setContent(region.path());
            regions.put(path, region);
        }
        return regions;
    }

    static java.util.List<SpecSheet> families() {
        return SheetFiles.shipped();
    }

    @ParameterizedTest
    @MethodSource("families")
    void everyFamilyShowsTheSealsAndTheirFigure(SpecSheet sheet) throws Exception {
        FxThread.on(() -> {
            Tint tint = new Tint();
            tint.show(drawn(sheet), Map.of("driveshaft_seals", 0.86, "propshaft_seals", 0.2, "plugs", 0.04));
            assertThat(tint.figures()).containsExactly("86 %", "20 %");
            return null;
        });
    }

    @Test
    void whatIsNotSuspectedIsNotTinted() throws Exception {
        FxThread.on(() -> {
            Tint tint = new Tint();
            tint.show(drawn(SheetFiles.shipped().get(0)), Map.of("driveshaft_seals", 0.5));
            tint.show(drawn(SheetFiles.shipped().get(0)), Map.of());
            assertThat(tint.getChildren()).isEmpty();
            return null;
        });
    }

    @Test
    void figuresNeverLieOnEachOther() throws Exception {
        FxThread.on(() -> {
            Tint tint = new Tint();
            tint.show(
                    drawn(SheetFiles.shipped().get(0)),
                    Map.of(
                            "driveshaft_seals", 0.5,
                            "carrier_orings", 0.4,
                            "driveshaft", 0.3,
                            "propshaft_seals", 0.3,
                            "gears", 0.3,
                            "impeller", 0.2));
            var plates = tint.getChildren().stream()
                    .filter(javafx.scene.shape.Rectangle.class::isInstance)
                    .map(javafx.scene.Node::getBoundsInParent)
                    .toList();
            assertThat(plates).hasSizeGreaterThan(3);
            for (int a = 0; a < plates.size(); a++) {
                for (int b = a + 1; b < plates.size(); b++) {
                    assertThat(plates.get(a).intersects(plates.get(b))).isFalse();
                }
            }
            return null;
        });
    }
}
