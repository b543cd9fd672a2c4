package mussel.desktop.desk;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;

/** A station sheet: the work of the moment. It shows an assessment and makes entries; it computes nothing. */
public interface StationView {
    /** What stands in the middle of the window. */
    Node node();

    /** Shows the job as it stands. */
    void show(Assessment now);

    /**
     * Fills the station with a job that nobody looks at yet, so that showing it later is quick. Says whether that is all there is to show: what others work
     * out, as an order, is asked for only once somebody looks.
     */
    default boolean prepare(Assessment now) {
        show(now);
        return true;
    }

    /** Whether something runs here that must not be let go of, as a hold. */
    default boolean running() {
        return false;
    }

    /** Does what the act beside the station presses; says whether it is this station's to do. */
    default boolean press(Handle handle) {
        return false;
    }

    /** Shows where a look is entered and returns what takes the focus; says by an empty list that it is not entered here. */
    default List<Node> look(String finding) {
        return List.of();
    }

    /** Shows a round of checks as one list and returns what takes the focus; says by an empty list that it is not entered here. */
    default List<Node> look(String title, List<String> checks) {
        return List.of();
    }

    /** Where the focus begins here; empty where that is the first thing that is not answered. */
    default Optional<Node> begin() {
        return Optional.empty();
    }

    /** The keys that work on this station alone, each with what it does. */
    default List<Key> keys() {
        return List.of();
    }

    /**
     * A key and what it does.
     *
     * @param stroke as it stands on the keyboard
     * @param does what it does, in a few words
     */
    record Key(String stroke, String does) {}
}
