package mussel.core.book;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mussel.core.job.LegRef;
import mussel.core.log.Due;
import mussel.core.log.DueForecast;
import mussel.core.log.MeterReading;
import mussel.core.log.Visit;
import mussel.core.verdict.Calibration;

/** The book beside the journal: derived from its entries, made anew from them at any time. */
public interface LogBook {
    /** The most answers a search gives. */
    int MOST_FOUND = 100;

    /** Files jobs in place of what was filed of them, and keeps their lines on the bench: all or none. */
    void file(List<Filed> jobs);

    /** Jobs with entries made since anything was filed or owed. */
    List<Integer> stale();

    /** Notes jobs that are to be filed later; they are not stale any more until they go on. */
    void owe(List<Integer> jobs);

    /** Jobs that wait to be filed, the latest first. */
    List<Integer> owed();

    /** Files jobs that were owed, as they stood when they came to be, and lets those be that were filed since. */
    void settle(List<Filed> jobs);

    /** What was filed of a job. */
    Optional<Visit> visit(int job);

    /** Every visit of a leg, the latest first. */
    List<Visit> visits(String leg);

    /** Every visit there is, leg by leg, each leg's in the order of its jobs. Not for the interface's own thread. */
    List<Visit> every();

    /** The last visits of legs of a family that were tagged, the latest first. */
    List<Visit> lately(String family, int most);

    /** Searches, the latest job first. */
    List<Found> search(Query query);

    /** How many jobs there are. */
    int jobs();

    /** Boats, families and years there are, for the filters. */
    Choices choices();

    /** The other leg of a boat with two, as last seen. */
    Optional<String> twin(String leg);

    /** Everything ever renewed, leg by leg in the order of its jobs. */
    List<Renewed> renewals();

    /** The last reading of each leg's meter. */
    Map<String, MeterReading> lastReadings();

    /**
     * What tagged jobs say is due, by the day it is likely due: of each leg and each service the last job that says so, with every reading
     * of that leg's meter.
     */
    List<Awaiting> due(int most);

    /** The same without the readings: all that the bench shows at the start. */
    List<Awaiting> next(int most);

    /** Every cause confirmed or ruled out when a case was opened, with what had been expected. */
    List<Calibration.Judged> judged();

    /** Asks the book on a connection of its own, for work on another thread. */
    <T> T aside(Function<LogBook, T> ask);

    /**
     * What is looked for.
     *
     * @param text words as typed; the last one may be unfinished; empty for all
     * @param state on the bench, tagged, or either
     * @param family a family's id; empty for all
     * @param year a year; empty for all
     */
    record Query(String text, State state, Optional<String> family, Optional<Integer> year) {
        /** Only words. */
        public static Query of(String text) {
            return new Query(text, State.ANY, Optional.empty(), Optional.empty());
        }
    }

    /** Which jobs. */
    enum State {
        /** All. */
        ANY,
        /** On the bench. */
        OPEN,
        /** Tagged. */
        TAGGED
    }

    /**
     * A job found.
     *
     * @param job the job's number
     * @param leg the leg's id
     * @param title boat and position
     * @param family the family's name
     * @param day the day it counts for
     * @param tagged whether it is tagged
     * @param snippet where the words stand, the hits between {@code [} and {@code ]}; empty where no words were asked for
     */
    record Found(int job, String leg, String title, String family, LocalDate day, boolean tagged, String snippet) {}

    /**
     * What the filters offer.
     *
     * @param families names of families by their ids
     * @param years years with jobs, the latest first
     */
    record Choices(Map<String, String> families, List<Integer> years) {}

    /**
     * Something was renewed on a leg.
     *
     * @param leg the leg
     * @param hours the engine's meter then (h)
     * @param water what it runs in; empty where nobody said
     * @param sand whether it runs in sand or shallows
     * @param renewal what, and whether the old one had failed
     */
    record Renewed(String leg, double hours, Optional<String> water, boolean sand, Visit.Renewal renewal) {}

    /**
     * Something due on a leg.
     *
     * @param job the job whose tag says so
     * @param leg the leg
     * @param due what, and its limits
     * @param likely the day it is likely due, by hours or calendar, as its leg runs
     * @param readings every reading of the leg's meter
     */
    record Awaiting(int job, LegRef leg, Due due, LocalDate likely, List<MeterReading> readings) {
        /** Keeps its own copy. */
        public Awaiting {
            readings = List.copyOf(readings);
        }

        /** The same, the day worked out from the readings. */
        public Awaiting(int job, LegRef leg, Due due, List<MeterReading> readings) {
            this(job, leg, due, DueForecast.likely(due, readings), readings);
        }
    }
}
