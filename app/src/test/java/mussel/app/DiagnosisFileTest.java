package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import mussel.exchange.record.Json;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A yard's own numbers, and the diagnosis tables by command. */
class DiagnosisFileTest {
    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... args) {
        return Main.command()
                .setOut(new PrintWriter(out, true))
                .setErr(new PrintWriter(err, true))
                .execute(args);
    }

    private DiagnosisFile own(String yaml) throws IOException {
        Files.writeString(folder.resolve(DiagnosisFile.FILE), yaml);
        return DiagnosisFile.load(folder);
    }

    @Test
    void withoutAFileTheTablesAreThoseThatShip() {
        DiagnosisFile tabled = DiagnosisFile.load(folder);
        assertThat(tabled.inUse()).isEqualTo(tabled.shipped());
        assertThat(tabled.refused()).isEmpty();
    }

    @Test
    void theYardsNumbersAreInUseAndShown() throws IOException {
        DiagnosisFile tabled = own("priors: [{cause: shift_seal, prior: 0.11, why: Old boats}]");
        assertThat(tabled.inUse().cause("shift_seal").orElseThrow().prior()).isEqualTo(0.11);
        assertThat(tabled.own().changes(tabled.shipped())).hasSize(1);
    }

    @Test
    void aFileThatDoesNotFitIsToldAndLeavesTheTablesAlone() throws IOException {
        for (String bad : new String[] {
            "priors: [{cause: nobody, prior: 0.1, why: x}]",
            "priors: [{cause: shift_seal, prior: no, why: x}]",
            "gremlins: []",
            ": : :",
            "priors: [{cause: shift_seal, prior: .nan, why: x}]",
            "shares: [{finding: plug_drip, cause: base, shares: [1, 0], why: x}]"
        }) {
            DiagnosisFile tabled = own(bad);
            assertThat(tabled.refused()).as(bad).isNotEmpty().allMatch(p -> p.startsWith("knowledge.yaml "));
            assertThat(tabled.inUse()).as(bad).isEqualTo(tabled.shipped());
        }
    }

    @Test
    void aHugeFileIsRefusedUnread() throws IOException {
        Files.write(folder.resolve(DiagnosisFile.FILE), new byte[9 * 1024 * 1024]);
        assertThat(DiagnosisFile.load(folder).refused())
                .singleElement()
                .asString()
                .contains("is 9 MB; at most 8 MB are read");
    }

    @Test
    void knowledgeIsWholeAndTakesAContext() throws IOException {
        assertThat(run("knowledge", "--json")).as(err.toString()).isZero();
        JsonNode plain = Json.mapper().readTree(out.toString());
        assertThat(plain.get("causes"))
                .hasSize(KnowledgeFiles.shipped().causes().size());
        assertThat(plain.get("findings"))
                .hasSize(KnowledgeFiles.shipped().findings().size());
        plain.get("findings").forEach(f -> {
            double base = 0;
            for (JsonNode share : f.get("base")) {
                base += share.doubleValue();
            }
            assertThat(base).isCloseTo(1, org.assertj.core.api.Assertions.within(1e-9));
            assertThat(f.get("given").isObject()).isTrue();
            assertThat(f.get("gate").isObject()).isTrue();
        });
        Path context = Files.writeString(folder.resolve("context.json"), "{\"sand\":true,\"age_years\":22}");
        out.getBuffer().setLength(0);
        assertThat(run("knowledge", "--json", "--context", context.toString())).isZero();
        JsonNode hard = Json.mapper().readTree(out.toString());
        assertThat(prior(hard, "shaft_groove")).isGreaterThan(prior(plain, "shaft_groove"));
        assertThat(prior(hard, "gear_wear")).isEqualTo(prior(plain, "gear_wear"));
    }

    private static double prior(JsonNode tables, String cause) {
        for (JsonNode node : tables.get("causes")) {
            if (node.get("id").asText().equals(cause)) {
                return node.get("prior").doubleValue();
            }
        }
        throw new AssertionError(cause);
    }

    @Test
    void aContextThatIsNoneIsRefused() throws IOException {
        Path context = Files.writeString(folder.resolve("context.json"), "{\"sand\":\"much\",\"moon\":1}");
        assertThat(run("knowledge", "--json", "--context", context.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("/sand:", "/moon:");
        assertThat(out.toString()).isEmpty();
        assertThat(run("knowledge", "--context", folder.resolve("none.json").toString()))
                .isEqualTo(2);
    }

    @Test
    void withoutJsonItReadsAsAList() {
        assertThat(run("knowledge")).isZero();
        assertThat(out.toString()).contains("Diagnosis tables", "driveshaft_water_lip", "pressure_hold");
    }
}
