package mussel.core.visit;

import java.util.Arrays;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/**
 * What is done beside the leg in the same visit, each with a clock of its own. Hours and months are what manuals of engines of this kind commonly ask for; the
 * manual of the exact engine outranks them, and a yard has its own.
 */
public enum EngineSideItem {
    /** Tab, outer pair and inner ones, and their bonding wires. */
    ANODES(100, 6),
    /** Swivel, tilt, steering, and the propeller's splines. */
    GREASE(60, 6),
    /** Engine oil and its filter. */
    ENGINE_OIL(100, 12),
    /** The spark plugs. */
    PLUGS(200, 24),
    /** The fuel's filter element and the separator's bowl. */
    FUEL(100, 12),
    /** The thermostat with its gasket. */
    THERMOSTAT(300, 36),
    /** The battery. */
    BATTERY(200, 12);

    private static final Messages TEXT = Messages.of(EngineSideItem.class);

    private final double hours;
    private final int months;

    EngineSideItem(double hours, int months) {
        this.hours = hours;
        this.months = months;
    }

    /** Its id, as it is kept. */
    public String id() {
        return NamedBy.file(this);
    }

    /** The one of that id. */
    public static Optional<EngineSideItem> of(String id) {
        return Arrays.stream(values()).filter(i -> i.id().equals(id)).findFirst();
    }

    /** After how many running hours it is commonly due again (h). */
    public double hours() {
        return hours;
    }

    /** After how many months. */
    public int months() {
        return months;
    }

    /** What it is called. */
    public String title() {
        return TEXT.get(id());
    }

    /** How it is done, in a sentence or two, with the schools there are. */
    public String how() {
        return TEXT.get(id() + ".how");
    }

    /** What could hurt; empty where nothing more than usual could. */
    public String caution() {
        return TEXT.get(id() + ".caution");
    }

    /** What waiting with it risks. */
    public String risk() {
        return TEXT.get(id() + ".risk");
    }
}
