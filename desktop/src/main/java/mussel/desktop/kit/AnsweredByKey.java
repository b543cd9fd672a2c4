package mussel.desktop.kit;

import javafx.event.Event;
import javafx.event.EventType;

/** Fired by a question that was answered by key, so that whoever holds it goes on to the next open one. */
public final class AnsweredByKey extends Event {
    /** The only type there is. */
    public static final EventType<AnsweredByKey> ANSWERED = new EventType<>(Event.ANY, "ANSWERED");

    private static final long serialVersionUID = 1L;

    /** The event. */
    public AnsweredByKey() {
        super(ANSWERED);
    }
}
