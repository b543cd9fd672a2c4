package mussel.core.job;

import java.time.LocalDate;

/** What an entry says: a reading, a choice, a tick, a note, or that an earlier entry is taken back. */
public sealed interface Fact {
    /** The job began with this leg. */
    record Opened(LegRef leg) implements Fact {}

    /** The leg was something else than first written. */
    record LegCorrected(LegRef leg) implements Fact {}

    /**
     * A quantity was read.
     *
     * @param about the field
     * @param value in the canonical unit of the field's kind
     * @param typed the text as typed
     * @param instrument what it was read with; "by hand" without one
     * @param simulated whether that instrument was simulated
     */
    record Read(Address about, double value, String typed, String instrument, boolean simulated) implements Fact {
        /** Refuses what no instrument shows. */
        public Read {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException("A reading is a finite figure");
            }
        }

        /** A reading by hand. */
        public static Read byHand(Address about, double value, String typed) {
            return new Read(about, value, typed, "by hand", false);
        }
    }

    /** An outcome of a scale was picked. */
    record Chosen(Address about, String outcome) implements Fact {}

    /** A reading, choice or note no longer stands: not measured. */
    record Cleared(Address about) implements Fact {}

    /** A step was done, or is not done after all. */
    record Ticked(String step, boolean done) implements Fact {}

    /** Something was written down. */
    record Noted(Address about, String text) implements Fact {}

    /** The leg was tagged and the job closed. */
    record Tagged(LocalDate on) implements Fact {}

    /** An earlier entry is taken back; taking back a retraction does it again. */
    record Retracted(long entry) implements Fact {}
}
