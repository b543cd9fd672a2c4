package mussel.core.verdict;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * The state a lower unit is in: what is on, in, out, open or locked, as far as it is known. What is not known forbids nothing.
 *
 * @param known the conditions that are known
 */
public record LegState(Map<Condition, String> known) {
    /** Nothing is known. */
    public static final LegState UNKNOWN = new LegState(Map.of());

    private static final String OUT = "out";

    /** Keeps its own copy. */
    public LegState {
        Map<Condition, String> copy = new EnumMap<>(Condition.class);
        copy.putAll(known);
        known = Collections.unmodifiableMap(copy);
    }

    /** What a lower unit can be in. The first value is that of one that is whole and on its engine. */
    public enum Condition {
        /** Whether the engine came too. */
        ENGINE("here", "away"),
        /** Whether the lower unit is on the engine. */
        LEG("on", "off"),
        /** The gear oil. */
        OIL("in", OUT),
        /** The drain and vent plugs. */
        PLUGS("in", OUT),
        /** The propeller. */
        PROPELLER("in", OUT),
        /** The water pump. */
        PUMP("in", OUT),
        /** The carrier of the driveshaft seals, or the seals where they sit in the case. */
        SEAL_CARRIER("in", OUT),
        /** The carrier of the propeller shaft. */
        PROP_CARRIER("in", OUT),
        /** The cover over the shift shaft. */
        SHIFT_COVER("in", OUT),
        /** Shafts and gears. */
        GEARS("in", OUT),
        /** The case: open with its halves apart or any carrier out. */
        CASE("closed", "open"),
        /** The shift linkage. */
        LINKAGE("joined", "open"),
        /** Whether the shafts turn. */
        TURNS("free", "locked"),
        /** Sealant. */
        CURING("no", "yes");

        private final List<String> states;

        Condition(String... states) {
            this.states = List.of(states);
        }

        /** Its states; the first is that of a lower unit that is whole. */
        public List<String> states() {
            return states;
        }

        /** Its name in files. */
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The condition of that name in files. */
        public static Optional<Condition> of(String id) {
            return List.of(values()).stream().filter(c -> c.id().equals(id)).findFirst();
        }
    }

    /** The value of a condition, where it is known. The case is open where anything that closes it is out. */
    public Optional<String> of(Condition condition) {
        String said = known.get(condition);
        if (said != null || condition != Condition.CASE) {
            return Optional.ofNullable(said);
        }
        return List.of(Condition.SEAL_CARRIER, Condition.PROP_CARRIER, Condition.SHIFT_COVER, Condition.GEARS).stream()
                        .anyMatch(c -> OUT.equals(known.get(c)))
                ? Optional.of("open")
                : Optional.empty();
    }

    /** Whether a condition is known to have another value. */
    public boolean forbids(Condition condition, String wanted) {
        return of(condition).filter(v -> !v.equals(wanted)).isPresent();
    }

    /** The same with one condition changed. */
    public LegState with(Condition condition, String value) {
        Map<Condition, String> changed = new EnumMap<>(Condition.class);
        changed.putAll(known);
        changed.put(condition, value);
        return new LegState(changed);
    }

    /** Whether what was felt says that the shafts do not turn. */
    public static boolean locked(Map<String, String> findings) {
        return "seized".equals(findings.get("rotation_feel")) || "locked".equals(findings.get("stiff_to_turn"));
    }
}
