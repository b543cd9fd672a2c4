package mussel.core.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mussel.core.fleet.FleetPlan.Placement;
import org.junit.jupiter.api.Test;

class FleetEngineTest {
    /** A Monday, eight in the morning. */
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 23, 8, 0);

    private static final LocalDate MONDAY = NOW.toLocalDate();

    private static Fleet.Task task(String title, double minutes, String... tools) {
        return new Fleet.Task(title, minutes, List.of(tools), 0, Optional.empty(), "");
    }

    private static Fleet.Leg leg(int job, LocalDate promised, Fleet.Task... tasks) {
        return new Fleet.Leg(job, "leg " + job, Optional.ofNullable(promised), List.of(tasks));
    }

    private static Fleet.Technician full(String name) {
        return new Fleet.Technician(name, 8.5, List.of());
    }

    private static FleetPlan plan(List<Fleet.Technician> who, List<Fleet.Tool> tools, Fleet.Leg... legs) {
        return FleetEngine.plan(new Fleet(NOW, Fleet.Hours.USUAL, who, tools, List.of(legs)));
    }

    @Test
    void thePromisedLegGoesFirst() {
        FleetPlan plan = plan(
                List.of(full("technician A")),
                List.of(),
                leg(1, null, task("strip", 240)),
                leg(2, MONDAY, task("strip", 300)));
        assertThat(plan.proven()).isTrue();
        assertThat(plan.broken()).isEmpty();
        assertThat(plan.next()).singleElement().extracting(Placement::job).isEqualTo(2);
        Placement second = plan.placements().get(1);
        assertThat(second.start()).isEqualTo(LocalDateTime.of(2026, 11, 24, 8, 0));
        assertThat(second.why()).contains("Does not fit into the rest of");
    }

    @Test
    void theOneBehindSaysWhomItWaitsFor() {
        FleetPlan plan = plan(
                List.of(full("technician A")),
                List.of(),
                leg(1, null, task("strip", 60)),
                leg(2, null, task("strip", 120)));
        assertThat(plan.placements().get(1).why()).isEqualTo("technician A works on leg 1 until then: strip.");
        assertThat(plan.placements().get(1).end()).isEqualTo(NOW.plusMinutes(180));
    }

    @Test
    void aPromiseThatCannotHoldIsNamedWithWhatHoldsItUp() {
        Fleet.Task waits = new Fleet.Task("build", 120, List.of(), 0, Optional.of(MONDAY.plusDays(3)), "order 7");
        FleetPlan plan =
                plan(List.of(full("technician A")), List.of(), leg(1, MONDAY.plusDays(1), task("strip", 60), waits));
        assertThat(plan.broken()).singleElement().satisfies(r -> {
            assertThat(r.at()).isEqualTo(LocalDateTime.of(2026, 11, 26, 10, 0));
            assertThat(r.why()).isEqualTo("Waiting for order 7, expected Thu 2026-11-26.");
        });
    }

    @Test
    void glueCuresOverNightAndOverTheWeekend() {
        Fleet.Task glued = new Fleet.Task("joint", 60, List.of(), 720, Optional.empty(), "");
        FleetPlan plan = plan(List.of(full("technician A")), List.of(), leg(1, null, glued, task("run", 60)));
        Placement run = plan.placements().get(1);
        assertThat(run.start()).isEqualTo(LocalDateTime.of(2026, 11, 24, 8, 0));
        assertThat(run.why()).contains("cured on Mon 2026-11-23 21:00");
    }

    @Test
    void onePressServesOneLegAtATime() {
        FleetPlan plan = plan(
                List.of(full("technician A"), full("technician B")),
                List.of(new Fleet.Tool("arbor press", 1)),
                leg(1, null, task("seals", 120, "arbor press")),
                leg(2, null, task("bearings", 120, "arbor press")));
        assertThat(plan.placements()).extracting(Placement::startSlot).containsExactly(32, 40);
        assertThat(plan.placements().get(1).why()).contains("arbor press is used on leg");
    }

    @Test
    void nobodyWorksWhileAway() {
        Fleet.Technician away = new Fleet.Technician("technician A", 4, List.of(MONDAY));
        FleetPlan plan = plan(List.of(away), List.of(), leg(1, null, task("strip", 180), task("build", 180)));
        assertThat(plan.placements().get(0).start()).isEqualTo(LocalDateTime.of(2026, 11, 24, 8, 0));
        assertThat(plan.placements().get(1).start()).isEqualTo(LocalDateTime.of(2026, 11, 25, 8, 0));
        assertThat(plan.placements().get(0).why()).contains("technician A is not available");
    }

    @Test
    void workThatFitsNowhereIsSaidNotDropped() {
        Fleet.Technician away = new Fleet.Technician("technician A", 1, List.of());
        Fleet.Leg[] legs = {leg(1, null, task("strip", 240)), leg(2, null, task("strip", 45))};
        FleetPlan plan = plan(List.of(away), List.of(), legs);
        assertThat(plan.unplanned()).containsExactly("leg 1");
        assertThat(plan.placements())
                .as("the others are planned all the same")
                .extracting(Placement::job)
                .containsExactly(2);
        assertThat(plan(List.of(away), List.of(), legs[0]).unplanned()).containsExactly("leg 1");
    }

    /** Thirty legs as a busy yard has them: every rule of the plan holds, at once and after the search. */
    @Test
    void thirtyLegsKeepEveryRule() {
        Random random = new Random(30);
        List<Fleet.Leg> legs = new ArrayList<>();
        for (int job = 1; job <= 30; job++) {
            Optional<LocalDate> parts =
                    random.nextInt(3) == 0 ? Optional.of(MONDAY.plusDays(random.nextInt(6))) : Optional.empty();
            legs.add(leg(
                    job,
                    random.nextBoolean() ? MONDAY.plusDays(2 + random.nextInt(10)) : null,
                    task("strip", 30 + random.nextInt(150), random.nextBoolean() ? "leg stand" : "carrier puller"),
                    task("seals", 30 + random.nextInt(60), "arbor press"),
                    new Fleet.Task("build", 60 + random.nextInt(120), List.of(), 720, parts, "parts"),
                    task("prove", 45)));
        }
        Fleet fleet = new Fleet(
                NOW,
                Fleet.Hours.USUAL,
                List.of(full("technician A"), new Fleet.Technician("technician B", 6, List.of(MONDAY.plusDays(1)))),
                List.of(
                        new Fleet.Tool("arbor press", 1),
                        new Fleet.Tool("leg stand", 2),
                        new Fleet.Tool("carrier puller", 1)),
                legs);
        FleetPlan first = FleetEngine.first(fleet);
        FleetPlan searched = FleetEngine.plan(fleet);
        keepsEveryRule(first);
        keepsEveryRule(searched);
        assertThat(searched.broken()).hasSizeLessThanOrEqualTo(first.broken().size());
    }

    private static void keepsEveryRule(FleetPlan plan) {
        assertThat(plan.placements()).hasSize(120);
        assertThat(plan.legs()).hasSize(30);
        for (Placement a : plan.placements()) {
            assertThat(a.why()).isNotBlank();
            assertThat(a.task()
                            .notBefore()
                            .map(d -> !a.start().toLocalDate().isBefore(d))
                            .orElse(true))
                    .isTrue();
            for (Placement b : plan.placements()) {
                boolean together = a != b && a.startSlot() < b.endSlot() && b.startSlot() < a.endSlot();
                assertThat(together && a.technician().equals(b.technician())).isFalse();
                assertThat(together && a.job() == b.job()).isFalse();
                assertThat(together
                                && a.task().tools().contains("arbor press")
                                && b.task().tools().contains("arbor press"))
                        .isFalse();
            }
        }
    }
}
