package mussel.core.job;

import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/**
 * What is to be done next on a job: what kind of thing, and which. It is kept so and becomes a sentence when somebody reads it.
 *
 * @param what the kind
 * @param of the id of the step, the place or the looks (several with commas between); empty where the kind says all
 * @param named what the sheet or the tables call that, as they stood when it was worked out
 */
public record NextAction(What what, String of, String named) {
    private static final Messages TEXT = Messages.of(NextAction.class);

    /** The kinds of things to do. */
    public enum What {
        /** The job is tagged. */
        NONE,
        /** A piece of the impeller is missing. */
        PIECE,
        /** The intake is not finished. */
        INTAKE,
        /** The oil is still in. */
        DRAIN,
        /** The oil came out and was not judged. */
        JUDGE,
        /** No hold was made. */
        HOLD,
        /** The pressure was held. */
        VACUUM,
        /** A look is worth its time. */
        LOOK,
        /** Looks of one set-up are worth their time together. */
        LOOKS,
        /** No look left is worth its time. */
        ENOUGH,
        /** Everything the tables know has been looked at. */
        ALL_LOOKED,
        /** Nobody chose what to repair. */
        GOALS,
        /** A step of the plan. */
        STEP,
        /** Gears to set up at one place. */
        SETUP,
        /** Gears to set up. */
        GEARS,
        /** The proofs. */
        PROVE,
        /** A proof failed. */
        PROVE_FAILED,
        /** Work beside the leg, where the visit is for nothing else. */
        BESIDE,
        /** The fill. */
        FILL,
        /** The tag. */
        TAG,
        /** A sentence that an earlier version kept; it goes with the job's next entry. */
        SAID
    }

    /** One that needs nothing named. */
    static NextAction of(What what) {
        return new NextAction(what, "", "");
    }

    /** In a short sentence. */
    public String says() {
        return switch (what) {
            case STEP, SAID -> named;
            default -> TEXT.get("next." + NamedBy.file(what), named);
        };
    }
}
