package mussel.core.practice;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import mussel.core.drain.DrainEngine;
import mussel.core.drain.DrainInput;
import mussel.core.drain.DrainResult;
import mussel.core.drain.OilLook;
import mussel.core.instrument.LegLeaks;
import mussel.core.instrument.PracticeTester;
import mussel.core.instrument.Telltale;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.HeldTest;
import mussel.core.job.Job;
import mussel.core.job.PumpWork;
import mussel.core.job.Scale;
import mussel.core.leak.LeakEngine;
import mussel.core.leak.LeakInput;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.measure.Display;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.LeakTest;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpLimits;
import mussel.core.sheet.PumpSheet;
import mussel.core.sheet.SetupSheet;
import mussel.core.shim.LashInput;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import org.hipparchus.random.MersenneTwister;

/**
 * What a practice leg of a family shows when it is looked at: where a finding has an instrument, figures that the engines read back as what was drawn; else
 * the finding itself. The figures come from sources of their own, seeded by the leg and what is read, so that the same leg shows the same to everybody.
 */
final class PracticeReadings {
    /** How the ids of what soap shows begin. */
    static final String SOAP = "bubbles_";

    private static final String BY = "practice leg";
    private static final Set<String> VOLUME = Set.of("volume_more", "volume_less");
    private static final Set<String> VANES = Set.of("vane_tips", "vane_set");
    private static final Map<String, Stage> STAGES = Map.of(
            "worse_turning_driveshaft", Stage.DRIVESHAFT,
            "worse_turning_propshaft", Stage.PROPSHAFT,
            "worse_side_load", Stage.SIDE_LOAD,
            "worse_shifting", Stage.SHIFT);

    private static final double TICK_S = 0.25;
    private static final double READ_S = 5;
    private static final double SETTLE_S = 30;
    private static final double STILL_S = 150;
    private static final double STAGE_S = 90;
    private static final double RPM = 1_000;
    private static final double BUCKET_ML = 1_000;
    private static final int LASH_READINGS = 6;
    private static final double PRESENT_SHIM_MM = 0.5;
    /** How far the lash swings once round, as a share of its room. */
    private static final double RUN_OUT = 0.12;

    private static final double TWO_THIRDS = 2.0 / 3;

    private final PracticeLeg leg;
    private final Knowledge knowledge;
    private final Workplace at;
    private final Job job;
    private final Map<String, String> found;

    /**
     * What a leg shows.
     *
     * @param job as it stands
     * @param found what was found of it so far
     */
    PracticeReadings(PracticeLeg leg, Knowledge knowledge, Workplace at, Job job, Map<String, String> found) {
        this.leg = leg;
        this.knowledge = knowledge;
        this.at = at;
        this.job = job;
        this.found = found;
    }

    /** Looks that are one reading: whoever makes one has made the others. */
    static Set<String> together(String finding) {
        return VOLUME.contains(finding)
                ? new TreeSet<>(VOLUME).descendingSet()
                : VANES.contains(finding) ? new TreeSet<>(VANES) : Set.of(finding);
    }

    /** What a look shows, as entries. */
    List<Fact> of(String finding) {
        if (VOLUME.contains(finding)) {
            return volume();
        }
        if (VANES.contains(finding)) {
            return vanes();
        }
        Optional<LeakMode> mode = mode(finding);
        if (mode.isPresent()) {
            return hold(mode.get(), Set.of());
        }
        if (STAGES.containsKey(finding)) {
            return staged(finding);
        }
        return switch (finding) {
            case "oil_water" -> oil();
            case "magnet", "washers" -> plugs(finding);
            case "gear_teeth" -> teeth();
            case "plate_groove" -> plate();
            case "flow_ratio" -> flow();
            default -> List.of(picked(finding));
        };
    }

    /** The finding of a hold. */
    static String finding(LeakMode mode) {
        return NamedBy.file(mode) + "_hold";
    }

    private static Optional<LeakMode> mode(String finding) {
        return List.of(LeakMode.values()).stream()
                .filter(m -> finding.equals(finding(m)))
                .findFirst();
    }

    private String drawn(String finding) {
        return leg.look(finding);
    }

    private boolean known(String finding) {
        return knowledge.finding(finding).isPresent();
    }

    private MersenneTwister source(String what) {
        return leg.source(what);
    }

    private static double between(MersenneTwister random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private Fact picked(String finding) {
        return new Fact.Chosen(Address.the(finding), drawn(finding));
    }

    private static Fact read(Address about, Field field, double value) {
        return read(about, field, value, BY);
    }

    private static Fact read(Address about, Field field, double value, String by) {
        return new Fact.Read(about, value, Display.exact(field.kind(), value, YardUnits.METRIC), by, true);
    }

    private static Fact read(Field field, double value) {
        return read(field.address(), field, value);
    }

    private static double to(double step, double value) {
        return Math.round(value / step) * step;
    }

    /** The share of water in the oil that its look stands for, the same at every look. */
    private double wet() {
        if (!known("oil_water")) {
            return 0;
        }
        OilLook look = OilLook.valueOf(drawn("oil_water").toUpperCase(java.util.Locale.ROOT));
        return between(source("water"), 0.3 * (look.low() + look.high()), 0.8 * look.high());
    }

    /** The look of the oil, and a sample of it left to stand where it is wet. */
    private List<Fact> oil() {
        List<Fact> facts = new ArrayList<>(List.of(picked("oil_water")));
        OilLook look = OilLook.valueOf(drawn("oil_water").toUpperCase(java.util.Locale.ROOT));
        if (look.compareTo(OilLook.STREAKS) >= 0) {
            // In a jar of a hundred most of it stays a milky layer, which is about half water.
            double water = 100 * wet();
            double settled = to(0.5, 0.3 * water);
            facts.add(read(Field.JAR_TOTAL, 100));
            facts.add(read(Field.JAR_WATER, settled));
            facts.add(read(Field.JAR_EMULSION, to(0.5, Math.max(0.5, 2 * (water - settled)))));
        }
        return facts;
    }

    /** One plug shows what was drawn, the others the most benign there is. */
    private List<Fact> plugs(String finding) {
        List<String> plugs = at.sheet().plugs().stream().map(p -> p.id()).toList();
        int which = (int) (source(finding).nextDouble() * plugs.size());
        String benign = knowledge.finding(finding).orElseThrow().outcomes().get(0);
        List<Fact> facts = new ArrayList<>();
        for (int i = 0; i < plugs.size(); i++) {
            facts.add(new Fact.Chosen(new Address(finding, plugs.get(i)), i == which ? drawn(finding) : benign));
        }
        return facts;
    }

    /** What came out, its temperature, its time and its weight. */
    private List<Fact> volume() {
        MersenneTwister random = source("drain");
        double temp = to(0.5, between(random, 12, 24));
        double minutes = 60;
        double guess = at.sheet().oil().capacityMl().orElse(0);
        Optional<DrainResult> dry = guess == 0
                ? Optional.empty()
                : measured(guess, temp, minutes).drain().result();
        if (dry.isEmpty()) {
            return plain(VOLUME);
        }
        double longer = Math.max(20, Math.ceil(1.3 * dry.get().drain().minutesNeeded()));
        Assessment measured = measured(guess, temp, longer);
        DrainResult.Balance balance = measured.drain().result().orElseThrow().balance();
        boolean more = drawn("volume_more").equals("yes");
        boolean less = !more && drawn("volume_less").equals("yes");
        double off = more || less ? between(random, 0.8, 2.5) : between(random, -1, 1);
        double from = more ? balance.highMl() : less ? balance.lowMl() : balance.expectedMl();
        double step = guess < 300 ? 1 : 5;
        double drained = Math.max(step, to(step, from + balance.uMl() * (less ? -off : off)));
        List<Fact> facts = new ArrayList<>(
                List.of(read(Field.DRAINED, drained), read(Field.OIL_TEMP, temp), read(Field.MINUTES, longer)));
        double free = free(drained, random);
        if (found.containsKey("free_water_first")) {
            facts.add(read(Field.FREE_WATER, free));
        }
        DrainInput in = measured(drained, temp, longer).drain().input().orElseThrow();
        double share = Math.min(0.9, free / drained + wet() * (1 - free / drained));
        facts.add(read(Field.MASS, Math.round(DrainEngine.massG(in, share))));
        return facts;
    }

    private double free(double drained, MersenneTwister random) {
        if (!known("free_water_first")) {
            return 0;
        }
        return switch (drawn("free_water_first")) {
            case "trace" -> 0.005 * drained;
            case "plenty" -> to(1, Math.max(0.03 * drained + 1, between(random, 0.03, 0.12) * drained));
            default -> 0;
        };
    }

    private Assessment measured(double drained, double temp, double minutes) {
        return with(List.of(read(Field.DRAINED, drained), read(Field.OIL_TEMP, temp), read(Field.MINUTES, minutes)));
    }

    /** The leg as it came, with these alone. */
    private Assessment with(List<Fact> facts) {
        List<Entry> entries =
                new ArrayList<>(List.of(new Entry(1, job.id(), job.opened(), BY, new Fact.Opened(job.leg()))));
        // What is known of it counts: the water it runs in has its own weight.
        Stream.concat(LegContexts.facts(leg.context()).stream(), facts.stream())
                .forEach(f -> entries.add(new Entry(entries.size() + 1L, job.id(), job.opened(), BY, f)));
        return at.assessed(Job.of(entries));
    }

    private List<Fact> plain(Set<String> findings) {
        return new TreeSet<>(findings)
                .stream().filter(this::known).map(this::picked).toList();
    }

    /** How it leaks, as drawn; a slow leak by half as much again to twice what is allowed, a fast one from more than four times on. */
    LegLeaks leaks() {
        Set<Stage> worse = EnumSet.noneOf(Stage.class);
        STAGES.forEach((finding, stage) -> {
            if (known(finding) && drawn(finding).equals("yes")) {
                worse.add(stage);
            }
        });
        Set<String> foams = new LinkedHashSet<>();
        knowledge.findings().stream()
                .map(Finding::id)
                .filter(f -> f.startsWith(SOAP))
                .filter(f -> drawn(f).equals("yes"))
                .forEach(foams::add);
        return new LegLeaks(slope(LeakMode.PRESSURE), slope(LeakMode.VACUUM), worse, foams);
    }

    private double slope(LeakMode mode) {
        String finding = finding(mode);
        Optional<LeakTest.Limits> limits = at.sheet().leakTest().of(mode);
        if (!known(finding) || limits.isEmpty()) {
            return 0;
        }
        MersenneTwister random = source(finding);
        double allowed = limits.get().allowedDropKpa();
        double most = 0.75 * Math.abs(limits.get().startKpa());
        double drop =
                switch (drawn(finding)) {
                    case "slow" -> Math.min(most, allowed * between(random, 1.5, 2.1));
                    case "fast" -> Math.min(most, allowed * between(random, 4.8, 6.5));
                    default -> allowed * between(random, 0.05, 0.3);
                };
        return LeakEngine.allowedK(new LeakInput(
                mode,
                at.sheet().leakTest().airMl(),
                HeldTest.STANDARD_BAROMETER_KPA,
                limits.get().startKpa(),
                limits.get().holdMin(),
                drop,
                0.1,
                0.1,
                SETTLE_S,
                List.of()));
    }

    /** The hold in which it leaks, with everything done to the shafts that was looked at so far, and this. */
    private List<Fact> staged(String finding) {
        LeakMode mode = leaking(LeakMode.PRESSURE) ? LeakMode.PRESSURE : LeakMode.VACUUM;
        Set<Stage> stages = EnumSet.of(STAGES.get(finding));
        STAGES.forEach((f, stage) -> {
            if (found.containsKey(f)) {
                stages.add(stage);
            }
        });
        List<Fact> facts = new ArrayList<>(hold(mode, stages));
        if (!with(facts).findings().containsKey(finding)) {
            // With hardly any pressure left the figures cannot tell, but a hand that feels the needle can.
            facts.add(picked(finding));
        }
        return facts;
    }

    private boolean leaking(LeakMode mode) {
        return Optional.ofNullable(found.get(finding(mode)))
                .filter(o -> !o.equals("tight"))
                .isPresent();
    }

    private List<Fact> hold(LeakMode mode, Set<Stage> stages) {
        Optional<LeakTest.Limits> limits = at.sheet().leakTest().of(mode);
        if (limits.isEmpty()) {
            String finding = finding(mode);
            return stages.isEmpty()
                    ? List.of(picked(finding))
                    : STAGES.entrySet().stream()
                            .filter(e -> stages.contains(e.getValue()) && !found.containsKey(e.getKey()))
                            .map(e -> picked(e.getKey()))
                            .toList();
        }
        PracticeTester tester = at.instruments()
                .practiceTester(
                        source(NamedBy.file(mode) + stages).nextInt(),
                        at.sheet().leakTest().airMl());
        tester.limit(
                Math.min(limits.get().startKpa(), -limits.get().limitKpa()),
                Math.max(limits.get().startKpa(), limits.get().limitKpa()));
        tester.leaks(leaks());
        tester.pumpTo(limits.get().startKpa());
        List<LeakReading> readings = new ArrayList<>();
        double still = stages.isEmpty() ? SETTLE_S + limits.get().holdMin() * 60 : STILL_S;
        double from = during(tester, Stage.STILL, 0, still, readings);
        for (Stage stage : stages) {
            from = during(tester, stage, from, from + STAGE_S, readings);
        }
        String id = "look-" + (job.holds().size() + 1) + "-" + NamedBy.file(mode);
        return List.of(
                new Fact.HoldBegun(id, mode, tester.gaugeStepKpa(), tester.name(), tester.simulated()),
                new Fact.Held(id, readings));
    }

    private static double during(
            PracticeTester tester, Stage stage, double from, double to, List<LeakReading> readings) {
        tester.stage(stage);
        double next = from == 0 ? 0 : from + READ_S;
        for (double t = from; t < to; t += TICK_S) {
            if (t >= next) {
                PracticeTester.Sample sample = tester.read();
                readings.add(new LeakReading(t, sample.gaugeKpa(), sample.tempC(), Optional.of(stage)));
                next += READ_S;
            }
            tester.advance(TICK_S);
        }
        return to;
    }

    /** The vanes as marked with a rule: one or two of them show it, the others hardly. */
    private List<Fact> vanes() {
        Optional<PumpSheet> pump = at.sheet().pump();
        PumpLimits limits = pump.flatMap(PumpSheet::limits).orElse(PumpLimits.RULE_OF_THUMB);
        Optional<Double> flat = pump.flatMap(PumpSheet::geometry).map(g -> TWO_THIRDS * g.curlDeg());
        double curled = flat.map(f -> (limits.setDeg() + f) / 2).orElse(limits.setDeg() + 4);
        boolean cannot = drawn("vane_set").equals("flattened") && flat.isEmpty()
                || flat.map(f -> f <= limits.setDeg()).orElse(false);
        if (cannot) {
            return plain(VANES);
        }
        MersenneTwister random = source("vanes");
        int count = PumpWork.vaneCount(at.sheet());
        int worst = 1 + (int) (random.nextDouble() * count);
        double set =
                switch (drawn("vane_set")) {
                    case "curled" -> curled;
                    case "flattened" -> flat.orElseThrow() * between(random, 1.05, 1.2);
                    default -> limits.setDeg() * between(random, 0.1, 0.7);
                };
        List<Fact> facts = new ArrayList<>(List.of(new Fact.Chosen(Scale.VANES_SEEN.address(), "yes")));
        for (int i = 1; i <= count; i++) {
            String vane = String.valueOf(i);
            double share = i == worst ? 1 : between(random, 0.5, 0.95);
            double wear = drawn("vane_tips").equals("worn")
                    ? limits.tipWearMm() * (i == worst ? between(random, 1.3, 2) : between(random, 0.3, 0.9))
                    : limits.tipWearMm() * between(random, 0, 0.5);
            facts.add(read(Field.VANE_WEAR.of(vane), Field.VANE_WEAR, to(0.05, wear)));
            facts.add(read(Field.VANE_SET.of(vane), Field.VANE_SET, to(1, share * set)));
        }
        if (drawn("vane_tips").equals("missing")) {
            facts.add(read(Field.VANE_MISSING.of(String.valueOf(worst)), Field.VANE_MISSING, 3));
        }
        return facts;
    }

    private List<Fact> plate() {
        double limit = at.sheet()
                .pump()
                .flatMap(PumpSheet::limits)
                .orElse(PumpLimits.RULE_OF_THUMB)
                .plateGrooveMm();
        MersenneTwister random = source("plate");
        double groove =
                switch (drawn("plate_groove")) {
                    case "light" -> Math.max(0.06, 0.6 * limit);
                    case "deep" -> limit * between(random, 1.3, 2);
                    default -> 0.02;
                };
        return List.of(read(Field.PLATE_GROOVE, to(0.01, groove)));
    }

    /** The teeth, and the lash of each gear round its places: worn ones rock further than the sheet allows, the others as they should. */
    private List<Fact> teeth() {
        List<Fact> facts = new ArrayList<>(List.of(picked("gear_teeth")));
        MersenneTwister random = source("lash");
        at.sheet().setup().map(SetupSheet::gears).orElse(List.of()).forEach(gear -> {
            double room = gear.lash().high() - gear.lash().low();
            double lash = drawn("gear_teeth").equals("worn")
                    ? gear.lash().high() + room * between(random, 0.4, 0.8)
                    : gear.lash().low() + room * between(random, 0.35, 0.65);
            double phase = 2 * Math.PI * random.nextDouble();
            facts.add(read(Field.PRESENT_SHIM.of(gear.id()), Field.PRESENT_SHIM, PRESENT_SHIM_MM));
            facts.add(read(Field.ARM.of(gear.id()), Field.ARM, gear.pitchRadiusMm()));
            facts.add(new Fact.Chosen(Scale.ARM_ON.of(gear.id()), NamedBy.file(LashInput.ArmOn.GEAR)));
            for (int i = 1; i <= LASH_READINGS; i++) {
                double around = RUN_OUT * room * Math.sin(phase + 2 * Math.PI * i / LASH_READINGS);
                facts.add(read(Field.LASH.of(gear.id() + "." + i), Field.LASH, to(0.01, lash + around)));
            }
        });
        return facts;
    }

    /** The telltale caught in a tank; as a share of a new pump's. */
    private List<Fact> flow() {
        Optional<PumpSheet> pump = at.sheet().pump();
        Optional<PumpGeometry> geometry = pump.flatMap(PumpSheet::geometry);
        OptionalDouble telltale = pump.map(PumpSheet::telltaleShare).orElse(OptionalDouble.empty());
        if (geometry.isEmpty() || telltale.isEmpty()) {
            return List.of(picked("flow_ratio"));
        }
        MersenneTwister random = source("flow");
        double ratio =
                switch (drawn("flow_ratio")) {
                    case "low" -> between(random, 0.5, 0.6);
                    case "very_low" -> between(random, 0.2, 0.33);
                    default -> between(random, 0.93, 1.08);
                };
        Telltale bucket = at.instruments().telltale(random.nextInt());
        Telltale.Caught caught = bucket.fill(
                BUCKET_ML / 1_000,
                ratio * telltale.getAsDouble() * geometry.get().flowLMin(RPM, 0, 0));
        return List.of(
                read(Field.FLOW_RPM.of("1"), Field.FLOW_RPM, RPM, bucket.name()),
                read(Field.FLOW_CAUGHT.of("1"), Field.FLOW_CAUGHT, caught.litres() * 1_000, bucket.name()),
                read(Field.FLOW_TIME.of("1"), Field.FLOW_TIME, caught.seconds(), bucket.name()),
                new Fact.Chosen(Scale.FLOW_WHERE.of("1"), NamedBy.file(PumpInput.Where.TANK)));
    }
}
