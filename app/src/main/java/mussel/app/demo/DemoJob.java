package mussel.app.demo;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import mussel.core.instrument.LeakTester;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.measure.AmountReader;
import mussel.core.measure.Typed;
import mussel.core.measure.YardUnits;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.Planner;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Place;
import mussel.core.sheet.SpecSheet;
import mussel.core.simulated.SimulatedLeakTester;
import mussel.core.verdict.Finding;
import mussel.exchange.sheet.KeptSheet;
import mussel.exchange.verdict.KnowledgeFiles;

/** One job of the demo, told entry by entry as a technician would have made them. */
final class DemoJob {
    private final Bench bench;
    private final SpecSheet sheet;
    private final int job;
    private final List<String> goals = new ArrayList<>();
    private final SplittableRandom random;

    record Bench(Journal journal, DemoYard.Ago clock, List<SpecSheet> families) {}

    private DemoJob(Bench bench, SpecSheet sheet, int job) {
        this.bench = bench;
        this.sheet = sheet;
        this.job = job;
        this.random = new SplittableRandom(job);
    }

    static DemoJob open(Bench bench, int daysAgo, LegRef leg) {
        bench.clock().set(daysAgo);
        SpecSheet sheet = bench.families().stream()
                .filter(f -> f.id().equals(leg.family()))
                .findFirst()
                .orElseThrow();
        DemoJob job =
                new DemoJob(bench, sheet, bench.journal().open(leg, "bench").job());
        KeptSheet kept = KeptSheet.of(sheet);
        bench.journal().keepSheet(kept.name(), kept.text());
        return job.note(new Fact.WorkedBy(kept.name(), false));
    }

    DemoJob read(String field, String typed) {
        return read(field, "", typed);
    }

    DemoJob read(String field, String which, String typed) {
        Field of = Field.valueOf(field.toUpperCase(Locale.ROOT));
        if (!(AmountReader.read(typed, of.kind(), YardUnits.METRIC, of.range())
                instanceof Typed.Understood understood)) {
            throw new IllegalStateException("The demo types " + typed + " into " + field);
        }
        return note(Fact.Read.byHand(of.of(which), understood.value(), typed));
    }

    DemoJob choose(String scale, String outcome) {
        return choose(scale, "", outcome);
    }

    DemoJob choose(String scale, String of, String outcome) {
        List<String> outcomes = KnowledgeFiles.shipped()
                .finding(scale)
                .map(Finding::outcomes)
                .orElseGet(() -> Scale.valueOf(scale.toUpperCase(Locale.ROOT)).outcomes());
        if (!outcomes.isEmpty() && !outcomes.contains(outcome)) {
            throw new IllegalStateException("The demo picks " + outcome + " on " + scale);
        }
        return note(new Fact.Chosen(new Address(scale, of), outcome));
    }

    DemoJob note(String topic, String text) {
        return note(new Fact.Noted(Topic.valueOf(topic.toUpperCase(Locale.ROOT)).address(), text));
    }

    DemoJob putOff(String item, String why) {
        return choose("beside", item, "put_off").note(new Fact.Noted(Topic.PUT_OFF_WHY.of(item), why));
    }

    DemoJob found(String step, String text) {
        return note(new Fact.Noted(Topic.AS_FOUND.of(step), text));
    }

    /**
     * A hold of six minutes on the simulated tester, a reading every five seconds; the driveshaft is turned in the last two.
     *
     * @param hides the lip that leaks; empty where none does
     */
    DemoJob hold(LeakMode mode, String hides) {
        SimulatedLeakTester tester =
                new SimulatedLeakTester(job, sheet.leakTest().airMl());
        tester.hide(hides.isEmpty() ? List.of() : List.of(hides));
        tester.pumpTo(sheet.leakTest().of(mode).orElseThrow().startKpa());
        String hold = "hold-" + mode.name().toLowerCase(Locale.ROOT);
        note(new Fact.HoldBegun(hold, mode, tester.gaugeStepKpa(), tester.name(), tester.simulated()));
        List<LeakReading> readings = new ArrayList<>();
        for (int t = 5; t <= 360; t += 5) {
            Stage stage = t > 240 ? Stage.DRIVESHAFT : Stage.STILL;
            tester.stage(stage);
            tester.advance(5);
            LeakTester.Sample sample = tester.read();
            readings.add(new LeakReading(t, sample.gaugeKpa(), sample.tempC(), Optional.of(stage)));
        }
        return note(new Fact.Held(hold, readings));
    }

    DemoJob goal(String goal) {
        goals.add(goal);
        return choose("goal", goal, "yes");
    }

    /** Ticks the first steps of the plan. */
    DemoJob steps(int count) {
        return tick(plan().subList(0, count));
    }

    /** Ticks everything up to the filling. */
    DemoJob beforeFilling() {
        return tick(plan().stream()
                .filter(s -> s.step().phase() != Phase.PROVE)
                .filter(s -> s.step().phase() != Phase.BUILD || s.step().place() != Place.PLUGS)
                .toList());
    }

    DemoJob everything() {
        return tick(plan());
    }

    /** Everything up to bare castings. */
    DemoJob stripped() {
        return tick(plan().stream()
                .filter(s -> s.step().phase() == Phase.DOWN || s.step().phase() == Phase.STRIP)
                .toList());
    }

    private List<PlannedStep> plan() {
        return Planner.plan(sheet, goals).steps();
    }

    private DemoJob tick(List<PlannedStep> steps) {
        double leg = 0.85 + 0.4 * random.nextDouble();
        for (PlannedStep step : steps) {
            bench.clock().work(step.step().minutes().mean() * leg * (0.75 + 0.5 * random.nextDouble()));
            note(new Fact.Ticked(step.step().id(), true));
        }
        return this;
    }

    void tag(int daysAgo) {
        note(new Fact.Tagged(LocalDate.ofInstant(bench.clock().day(daysAgo), ZoneOffset.UTC)));
    }

    private DemoJob note(Fact fact) {
        bench.journal().append(job, "bench", fact);
        return this;
    }
}
