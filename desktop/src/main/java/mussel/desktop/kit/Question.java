package mussel.desktop.kit;

import javafx.scene.Node;

/** What asks for one thing on a page: a figure, a pick, a tick. It is one stop of the Tab key. */
public interface Question {
    /** Whether it still waits for an answer. */
    boolean open();

    /** What takes the focus when the question is come to. */
    Node stop();
}
