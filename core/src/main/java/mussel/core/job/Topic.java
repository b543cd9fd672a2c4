package mussel.core.job;

import mussel.core.measure.NamedBy;

/** What people write down in words. */
public enum Topic {
    /** What the owner saw. */
    COMPLAINT,
    /** How a part lay, by part or step. */
    AS_FOUND,
    /** What fell into the case at a step and is not out yet, by step; emptied once it is. */
    FELL_IN,
    /** What was tried where something was stuck, by step. */
    STUCK,
    /** What the job waits for. */
    WAITS_FOR,
    /** When it was promised. */
    PROMISED,
    /** Why a finding was set by hand, by finding. */
    OVERRULED_WHY,
    /** Where the missing piece of the impeller was found. */
    PIECE_FOUND,
    /** Why a part was judged so, by part. */
    INSPECTION,
    /** That an unlikely figure was asked about and kept, by field. */
    DOUBTED,
    /** The year and the serial number of the leg. */
    LEG_MADE,
    /** What is different on this one leg from what its family's sheet says: a bolt missing, a sleeve fitted, another propeller. */
    LEG_OWN,
    /** Why the leg is tagged with a failed proof. */
    PROOF_OVERRIDE,
    /** Who owns it. */
    OWNER,
    /** How he is reached. */
    REACHED,
    /** Who pays, where it is not he. */
    PAYS,
    /** The engine's year, model, serial number and rotation. */
    ENGINE_MADE,
    /** Who answered to the estimate. */
    CONSENT_BY,
    /** What the estimate named as what may come on top when he answered: ids of goals. */
    FORESEEN,
    /** Why work beside the leg waits, by item. */
    PUT_OFF_WHY;

    /** Its address where there is only one. */
    public Address address() {
        return Address.the(NamedBy.file(this));
    }

    /** Its address for one of several. */
    public Address of(String which) {
        return new Address(NamedBy.file(this), which);
    }
}
