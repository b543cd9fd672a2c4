package mussel.desktop.book;

import javafx.scene.Node;

/** One page of the book. */
interface BookPage {
    /** What is shown. */
    Node node();

    /** Brings it up to date. */
    void show();

    /** Takes the last change made here back, where one can be. */
    default void undo() {}

    /** Makes it again. */
    default void redo() {}
}
