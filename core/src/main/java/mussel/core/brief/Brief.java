package mussel.core.brief;

import java.util.List;
import java.util.Optional;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.RepairQuestion;
import mussel.core.job.Station;

/**
 * What is said beside a station, in the order it is read.
 *
 * @param cautions where a hand would be hurt at this moment; the first are shown, never more than {@link #MOST_CAUTIONS}
 * @param head the one sentence of this station
 * @param under what belongs to it; empty where nothing does
 * @param changes whether the sentence is the verdict's, so that what the last entry moved is told
 * @param asksAdvice whether the act follows from rounds of checks and sets of repairs, which take longer to work out
 * @param act the one thing to do next; empty where the job is closed
 * @param folds what is folded away, a line each
 */
public record Brief(
        List<String> cautions,
        String head,
        String under,
        boolean changes,
        boolean asksAdvice,
        Optional<Act> act,
        List<Fold> folds) {
    /** As many cautions as a hand can mind at once; the rest stand at their step. */
    public static final int MOST_CAUTIONS = 2;
    /** As many folded lines as fit a window of 1280 by 800 beside everything else. */
    public static final int MOST_FOLDS = 6;

    /** Keeps its own copies, cut to what fits. */
    public Brief {
        cautions = cautions.stream().limit(MOST_CAUTIONS).toList();
        folds = folds.stream().limit(MOST_FOLDS).toList();
    }

    /** What is said beside a station of a job. */
    public static Brief of(Assessment now, Station station) {
        return of(now, station, Optional.empty());
    }

    /** The same with rounds of checks and sets of repairs, where they are worked out: the act is a round, or taking the best set. */
    public static Brief of(Assessment now, Station station, Optional<RepairQuestion.Answer> repairs) {
        return new Briefing(now, station, repairs).brief();
    }

    /**
     * The act of the moment.
     *
     * @param title what is done, as it stands on the button
     * @param note what it takes and what it brings; empty where nothing is to be said
     * @param deed what it does
     */
    public record Act(String title, String note, Deed deed) {}

    /** What an act does. */
    public sealed interface Deed {
        /** Leads to another station. */
        record Go(Station to) implements Deed {}

        /** Makes entries. */
        record Enter(List<Fact> facts) implements Deed {
            /** Keeps its own copy. */
            public Enter {
                facts = List.copyOf(facts);
            }
        }

        /** Leads to where a look is entered. */
        record Look(String finding) implements Deed {}

        /** Leads to a round of checks as one list, answered key by key. */
        record Round(String title, List<String> looks) implements Deed {
            /** Keeps its own copy. */
            public Round {
                looks = List.copyOf(looks);
            }
        }

        /** Presses what stands on the station itself. */
        record Press(Handle handle) implements Deed {}
    }

    /** What an act presses on a station, or where it puts the hand. */
    public enum Handle {
        /** The first thing that is not answered. */
        FIRST_OPEN,
        /** The list of steps is turned to, where another page of the station is shown. */
        STEPS,
        /** A hold is begun or goes on. */
        HOLD,
        /** What the shelf has is taken. */
        TAKE_FROM_SHELF,
        /** The cheapest order is placed. */
        ORDER,
        /** An order has come. */
        ARRIVED,
        /** The owner's estimate is printed. */
        PRINT_ESTIMATE,
        /** The word that lets an unproven leg be tagged. */
        TAG_WORD,
        /** The leg is tagged. */
        TAG,
        /** The job sheet is printed. */
        PRINT_JOB
    }

    /**
     * Something folded away.
     *
     * @param id its name
     * @param title what it is
     * @param value what it comes to, in few words
     * @param lines what it says when it is opened
     */
    public record Fold(String id, String title, String value, List<String> lines) {
        private static final int MOST_LINES = 6;

        /** Keeps its own copy, cut to what fits. */
        public Fold {
            lines = lines.stream().limit(MOST_LINES).toList();
        }
    }
}
