package mussel.core.leak;

import java.util.List;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * What the leak engine needs of a hold.
 *
 * @param mode pressure or vacuum
 * @param volumeMl the air space under test (ml)
 * @param baroKpa the barometer (kPa)
 * @param startKpa the gauge pressure the sheet starts from; negative for vacuum (kPa)
 * @param holdMin how long the sheet holds (min)
 * @param allowedDropKpa how far it may move in that time (kPa)
 * @param gaugeStepKpa the gauge's resolution (kPa)
 * @param tempStepC the thermometer's resolution (K)
 * @param settleS readings before this time are left out (s)
 * @param readings the readings in the order they were taken
 */
public record LeakInput(
        @Given("whether it holds pressure or vacuum") LeakMode mode,
        @Given(value = "the air space under test", kind = Kind.VOLUME, min = 1, max = 50_000) double volumeMl,
        @Given(value = "the barometer", kind = Kind.PRESSURE, min = 50, max = 115) double baroKpa,
        @Given(value = "the gauge pressure to start from", kind = Kind.PRESSURE, min = -100, max = 400) double startKpa,
        @Given(value = "how long the sheet holds", kind = Kind.DURATION, min = 0, minOpen = true, max = 1_440)
                double holdMin,
        @Given(value = "how far it may move", kind = Kind.PRESSURE, min = 0, minOpen = true, max = 400)
                double allowedDropKpa,
        @Given(value = "the gauge's resolution", kind = Kind.PRESSURE, min = 0, minOpen = true, max = 50)
                double gaugeStepKpa,
        @Given(value = "the thermometer's resolution (K)", min = 0, minOpen = true, max = 10, orElse = "0.1")
                double tempStepC,
        @Given(value = "the time to let it settle (s)", min = 0, max = 86_400, orElse = "30") double settleS,
        @Given(value = "the readings", atLeast = 1) List<LeakReading> readings)
        implements Checked {
    private static final Messages TEXT = Messages.of(LeakInput.class);

    /** The least readings a line can be drawn through. */
    public static final int LEAST_USED = 2;
    /** From this many on their scatter tells how good the line is; with fewer, the steps of gauge and thermometer alone. */
    public static final int LEAST_SCATTERED = 4;
    /** 0 °C (K). */
    static final double KELVIN = 273.15;

    /** Keeps its own copy. */
    public LeakInput {
        readings = List.copyOf(readings);
    }

    /** The readings that count: those from the first after settling on. */
    public List<LeakReading> used() {
        int from = 0;
        while (from < readings.size() && readings.get(from).tS() < settleS) {
            from++;
        }
        return readings.subList(from, readings.size());
    }

    /** The pressure of a reading as it would be at the temperature of the first one used (absolute, kPa). */
    double compensatedKpa(LeakReading reading, LeakReading first) {
        return (reading.gaugeKpa() + baroKpa) * (first.tempC() + KELVIN) / (reading.tempC() + KELVIN);
    }

    @Override
    public void check(Problems problems, String pointer) {
        boolean pressure = mode == LeakMode.PRESSURE;
        problems.unless(
                pressure ? startKpa > 0 : startKpa < 0 && startKpa > -baroKpa,
                pointer + "/start_kpa",
                pressure
                        ? TEXT.get("leak_input.is_kpa_a_pressure_hold_starts", startKpa)
                        : TEXT.get("leak_input.is_kpa_a_vacuum_hold_starts", startKpa, baroKpa));
        problems.unless(
                allowedDropKpa < Math.abs(startKpa),
                pointer + "/allowed_drop_kpa",
                TEXT.get("leak_input.is_not_below_the_start_of", Math.abs(startKpa)));
        for (int i = 1; i < readings.size(); i++) {
            if (readings.get(i).tS() <= readings.get(i - 1).tS()) {
                problems.at(
                        pointer + "/readings/" + i + "/t_s",
                        TEXT.get(
                                "leak_input.is_s_not_after_the_reading",
                                readings.get(i).tS(),
                                readings.get(i - 1).tS()));
            }
        }
        List<LeakReading> used = used();
        problems.unless(
                used.size() >= LEAST_USED,
                pointer + "/readings",
                TEXT.get("leak_input.hold_taken_at_or_after_s", used.size(), settleS, LEAST_USED));
        sides(problems, pointer, used);
    }

    private void sides(Problems problems, String pointer, List<LeakReading> used) {
        int skipped = readings.size() - used.size();
        for (int i = 0; i < used.size(); i++) {
            double kpa = compensatedKpa(used.get(i), used.get(0));
            boolean right = mode == LeakMode.PRESSURE ? kpa > baroKpa : kpa < baroKpa && kpa > 0;
            if (!right) {
                problems.at(
                        pointer + "/readings/" + (i + skipped) + "/gauge_kpa",
                        TEXT.get(
                                "leak_input.is_kpa_which_compensated_for_temperature",
                                used.get(i).gaugeKpa(),
                                (mode == LeakMode.PRESSURE ? "above" : "below")));
            }
        }
    }
}
