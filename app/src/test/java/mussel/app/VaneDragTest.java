package mussel.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import mussel.core.job.Field;
import mussel.core.job.Station;
import mussel.desktop.kit.SheetPane;
import org.junit.jupiter.api.Test;

/** A vane is bent with the mouse to how it looks. */
class VaneDragTest extends DemoJourney {
    @Test
    void aVaneIsBentByDraggingItsTip() {
        open("Byssus");
        go(Station.PUMP);
        robot.interact(() -> ((SheetPane) window.lookup(".middle")).place(0));
        Node vane = find("#vane-1", Node.class);
        Bounds at = vane.localToScreen(vane.getBoundsInLocal());
        double tip = at.getMinY() + 8;
        robot.drag(at.getCenterX(), tip, MouseButton.PRIMARY)
                .moveTo(at.getCenterX() + 12, tip + 1)
                .moveTo(at.getCenterX() + 26, tip + 4)
                .drop();
        Hands.settle();
        assertThat(now().job().reading(Field.VANE_SET.of("1"))).isPresent();
        assertThat(now().job().reading(Field.VANE_SET.of("1")).orElseThrow()).isBetween(15.0, 60.0);
        assertThat(now().job().read(Field.VANE_SET.of("1")).orElseThrow().typed())
                .endsWith("dragged");
    }
}
