package mussel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.log.Share;
import mussel.core.log.Visit;
import mussel.core.sheet.Step;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** The yard's own times, how its estimates held, and what came back. */
class OwnTimesTest {
    private static Visit visit(int job, boolean comeback, String done, Visit.Work work) {
        LocalDate day = LocalDate.of(2026, 1, 1).plusDays(job);
        return new Visit(
                        job,
                        "leg",
                        "Byssus",
                        "Byssus",
                        "f",
                        "F",
                        day,
                        Optional.of(day),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        false,
                        List.of(),
                        List.of(),
                        List.of(done),
                        List.of(),
                        List.of(),
                        "",
                        false)
                .proved(false, comeback, Optional.of(work));
    }

    private static OwnTimes told(List<Double> minutes) {
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < minutes.size(); i++) {
            visits.add(visit(
                    i + 1,
                    false,
                    "Seals",
                    new Visit.Work(Map.of("seals_out", minutes.get(i)), 0, 0, OptionalDouble.empty())));
        }
        return OwnTimes.of(visits);
    }

    @Test
    void fourTimesAreTooFewAndFiveCount() {
        assertThat(told(List.of(10.0, 12.0, 14.0, 16.0)).of("seals_out")).isEmpty();
        OwnTimes.Own own =
                told(List.of(10.0, 12.0, 14.0, 16.0, 18.0)).of("seals_out").orElseThrow();
        assertThat(own.count()).isEqualTo(5);
        assertThat(own.mean()).isEqualTo(14);
        assertThat(own.minutes().mean()).isCloseTo(14, within(1e-9));
        assertThat(own.says()).contains("5 times here", "14 min");
    }

    @Test
    void whatWasStuckThreeTimesTellsHowMuchLongerItTakesAndNothingOfTheUsualTime() {
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Visit.Work work =
                    new Visit.Work(Map.of(), Map.of("leg_loose", 60.0 + 30 * i), 0, 0, OptionalDouble.empty());
            assertThat(OwnTimes.of(visits).stuck("leg_loose")).as("after %d", i).isEmpty();
            visits.add(visit(i + 1, false, "Seals", work));
        }
        OwnTimes own = OwnTimes.of(visits);
        assertThat(own.stuck("leg_loose")).hasValue(90);
        assertThat(own.of("leg_loose")).isEmpty();
        assertThat(own).isNotEqualTo(OwnTimes.NONE);
    }

    @Property
    void whateverWasTickedTheMeanOfTheStepIsTheMeanOfTheTicks(
            @ForAll @Size(min = 5, max = 30) List<@DoubleRange(min = 0.5, max = 600) Double> minutes) {
        OwnTimes.Own own = told(minutes).of("seals_out").orElseThrow();
        Step.Minutes points = own.minutes();
        assertThat(points.mean()).isCloseTo(own.mean(), within(1e-9 * Math.max(1, own.mean())));
        assertThat(points.low()).isBetween(0.0, points.likely() + 1e-9);
        assertThat(points.high()).isGreaterThanOrEqualTo(points.likely() - 1e-9);
    }

    @Test
    void estimatesHeldAreCountedWithWilsonsBounds() {
        Share held = OwnRecord.of(
                        List.of(
                                visit(1, false, "Seals", new Visit.Work(Map.of(), 300, 400, OptionalDouble.of(450))),
                                visit(2, false, "Seals", new Visit.Work(Map.of(), 300, 500, OptionalDouble.of(450))),
                                visit(3, false, "Seals", new Visit.Work(Map.of(), 300, 400, OptionalDouble.empty()))),
                        false)
                .quotes();
        assertThat(held).as("nobody was asked by the third").isEqualTo(new Share(2, 1));
        // Wilson (1927) by hand: 10 of 11 with z = 1.96 gives 62.3 % to 98.4 %.
        assertThat(new Share(11, 10).bounds()[0]).isCloseTo(0.623, within(0.001));
        assertThat(new Share(11, 10).bounds()[1]).isCloseTo(0.984, within(0.001));
        assertThat(new Share(0, 0).bounds()).containsExactly(0, 1);
    }

    @Test
    void whatAComebackCostIsSetAgainstWhatWasRepairedBefore() {
        List<Visit> visits = List.of(
                visit(1, false, "Seals", new Visit.Work(Map.of(), 300, 400, OptionalDouble.empty())),
                visit(60, true, "Seals", new Visit.Work(Map.of(), 520, 600, OptionalDouble.empty())));
        OwnRecord shown = OwnRecord.of(visits, false);
        assertThat(shown.back()).containsOnly(Map.entry("Seals", List.of(520.0)));
        assertThat(shown.comeback("Seals", 400)).isEmpty();
        assertThat(OwnRecord.of(visits, true).comeback("Seals", 400).orElseThrow())
                .isCloseTo((5 * 400 + 520) / 6.0, within(1e-9));
        assertThat(OwnRecord.of(visits, true).comeback("Pump", 400)).isEmpty();
    }
}
