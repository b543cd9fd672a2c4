package mussel.core.sheet;

import mussel.core.language.Messages;

/** Where on the leg hands are at work, in the order in which they usually get there. */
public enum Place {
    /** Under the cowl of the powerhead. */
    COWL,
    /** At the propeller. */
    PROPELLER,
    /** At the plugs. */
    PLUGS,
    /** At the water intakes. */
    INTAKE,
    /** Where the leg joins the midsection. */
    JOINT,
    /** On the stand or the bench, leg off. */
    STAND,
    /** At the water pump. */
    PUMP,
    /** At the driveshaft seal carrier. */
    SEAL_CARRIER,
    /** At the shift shaft where it enters the case. */
    SHIFT,
    /** At the propeller shaft and its carrier. */
    PROP_CARRIER,
    /** In the case: gears, shafts, bearings and shims. */
    GEARS,
    /** The split joint of the skeg half. */
    SKEG,
    /** In the water: tank or berth. */
    TANK;

    private static final Messages TEXT = Messages.of(Place.class);

    /** The place in words. */
    public String title() {
        return TEXT.of(this);
    }
}
