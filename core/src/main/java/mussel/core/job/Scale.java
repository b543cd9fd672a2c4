package mussel.core.job;

import java.util.List;
import mussel.core.measure.NamedBy;

/** Every scale of looks and answers, its outcomes from benign to severe. Ids are fixed: saved jobs and scripts use them. */
public enum Scale {
    /** Water in the oil. */
    OIL_WATER("Water in the oil", "none", "haze", "streaks", "milky", "sludge"),
    /** Heat and age of the oil. */
    OIL_HEAT("Heat and age", "fresh", "darkened", "burnt"),
    /** Metal in the oil. */
    OIL_METAL("Metal in the oil", "none", "sheen", "flakes"),
    /** The coat on a plug's magnet, by plug. */
    MAGNET("On the magnet", "clean", "paste", "bristle", "slivers", "chips"),
    /** A plug's sealing washer, by plug. */
    WASHERS("Sealing washer", "sound", "flattened", "torn", "missing", "doubled"),
    /** What came as the vent was cracked. */
    VENT_CRACK("As the vent was cracked", "still", "hiss", "spurt"),
    /** Whether the vent stood open while it drained. */
    VENT("Vent while draining", "open", "shut"),
    /** What the leg runs in. */
    WATER("Runs in", "fresh", "brackish", "sea"),
    /** Where it is stored. */
    STORAGE("Kept", "mooring", "trailer", "frost"),
    /** Whether it runs in sand or shallows. */
    SAND("Sand or shallows", "no", "yes"),
    /** What it came in for, by complaint. */
    CAME_FOR("Came in for", "no", "yes"),
    /** How hard it works. */
    DUTY("Works", "light", "normal", "hard"),
    /** What was done last. */
    LAST_JOB("Last time", "none", "oil_only", "resealed", "opened_unknown"),
    /** Goals to be done, by goal. */
    GOAL("To be done", "no", "yes", "put_off", "refused"),
    /** The oil that went in last: ids of the yard's list. */
    OIL_LAST("Oil in it"),
    /** The oil that goes in now: ids of the yard's list. */
    OIL_NEW("Oil to fill"),
    /** Whether the oil found is the right kind. */
    OIL_TYPE("Kind of oil", "right", "wrong"),
    /** What was truly found of a cause, by cause. */
    CONFIRMED("Found when opened", "no", "yes"),
    /** A finding set by a person against what the engines made of it, by finding. */
    OVERRULED("Set by hand"),
    /** Whether the impeller was looked at all round; vanes without a mark are sound then. */
    VANES_SEEN("All vanes looked at", "yes"),
    /** A crack at a vane's root, by vane. */
    VANE_CRACK("Crack at the root", "none", "surface", "through"),
    /** Whether a vane is burnt, by vane. */
    VANE_BURNT("Burnt", "no", "yes"),
    /** Whether the impeller's rubber is still supple. */
    RUBBER("Rubber", "supple", "hardened"),
    /** How housing or cup look. */
    HOUSING_STATE("Housing or cup", "sound", "scored", "melted", "cracked"),
    /** Where the telltale was caught, by reading. */
    FLOW_WHERE("Where", "tank", "cups"),
    /** Whether the old leg goes back for its core charge. */
    CORE_BACK("Old leg goes back", "yes", "no"),
    /** What the owner decided. */
    OWNER_SAYS("The owner says", "repair", "exchange", "leave"),
    /** A part before it was cleaned, by part. */
    BEFORE_CLEANING("Before cleaning", "reuse", "judge_after_cleaning", "replace"),
    /** A part after it was cleaned, by part. */
    AFTER_CLEANING("After cleaning", "reuse", "replace"),
    /** How a group's threads are wetted, where it is not as the sheet says, by fastener group. */
    THREADS("Threads", "dry", "oiled", "greased"),
    /** Whether a tool lies ready, by tool. */
    TOOL_READY("Lies ready", "yes"),
    /** Whether a new part was fitted, by part. */
    FITTED("Fitted", "yes"),
    /** How the shims of a place are found, by place. */
    SCHOOL("Shims from", "reuse", "marks", "lash"),
    /** On which shaft the indicator's arm sits, by gear. */
    ARM_ON("The arm sits on", "gear", "driveshaft"),
    /** Where the teeth bear, by gear. */
    CONTACT("Teeth bear", "centred", "toe", "heel", "high", "low"),
    /** The shift check in neutral: the propeller turned by hand. */
    SHIFT_NEUTRAL("In neutral it", "turns", "drags", "locks"),
    /** The shift check ahead. */
    SHIFT_FORWARD("In forward it", "clicks", "turns", "locks"),
    /** The shift check astern. */
    SHIFT_REVERSE("In reverse it", "locks", "turns", "jumps"),
    /** The telltale in the run. */
    RUN_TELLTALE("Telltale", "steady", "weak", "none"),
    /** Ahead under power. */
    RUN_AHEAD("Ahead under power it", "drives", "slips", "jumps"),
    /** Astern under power. */
    RUN_ASTERN("Astern under power it", "drives", "slips", "jumps"),
    /** How it sounds once it is warm. */
    RUN_SOUND("Warm, it sounds", "even", "growls", "knocks"),
    /** The plugs and joints an hour after the run. */
    DRIPS("After an hour", "dry", "damp", "drips"),
    /** What became of work beside the leg, by item. */
    BESIDE("Beside the leg", "sound", "done", "put_off", "refused", "to_do"),
    /** What came at a grease point, by point. */
    GREASE_POINT("Grease came", "clean", "rusty", "dry", "stiff"),
    /** The colour of a plug, by cylinder. */
    PLUG_COLOUR("Plug", "brown", "black", "pale", "wet"),
    /** What the owner answered to the estimate. */
    CONSENT("Goes ahead", "yes", "up_to", "no"),
    /** How he answered. */
    CONSENT_HOW("Said", "in_person", "phone", "writing"),
    /** Whether it came back for what was mended here: the yard's word. */
    COMEBACK("Came back for what was mended", "no", "yes"),
    /** Whether both legs of a twin are one visit. */
    ONE_VISIT("In one visit with its sister leg", "no", "yes"),
    /** Another leg of the bench worked on in the same visit: ids of legs. */
    VISIT_WITH("In one visit with"),
    /** Whether the visit leaves the leg alone. */
    LEG_STAYS("The leg itself", "worked_on", "left_alone"),
    /** Whether a practice leg is gone about with the conclusion in sight. */
    COACHED("Coached", "no", "yes"),
    /** Whether a look was made at a practice leg, by finding. */
    LOOKED("Looked at", "yes"),
    /** Whether a practice leg was handed over instead of mended. */
    HANDED_OVER("Handed over", "no", "yes"),
    /** The state of the lower unit as a person corrected it, by condition. */
    STATE("State"),
    /** What earlier hands did, by step and kind. */
    EARLIER_HANDS("Earlier hands", "no", "yes"),
    /** The final check the repair is priced with and ends with. */
    PROOF("Final check", "none", "one_hold", "both_holds");

    private final String label;
    private final List<String> outcomes;

    Scale(String label, String... outcomes) {
        this.label = label;
        this.outcomes = List.of(outcomes);
    }

    /** The scale's label. */
    public String label() {
        return label;
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
