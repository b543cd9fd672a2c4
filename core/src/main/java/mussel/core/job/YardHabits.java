package mussel.core.job;

import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.NamedBy;

/**
 * Which school a yard follows where the trade has several. None of them outranks the maker's manual.
 *
 * @param plugs which plug is opened first to drain
 * @param washers what becomes of the plugs' washers
 * @param sealer whether gaskets get a sealer
 * @param traces what it does about a trace of water
 * @param printedTorque how far one printed torque may be missed
 */
public record YardHabits(
        @Given(value = "which plug is opened first", orElse = "bottom_first") Plugs plugs,
        @Given(value = "what becomes of washers", orElse = "always_new") Washers washers,
        @Given(value = "whether gaskets get a sealer", orElse = "as_the_sheet_says") Sealer sealer,
        @Given(value = "what it does about a trace of water", orElse = "as_it_costs") Traces traces,
        @Given(value = "how far one printed torque may be missed", orElse = "within_5_percent")
                PrintedTorque printedTorque) {
    private static final Messages TEXT = Messages.of(YardHabits.class);

    /** What each school costs and risks, as told before one is chosen. */
    public static String risks() {
        return TEXT.get("schools");
    }

    /** What goes with draining by this habit. */
    public String draining() {
        return TEXT.get("school.plugs." + NamedBy.file(plugs));
    }

    /** What goes with the plugs' washers by this habit. */
    public String refitting() {
        return TEXT.get("school.washers." + NamedBy.file(washers));
    }

    /** What goes with gaskets by this habit. */
    public String sealing() {
        return TEXT.get("school.sealer." + NamedBy.file(sealer));
    }

    /** What goes with a trace of water by this habit. */
    public String tracing() {
        return TEXT.get("school.traces." + NamedBy.file(traces));
    }

    /** What the yard's habit says of a leg that shows a trace of water and no more; empty of any other, or where it follows none. */
    public static Optional<String> trace(Assessment now) {
        boolean haze = now.job().choice(Scale.OIL_WATER).equals(Optional.of("haze"));
        double free = now.job().reading(Field.FREE_WATER).orElse(0);
        return haze && free == 0
                ? now.yard()
                        .habits()
                        .filter(h -> h.traces() != Traces.AS_IT_COSTS)
                        .map(YardHabits::tracing)
                : Optional.empty();
    }

    /** Which plug is opened first to drain. */
    public enum Plugs {
        /** The drain, with the vent still shut. */
        BOTTOM_FIRST,
        /** The vent, slowly. */
        VENT_FIRST,
        /** The drain, once the vent was proven to come free. */
        VENT_LOOSENED_FIRST
    }

    /** What becomes of the washers of the plugs. */
    public enum Washers {
        /** New ones each time. */
        ALWAYS_NEW,
        /** New ones where the old look bad. */
        WHEN_BAD,
        /** Left in place while they stick to the case. */
        LEFT_WHILE_THEY_STICK
    }

    /** Whether gaskets get a sealer. */
    public enum Sealer {
        /** As the sheet says at each. */
        AS_THE_SHEET_SAYS,
        /** A thin film on paper gaskets. */
        THIN_FILM,
        /** Never: gaskets go on dry. */
        NEVER
    }

    /** How far one printed torque may be missed either way, where the manual gives no range. */
    public enum PrintedTorque {
        /** 3 %. */
        WITHIN_3_PERCENT(0.03),
        /** 5 %. */
        WITHIN_5_PERCENT(0.05),
        /** 10 %. */
        WITHIN_10_PERCENT(0.10);

        private final double share;

        PrintedTorque(double share) {
            this.share = share;
        }

        /** As a share. */
        public double share() {
            return share;
        }
    }

    /** What it does about a trace of water. */
    public enum Traces {
        /** What costs less on the whole, job by job. */
        AS_IT_COSTS,
        /** Watches it. */
        WATCH,
        /** Reseals at once. */
        RESEAL
    }
}
