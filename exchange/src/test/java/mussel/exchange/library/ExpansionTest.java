package mussel.exchange.library;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problem;
import mussel.core.plan.Plan;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.Construction;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Read;
import mussel.exchange.record.Yaml;
import mussel.exchange.sheet.SheetFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What must hold of a leg whatever is known of it: random answers, unknown ones among them, with the values of a manual and with none. */
class ExpansionTest {
    private static final long SEED = 20_261_129;
    private static final int LEGS = 150;
    private static final List<SpecSheet> MADE = made();

    static Stream<SpecSheet> legs() {
        return MADE.stream();
    }

    private static List<SpecSheet> made() {
        Random random = new Random(SEED);
        return IntStream.range(0, LEGS)
                .mapToObj(i -> {
                    Read<SpecSheet> read = Expansion.expand(compact(random, i), Library.shipped());
                    assertThat(read.problems()).as("leg " + i).isEmpty();
                    return read.value().orElseThrow();
                })
                .toList();
    }

    /** A leg nobody has described; every third with what its manual says, the first with no answer at all. */
    private static ObjectNode compact(Random random, int number) {
        ObjectNode compact = begun("Leg " + number, Size.values()[number % 3]);
        ObjectNode features = compact.putObject("features");
        for (Feature feature : Library.shipped().features()) {
            int answer = random.nextInt(feature.answers().size() + 1);
            if (number > 0 && answer < feature.answers().size()) {
                features.put(feature.id(), feature.answers().get(answer).id());
            }
        }
        if (number % 3 == 1) {
            compact.set("values", shipped("tern-60").get("values"));
        }
        return compact;
    }

    private static ObjectNode begun(String title, Size size) {
        return JsonNodeFactory.instance
                .objectNode()
                .put("format", "mussel-sheet/2")
                .put("title", title)
                .put("size", NamedBy.file(size));
    }

    private static JsonNode shipped(String family) {
        try (InputStream in = SheetFiles.class.getResourceAsStream("families/" + family + ".yaml")) {
            return Yaml.tree(in.readAllBytes()).value().orElseThrow();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("legs")
    void everyGoalPlansInAPhysicalOrderAndGoesBack(SpecSheet sheet) {
        List<String> all = sheet.goals().stream().map(Goal::id).toList();
        List<List<String>> sets = new ArrayList<>(all.stream().map(List::of).toList());
        sets.add(all);
        for (List<String> goals : sets) {
            Plan plan = Planner.plan(sheet, goals);
            Set<String> done = new HashSet<>();
            Set<String> off = new HashSet<>();
            Map<String, Integer> loose = new HashMap<>();
            for (PlannedStep step : plan.steps()) {
                assertThat(done)
                        .as(goals + " " + step.step().id())
                        .containsAll(step.step().needs());
                step.step().partsIn().forEach(p -> {
                    assertThat(off).as(goals + " " + step.step().id()).contains(p.part());
                    loose.merge(p.part(), -p.qty(), Integer::sum);
                });
                step.step().partsOut().forEach(p -> {
                    off.add(p.part());
                    loose.merge(p.part(), p.qty(), Integer::sum);
                });
                done.add(step.step().id());
            }
            assertThat(loose)
                    .as(goals.toString())
                    .allSatisfy((part, left) -> assertThat(left).as(part).isZero());
            assertThat(plan.of(Phase.PROVE)).as("a proof for " + goals).isNotEmpty();
            Set<String> listed = new HashSet<>();
            plan.parts().forEach(p -> listed.add(p.part().part()));
            assertThat(listed)
                    .as("always new, of " + goals)
                    .containsAll(off.stream()
                            .filter(p -> sheet.part(p).orElseThrow().alwaysNew())
                            .toList());
        }
    }

    @ParameterizedTest
    @MethodSource("legs")
    void noTextIsLeftWithBraces(SpecSheet sheet) {
        sheet.steps().forEach(s -> assertThat(s.toString()).doesNotContain("{", "}"));
    }

    @Test
    void whatNobodyKnowsIsNotInvented() {
        SpecSheet sheet = expanded(begun("Nameless 40", Size.MID));

        assertThat(sheet.id()).isEqualTo("nameless-40");
        assertThat(sheet.oil().capacityMl()).isEmpty();
        assertThat(sheet.oil().grade()).isEqualTo("-");
        assertThat(sheet.leakTest().pressure()).isEmpty();
        assertThat(sheet.leakTest().vacuum()).isEmpty();
        assertThat(sheet.pump()).isEmpty();
        assertThat(sheet.setup()).isEmpty();
        assertThat(sheet.fasteners()).allMatch(f -> f.torque().isEmpty());
        assertThat(sheet.fastener("leg_bolts").orElseThrow().named())
                .as("nobody has counted them")
                .isEqualTo("Leg bolts");
        assertThat(sheet.construction().carrier()).isEqualTo(Construction.Carrier.UNKNOWN);
        assertThat(sheet.estimates())
                .contains("/case", "/leak_test/air_ml", "/construction/weight_kg", "/oil/purge_ml");
        assertThat(sheet.drawing()).extracting(Region::kind).contains(Region.Material.UNKNOWN);
        assertThat(sheet.step("prop_carrier_loose").orElseThrow().detail())
                .startsWith("Look behind the propeller for what holds the carrier");
        assertThat(sheet.step("leg_drop").orElseThrow().cautions().toString())
                .contains("estimate for a leg of this size");
    }

    @Test
    void aValueIsReadAsTheManualPrintsIt() {
        ObjectNode compact = begun("Nameless 40", Size.MID);
        compact.set(
                "values",
                Yaml.tree(
                                """
                        oil: {capacity: 15 fl oz, grade: GL-5}
                        fasteners:
                          leg_bolts: {count: 5, thread: M10x1.5, torque: {value: 25-30 lbf·ft, page: "12"}}
                          pump_bolts: {torque: 8 N·m}
                        leak_test:
                          vacuum: {start: 14 inHg, limit: 18 inHg, hold: 5 min, allowed_drop: 1 inHg}
                        """
                                        .getBytes(StandardCharsets.UTF_8))
                        .value()
                        .orElseThrow());
        SpecSheet sheet = expanded(compact);

        assertThat(sheet.oil().capacityMl().orElseThrow()).isBetween(443.0, 444.0);
        var leg = sheet.fastener("leg_bolts").orElseThrow();
        assertThat(leg.named()).isEqualTo("5 × Leg bolts, M10x1.5");
        assertThat(leg.page()).isEqualTo("12");
        assertThat(leg.torque().orElseThrow().range().lowNm()).isBetween(33.8, 34.0);
        assertThat(sheet.fastener("pump_bolts")
                        .orElseThrow()
                        .torque()
                        .orElseThrow()
                        .range()
                        .highNm())
                .isEqualTo(8);
        assertThat(sheet.leakTest().vacuum().orElseThrow().startKpa()).isBetween(-47.5, -47.3);
        assertThat(sheet.step("leg_tight").orElseThrow().tools()).contains("socket 14 mm", "torque wrench 10-60 N·m");
    }

    private static SpecSheet expanded(JsonNode compact) {
        Read<SpecSheet> read = Expansion.expand(compact, Library.shipped());
        assertThat(read.problems()).isEmpty();
        return read.value().orElseThrow();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "features: {vent: 2}|/features/vent|is no feature",
                "features: {vents: 3}|/features/vents|it is answered 1, 2 or unknown",
                "features: {drive: [pin]}|/features/drive|must be an object",
                "except: {leg_dorp: {title: Down}}|/except/leg_dorp|names no step of the library",
                "except: {leg_drop: {parts_out: [{part: nonsense}]}}|/except/leg_drop/parts_out|names the part",
                "except: {leg_drop: {titel: Down}}|/except/leg_drop/titel|is not a field here",
                "drop: [leg_dorp]|/drop/0|names no step",
                "numbers: {impeler: X-1}|/numbers/impeler|names no part",
                "parts: {winch: {title: Winch}}|/parts/winch|needs a title and a group",
                "minutes: {leg_drop: {low: 9, likely: 3, high: 5}}|/minutes/leg_drop|must rise",
                "values: {oil: {capacity: '430'}}|/values/oil/capacity|without a unit",
                "values: {oil: {capacity: 9 psi}}|/values/oil/capacity|measures a pressure",
                "values: {fasteners: {leg_bolts: {torque: 40-34 N·m}}}|/values/fasteners/leg_bolts/torque|reversed",
                "values: {fasteners: {leg_bolts: {torque: tight}}}|/values/fasteners/leg_bolts/torque|cannot be read",
                "values: {fasteners: {leg_bolts: {thread: M10x1.5, torque: 340-400 N·m}}}|/fasteners|bears",
                "add: [{id: leg_drop, title: x, phase: down, place: joint, minutes: {low: 1, likely: 1, high: 1}}]|/add/0/id|is a step of the library",
                "add: [{id: a, title: x, phase: down, place: joint, needs: [a], minutes: {low: 1, likely: 1, high: 1}}]|/add/0|comes before itself",
                "{except: {leg_drop: {needs: [b]}}, add: [{id: b, title: x, phase: down, place: joint, needs: [leg_drop], minutes: {low: 1, likely: 1, high: 1}}]}|/steps|in a circle",
                "{drop: [leg_drop], except: {leg_drop: {title: Down}}}|/except/leg_drop|is dropped",
                "format: mussel-sheet/3|/format|must be one of mussel-sheet/2",
                "size: huge|/size|must be one of portable, mid, large"
            })
    void whatIsWrongIsToldWithItsPlace(String yaml, String at, String problem) {
        ObjectNode compact = begun("Nameless 40", Size.MID);
        Yaml.tree(yaml.getBytes(StandardCharsets.UTF_8))
                .value()
                .orElseThrow()
                .properties()
                .forEach(f -> compact.set(f.getKey(), f.getValue()));
        List<Problem> problems = Expansion.expand(compact, Library.shipped()).problems();

        assertThat(problems).as(problems.toString()).anySatisfy(p -> {
            assertThat(p.at()).contains(at);
            assertThat(p.problem()).contains(problem);
        });
    }

    @Test
    void whatIsChangedOnlyForOneFamilyIsChanged() {
        JsonNode change = Yaml.tree(
                        """
                        parts: {winch: {title: Winch, group: joint}}
                        except: {leg_drop: {title: "Down with it", parts_out: [{part: winch}]}, leg_up: {parts_in: [{part: winch}]}}
                        drop: [shroud_off, shroud_in]
                        minutes: {leg_drop: {low: 1, likely: 2, high: 3}}
                        add: [{id: bless, title: Bless it, phase: down, place: cowl, minutes: {low: 1, likely: 1, high: 1}}]
                        """
                                .getBytes(StandardCharsets.UTF_8))
                .value()
                .orElseThrow();
        ObjectNode compact = begun("Nameless 40", Size.MID);
        change.properties().forEach(f -> compact.set(f.getKey(), f.getValue()));
        SpecSheet sheet = expanded(compact);

        assertThat(sheet.step("leg_drop").orElseThrow().title()).isEqualTo("Down with it");
        assertThat(sheet.step("leg_drop").orElseThrow().minutes().high()).isEqualTo(3);
        assertThat(sheet.step("shroud_off")).isEmpty();
        assertThat(sheet.step("bless")).isPresent();
        assertThat(sheet.part("winch")).isPresent();
    }
}
