package mussel.core.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mussel.core.drain.DrainResult;
import mussel.core.leak.LeakWords;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Construction;
import mussel.core.verdict.Context;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;

/** Where the findings of a job come from: picked at any station, made by the engines, or set by hand against them. */
final class Findings {
    private static final double TRACE = 0.01;

    private final Job job;
    private final Knowledge knowledge;
    private final Map<String, JobFinding> made = new LinkedHashMap<>();

    Findings(Job job, Knowledge knowledge) {
        this.job = job;
        this.knowledge = knowledge;
    }

    Map<String, JobFinding> of(
            Optional<DrainResult> drain, List<HeldTest> holds, PumpWork pump, Optional<ShaftRunout> runout) {
        for (Finding finding : knowledge.findings()) {
            picked(finding)
                    .ifPresent(e -> made.put(
                            finding.id(),
                            JobFinding.of(
                                    e.getValue(),
                                    e.getKey().of().equals(JobFinding.SIMULATED_OF)
                                            ? JobFinding.By.SIMULATED
                                            : JobFinding.By.PICKED)));
        }
        drain.ifPresent(this::drained);
        holds.forEach(this::held);
        pump.result().findings().forEach((id, outcome) -> pumped(id, outcome, pump));
        runout.flatMap(ShaftRunout::finding).ifPresent(outcome -> put("shaft_runout", outcome, JobFinding.By.RUNOUT));
        for (Finding finding : knowledge.findings()) {
            job.choice(Scale.OVERRULED.of(finding.id()))
                    .filter(finding.outcomes()::contains)
                    .ifPresent(outcome -> overrule(finding.id(), outcome));
        }
        return made;
    }

    private void overrule(String finding, String outcome) {
        String engines = made.containsKey(finding) ? made.get(finding).outcome() : "";
        made.put(
                finding,
                new JobFinding(
                        outcome,
                        JobFinding.By.OVERRULED,
                        engines,
                        job.note(Topic.OVERRULED_WHY.of(finding)).orElse("")));
    }

    /** What was picked; the worst where there are several, as of plugs. */
    private Optional<Map.Entry<Address, String>> picked(Finding finding) {
        return job.choices().entrySet().stream()
                .filter(e -> e.getKey().name().equals(finding.id()))
                .filter(e -> finding.outcomes().contains(e.getValue()))
                .max((a, b) -> Integer.compare(
                        finding.outcomes().indexOf(a.getValue()),
                        finding.outcomes().indexOf(b.getValue())));
    }

    private void drained(DrainResult drain) {
        switch (drain.balance().verdict()) {
            case AS_EXPECTED -> {
                if (!drain.balance().running()) {
                    put("volume_more", "no", JobFinding.By.DRAIN);
                    put("volume_less", "no", JobFinding.By.DRAIN);
                }
            }
            case MORE_THAN_FILLED -> put("volume_more", "yes", JobFinding.By.DRAIN);
            case LESS_THAN_FILLED -> put("volume_less", "yes", JobFinding.By.DRAIN);
        }
        OptionalDouble free = job.reading(Field.FREE_WATER);
        OptionalDouble drained = job.reading(Field.DRAINED);
        if (free.isPresent() && drained.isPresent()) {
            double share = free.getAsDouble() / drained.getAsDouble();
            put("free_water_first", share == 0 ? "none" : share < TRACE ? "trace" : "plenty", JobFinding.By.DRAIN);
        }
    }

    private void pumped(String id, String outcome, PumpWork pump) {
        boolean simulated = id.equals("flow_ratio") && pump.simulatedFlow();
        put(id, outcome, simulated ? JobFinding.By.SIMULATED_FLOW : JobFinding.By.PUMP);
    }

    private void held(HeldTest test) {
        JobFinding.By by = test.hold().simulated() ? JobFinding.By.SIMULATED_HOLD : JobFinding.By.HOLD;
        String id = NamedBy.file(test.hold().mode()) + "_hold";
        test.finding().ifPresent(outcome -> put(id, outcome, by));
        Optional<LeakWords> words = test.words(YardUnits.METRIC);
        words.ifPresent(w -> {
            w.notWorse().forEach(stage -> HeldTest.findingOf(stage).ifPresent(f -> putIfNew(f, "no", by)));
            w.worse().forEach(stage -> HeldTest.findingOf(stage).ifPresent(f -> put(f, "yes", by)));
        });
    }

    private void put(String finding, String outcome, JobFinding.By by) {
        if (knowledge.finding(finding).isPresent()) {
            made.put(finding, JobFinding.of(outcome, by));
        }
    }

    private void putIfNew(String finding, String outcome, JobFinding.By by) {
        if (!made.containsKey(finding)) {
            put(finding, outcome, by);
        }
    }

    /** What is known of the leg before anyone looks. */
    static Context context(Assessment all, List<String> twinFound) {
        Job job = all.job();
        return new Context(
                job.choice(Scale.WATER).map(w -> Assessment.constant(Context.Waters.class, w)),
                job.choice(Scale.SAND).map("yes"::equals),
                job.choice(Scale.STORAGE).map(s -> Assessment.constant(Context.Storage.class, s)),
                all.known(Field.HOURS_SINCE_FILL),
                all.known(Field.MONTHS_SINCE_FILL),
                Optional.of(all.sheet().construction().caseKind())
                        .filter(k -> k != Construction.CaseKind.UNKNOWN)
                        .map(k -> Context.CaseKind.valueOf(k.name())),
                years(all.known(Field.AGE)),
                job.choice(Scale.LAST_JOB).map(l -> Assessment.constant(Context.LastJob.class, l)),
                Optional.of(all.sheet().construction().sealLayout())
                        .filter(l -> l != Construction.SealLayout.UNKNOWN)
                        .map(l -> Context.SealLayout.valueOf(l.name())),
                twinFound,
                complaints(job),
                job.choice(Scale.DUTY).map(d -> Assessment.constant(Context.Duty.class, d)),
                job.reading(Field.IMPELLER_AGE));
    }

    /** What the leg came in for: each complaint picked. */
    static List<Context.Complaint> complaints(Job job) {
        return Stream.of(Context.Complaint.values())
                .filter(c -> job.choice(Scale.CAME_FOR.of(NamedBy.file(c))).equals(Optional.of("yes")))
                .toList();
    }

    private static OptionalDouble years(OptionalDouble months) {
        return months.isPresent() ? OptionalDouble.of(months.getAsDouble() / 12) : OptionalDouble.empty();
    }
}
