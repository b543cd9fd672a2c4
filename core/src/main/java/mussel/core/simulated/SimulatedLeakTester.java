package mussel.core.simulated;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mussel.core.instrument.LegLeaks;
import mussel.core.instrument.PracticeTester;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.leak.Stage;

/**
 * A digital gauge with a pump on a leg that exists only here. The gas obeys pV = nRT; it leaves through each hidden fault by laminar flow,
 * n' = −c (p² − pa²); pumping heats it and it settles back to the case, whose temperature drifts. The gauge adds noise and its step.
 */
public final class SimulatedLeakTester implements PracticeTester {
    private static final Messages TEXT = Messages.of(SimulatedLeakTester.class);

    /** The barometer of the practice bench (kPa). */
    public static final double BAROMETER_KPA = 101.325;

    private static final double STEP_KPA = 0.1;
    private static final double NOISE_KPA = 0.04;
    private static final double TEMP_STEP = 0.1;
    private static final double KELVIN = 273.15;
    /** Share of the compression's heat still in the gas when the pump stops. */
    private static final double HEAT_KEPT = 0.03;

    private static final double SETTLE_S = 12;
    private static final double LONGEST_STEP_S = 0.25;
    /** Below this flow no bubble is seen (kPa² per minute, relative). */
    private static final double SEEN = 1e-3;

    /**
     * How a cause leaks.
     *
     * @param pressure rate under pressure (1/min)
     * @param vacuum rate under vacuum (1/min)
     * @param worse the stage that opens it further
     * @param bubbles the place that foams
     */
    private record Way(double pressure, double vacuum, Stage worse, String bubbles) {}

    private static final Map<String, Way> WAYS = ways();

    private final Random random;
    private final double volumeMl;
    private final double driftPerMin;
    private List<Way> hidden = List.of();
    private Optional<LegLeaks> drawn = Optional.empty();
    private Stage stage = Stage.STILL;
    private double caseTempC;
    private double gasWarmer;
    /** Amount of gas as pressure over temperature (kPa/K). */
    private double amount;

    private double deepest = -60;
    private double highest = 100;

    /**
     * A tester on a sound practice leg at rest.
     *
     * @param seed decides noise, drift and the day's temperature
     * @param volumeMl the air space (ml)
     */
    public SimulatedLeakTester(long seed, double volumeMl) {
        this.random = new Random(seed);
        this.volumeMl = volumeMl;
        this.caseTempC = 14 + 6 * random.nextDouble();
        this.driftPerMin = 0.04 * random.nextGaussian();
        release();
    }

    private static Map<String, Way> ways() {
        Map<String, Way> ways = new LinkedHashMap<>();
        ways.put("driveshaft_oil_lip", new Way(0.03, 0.0002, Stage.DRIVESHAFT, "bubbles_driveshaft"));
        ways.put("driveshaft_water_lip", new Way(0.0002, 0.03, Stage.DRIVESHAFT, "bubbles_driveshaft"));
        ways.put("propshaft_oil_lip", new Way(0.03, 0.0002, Stage.PROPSHAFT, "bubbles_propshaft"));
        ways.put("propshaft_water_lip", new Way(0.0002, 0.03, Stage.PROPSHAFT, "bubbles_propshaft"));
        ways.put("shift_seal", new Way(0.022, 0.022, Stage.SHIFT, "bubbles_shift"));
        ways.put("plug_washers", new Way(0.018, 0.018, Stage.STILL, "bubbles_plug"));
        ways.put("carrier_orings", new Way(0.025, 0.025, Stage.STILL, "bubbles_carrier"));
        ways.put("case_leak", new Way(0.08, 0.08, Stage.STILL, "bubbles_casting"));
        return ways;
    }

    @Override
    public String name() {
        return TEXT.get("simulated_leak_tester.simulated_leak_tester");
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public double gaugeStepKpa() {
        return STEP_KPA;
    }

    @Override
    public void limit(double vacuumKpa, double pressureKpa) {
        deepest = vacuumKpa;
        highest = pressureKpa;
    }

    @Override
    public Optional<String> pumpTo(double gaugeKpa) {
        double reached = Math.max(deepest, Math.min(highest, gaugeKpa));
        double before = pressure();
        double after = reached + BAROMETER_KPA;
        gasWarmer = HEAT_KEPT * (caseTempC + KELVIN) * Math.log(after / before);
        amount = after / gasKelvin();
        return reached == gaugeKpa
                ? Optional.empty()
                : Optional.of(TEXT.get("simulated_leak_tester.stopped_at_kpa_the_sheets_limit", Math.round(reached)));
    }

    @Override
    public void release() {
        gasWarmer = 0;
        amount = BAROMETER_KPA / gasKelvin();
    }

    @Override
    public List<String> canHide() {
        return List.copyOf(WAYS.keySet());
    }

    @Override
    public void hide(List<String> causes) {
        List<Way> ways = new ArrayList<>();
        causes.stream().filter(WAYS::containsKey).map(WAYS::get).forEach(ways::add);
        hidden = List.copyOf(ways);
        drawn = Optional.empty();
    }

    @Override
    public void leaks(LegLeaks so) {
        drawn = Optional.of(so);
    }

    @Override
    public void stage(Stage now) {
        stage = now;
    }

    @Override
    public void advance(double seconds) {
        double left = seconds;
        while (left > 0) {
            double dt = Math.min(left, LONGEST_STEP_S);
            double p = pressure();
            double rate = rate(p > BAROMETER_KPA);
            amount -= rate * (p * p - BAROMETER_KPA * BAROMETER_KPA) / (2 * BAROMETER_KPA) / gasKelvin() * dt / 60;
            gasWarmer *= Math.exp(-dt / SETTLE_S);
            caseTempC += driftPerMin * dt / 60;
            left -= dt;
        }
    }

    /** The leak law's slope of all hidden faults together in the present stage (1/min). */
    private double rate(boolean pressure) {
        if (drawn.isPresent()) {
            return drawn.get().slope(pressure ? LeakMode.PRESSURE : LeakMode.VACUUM, stage);
        }
        double sum = 0;
        for (Way way : hidden) {
            double own = pressure ? way.pressure() : way.vacuum();
            boolean opened = stage == way.worse() && stage != Stage.STILL || stage == Stage.SIDE_LOAD && shaft(way);
            sum += opened ? own * 2.5 : own;
        }
        return sum * 430 / volumeMl;
    }

    private static boolean shaft(Way way) {
        return way.worse() == Stage.DRIVESHAFT || way.worse() == Stage.PROPSHAFT;
    }

    private double gasKelvin() {
        return caseTempC + KELVIN + gasWarmer;
    }

    private double pressure() {
        return amount * gasKelvin();
    }

    @Override
    public Sample read() {
        double gauge = pressure() - BAROMETER_KPA + NOISE_KPA * random.nextGaussian();
        return new Sample(step(gauge, STEP_KPA), step(caseTempC, TEMP_STEP));
    }

    private static double step(double value, double step) {
        return Math.round(Math.round(value / step) * step * 1e6) / 1e6;
    }

    @Override
    public Map<String, String> brush() {
        Map<String, String> seen = new LinkedHashMap<>();
        WAYS.values().forEach(way -> seen.put(way.bubbles(), "no"));
        if (pressure() > BAROMETER_KPA + 5) {
            hidden.stream().filter(way -> way.pressure() > SEEN).forEach(way -> seen.put(way.bubbles(), "yes"));
            drawn.ifPresent(so -> seen.replaceAll((at, was) -> so.foams().contains(at) ? "yes" : "no"));
        }
        return seen;
    }
}
