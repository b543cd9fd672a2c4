package mussel.core.instrument;

import java.time.LocalDate;
import java.util.List;

/** Whoever takes an order and says what comes when. */
public interface PartsSupplier {
    /** Its name, as printed. */
    String name();

    /** Whether it is a stand-in that delivers nothing. */
    boolean simulated();

    /**
     * Places an order.
     *
     * @param number the yard's own number for it
     * @param on the day it is placed
     * @param lines what is ordered
     */
    Acknowledgement place(String number, LocalDate on, List<OrderLine> lines);

    /**
     * One line of an order.
     *
     * @param sku the number at the supplier
     * @param supplier who sells it
     * @param qty how many
     * @param leadDays days the catalogue promises (d)
     */
    record OrderLine(String sku, String supplier, int qty, int leadDays) {}

    /**
     * What comes back.
     *
     * @param reference the supplier's number
     * @param lines each line with its day, in the order of the order
     * @param sentences what the supplier says to it
     */
    record Acknowledgement(String reference, List<AcknowledgedLine> lines, List<String> sentences) {
        /** Keeps its own copies. */
        public Acknowledgement {
            lines = List.copyOf(lines);
            sentences = List.copyOf(sentences);
        }
    }

    /**
     * A line as the supplier confirms it.
     *
     * @param sku the number
     * @param qty how many come
     * @param due the day they are here
     */
    record AcknowledgedLine(String sku, int qty, LocalDate due) {}
}
