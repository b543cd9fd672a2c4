package mussel.core.job;

import java.time.LocalDate;
import java.util.List;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;

/** What an entry says: a reading, a choice, a tick, a note, or that an earlier entry is taken back. */
public sealed interface Fact {
    /** What is done with each kind of fact. A new kind is a new method, so that nothing that works through facts can forget it. */
    interface Cases<T> {
        /** For a fact of this kind. */
        T opened(Opened fact);

        /** For a fact of this kind. */
        T legCorrected(LegCorrected fact);

        /** For a fact of this kind. */
        T read(Read fact);

        /** For a fact of this kind. */
        T chosen(Chosen fact);

        /** For a fact of this kind. */
        T cleared(Cleared fact);

        /** For a fact of this kind. */
        T ticked(Ticked fact);

        /** For a fact of this kind. */
        T noted(Noted fact);

        /** For a fact of this kind. */
        T holdBegun(HoldBegun fact);

        /** For a fact of this kind. */
        T held(Held fact);

        /** For a fact of this kind. */
        T ordered(Ordered fact);

        /** For a fact of this kind. */
        T arrived(Arrived fact);

        /** For a fact of this kind. */
        T delivered(Delivered fact);

        /** For a fact of this kind. */
        T pictured(Pictured fact);

        /** For a fact of this kind. */
        T workedBy(WorkedBy fact);

        /** For a fact of this kind. */
        T decided(Decided fact);

        /** For a fact of this kind. */
        T countersigned(Countersigned fact);

        /** For a fact of this kind. */
        T tagged(Tagged fact);

        /** For a fact of this kind. */
        T unread(Unread fact);

        /** For a fact of this kind. */
        T retracted(Retracted fact);
    }

    /** Does what is to be done with a fact of this kind. */
    <T> T in(Cases<T> cases);

    /** The job began with this leg. */
    record Opened(LegRef leg) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.opened(this);
        }
    }

    /** The leg was something else than first written. */
    record LegCorrected(LegRef leg) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.legCorrected(this);
        }
    }

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

        @Override
        public <T> T in(Cases<T> cases) {
            return cases.read(this);
        }
    }

    /** An outcome of a scale was picked. */
    record Chosen(Address about, String outcome) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.chosen(this);
        }
    }

    /** A reading, choice or note no longer stands: not measured. */
    record Cleared(Address about) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.cleared(this);
        }
    }

    /** A step was done, or is not done after all. */
    record Ticked(String step, boolean done) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.ticked(this);
        }
    }

    /** Something was written down. */
    record Noted(Address about, String text) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.noted(this);
        }
    }

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
            implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.holdBegun(this);
        }
    }

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

        @Override
        public <T> T in(Cases<T> cases) {
            return cases.held(this);
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

        @Override
        public <T> T in(Cases<T> cases) {
            return cases.ordered(this);
        }
    }

    /** An order is here. */
    record Arrived(String order, LocalDate on) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.arrived(this);
        }
    }

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
    record Delivered(String order, String supplier, String sku, int came, int back, LocalDate on) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.delivered(this);
        }
    }

    /**
     * A picture was put with something.
     *
     * @param about what it shows
     * @param file its name beside the journal, made from its content
     * @param title what it was called
     */
    record Pictured(Address about, String file, String title) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.pictured(this);
        }
    }

    /**
     * From here on the job goes by this sheet.
     *
     * @param sheet the name of a kept sheet, see {@link Journal#keepSheet}
     * @param said whether it became so by what was typed from the manual at this job
     */
    record WorkedBy(String sheet, boolean said) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.workedBy(this);
        }
    }

    /**
     * The yard has decided something; stands among the yard's own entries, in no job.
     *
     * @param key what it is about, named as its setting
     * @param value what holds from now on; empty where nothing does
     */
    record Decided(String key, String value) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.decided(this);
        }
    }

    /** Somebody who answers for it has looked at what an apprentice proved; who, the entry says. */
    record Countersigned(LocalDate on) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.countersigned(this);
        }
    }

    /** The leg was tagged and the job closed. */
    record Tagged(LocalDate on) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.tagged(this);
        }
    }

    /**
     * What an entry says is not understood here: a newer program wrote it, or a hand that did not know how. It is kept as it is and counts for
     * nothing.
     *
     * @param text the entry as it stands
     * @param why what is not understood
     */
    record Unread(String text, String why) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.unread(this);
        }
    }

    /** An earlier entry is taken back; taking back a retraction does it again. */
    record Retracted(long entry) implements Fact {
        @Override
        public <T> T in(Cases<T> cases) {
            return cases.retracted(this);
        }
    }
}
