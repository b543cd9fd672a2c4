package mussel.core.pump;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpLimits;
import mussel.core.sheet.PumpPolicy;

/**
 * What the pump engine needs. What was not looked at stays absent and is judged after cleaning, never taken as sound.
 *
 * @param vanes the impeller's vanes, one by one around the hub
 * @param faceWearMm how much the impeller's end faces have lost, the worse one (mm); it adds to the clearance a side
 * @param hardened whether the rubber has gone hard
 * @param housingState how housing or cup look
 * @param hubBond how the rubber holds to its hub
 * @param key the key or pin that drives it
 * @param plateGrooveMm the deepest groove in the wear plate (mm)
 * @param housingGrooveMm the deepest groove in housing or cup (mm)
 * @param plateWarpMm how far the plate is out of flat (mm)
 * @param ageMonths how long this impeller has been in (months)
 * @param hours how long it has run (h)
 * @param policy when the yard renews it
 * @param calendarMonths after how many months, by that policy
 * @param extent how much the yard renews
 * @param sand whether sand or salt has been through
 * @param limits the family's limits; a rule of thumb where none are given
 * @param geometry the pump's measures; without them no flow is expected
 * @param flows what the telltale gave
 * @param telltaleShare the share of the pump's flow that leaves at the telltale
 */
@Wide("The headless contract of the pump engine: a component is a field of its schema.")
public record PumpInput(
        @Given("the vanes") List<Vane> vanes,
        @Given(value = "the wear of the end faces", kind = Kind.LENGTH, min = 0, max = 10) OptionalDouble faceWearMm,
        @Given(value = "whether the rubber has gone hard", orElse = "false") boolean hardened,
        @Given("the housing as it looks") Optional<HousingState> housingState,
        @Given("how the rubber holds to its hub") Optional<HubBond> hubBond,
        @Given("the pump key") Optional<KeyState> key,
        @Given(value = "the groove in the plate", kind = Kind.LENGTH, min = 0, max = 10) OptionalDouble plateGrooveMm,
        @Given(value = "the groove in the housing", kind = Kind.LENGTH, min = 0, max = 10)
                OptionalDouble housingGrooveMm,
        @Given(value = "how far the plate is out of flat", kind = Kind.LENGTH, min = 0, max = 10)
                OptionalDouble plateWarpMm,
        @Given(value = "the impeller's age", kind = Kind.MONTHS, min = 0, max = 600) OptionalDouble ageMonths,
        @Given(value = "the impeller's hours", kind = Kind.RUNNING, min = 0, max = 50_000) OptionalDouble hours,
        @Given(value = "when the yard renews it", orElse = "condition") PumpPolicy policy,
        @Given(value = "the months after which it is renewed", kind = Kind.MONTHS, min = 1, max = 240, orElse = "24")
                double calendarMonths,
        @Given(value = "how much the yard renews", orElse = "by_condition") Extent extent,
        @Given(value = "whether sand or salt has been through", orElse = "false") boolean sand,
        @Given("the family's limits") Optional<PumpLimits> limits,
        @Given("the pump's measures") Optional<PumpGeometry> geometry,
        @Given("what the telltale gave") List<FlowReading> flows,
        @Given(value = "the telltale's share of the flow", min = 0, minOpen = true, max = 1)
                OptionalDouble telltaleShare)
        implements Checked {
    private static final Messages TEXT = Messages.of(PumpInput.class);

    /** Keeps its own copies. */
    public PumpInput {
        vanes = List.copyOf(vanes);
        flows = List.copyOf(flows);
    }

    /** The limits it is judged by. */
    public PumpLimits judgedBy() {
        return limits.orElse(PumpLimits.RULE_OF_THUMB);
    }

    @Override
    public void check(Problems problems, String pointer) {
        problems.unless(
                vanes.size() <= PumpGeometry.MOST_VANES,
                pointer + "/vanes",
                TEXT.get("pump_input.has_vanes_an_impeller_has_at", vanes.size(), PumpGeometry.MOST_VANES));
        geometry.ifPresent(g -> problems.unless(
                vanes.size() <= g.vanes(),
                pointer + "/vanes",
                TEXT.get("pump_input.has_vanes_this_pumps_impeller_has", vanes.size(), g.vanes())));
    }

    /**
     * One vane.
     *
     * @param tipWearMm how much of the tip is worn off (mm)
     * @param setDeg how far it stays bent when free (degrees)
     * @param crack a crack at its root
     * @param missingMm how much of it is gone (mm)
     * @param burnt whether its tip is burnt or melted
     */
    public record Vane(
            @Given(value = "the wear of the tip", kind = Kind.LENGTH, min = 0, max = 50, orElse = "0") double tipWearMm,
            @Given(value = "the vane's set (degrees)", min = 0, max = 120, orElse = "0") double setDeg,
            @Given(value = "the crack at its root", orElse = "none") Crack crack,
            @Given(value = "how much of it is missing", kind = Kind.LENGTH, min = 0, max = 100, orElse = "0")
                    double missingMm,
            @Given(value = "whether it is burnt", orElse = "false") boolean burnt) {
        /** A vane as new. */
        public static final Vane SOUND = new Vane(0, 0, Crack.NONE, 0, false);
    }

    /** A crack at the root of a vane. */
    public enum Crack {
        /** None. */
        NONE,
        /** Seen when it is bent, not through. */
        SURFACE,
        /** Through, or nearly. */
        THROUGH
    }

    /** How housing or cup look. */
    public enum HousingState {
        /** Smooth. */
        SOUND,
        /** Scratched all round. */
        SCORED,
        /** Melted by a dry run. */
        MELTED,
        /** Cracked. */
        CRACKED
    }

    /** How the rubber holds to its hub. */
    public enum HubBond {
        /** It holds. */
        SOUND,
        /** An edge lifts when a vane is pulled. */
        LIFTING,
        /** The hub turns in the rubber. */
        SLIPPED
    }

    /** The key that drives the impeller. */
    public enum KeyState {
        /** Its edges are square. */
        SOUND,
        /** Its edges are rounded or rusted. */
        WORN,
        /** It is sheared. */
        SHEARED
    }

    /** How much a yard renews. */
    public enum Extent {
        /** The impeller alone. */
        IMPELLER,
        /** The whole kit. */
        KIT,
        /** Each part by its condition. */
        BY_CONDITION
    }

    /** Where the leg stood while the telltale was measured. */
    public enum Where {
        /** In a tank, the intakes under water. */
        TANK,
        /** On flushing cups. */
        CUPS
    }

    /**
     * The telltale caught in a bucket.
     *
     * @param rpm of the engine; the pump turns with it (1/min)
     * @param litres caught (l)
     * @param seconds it took (s)
     * @param where in a tank or on cups
     */
    public record FlowReading(
            @Given(value = "the engine's speed (1/min)", min = 100, max = 10_000) double rpm,
            @Given(value = "how much was caught (l)", min = 0, max = 1_000) double litres,
            @Given(value = "how long it took (s)", min = 0, minOpen = true, max = 3_600) double seconds,
            @Given("where it was measured") Where where) {
        /** The flow (l/min). */
        public double litresPerMin() {
            return litres / seconds * 60;
        }
    }
}
