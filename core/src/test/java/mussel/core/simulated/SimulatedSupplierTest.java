package mussel.core.simulated;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import mussel.core.instrument.PartsSupplier.Acknowledgement;
import mussel.core.instrument.PartsSupplier.OrderLine;
import mussel.core.instrument.Telltale;
import org.junit.jupiter.api.Test;

class SimulatedSupplierTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 23);

    @Test
    void everyLineIsAcknowledgedNeverSoonerThanPromisedAndLateOnesAreSaid() {
        SimulatedSupplier supplier = new SimulatedSupplier();
        int late = 0;
        for (int n = 0; n < 60; n++) {
            Acknowledgement reply = supplier.place("7-" + n, DAY, List.of(new OrderLine("S", "A", 2, 3)));
            assertThat(reply).isEqualTo(supplier.place("7-" + n, DAY, List.of(new OrderLine("S", "A", 2, 3))));
            assertThat(reply.lines()).singleElement().satisfies(l -> {
                assertThat(l.qty()).isEqualTo(2);
                assertThat(l.due()).isBetween(DAY.plusDays(3), DAY.plusDays(7));
            });
            boolean isLate = reply.lines().get(0).due().isAfter(DAY.plusDays(3));
            assertThat(reply.sentences()).hasSize(isLate ? 1 : 0);
            late += isLate ? 1 : 0;
        }
        assertThat(late).isBetween(1, 30);
        assertThat(supplier.simulated()).isTrue();
    }

    @Test
    void aTorqueWrenchStaysNearItsSettingAndIsTheSameForTheSameSeed() {
        SimulatedTorqueWrench wrench = new SimulatedTorqueWrench(3);
        SimulatedTorqueWrench again = new SimulatedTorqueWrench(3);
        for (int i = 0; i < 200; i++) {
            double reached = wrench.pull(37, 0.03);
            assertThat(reached).isBetween(35.0, 39.0).isEqualTo(again.pull(37, 0.03));
        }
        assertThat(wrench.simulated()).isTrue();
    }

    @Test
    void aTelltaleScattersAroundTheFlowItIsGiven() {
        SimulatedTelltale telltale = new SimulatedTelltale(5);
        double sum = 0;
        for (int i = 0; i < 400; i++) {
            Telltale.Caught caught = telltale.fill(2, 1.5);
            sum += caught.litres() / caught.seconds() * 60;
        }
        assertThat(sum / 400).isBetween(1.45, 1.55);
        assertThat(telltale.simulated()).isTrue();
        assertThat(telltale.fill(2, 0).seconds()).isFinite();
    }
}
