package mussel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import mussel.core.sheet.Fastener;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StandardTorqueTest {
    private static Fastener fastener(String thread, String strength, Fastener.Wetted wetted) {
        return new Fastener(
                "f",
                "Bolts",
                4,
                thread,
                Optional.empty(),
                "-",
                "-",
                strength,
                wetted,
                Fastener.Pattern.RING,
                Fastener.Hand.RIGHT,
                "-",
                false);
    }

    /** Stress areas 20.1, 36.6, 58.0 and 84.3 mm² (ISO 898-1, table 5); three quarters of 580 MPa and 600 MPa; nut factors 0.20, 0.16, 0.13. */
    @ParameterizedTest
    @CsvSource({
        "M6x1.0, 8.8, DRY, 10.5",
        "M8x1.25, 8.8, OILED, 20.4",
        "M10x1.5, 8.8, DRY, 50.5",
        "M12x1.75, 8.8, OILED, 70.4",
        "M8x1.25, A4-80, GREASED, 17.1",
        "M10x1.5, A4-80, GREASED, 33.9"
    })
    void threeQuartersOfTheProofLoad(String thread, String strength, Fastener.Wetted wetted, double nm) {
        assertThat(StandardTorque.mostNm(fastener(thread, strength, wetted)).orElseThrow())
                .isCloseTo(nm, within(0.02 * nm));
    }

    @Test
    void withoutThreadOrClassThereIsNoFigureAndWithBothItSaysWhatItIs() {
        assertThat(StandardTorque.mostNm(fastener("-", "8.8", Fastener.Wetted.DRY)))
                .isEmpty();
        assertThat(StandardTorque.meanwhile(fastener("M8x1.25", "-", Fastener.Wetted.DRY)))
                .isEmpty();
        assertThat(StandardTorque.meanwhile(fastener("M8x1.25", "A4-80", Fastener.Wetted.GREASED)))
                .contains("No maker's value", "M8x1.25 of A4-80, greased", "17 N·m", "aluminium");
    }
}
