package mussel.exchange.sheet;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.stream.Stream;
import mussel.core.measure.Problem;
import mussel.core.sheet.Construction;
import mussel.core.sheet.Plug;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Json;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SheetFilesTest {
    @Test
    void theShippedFamiliesDifferInConstruction() {
        List<SpecSheet> families = SheetFiles.shipped();

        assertThat(families)
                .extracting(f -> f.construction().caseKind())
                .contains(Construction.CaseKind.ONE_PIECE, Construction.CaseKind.SPLIT);
        assertThat(families)
                .extracting(f -> f.construction().sealLayout())
                .contains(Construction.SealLayout.BACK_TO_BACK, Construction.SealLayout.BOTH_OUT);
        assertThat(families)
                .extracting(f -> f.construction().carrier())
                .contains(Construction.Carrier.BOLTS, Construction.Carrier.RING, Construction.Carrier.HALVES);
        assertThat(families)
                .extracting(f -> f.construction().fill())
                .contains(Construction.FillPort.DRAIN, Construction.FillPort.FILL_HOLE);
        assertThat(families)
                .extracting(f -> f.plugs().stream()
                        .filter(p -> p.role() == Plug.Role.VENT)
                        .count())
                .contains(2L, 1L);
        assertThat(families).anySatisfy(f -> assertThat(f.fasteners()).anyMatch(x -> x.isHidden()));
        assertThat(families)
                .anySatisfy(f -> assertThat(f.construction().propellerTurns()).hasSize(2));
    }

    @Test
    void aSheetWrittenOutReadsBackTheSame() throws IOException {
        for (SpecSheet sheet : SheetFiles.shipped()) {
            byte[] written = Json.mapper().writeValueAsBytes(sheet);
            assertThat(SheetFiles.family(written).value()).contains(sheet);
        }
    }

    @Test
    void theYardSheetReads() {
        assertThat(SheetFiles.shippedYard().oils()).hasSizeGreaterThan(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "capacity_ml: 430|capacity_ml: 43000000|/oil/capacity_ml",
                "capacity_ml: 430|capacity_ml: -1|/oil/capacity_ml",
                "case_kind: one_piece|case_kind: two_piece|/construction/case_kind",
                "weight_kg: 31|weight: 31|/construction/weight",
                "needs: [hidden_out, linkage_open|needs: [hidden_oot, linkage_open|/needs/0",
                "low: 34, high: 40, unit: nm|low: 44, high: 40, unit: nm|/torque/low",
                "kind: cavity|kind: casting|/drawing",
                "parts_out: [{part: seal_carrier}|parts_out: [{part: seal_carrier, qty: 7}|/parts_out/0",
                "needs: [tab_off]|needs: [leg_drop]|/steps",
                "needs: [tab_off]|needs: [tab_in]|/needs/0",
                "low: 60, high: 75, unit: lbf_in|low: 60, high: 75, unit: lbf_ft|/torque",
                "torque: {low: 50, high: 60, unit: nm}|torque: {low: 50, unit: nm}|/torque/high",
                "likely: 25, high: 60|likely: 70, high: 60|/minutes",
                "rate_per_year: 0.01|rate_per_year: -1|/seizes/rate_per_year",
                "eccentricity_mm: 3,|eccentricity_mm: 30,|/pump/geometry",
                "lash: {low: 0.15, high: 0.30}|lash: {low: 0.35, high: 0.30}|/setup/gears/0/lash",
                "shims_mm: [0.05|shims_mm: [-0.05|/setup/shims_mm",
                "constant_mm: 29.10|constant_mm: 0|/setup/pinion/constant_mm",
                "thicker: reduces|thicker: widens|/setup/pinion/thicker",
                "id: prop_off|id: oil_out|/id"
            })
    void aBrokenSheetNamesThePlace(String old, String broken, String place) throws IOException {
        String text = shipped();
        assertThat(text).contains(old);

        List<Problem> problems =
                SheetFiles.family(text.replace(old, broken).getBytes(UTF_8)).problems();

        assertThat(problems).anySatisfy(p -> assertThat(p.at()).contains(place));
        assertThat(problems).allSatisfy(p -> assertThat(p.problem()).doesNotContain("Exception"));
    }

    @Test
    void everyProblemOfASheetIsTold() throws IOException {
        String broken = shipped()
                .replace("id: tern-60", "id: Tern 60")
                .replace("drive: splines", "drive: belt")
                .replace("capacity_ml: 430", "capacity_ml: many");

        assertThat(SheetFiles.family(broken.getBytes(UTF_8)).problems())
                .extracting(Problem::at)
                .contains("/construction/drive", "/oil/capacity_ml");
    }

    @Test
    void noYamlIsRefusedInASentence() {
        Stream.of("a: [1, 2", "\t", "- 1\n- 2", "\u0000\u0001", "a: 1\na: 2")
                .map(s -> SheetFiles.family(s.getBytes(UTF_8)))
                .forEach(read -> {
                    assertThat(read.value()).isEmpty();
                    assertThat(read.problems()).isNotEmpty();
                });
    }

    private static String shipped() throws IOException {
        try (InputStream in = SheetFilesTest.class.getResourceAsStream("earlier/tern-60.yaml")) {
            return new String(in.readAllBytes(), UTF_8);
        }
    }
}
