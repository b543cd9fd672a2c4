package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Made;
import mussel.core.job.Surroundings;
import mussel.core.practice.Exercise;
import mussel.core.practice.LegName;
import mussel.core.practice.Workplace;
import mussel.core.sheet.FamilySheet;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Judge;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.sim.instrument.SimulatedInstruments;
import org.junit.jupiter.api.Test;

class ShownTest {
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());
    private static final LocalDate DAY = LocalDate.of(2026, 11, 29);

    private static Workplace at(FamilySheet sheet) {
        return new Workplace(
                sheet, new Surroundings(SheetFiles.shippedYard(), JUDGE, List.of(), DAY), new SimulatedInstruments());
    }

    /** A practice leg of a family, looked at as one likes. */
    private static final class Practised {
        private final List<Entry> entries = new ArrayList<>();
        private final Workplace at;

        Practised(FamilySheet sheet, int number) {
            at = at(sheet);
            LegName name = new LegName(1, number, Optional.empty(), Optional.of(sheet.id()));
            note(List.of(new Fact.Opened(name.leg())));
            note(Exercise.opening(Exercise.context(name, Optional.empty(), Optional.of(sheet)), true));
        }

        void note(List<Fact> facts) {
            facts.forEach(f ->
                    entries.add(new Entry(entries.size() + 1L, 1, Instant.ofEpochSecond(entries.size()), "Una", f)));
        }

        Job job() {
            return Job.of(entries);
        }

        Exercise exercise() {
            return Exercise.of(
                            job(),
                            JUDGE::tables,
                            List.of(),
                            at.surroundings().yard().labourPerH(),
                            Optional.of(at))
                    .orElseThrow();
        }

        Assessment assessed() {
            return Assessment.of(job(), at.sheet(), at.surroundings());
        }

        void look(String finding) {
            note(exercise().look(finding));
        }

        /** Everything that can be looked at, those first that must be seen before others. */
        void lookAtAll() {
            look("free_water_first");
            boolean more = true;
            while (more) {
                int before = entries.size();
                Exercise now = exercise();
                JUDGE.knowledge().findings().stream()
                        .filter(now::offered)
                        .map(Finding::id)
                        .forEach(this::look);
                more = entries.size() > before;
            }
        }
    }

    @Test
    void whatIsKnownBeforehandIsWhatTheJobSays() {
        for (FamilySheet sheet : SheetFiles.shipped()) {
            for (int number = 1; number <= 20; number++) {
                Practised leg = new Practised(sheet, number);
                assertThat(leg.assessed().context()).isEqualTo(leg.exercise().context());
            }
        }
    }

    @Test
    void theEnginesReadTheInstrumentsBackAsWhatWasDrawnIn99Of100() {
        Map<String, int[]> byFinding = new TreeMap<>();
        List<String> wrong = new ArrayList<>();
        for (FamilySheet sheet : SheetFiles.shipped()) {
            for (int number = 1; number <= 25; number++) {
                Practised leg = new Practised(sheet, number);
                leg.lookAtAll();
                Map<String, Made> read = leg.assessed().findings();
                Map<String, String> drawn =
                        new LinkedHashMap<>(leg.exercise().bench().findings());
                drawn.forEach((finding, outcome) -> {
                    int[] of = byFinding.computeIfAbsent(finding, f -> new int[2]);
                    of[1]++;
                    if (read.containsKey(finding) && read.get(finding).outcome().equals(outcome)) {
                        of[0]++;
                    } else {
                        wrong.add(
                                sheet.id() + " " + leg.exercise().bench().leg().number() + " " + finding + ": "
                                        + outcome + ", read " + read.get(finding));
                    }
                });
            }
        }
        byFinding.forEach((finding, of) ->
                assertThat((double) of[0] / of[1]).as(finding + ": " + wrong).isGreaterThanOrEqualTo(0.99));
    }
}
