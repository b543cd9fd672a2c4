package mussel.core.sheet;

/** Where on the leg hands are at work, in the order in which they usually get there. */
public enum Place {
    /** Under the cowl of the powerhead. */
    COWL("under the cowl"),
    /** At the propeller. */
    PROPELLER("propeller"),
    /** At the plugs. */
    PLUGS("plugs"),
    /** At the water intakes. */
    INTAKE("water intakes"),
    /** Where the leg joins the midsection. */
    JOINT("leg joint"),
    /** On the stand or the bench, leg off. */
    STAND("on the stand"),
    /** At the water pump. */
    PUMP("water pump"),
    /** At the driveshaft seal carrier. */
    SEAL_CARRIER("driveshaft seal carrier"),
    /** At the shift shaft where it enters the case. */
    SHIFT("shift shaft"),
    /** At the propeller shaft and its carrier. */
    PROP_CARRIER("propeller shaft carrier"),
    /** In the case: gears, shafts, bearings and shims. */
    GEARS("gears"),
    /** The split joint of the skeg half. */
    SKEG("skeg half"),
    /** In the water: tank or berth. */
    TANK("tank");

    private final String title;

    Place(String title) {
        this.title = title;
    }

    /** The place in words. */
    public String title() {
        return title;
    }
}
