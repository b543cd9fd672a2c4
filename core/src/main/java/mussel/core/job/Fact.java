package mussel.core.job;

import java.time.LocalDate;
import java.util.List;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;

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

    /**
     * A pressure or vacuum hold was begun.
     *
     * @param hold which of the job's holds
     * @param mode pressure or vacuum
     * @param gaugeStepKpa the gauge's resolution (kPa)
     * @param instrument what it is read with
     * @param simulated whether that instrument is simulated
     */
    record HoldBegun(String hold, LeakMode mode, double gaugeStepKpa, String instrument, boolean simulated)
            implements Fact {}

    /**
     * Readings of a hold, those of a second or of a file's part together.
     *
     * @param hold which of the job's holds
     * @param readings in the order they were taken
     */
    record Held(String hold, List<LeakReading> readings) implements Fact {
        /** Keeps its own copy. */
        public Held {
            readings = List.copyOf(readings);
        }
    }

    /**
     * Parts were ordered.
     *
     * @param order the yard's number for it
     * @param reference the supplier's number for it
     * @param simulated whether the supplier was a stand-in that delivers nothing
     * @param lines what was ordered, as acknowledged
     * @param shipping what the parcels cost
     * @param total goods and shipping
     */
    record Ordered(
            String order, String reference, boolean simulated, List<Order.Line> lines, double shipping, double total)
            implements Fact {
        /** Keeps its own copy. */
        public Ordered {
            lines = List.copyOf(lines);
        }
    }

    /** An order is here. */
    record Arrived(String order, LocalDate on) implements Fact {}

    /**
     * A part of an order came.
     *
     * @param order which order
     * @param supplier from whom
     * @param sku which of his numbers
     * @param came how many came
     * @param back how many of those were wrong or broken and go back: they are still to come
     * @param on the day
     */
    record Delivered(String order, String supplier, String sku, int came, int back, LocalDate on) implements Fact {}

    /**
     * A picture was put with something.
     *
     * @param about what it shows
     * @param file its name beside the journal, made from its content
     * @param title what it was called
     */
    record Pictured(Address about, String file, String title) implements Fact {}

    /**
     * From here on the job goes by this sheet.
     *
     * @param sheet the name of a kept sheet, see {@link Journal#keepSheet}
     * @param said whether it became so by what was typed from the manual at this job
     */
    record WorkedBy(String sheet, boolean said) implements Fact {}

    /**
     * The yard has decided something; stands among the yard's own entries, in no job.
     *
     * @param key what it is about, named as its setting
     * @param value what holds from now on; empty where nothing does
     */
    record Decided(String key, String value) implements Fact {}

    /** Somebody who answers for it has looked at what an apprentice proved; who, the entry says. */
    record Countersigned(LocalDate on) implements Fact {}

    /** The leg was tagged and the job closed. */
    record Tagged(LocalDate on) implements Fact {}

    /**
     * What an entry says is not understood here: a newer program wrote it, or a hand that did not know how. It is kept as it is and counts for
     * nothing.
     *
     * @param text the entry as it stands
     * @param why what is not understood
     */
    record Unread(String text, String why) implements Fact {}

    /** An earlier entry is taken back; taking back a retraction does it again. */
    record Retracted(long entry) implements Fact {}
}
