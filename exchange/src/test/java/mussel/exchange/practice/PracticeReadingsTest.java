package mussel.exchange.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.drain.OilLook;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.JobFinding;
import mussel.core.job.Scale;
import mussel.core.job.Surroundings;
import mussel.core.leak.LeakMode;
import mussel.core.library.Size;
import mussel.core.measure.NamedBy;
import mussel.core.practice.Exercise;
import mussel.core.practice.LastLook;
import mussel.core.practice.LegName;
import mussel.core.practice.Reckoning;
import mussel.core.practice.Workplace;
import mussel.core.sheet.SpecSheet;
import mussel.core.simulated.SimulatedInstruments;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Judge;
import mussel.core.verdict.LegState;
import mussel.exchange.library.Expansion;
import mussel.exchange.library.Library;
import mussel.exchange.report.JobSheetPdf;
import mussel.exchange.report.LegTag;
import mussel.exchange.report.Papers;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PracticeReadingsTest {
    private static final Judge JUDGE = new Judge(KnowledgeFiles.shipped());
    /** Of each family; together a hundred. */
    private static final int LEGS = 25;

    private static final LocalDate DAY = LocalDate.of(2026, 11, 29);

    private static Workplace at(SpecSheet sheet) {
        return new Workplace(
                sheet, new Surroundings(SheetFiles.shippedYard(), JUDGE, List.of(), DAY), new SimulatedInstruments());
    }

    @TempDir
    Path folder;

    /** A practice leg of a family, looked at as one likes. */
    private static final class Practised {
        private final List<Entry> entries = new ArrayList<>();
        private final Workplace at;

        Practised(SpecSheet sheet, int number) {
            at = at(sheet);
            LegName name = new LegName(1, number, Optional.empty(), Optional.of(sheet.id()));
            note(List.of(new Fact.Opened(name.leg())));
            note(Exercise.opening(
                    Exercise.context(name, Optional.empty(), Optional.of(sheet)), LegState.UNKNOWN, true));
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
        for (SpecSheet sheet : SheetFiles.shipped()) {
            for (int number = 1; number <= 20; number++) {
                Practised leg = new Practised(sheet, number);
                assertThat(leg.assessed().context()).isEqualTo(leg.exercise().context());
            }
        }
    }

    @Test
    void nothingIsConcludedWhileSomebodyPractisesOnHisOwn() {
        SpecSheet sheet = SheetFiles.shipped().get(0);
        Practised leg = new Practised(sheet, 3);
        leg.lookAtAll();
        assertThat(leg.assessed().verdictInput().findings()).isNotEmpty();
        leg.note(List.of(new Fact.Chosen(Scale.COACHED.address(), "no")));
        Assessment own = leg.assessed();
        assertThat(own.findings()).as("what was seen stands").isNotEmpty();
        assertThat(own.verdictInput().findings()).isEmpty();
        assertThat(own.suspicion()).isEmpty();
        assertThat(own.further()).allSatisfy(f -> assertThat(f.probability()).isEmpty());
        leg.note(leg.exercise().handBack(DAY));
        assertThat(leg.assessed().verdictInput().findings()).as("handed back").isNotEmpty();
    }

    @Test
    void itsPapersSayThatItIsNotThere() throws Exception {
        Practised leg = new Practised(SheetFiles.shipped().get(0), 3);
        Path estimate = folder.resolve("estimate.pdf");
        Path sheet = folder.resolve("sheet.pdf");
        Path tag = folder.resolve("tag.pdf");
        leg.note(List.of(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes")));
        Papers.estimate(leg.assessed(), estimate);
        JobSheetPdf.write(leg.assessed(), sheet);
        LegTag.write(leg.assessed(), tag);
        for (Path paper : List.of(estimate, sheet, tag)) {
            try (PDDocument document = Loader.loadPDF(paper.toFile())) {
                assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                        .as(paper.toString())
                        .contains("Practice: simulated leg");
                if (paper.equals(sheet)) {
                    assertThat(new PDFTextStripper().getText(document))
                            .as("before anything is read that a customer might take for his")
                            .containsSubsequence("Practice: simulated leg", "Drained oil");
                }
            }
        }
    }

    @Test
    void whatIsToldAfterALookIsWhatTheAdviceWouldHaveDone() {
        Practised leg = new Practised(SheetFiles.shipped().get(0), 5);
        assertThat(leg.exercise().lastLook()).isEmpty();
        List<String> advised = leg.exercise().bench().advised().orElseThrow().looks();
        leg.look("gear_teeth");
        LastLook astray = leg.exercise().lastLook().orElseThrow();
        assertThat(astray.asAdvised()).isFalse();
        assertThat(astray.minutes())
                .as("the case opened for it, as its sheet's steps take")
                .isGreaterThan(77);
        assertThat(astray.advised()).isEqualTo(advised);
        assertThat(astray.advisedValue()).isGreaterThan(astray.value());
        leg.look("vane_tips");
        assertThat(leg.exercise().lastLook().orElseThrow().made())
                .as("one reading")
                .containsExactlyInAnyOrder("vane_tips", "vane_set");
    }

    @Test
    void whatAPracticeLegCostsIsItsPlanAndItsPartsAndWhatIsOpenIsNotOpenedTwice() {
        SpecSheet sheet = SheetFiles.shipped().get(0);
        Practised shut = new Practised(sheet, 3);
        shut.note(List.of(new Fact.Chosen(Scale.GOAL.of("gears"), "yes"), new Fact.Tagged(DAY)));
        Practised open = new Practised(sheet, 3);
        open.look("gear_teeth");
        open.note(List.of(new Fact.Chosen(Scale.GOAL.of("gears"), "yes"), new Fact.Tagged(DAY)));
        double rate = SheetFiles.shippedYard().labourPerH();
        Reckoning whole = shut.exercise().told().orElseThrow().own();
        Reckoning opened = open.exercise().told().orElseThrow().own();
        assertThat(whole.cost() - opened.cost())
                .as("the way in is paid once, by looking or by the work")
                .isCloseTo(-2 * rate / 60, within(1e-6));
        assertThat(whole.work()).isGreaterThan(opened.work() + rate);
    }

    @Test
    void aHandEntersWhatIsDecidedAndNothingThatIsSeen() {
        Practised leg = new Practised(SheetFiles.shipped().get(0), 3);
        Exercise exercise = leg.exercise();
        assertThat(exercise.byHand(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes")))
                .isTrue();
        assertThat(exercise.byHand(Fact.Read.byHand(Field.SUSPECTED.of("impeller"), 40, "40 %")))
                .isTrue();
        for (Fact seen : List.of(
                new Fact.Chosen(Scale.OIL_WATER.address(), "milky"),
                new Fact.Chosen(Scale.CONFIRMED.of("impeller_worn"), "yes"),
                new Fact.Chosen(Scale.OVERRULED.of("oil_water"), "milky"),
                Fact.Read.byHand(Field.DRAINED.address(), 400, "400 ml"),
                Fact.Read.byHand(Field.LOST.address(), 0, "0"),
                new Fact.HoldBegun("h", LeakMode.PRESSURE, 2, "by hand", false),
                new Fact.Tagged(DAY))) {
            assertThat(exercise.byHand(seen)).as(seen.toString()).isFalse();
        }
        leg.note(exercise.handBack(DAY));
        assertThat(leg.exercise().byHand(new Fact.Chosen(Scale.GOAL.of("impeller"), "yes")))
                .as("handed back")
                .isFalse();
    }

    @Test
    void theEnginesReadTheInstrumentsBackAsWhatWasDrawnIn99Of100() {
        readBack(SheetFiles.shipped(), LEGS);
    }

    @Test
    void whatHasNoFiguresInASheetIsSeenAllTheSame() {
        List<SpecSheet> nameless = Stream.of(Size.values())
                .map(size -> JsonNodeFactory.instance
                        .objectNode()
                        .put("format", "mussel-sheet/2")
                        .put("title", "Nameless " + NamedBy.file(size))
                        .put("size", NamedBy.file(size)))
                .map(compact ->
                        Expansion.expand(compact, Library.shipped()).value().orElseThrow())
                .toList();
        assertThat(nameless).allSatisfy(s -> assertThat(s.leakTest().pressure()).isEmpty());
        readBack(nameless, LEGS / 5);
    }

    /** Every look at legs of these families is read back as it was drawn. */
    private static void readBack(List<SpecSheet> sheets, int legs) {
        Map<String, int[]> byFinding = new TreeMap<>();
        List<String> wrong = new ArrayList<>();
        for (SpecSheet sheet : sheets) {
            for (int number = 1; number <= legs; number++) {
                Practised leg = new Practised(sheet, number);
                leg.lookAtAll();
                lash(leg, wrong);
                weight(leg, wrong);
                Map<String, JobFinding> read = leg.assessed().findings();
                leg.exercise().bench().findings().forEach((finding, outcome) -> {
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
        assertThat(wrong).noneMatch(w -> w.contains("lash") || w.contains("weight"));
        assertThat(byFinding).hasSizeGreaterThan(50);
        byFinding.forEach((finding, of) ->
                assertThat((double) of[0] / of[1]).as(finding + ": " + wrong).isGreaterThanOrEqualTo(0.99));
    }

    /** Worn teeth rock further than the sheet allows, others as they should. */
    private static void lash(Practised leg, List<String> wrong) {
        boolean worn = leg.exercise().bench().findings().get("gear_teeth").equals("worn");
        leg.assessed().setup().ifPresent(setup -> setup.sheet().gears().forEach(gear -> {
            boolean inWindow = setup.place(gear.id()).lash().orElseThrow().out().inWindow();
            if (inWindow == worn) {
                wrong.add(leg.at.sheet().id() + " lash of " + gear.id() + ", worn " + worn);
            }
        }));
    }

    /** What came out weighs as much water as the oil looks to hold, in whatever water the leg runs. */
    private static void weight(Practised leg, List<String> wrong) {
        leg.assessed().drain().result().ifPresent(drain -> {
            DrainResult.Source density =
                    drain.water().source(DrainResult.SourceName.DENSITY).orElseThrow();
            DrainInput in = leg.assessed().drain().input().orElseThrow();
            double free = in.freeWaterMl() / in.drainedMl();
            OilLook look = in.oilWater().orElseThrow();
            // The scale shows whole grams.
            double gram = 0.5 / in.drainedMl() / 0.1;
            if (density.fraction() < look.low() * 0.3 - gram
                    || density.fraction() > free + look.high() * (1 - free) + gram) {
                wrong.add(leg.at.sheet().id() + " weight: " + density.fraction() + " for " + look);
            }
        });
    }
}
