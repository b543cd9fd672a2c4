package mussel.desktop.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import mussel.core.measure.Kind;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.desktop.FxThread;
import org.junit.jupiter.api.Test;

class StopsTest {
    private static QuantityField field(String id) {
        return new QuantityField(id, id, Kind.VOLUME, Range.of(0, 1_000));
    }

    private static PickRow row(String id) {
        return new PickRow(id, id, List.of(PickRow.Choice.text("a", "a"), PickRow.Choice.text("b", "b")));
    }

    @Test
    void theFirstOpenOneAnAnsweredOneAndAnOptionalOne() throws Exception {
        FxThread.on(() -> {
            QuantityField given = field("given");
            given.show(OptionalDouble.of(12), YardUnits.METRIC);
            QuantityField optional = field("optional").optional();
            QuantityField known = field("known");
            known.suppose("38 h");
            PickRow open = row("open");
            QuantityField last = field("last");
            Button act = new Button("do it");
            VBox page = new VBox(given, optional, known, open, last, act);
            new Scene(page);
            FocusStops stops = FocusStops.of(page);
            assertThat(stops.first()).contains(open.stop());
            assertThat(stops.nextOpen(open.stop())).contains(last.text());
            assertThat(stops.nextOpen(last.text()))
                    .as("after the last question comes the act")
                    .contains(act);
            assertThat(stops.beside(act, true)).as("round the end").contains(given.text());
            assertThat(stops.beside(given.text(), false)).contains(act);
            assertThat(stops.nextFigure(act)).contains(last);
            open.show(Optional.of("b"));
            assertThat(FocusStops.of(page).first()).contains(last.text());
            return null;
        });
    }

    @Test
    void whatIsHiddenOrCannotBeUsedIsNoStop() throws Exception {
        FxThread.on(() -> {
            QuantityField hidden = field("hidden");
            hidden.setVisible(false);
            Button dead = new Button("dead");
            dead.setDisable(true);
            Button live = new Button("live");
            VBox page = new VBox(hidden, dead, live);
            new Scene(page);
            assertThat(FocusStops.of(page).first()).contains(live);
            assertThat(FocusStops.of(page).beside(live, true)).contains(live);
            return null;
        });
    }
}
