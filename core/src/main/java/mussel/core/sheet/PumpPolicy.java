package mussel.core.sheet;

/** When a yard renews an impeller. */
public enum PumpPolicy {
    /** When its condition says so. */
    CONDITION,
    /** When so many months are over. */
    CALENDAR,
    /** Whenever the leg is down. */
    ALWAYS
}
