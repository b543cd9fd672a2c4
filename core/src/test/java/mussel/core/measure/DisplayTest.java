package mussel.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import mussel.core.language.Messages;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DisplayTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "LENGTH; 0.125; 0.125 mm",
                "LENGTH; 0.35; 0.35 mm",
                "VOLUME; 452; 452 ml",
                "VOLUME; 12345; 12\u00a0345 ml",
                "TEMPERATURE; -9; −9 °C",
                "DURATION; 840; 14 h",
                "DURATION; 20; 20 min"
            })
    void aReadingKeepsWhatMatters(Kind kind, double value, String shown) {
        assertThat(Display.exact(kind, value, YardUnits.METRIC)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"0.122217; 12 %", "0.0818; 8.2 %", "0.0003; under 0.1 %", "0; 0 %", "1; 100 %"})
    void sharesAreWrittenAsPercent(double fraction, String shown) {
        assertThat(Display.percent(fraction)).isEqualTo(shown);
    }

    @Test
    void anEstimateIsRoundedToThreeFigures() {
        assertThat(Display.estimate(Kind.VOLUME, 59.5589, YardUnits.METRIC)).isEqualTo("59.6 ml");
        assertThat(Display.estimate(Kind.VOLUME, 1234.5, YardUnits.METRIC)).isEqualTo("1234 ml");
    }

    @Test
    void aShimIsNotRoundedAwayInThou() {
        assertThat(Display.exact(Kind.LENGTH, 0.3556, YardUnits.US)).isEqualTo("0.014 in");
    }

    @Test
    void torqueConversionsAreExact() {
        assertThat(TorqueUnit.LBF_IN.toNm(1)).isEqualTo(0.1129848290276167);
        assertThat(TorqueUnit.LBF_FT.toNm(1)).isEqualTo(12 * 0.1129848290276167);
        assertThat(TorqueUnit.KGF_M.toNm(1)).isEqualTo(9.80665);
        assertThat(new TorqueRange(20, 24).range(TorqueUnit.LBF_FT)).isEqualTo("14.8–17.7 lbf·ft");
    }

    @ParameterizedTest
    @CsvSource({
        "1286.4, 110, '1290'",
        "1286.4, 340, '1300'",
        "391.2, 27.5, '391'",
        "60.83, 13.75, '61'",
        "0.8149, 0.002, '0.8149'",
        "-1.9187, 0.3, '−1.9'",
    })
    void aFigureIsAsSureAsItsUncertainty(double figure, double u, String shown) {
        assertThat(Display.rounded(figure, u)).isEqualTo(shown);
    }

    @Test
    void aShareAndItsBoundsAreWrittenOnce() {
        assertThat(Display.percentRange(0.1204, 0.0828, 0.1581)).isEqualTo("12 %, 8 to 16");
        assertThat(Display.percentRange(0.0021, 0.0004, 0.0042)).isEqualTo("0.2 %, 0 to 0.4");
    }

    @Test
    void aFigureWithItsDoubtIsInTheYardsUnits() {
        assertThat(Display.withDoubt(Kind.VOLUME, 391.2, 27.5, YardUnits.METRIC))
                .isEqualTo("391 ± 28 ml");
        assertThat(Display.withDoubt(Kind.VOLUME, 391.2, 27.5, YardUnits.US)).isEqualTo("13.2 ± 0.9 fl oz");
    }

    @Test
    void countsInSentencesHaveTheThousandsMarkOfAllOtherFigures() {
        Messages words = Messages.of(mussel.core.job.FactWords.class);
        assertThat(words.get("fact.delivered", 12345, "T60-0601")).isEqualTo("delivery of 12\u00a0345 × T60-0601");
        assertThat(Display.exact(Kind.COUNT, 12345, YardUnits.METRIC)).isEqualTo("12\u00a0345");
        assertThat(words.get("fact.held", 12345)).isEqualTo("12\u00a0345 readings of a test");
        assertThat(words.get("fact.held", 1)).isEqualTo("one reading of a test");
    }
}
