package mussel.core.simulated;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import mussel.core.instrument.PartsSupplier;
import mussel.core.language.Messages;

/**
 * A supplier that takes orders and delivers nothing. It acknowledges as real ones do: most lines as promised, now and then one a few days
 * late. The same order number gets the same answer.
 */
public final class SimulatedSupplier implements PartsSupplier {
    private static final Messages TEXT = Messages.of(SimulatedSupplier.class);

    private static final double LATE_SHARE = 0.15;
    private static final int MOST_LATE_DAYS = 4;

    @Override
    public String name() {
        return TEXT.get("simulated_supplier.simulated_supplier");
    }

    @Override
    public boolean simulated() {
        return true;
    }

    @Override
    public Acknowledgement place(String number, LocalDate on, List<OrderLine> lines) {
        SplittableRandom random = new SplittableRandom(number.hashCode());
        List<AcknowledgedLine> acknowledged = new ArrayList<>();
        List<String> sentences = new ArrayList<>();
        for (OrderLine line : lines) {
            boolean late = random.nextDouble() < LATE_SHARE;
            int days = line.leadDays() + (late ? 1 + random.nextInt(MOST_LATE_DAYS) : 0);
            acknowledged.add(new AcknowledgedLine(line.sku(), line.qty(), on.plusDays(days)));
            if (late) {
                sentences.add(TEXT.get(
                        "simulated_supplier.says_comes_later_than_promised_on",
                        line.supplier(),
                        line.sku(),
                        (days - line.leadDays()),
                        (days - line.leadDays() == 1 ? " day" : " days"),
                        on.plusDays(days)));
            }
        }
        return new Acknowledgement(
                "SIM-" + Integer.toHexString(number.hashCode()).toUpperCase(java.util.Locale.ROOT),
                acknowledged,
                sentences);
    }
}
