package mussel.core.practice;

/** A way of going about a leg. */
public enum Policy {
    /** The look, or the looks of one set-up, that the program advises, while any is worth its time; then its decisions. */
    ADVICE,
    /** What a careful bench does with every leg: all looks without a tool and at the plugs, propeller off, both holds with soap where one leaks; then the same decisions. */
    CHECKLIST,
    /** Opens everything, looks at all of it, and does what that shows. */
    STRIP,
    /** The decisions from the complaint alone. */
    BLIND,
    /** As the advice, each look chosen with the best one after it in mind. */
    LOOKAHEAD
}
