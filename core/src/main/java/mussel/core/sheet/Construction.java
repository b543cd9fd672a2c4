package mussel.core.sheet;

import java.util.List;
import java.util.OptionalDouble;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;

/**
 * How a family is built.
 *
 * @param caseKind one casting, or a split lower half
 * @param sealLayout how the lips of a seal pair face
 * @param drive what turns the propeller
 * @param carrier what holds the propeller shaft carrier
 * @param driveshaftTurns which way the driveshaft turns, seen from above
 * @param propellerTurns which ways the propeller may turn, seen from astern; a counter-rotating leg usually turns its driveshaft the usual way
 * @param fill where the oil goes in
 * @param fitting the pump's fitting for the fill port
 * @param removalGear the gear to select before the leg drops and when it goes back
 * @param linkage how the shift shaft is joined
 * @param weightKg weight of the leg (kg)
 * @param runoutLimitMm the run-out of the propeller shaft its manual allows (mm); empty where nobody has read it
 */
public record Construction(
        @Given("whether the case is one piece or split") CaseKind caseKind,
        @Given("how the seal lips face") SealLayout sealLayout,
        @Given("what drives the propeller") Drive drive,
        @Given("what holds the propeller shaft carrier") Carrier carrier,
        @Given("which way the driveshaft turns") Turns driveshaftTurns,
        @Given("which ways the propeller may turn") List<Turns> propellerTurns,
        @Given("where the oil goes in") FillPort fill,
        @Given(value = "the fitting of the fill port", orElse = "-") String fitting,
        @Given("the gear for taking the leg off") Gear removalGear,
        @Given("how the shift shaft is joined") String linkage,
        @Given(value = "the leg's weight (kg)", min = 1, max = 500) double weightKg,
        @Given(value = "the run-out of the propeller shaft", kind = Kind.LENGTH, min = 0.01, max = 2)
                OptionalDouble runoutLimitMm) {
    /** Keeps its own copy. */
    public Construction {
        propellerTurns = List.copyOf(propellerTurns);
    }

    /** One casting or two. */
    public enum CaseKind {
        /** One casting. */
        ONE_PIECE,
        /** A lower half with the skeg is bolted on. */
        SPLIT,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** How the two lips of a seal pair face. */
    public enum SealLayout {
        /** One keeps oil in, the other water out. */
        BACK_TO_BACK,
        /** Both face outward with grease between. */
        BOTH_OUT,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** What turns the propeller. */
    public enum Drive {
        /** Splines and a rubber hub. */
        SPLINES,
        /** A shear pin. */
        PIN,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** What holds the propeller shaft carrier in the case. */
    public enum Carrier {
        /** Two bolts through its flange. */
        BOLTS,
        /** A large retaining ring. */
        RING,
        /** A snap ring in a groove. */
        SNAP_RING,
        /** The two halves of the case. */
        HALVES,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** A sense of rotation. */
    public enum Turns {
        /** Clockwise. */
        CLOCKWISE,
        /** Counter-clockwise. */
        COUNTER_CLOCKWISE,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** Where the oil goes in. */
    public enum FillPort {
        /** Through the drain hole, upward. */
        DRAIN,
        /** Through a fill hole of its own. */
        FILL_HOLE,
        /** Nobody has looked. */
        UNKNOWN
    }

    /** A gear of the shift. */
    public enum Gear {
        /** Neutral. */
        NEUTRAL,
        /** Forward. */
        FORWARD,
        /** Reverse. */
        REVERSE
    }
}
