package mussel.exchange.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.log.Visit;
import mussel.core.log.Visit.Look;
import org.junit.jupiter.api.Test;

class VisitJsonTest {
    private static final Visit VISIT = new Visit(
            7,
            "l1",
            "Spat Lass, port",
            "Spat Lass",
            "tern-60",
            "Tern 60",
            LocalDate.of(2026, 11, 23),
            Optional.empty(),
            OptionalDouble.of(412),
            Optional.of("sea"),
            false,
            List.of(),
            List.of(),
            List.of("Reseal"),
            List.of(new Look("OIL_WATER", "haze"), new Look("OIL_HEAT", "darkened")),
            List.of(),
            "",
            false);

    @Test
    void aVisitComesBackAsItWentOut() {
        assertThat(VisitJson.read(VisitJson.write(VISIT))).isEqualTo(VISIT);
    }

    @Test
    void whatAnEarlierProgramDidNotKnowOfIsRead() {
        String kept = VisitJson.write(VISIT).replaceAll(",\"held\":false,\"comeback\":false,\"work\":null", "");
        assertThat(kept).doesNotContain("comeback");
        assertThat(VisitJson.read(kept)).isEqualTo(VISIT);
        Visit worked = VISIT.proved(
                true,
                true,
                Optional.of(new Visit.Work(
                        Map.of("pump_off", 12.5), Map.of("leg_loose", 90.0), 240, 320, OptionalDouble.of(300))));
        assertThat(VisitJson.read(VisitJson.write(worked))).isEqualTo(worked);
    }

    @Test
    void looksThatWereKeptAsSentencesAreRead() {
        String kept = VisitJson.write(VISIT)
                .replaceAll("\"looks\":\\[.*?\\]", "\"looks\":[\"Water in the oil: haze\",\"Heat and age: darkened\"]");
        assertThat(VisitJson.read(kept)).isEqualTo(VISIT);
    }

    @Test
    void aSentenceThatIsNoLookIsRefused() {
        String kept = VisitJson.write(VISIT).replaceAll("\"looks\":\\[.*?\\]", "\"looks\":[\"Water, some\"]");
        assertThatThrownBy(() -> VisitJson.read(kept)).hasMessageContaining("unknown check");
    }
}
