package mussel.exchange.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.measure.Problem;
import mussel.core.measure.Problems;
import mussel.core.verdict.Context;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Overrides;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Tables;
import mussel.core.verdict.VerdictEngine;
import mussel.core.verdict.VerdictInput;
import mussel.exchange.calc.Engine;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import org.junit.jupiter.api.Test;

class KnowledgeFilesTest {
    private static final Knowledge SHIPPED = KnowledgeFiles.shipped();

    private static Read<Overrides> overrides(String yaml) {
        return KnowledgeFiles.overrides(yaml.getBytes(StandardCharsets.UTF_8));
    }

    private static List<Problem> against(Overrides own) {
        Problems problems = new Problems();
        own.check(SHIPPED, problems);
        return problems.list();
    }

    private static Context context(String json) throws Exception {
        return mussel.exchange.record.RecordReader.read(Json.mapper().readTree(json), Context.class)
                .value()
                .orElseThrow();
    }

    @Test
    void asUsedIsEnoughToRecomputeAPosteriorByHand() {
        ObjectNode all = KnowledgeFiles.asUsed(SHIPPED, Context.empty());
        JsonNode finding = null;
        for (JsonNode f : all.get("findings")) {
            finding = f.get("id").asText().equals("plug_drip") ? f : finding;
        }
        double prior = 0;
        for (JsonNode c : all.get("causes")) {
            prior = c.get("id").asText().equals("plug_washers") ? c.get("prior").asDouble() : prior;
        }
        double baseNo = finding.get("base").get(0).asDouble();
        double no = baseNo * finding.get("given").get("plug_washers").get(0).asDouble();
        double expected = prior * (1 - no) / (prior * (1 - no) + (1 - prior) * (1 - baseNo));
        assertThat(VerdictEngine.run(
                                Tables.of(SHIPPED, Context.empty()),
                                new VerdictInput(Optional.empty(), Map.of("plug_drip", "yes"), 80, List.of(), Map.of()))
                        .cause("plug_washers")
                        .orElseThrow()
                        .probability())
                .isCloseTo(expected, within(1e-12));
    }

    @Test
    void factorsOfTheContextMultiplyTheOddsAndAreKeptWithinTwenty() throws Exception {
        Context hard = context("{\"sand\":true,\"age_years\":20,\"last_job\":\"opened_unknown\",\"water\":\"sea\","
                + "\"twin_found\":[\"driveshaft_water_lip\"]}");
        double prior = SHIPPED.cause("driveshaft_water_lip").orElseThrow().prior(hard);
        double odds = 0.07 / 0.93 * Math.min(20, 1.2 * 1.6 * 1.4 * 1.5 * 3);
        assertThat(prior).isCloseTo(odds / (1 + odds), within(1e-12));
        assertThat(SHIPPED.cause("driveshaft_water_lip").orElseThrow().prior(Context.empty()))
                .isEqualTo(0.07);
        Context bound = context("{\"hours_since_change\":40}");
        assertThat(SHIPPED.cause("oil_aged").orElseThrow().prior(bound)).isLessThan(0.1);
    }

    @Test
    void aContextSwapsTheRowsItNames() throws Exception {
        ObjectNode out = KnowledgeFiles.asUsed(SHIPPED, context("{\"seal_layout\":\"both_out\"}"));
        for (JsonNode f : out.get("findings")) {
            if (f.get("id").asText().equals("pressure_hold")) {
                assertThat(f.get("given").get("driveshaft_oil_lip"))
                        .isEqualTo(f.get("given").get("driveshaft_water_lip"));
            }
        }
    }

    @Test
    void aYardsOwnNumbersTakeThePlaceOfThoseThatShip() {
        Overrides own = overrides(
                        """
                        priors:
                          - {cause: plug_washers, prior: 0.3, why: "Every second skiff here"}
                        shares:
                          - {finding: plug_drip, cause: base, shares: [0.9, 0.1], why: "Wet sheds"}
                        costs:
                          - {goal: gears, marginal_hours: 4, comeback_hours: 9, why: "A cheap source"}
                          - {goal: bearings, marginal_cost: 200, comeback_cost: 900, why: "As older files say it"}
                        repairs:
                          - {number: visit_hours, value: 8, why: "Far by water"}
                          - {number: stage_hours, of: carrier, value: 1.5, why: "Ours sit fast"}
                          - {number: brings_back, of: oil_aged, value: 0.2, why: "They ask for it"}
                        """)
                .value()
                .orElseThrow();
        assertThat(against(own)).isEmpty();
        Knowledge changed = own.over(SHIPPED);
        assertThat(changed.cause("plug_washers").orElseThrow().prior()).isEqualTo(0.3);
        assertThat(changed.finding("plug_drip").orElseThrow().base()).containsExactly(0.9, 0.1);
        assertThat(changed.goal("gears").orElseThrow().marginalCost()).isEqualTo(4);
        assertThat(changed.goal("bearings")).isEqualTo(SHIPPED.goal("bearings"));
        assertThat(own.costs(50))
                .containsEntry("gears", new VerdictInput.Costs(200, 450))
                .containsEntry("bearings", new VerdictInput.Costs(200, 900));
        assertThat(own.changes(SHIPPED))
                .extracting(Overrides.Change::why)
                .containsExactly(
                        "Every second skiff here",
                        "Wet sheds",
                        "A cheap source",
                        "As older files say it",
                        "Far by water",
                        "Ours sit fast",
                        "They ask for it");
        RepairTables repairs = changed.repairs().orElseThrow();
        assertThat(repairs.visitHours()).isEqualTo(8);
        assertThat(repairs.stage("carrier").orElseThrow().hours()).isEqualTo(1.5);
        assertThat(repairs.causes().stream().filter(c -> c.id().equals("oil_aged")))
                .singleElement()
                .satisfies(c -> assertThat(c.bringsBack()).isEqualTo(0.2));
        assertThat(own.changes(SHIPPED).get(0).was()).isEqualTo("0.09");
    }

    @Test
    void numbersThatDoNotFitAreRefusedAtTheirPlace() {
        Overrides own = overrides(
                        """
                        priors: [{cause: gremlins, prior: 0.3, why: x}]
                        shares:
                          - {finding: plug_drip, cause: gear_wear, shares: [0.5, 0.5], why: x}
                          - {finding: plug_drip, cause: plug_washers, shares: [0.5, 0.4], why: x}
                          - {finding: nothing, cause: base, shares: [0.5, 0.5], why: x}
                        repairs:
                          - {number: stage_hours, of: nowhere, value: 1, why: x}
                          - {number: brings_back, of: oil_aged, value: 2, why: x}
                        """)
                .value()
                .orElseThrow();
        assertThat(against(own))
                .extracting(Problem::at)
                .containsExactly(
                        "/priors/0/cause",
                        "/shares/0/cause",
                        "/shares/1/shares",
                        "/shares/2/finding",
                        "/repairs/0",
                        "/repairs/1/value");
        assertThat(overrides("priors: [{cause: plug_washers, prior: 2, why: x}]")
                        .problems())
                .extracting(Problem::at)
                .containsExactly("/priors/0/prior");
        assertThat(overrides("priors: [{cause: plug_washers, prior: 0.2}]").problems())
                .extracting(Problem::problem)
                .containsExactly("is missing: the reason");
    }

    @Test
    void damagedTablesAreRefusedWithEveryPlace() {
        String tables =
                """
                knowledge_version: "1"
                access: [{id: seen, title: seen, minutes: 0}]
                goals: [{id: g, title: g, marginal_hours: 1, marginal_parts: 0, comeback_hours: 2, comeback_parts: 0}]
                causes: [{id: a, title: a, prior: 0.1, place: case, goal: nowhere, why: w}]
                findings:
                  - {id: f, title: f, outcomes: [no, yes], station: drain, access: attic, minutes: 1,
                     base: [0.5, 0.6], why: w, given: [{cause: b, shares: [1, 0], why: w}],
                     gate: [{finding: z, outcomes: [yes]}]}
                """;
        assertThat(KnowledgeFiles.read(tables.replace("[no, yes]", "[\"no\", \"yes\"]")
                                .replace("[yes]", "[\"yes\"]")
                                .getBytes(StandardCharsets.UTF_8))
                        .problems())
                .extracting(Problem::at)
                .containsExactlyInAnyOrder(
                        "/causes/0/goal",
                        "/findings/0/access",
                        "/findings/0/base",
                        "/findings/0/given/0/cause",
                        "/findings/0/given/0/shares",
                        "/findings/0/gate/0");
    }

    @Test
    void theHeadlessVerdictKnowsItsTables() {
        Engine verdict = Engine.named("verdict").orElseThrow();
        String good = "{\"findings\":{\"oil_water\":\"milky\"},\"labour_per_h\":70,\"open\":[\"drain\"]}";
        ObjectNode out =
                verdict.run(good.getBytes(StandardCharsets.UTF_8)).value().orElseThrow();
        assertThat(out.get("causes")).hasSize(SHIPPED.causes().size());
        assertThat(out.get("decisions").get(0).has("do")).isTrue();
        assertThat(out.get("notes").toString()).contains("Next check");
        String bad = "{\"findings\":{\"oil_water\":\"green\",\"smell\":\"bad\",\"volume_more\":\"yes\","
                + "\"volume_less\":\"yes\"},\"labour_per_h\":70,\"open\":[\"attic\"],\"goals\":{\"paint\":"
                + "{\"marginal_cost\":1,\"comeback_cost\":1}},\"context\":{\"twin_found\":[\"ghost\"]}}";
        assertThat(verdict.run(bad.getBytes(StandardCharsets.UTF_8)).problems())
                .extracting(Problem::at)
                .containsExactlyInAnyOrder(
                        "/findings/oil_water",
                        "/findings/smell",
                        "/findings/volume_less",
                        "/open/0",
                        "/goals/paint",
                        "/context/twin_found/0");
    }
}
