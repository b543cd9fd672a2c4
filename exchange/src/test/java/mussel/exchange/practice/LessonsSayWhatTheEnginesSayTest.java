package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mussel.core.practice.Lesson;
import mussel.core.practice.Lesson.Claim;
import mussel.core.practice.Lesson.Speaks;
import mussel.core.pump.PumpEngine;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpPolicy;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.exchange.verdict.KnowledgeFiles;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Lessons and engines say one thing. */
class LessonsSayWhatTheEnginesSayTest {
    private static final Knowledge TABLES = KnowledgeFiles.shipped();
    private static final PumpGeometry PUMP = new PumpGeometry(54, 26, 20, 3, 6, 4, 5_200);

    static Stream<Arguments> claims() {
        return LessonFiles.shipped().stream().flatMap(l -> l.claims().stream().map(c -> Arguments.of(l.id(), c)));
    }

    /** How much likelier an outcome is with a fault than without any, by the tables' own rule for one fault. */
    private static double ratio(Claim claim) {
        Finding finding = TABLES.finding(claim.finding()).orElseThrow();
        Finding.Share with = finding.given(Context.empty()).get(claim.cause());
        if (with == null) {
            return 1;
        }
        int at = finding.outcomes().indexOf(claim.outcome());
        assertThat(at).as(claim.outcome()).isNotNegative();
        double upTo = sum(finding.base(), at) * sum(with.shares(), at);
        double below = at == 0 ? 0 : sum(finding.base(), at - 1) * sum(with.shares(), at - 1);
        return (upTo - below) / finding.base().get(at);
    }

    private static double sum(List<Double> shares, int to) {
        return shares.subList(0, to + 1).stream().mapToDouble(s -> s).sum();
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("claims")
    void whatALessonClaimsTheTablesSay(String lesson, Claim claim) {
        double ratio = ratio(claim);
        Speaks speaks = ratio >= 2 ? Speaks.FOR : ratio <= 0.5 ? Speaks.AGAINST : Speaks.NOTHING;
        assertThat(speaks).as("%s times as likely", ratio).isEqualTo(claim.speaks());
    }

    @Test
    void mostLessonsClaimSomething() {
        assertThat(LessonFiles.shipped().stream().filter(l -> !l.claims().isEmpty()))
                .hasSizeGreaterThan(9);
    }

    @Test
    void cupsClearAPumpAndNeverAccuseIt() {
        assertThat(lesson("cups").why()).contains("clears a pump", "accuses nobody");
        for (double seconds = 2; seconds < 600; seconds *= 1.5) {
            Optional<String> said = flow(PumpInput.Where.CUPS, seconds);
            assertThat(said)
                    .as(seconds + " s for the bucket on cups")
                    .isNotIn(Optional.of("low"), Optional.of("very_low"));
        }
        assertThat(flow(PumpInput.Where.CUPS, 2)).contains("full");
        assertThat(flow(PumpInput.Where.TANK, 600)).as("a tank accuses").contains("very_low");
    }

    @Test
    void aSetVaneFoldsAtSpeed() {
        assertThat(lesson("set_vanes").why()).contains("folds at speed");
        double idle = PUMP.flowLMin(800, 0.8, 0) / PUMP.flowLMin(800, 0, 0);
        double fast = PUMP.flowLMin(5_000, 0.8, 0) / PUMP.flowLMin(5_000, 0, 0);
        assertThat(fast).as("of new, against %s at idle", idle).isLessThan(idle);
    }

    private static Lesson lesson(String id) {
        return LessonFiles.shipped().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Optional<String> flow(PumpInput.Where where, double seconds) {
        PumpInput in = new PumpInput(
                Collections.nCopies(6, PumpInput.Vane.SOUND),
                OptionalDouble.empty(),
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                PumpPolicy.CONDITION,
                24,
                PumpInput.Extent.BY_CONDITION,
                false,
                Optional.empty(),
                Optional.of(PUMP),
                List.of(new PumpInput.FlowReading(800, 2, seconds, where)),
                OptionalDouble.of(0.1));
        return Optional.ofNullable(PumpEngine.run(in).findings().get("flow_ratio"));
    }
}
