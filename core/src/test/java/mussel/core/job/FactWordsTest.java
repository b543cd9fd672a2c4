package mussel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.leak.LeakMode;
import org.junit.jupiter.api.Test;

class FactWordsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 23);
    private static final LegRef LEG = new LegRef("l", "Byssus", LegRef.Position.SINGLE, "tern-60");
    private static final List<Fact> ONE_OF_EACH = List.of(
            new Fact.Opened(LEG),
            new Fact.LegCorrected(LEG),
            Fact.Read.byHand(Field.DRAINED.address(), 452, "452 ml"),
            new Fact.Chosen(Address.the("oil_water"), "milky"),
            new Fact.Cleared(Address.the("oil_water")),
            new Fact.Ticked("leg_off", true),
            new Fact.Noted(Topic.COMPLAINT.address(), "milky"),
            new Fact.HoldBegun("h", LeakMode.VACUUM, 0.1, "gauge", true),
            new Fact.Held("h", List.of()),
            new Fact.Ordered("7", "A-1", true, List.of(), 0, 10),
            new Fact.Arrived("7", DAY),
            new Fact.Delivered("7", "skerry", "T60-0601", 2, 0, DAY),
            new Fact.Pictured(Address.the("stack"), "abc.png", "stack.png"),
            new Fact.WorkedBy("sheet", true),
            new Fact.Decided("labour_per_h", "90"),
            new Fact.Countersigned(DAY),
            new Fact.Tagged(DAY),
            new Fact.Unread("{}", "newer"),
            new Fact.Retracted(3));

    @Test
    void everyKindOfFactIsHere() {
        assertThat(ONE_OF_EACH.stream().map(Object::getClass).collect(Collectors.toSet()))
                .isEqualTo(Stream.of(Fact.class.getPermittedSubclasses()).collect(Collectors.toSet()));
    }

    @Test
    void noKindIsNamedAsAnother() {
        assertThat(ONE_OF_EACH.stream().map(FactWords::of)).doesNotHaveDuplicates();
        assertThat(ONE_OF_EACH.stream()
                        .filter(f -> !(f instanceof Fact.LegCorrected))
                        .map(FactWords::of))
                .noneMatch(w -> w.contains("leg name"));
    }

    @Test
    void undoNamesWhatItWouldTakeBack() {
        assertThat(FactWords.of(ONE_OF_EACH.get(2))).isEqualTo("drained 452 ml");
        assertThat(FactWords.of(new Fact.Chosen(Address.the("oil_water"), "milky")))
                .isEqualTo("Water in the oil: milky");
        assertThat(FactWords.of(new Fact.HoldBegun("h", LeakMode.PRESSURE, 0.1, "gauge", true)))
                .isEqualTo("whole pressure test");
        assertThat(FactWords.of(ONE_OF_EACH.get(9))).isEqualTo("order 7");
        assertThat(FactWords.of(ONE_OF_EACH.get(11))).isEqualTo("delivery of 2 × T60-0601");
    }
}
