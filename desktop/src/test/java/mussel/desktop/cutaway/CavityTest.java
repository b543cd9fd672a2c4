package mussel.desktop.cutaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import javafx.scene.shape.SVGPath;
import mussel.core.job.Yard.Dye;
import mussel.desktop.FxThread;
import org.junit.jupiter.api.Test;

class CavityTest {
    private static Cavity box() {
        SVGPath path = new SVGPath();
        path.setContent("M0,0 h100 v300 h-100 z");
        return Cavity.of(path, 60);
    }

    @Test
    void inAStraightBoxTheLevelIsTheShareOfItsHeight() throws Exception {
        FxThread.on(() -> {
            assertThat(box().level(0.5)).isCloseTo(180, within(4.0));
            assertThat(box().level(1)).isCloseTo(60, within(4.0));
            assertThat(box().level(0)).isCloseTo(300, within(4.0));
            return null;
        });
    }

    @Test
    void moreOilStandsHigherAndTooMuchStandsAboveTheVent() throws Exception {
        FxThread.on(() -> {
            double before = box().level(0);
            for (double share = 0.1; share <= 1; share += 0.1) {
                assertThat(box().level(share)).isLessThan(before);
                before = box().level(share);
            }
            assertThat(box().level(1.2)).isLessThan(60);
            return null;
        });
    }

    @Test
    void eachLookOfTheOilHasAColourOfItsOwn() {
        assertThat(java.util.stream.Stream.of("none", "haze", "streaks", "milky", "sludge")
                        .map(w -> OilPaint.found(Dye.BLUE, Optional.of(w), Optional.empty())))
                .doesNotHaveDuplicates();
        assertThat(OilPaint.found(Dye.GREEN, Optional.empty(), Optional.empty()))
                .isEqualTo(OilPaint.fresh(Dye.GREEN));
        assertThat(OilPaint.found(Dye.GREEN, Optional.empty(), Optional.of("burnt"))
                        .getBrightness())
                .isLessThan(0.2);
    }
}
