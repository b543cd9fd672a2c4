package mussel.desktop.kit;

import javafx.event.Event;
import javafx.event.EventType;

/** Fired by what took the focus by a key of its own, so that whoever scrolls it brings it into sight. */
public final class ScrollIntoView extends Event {
    /** The only type there is. */
    public static final EventType<ScrollIntoView> SEEN = new EventType<>(Event.ANY, "SEEN");

    private static final long serialVersionUID = 1L;

    /** The event. */
    public ScrollIntoView() {
        super(SEEN);
    }
}
