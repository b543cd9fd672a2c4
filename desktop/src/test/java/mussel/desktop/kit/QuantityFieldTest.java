package mussel.desktop.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.event.ActionEvent;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.desktop.FxThread;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityFieldTest {
    private final List<Double> entered = new ArrayList<>();
    private final List<Optional<Double>> drafts = new ArrayList<>();
    private int cleared;

    private QuantityField field() {
        QuantityField field = new QuantityField("field-pressure", "held at", Kind.PRESSURE, Range.of(-101, 300))
                .onEnter((typed, value) -> entered.add(value))
                .onDraft(drafts::add)
                .onClear(() -> cleared++);
        field.show(OptionalDouble.of(50), YardUnits.METRIC);
        return field;
    }

    private static void type(QuantityField field, String text) {
        field.text().setText(text);
        field.text().fireEvent(new ActionEvent());
    }

    @Test
    void anotherUnitIsUnderstoodAndShown() throws Exception {
        FxThread.on(() -> {
            QuantityField field = field();
            type(field, "9 psi");
            assertThat(entered).singleElement().satisfies(v -> assertThat(v).isBetween(62.05, 62.06));
            assertThat(field.reply()).isEmpty();
            return null;
        });
    }

    @Test
    void whatIsTypedIsADraftAtEachKeystroke() throws Exception {
        FxThread.on(() -> {
            QuantityField field = field();
            field.text().setText("6");
            field.text().setText("62");
            field.text().setText("62 p");
            field.text().setText("9 psi");
            assertThat(drafts.get(0)).contains(6.0);
            assertThat(drafts.get(1)).contains(62.0);
            assertThat(drafts.get(2)).isEmpty();
            assertThat(field.reply()).isEqualTo("= 62.05 kPa");
            assertThat(entered).isEmpty();
            return null;
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"nonsense", "70 in-lb", "400 kPa", "-200", "1,2,3"})
    void nonsenseIsRefusedInWordsAndTheOldValueStays(String text) throws Exception {
        FxThread.on(() -> {
            QuantityField field = field();
            type(field, text);
            assertThat(entered).isEmpty();
            assertThat(cleared).isZero();
            assertThat(field.reply()).endsWith("Still 50 kPa.");
            assertThat(field.text().getText()).isEqualTo(text);
            return null;
        });
    }

    @Test
    void blankMeansNotMeasuredNeverZero() throws Exception {
        FxThread.on(() -> {
            QuantityField field = field();
            type(field, "  ");
            assertThat(entered).isEmpty();
            assertThat(cleared).isEqualTo(1);
            return null;
        });
    }

    @Test
    void otherUnitsOfTheYardAreShownAtOnce() throws Exception {
        FxThread.on(() -> {
            QuantityField field = field();
            field.show(OptionalDouble.of(50), YardUnits.US);
            assertThat(field.text().getText()).isEqualTo("7.25 psi");
            return null;
        });
    }
}
