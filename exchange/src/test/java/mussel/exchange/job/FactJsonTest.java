package mussel.exchange.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.core.leak.Stage;
import mussel.core.parts.Wanted;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class FactJsonTest {
    static Stream<Fact> everyKind() {
        Address magnet = new Address("magnet", "drain");
        LegRef leg = new LegRef("l1", "Spat Lass \"é\" \n", LegRef.Position.PORT, "tern-60");
        return Stream.of(
                new Fact.Opened(leg),
                new Fact.LegCorrected(leg),
                new Fact.Read(magnet, 0.1 + 0.2, "0,3", "by hand", true),
                new Fact.Chosen(magnet, "paste"),
                new Fact.Cleared(magnet),
                new Fact.Ticked("leg_drop", false),
                new Fact.Noted(magnet, "plain, spring, plain"),
                new Fact.HoldBegun("p-1", LeakMode.VACUUM, 0.1, "simulated leak tester", true),
                new Fact.Held(
                        "p-1",
                        List.of(
                                new LeakReading(0.1, -48.2, 18.1, Optional.of(Stage.SIDE_LOAD)),
                                new LeakReading(0.2, -48.1, 18.1, Optional.empty()))),
                new Fact.Ordered(
                        "7-1",
                        "SIM-1F",
                        true,
                        List.of(new Order.Line(
                                "KIT", "A", 2, 96.5, List.of(new Wanted("ds_seal", 2)), LocalDate.of(2026, 11, 27))),
                        6,
                        102.5),
                new Fact.Arrived("7-1", LocalDate.of(2026, 11, 27)),
                new Fact.Countersigned(LocalDate.of(2026, 11, 27)),
                new Fact.Delivered("7-1", "Skerry", "T60-1302", 3, 1, LocalDate.of(2026, 11, 27)),
                new Fact.Pictured(magnet, "00ff.png", "washers.png"),
                new Fact.WorkedBy("00112233445566778899aabbccddeeff", true),
                new Fact.Decided("sheet:byssus", "{\"title\":\"Byssus\"}"),
                new Fact.Tagged(LocalDate.of(2026, 11, 23)),
                new Fact.Retracted(17),
                new Fact.Unread("{\"kind\":", "it is not whole"));
    }

    @ParameterizedTest
    @MethodSource("everyKind")
    void writingAndReadingLosesNothing(Fact fact) {
        assertThat(FactJson.read(FactJson.write(fact))).isEqualTo(fact);
    }

    @Test
    void everyKindOfFactIsCovered() {
        assertThat(everyKind().map(Object::getClass)).containsExactlyInAnyOrder(Fact.class.getPermittedSubclasses());
    }

    @Test
    void whatIsNoEntryIsRefused() {
        assertThatThrownBy(() -> FactJson.read("{\"kind\":\"guess\"}")).isInstanceOf(IllegalArgumentException.class);
    }
}
