package mussel.desktop.desk;

import javafx.scene.Node;
import mussel.core.job.Assessment;

/** A station sheet: the work of the moment. It shows an assessment and makes entries; it computes nothing. */
public interface StationView {
    /** What stands in the middle of the window. */
    Node node();

    /** Shows the job as it stands. */
    void show(Assessment now);
}
