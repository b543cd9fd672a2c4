package mussel.core.sheet;

import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * The holds a family's sheet asks for.
 *
 * @param airMl the air space with the oil out (ml)
 * @param pressure the pressure hold
 * @param vacuum the vacuum hold
 */
public record LeakTest(
        @Given(value = "the air space with the oil out", kind = Kind.VOLUME, min = 1, max = 50_000) double airMl,
        @Given("the pressure hold") Optional<Limits> pressure,
        @Given("the vacuum hold") Optional<Limits> vacuum)
        implements Checked {
    private static final Messages TEXT = Messages.of(LeakTest.class);

    @Override
    public void check(Problems problems, String pointer) {
        pressure.ifPresent(limits -> {
            problems.unless(
                    limits.startKpa() > 0 && limits.limitKpa() >= limits.startKpa(),
                    pointer + "/pressure",
                    TEXT.get("leak_test.must_start_above_0_kpa_and"));
            allowed(problems, pointer + "/pressure", limits);
        });
        vacuum.ifPresent(limits -> {
            problems.unless(
                    limits.startKpa() < 0 && limits.limitKpa() <= limits.startKpa(),
                    pointer + "/vacuum",
                    TEXT.get("leak_test.must_start_below_0_kpa_and"));
            allowed(problems, pointer + "/vacuum", limits);
        });
    }

    /** What the sheet asks of a hold; empty where nobody has read it in the manual. */
    public Optional<Limits> of(LeakMode mode) {
        return mode == LeakMode.PRESSURE ? pressure : vacuum;
    }

    private static void allowed(Problems problems, String at, Limits limits) {
        problems.unless(
                limits.allowedDropKpa() < Math.abs(limits.startKpa()),
                at + "/allowed_drop_kpa",
                TEXT.get("leak_test.is_not_below_the_start_nothing"));
    }

    /**
     * One hold.
     *
     * @param startKpa gauge pressure to start from; negative for vacuum (kPa)
     * @param limitKpa gauge pressure never to go beyond (kPa)
     * @param holdMin how long (min)
     * @param allowedDropKpa how far it may move (kPa)
     * @param page where the sheet says so
     */
    public record Limits(
            @Given(value = "the gauge pressure to start from", kind = Kind.PRESSURE, min = -100, max = 400)
                    double startKpa,
            @Given(value = "the gauge pressure never to pass", kind = Kind.PRESSURE, min = -100, max = 400)
                    double limitKpa,
            @Given(value = "how long to hold", kind = Kind.DURATION, min = 0, minOpen = true, max = 1_440)
                    double holdMin,
            @Given(value = "how far it may move", kind = Kind.PRESSURE, min = 0, minOpen = true, max = 400)
                    double allowedDropKpa,
            @Given("the page of the sheet") String page) {}
}
