package mussel.core.practice;

/** A way of going about a leg. */
public enum Policy {
    /** The rounds that the program advises while any is worth its time, then its best set, looked at again at each stage that opens. */
    ADVICE,
    /** Look by look and goal by goal, without regard to the state the leg is in. */
    SINGLE,
    /** What a careful bench does with every leg: all looks without a tool and at the plugs, propeller off, both holds with soap where one leaks; then the best set. */
    CHECKLIST,
    /** Opens everything, looks at all of it, and does what that shows. */
    STRIP,
    /** The best set from the complaint alone. */
    BLIND
}
