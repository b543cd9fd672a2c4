package mussel.core.job;

import java.util.List;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/** Every scale of looks and answers, its outcomes from benign to severe. Ids are fixed: saved jobs and scripts use them. */
public enum Scale {
    /** Water in the oil. */
    OIL_WATER("none", "haze", "streaks", "milky", "sludge"),
    /** Heat and age of the oil. */
    OIL_HEAT("fresh", "darkened", "burnt"),
    /** Metal in the oil. */
    OIL_METAL("none", "sheen", "flakes"),
    /** The coat on a plug's magnet, by plug. */
    MAGNET("clean", "paste", "bristle", "slivers", "chips"),
    /** A plug's sealing washer, by plug. */
    WASHERS("sound", "flattened", "torn", "missing", "doubled"),
    /** What came as the vent was cracked. */
    VENT_CRACK("still", "hiss", "spurt"),
    /** Whether the vent stood open while it drained. */
    VENT("open", "shut"),
    /** What the leg runs in. */
    WATER("fresh", "brackish", "sea"),
    /** Where it is stored. */
    STORAGE("mooring", "trailer", "frost"),
    /** Whether it runs in sand or shallows. */
    SAND("no", "yes"),
    /** What it came in for, by complaint. */
    CAME_FOR("no", "yes"),
    /** How hard it works. */
    DUTY("light", "normal", "hard"),
    /** What was done last. */
    LAST_JOB("none", "oil_only", "resealed", "opened_unknown"),
    /** Goals to be done, by goal. */
    GOAL("no", "yes", "put_off", "refused"),
    /** The oil that went in last: ids of the yard's list. */
    OIL_LAST,
    /** The oil that goes in now: ids of the yard's list. */
    OIL_NEW,
    /** Whether the oil found is the right kind. */
    OIL_TYPE("right", "wrong"),
    /** What was truly found of a cause, by cause. */
    CONFIRMED("no", "yes"),
    /** A finding set by a person against what the engines made of it, by finding. */
    OVERRULED,
    /** Whether the impeller was looked at all round; vanes without a mark are sound then. */
    VANES_SEEN("yes"),
    /** A crack at a vane's root, by vane. */
    VANE_CRACK("none", "surface", "through"),
    /** Whether a vane is burnt, by vane. */
    VANE_BURNT("no", "yes"),
    /** Whether the impeller's rubber is still supple. */
    RUBBER("supple", "hardened"),
    /** How housing or cup look. */
    HOUSING_STATE("sound", "scored", "melted", "cracked"),
    /** Where the telltale was caught, by reading. */
    FLOW_WHERE("tank", "cups"),
    /** Whether the old leg goes back for its core charge. */
    CORE_BACK("yes", "no"),
    /** What the owner decided. */
    OWNER_SAYS("repair", "exchange", "leave"),
    /** A part before it was cleaned, by part. */
    BEFORE_CLEANING("reuse", "judge_after_cleaning", "replace"),
    /** A part after it was cleaned, by part. */
    AFTER_CLEANING("reuse", "replace"),
    /** How a group's threads are wetted, where it is not as the sheet says, by fastener group. */
    THREADS("dry", "oiled", "greased"),
    /** Whether a tool lies ready, by tool. */
    TOOL_READY("yes"),
    /** Whether a new part was fitted, by part. */
    FITTED("yes"),
    /** How the shims of a place are found, by place. */
    SCHOOL("reuse", "marks", "lash"),
    /** On which shaft the indicator's arm sits, by gear. */
    ARM_ON("gear", "driveshaft"),
    /** Where the teeth bear, by gear. */
    CONTACT("centred", "toe", "heel", "high", "low"),
    /** The shift check in neutral: the propeller turned by hand. */
    SHIFT_NEUTRAL("turns", "drags", "locks"),
    /** The shift check ahead. */
    SHIFT_FORWARD("clicks", "turns", "locks"),
    /** The shift check astern. */
    SHIFT_REVERSE("locks", "turns", "jumps"),
    /** The telltale in the run. */
    RUN_TELLTALE("steady", "weak", "none"),
    /** Ahead under power. */
    RUN_AHEAD("drives", "slips", "jumps"),
    /** Astern under power. */
    RUN_ASTERN("drives", "slips", "jumps"),
    /** How it sounds once it is warm. */
    RUN_SOUND("even", "growls", "knocks"),
    /** The plugs and joints an hour after the run. */
    DRIPS("dry", "damp", "drips"),
    /** What became of work beside the leg, by item. */
    BESIDE("sound", "done", "put_off", "refused", "to_do"),
    /** What came at a grease point, by point. */
    GREASE_POINT("clean", "rusty", "dry", "stiff"),
    /** The colour of a plug, by cylinder. */
    PLUG_COLOUR("brown", "black", "pale", "wet"),
    /** What the owner answered to the estimate. */
    CONSENT("yes", "up_to", "no"),
    /** How he answered. */
    CONSENT_HOW("in_person", "phone", "writing"),
    /** Whether it came back for what was mended here: the yard's word. */
    COMEBACK("no", "yes"),
    /** Whether both legs of a twin are one visit. */
    ONE_VISIT("no", "yes"),
    /** Another leg of the bench worked on in the same visit: ids of legs. */
    VISIT_WITH,
    /** Whether the visit leaves the leg alone. */
    LEG_STAYS("worked_on", "left_alone"),
    /** Whether a practice leg is gone about with the conclusion in sight. */
    COACHED("no", "yes"),
    /** Whether a look was made at a practice leg, by finding. */
    LOOKED("yes"),
    /** Whether a practice leg was handed over instead of mended. */
    HANDED_OVER("no", "yes"),
    /** The state of the lower unit as a person corrected it, by condition. */
    STATE,
    /** What earlier hands did, by step and kind. */
    EARLIER_HANDS("no", "yes"),
    /** The final check the repair is priced with and ends with. */
    PROOF("none", "one_hold", "both_holds");

    private static final Messages TEXT = Messages.of(Scale.class);

    private final List<String> outcomes;

    Scale(String... outcomes) {
        this.outcomes = List.of(outcomes);
    }

    /** The scale's label. */
    public String label() {
        return TEXT.of(this);
    }

    /** Its outcomes from benign to severe; empty where the yard's lists decide. */
    public List<String> outcomes() {
        return outcomes;
    }

    /** Its address where there is only one. */
    public Address address() {
        return Address.the(NamedBy.file(this));
    }

    /** Its address for one of several. */
    public Address of(String which) {
        return new Address(NamedBy.file(this), which);
    }
}
