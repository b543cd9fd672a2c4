package mussel.desktop.plan;

import java.util.List;
import java.util.function.IntConsumer;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.layout.Pane;
import mussel.core.job.TorqueWork;
import mussel.core.job.TorqueWork.Bolt;
import mussel.core.job.TorqueWork.State;
import mussel.core.language.Messages;
import mussel.core.torque.TorqueInput.Layout;

/** Bolts where they stand, numbered in the order of tightening; each is a button, and says by shape and word how far it is. */
final class BoltPattern extends Pane {
    private static final Messages TEXT = Messages.of(BoltPattern.class);

    private static final double SIZE = 46;
    private static final double GAP = 14;
    private static final double RADIUS = 76;

    private final IntConsumer onBolt;

    /** A pattern that says which bolt, as numbered on the sheet, was pressed. */
    BoltPattern(IntConsumer onBolt) {
        this.onBolt = onBolt;
        getStyleClass().add("bolt-pattern");
    }

    void show(TorqueWork work) {
        List<Integer> order = work.result().order();
        int next = work.next().map(Bolt::number).orElse(0);
        getChildren().clear();
        double right = 0;
        double bottom = 0;
        for (Bolt bolt : work.bolts()) {
            Button button = new Button(mark(bolt.state()) + (order.indexOf(bolt.number()) + 1));
            button.setId("bolt-" + work.fastener().id() + "-" + bolt.number());
            button.getStyleClass().add("bolt");
            button.pseudoClassStateChanged(PseudoClass.getPseudoClass("next"), bolt.number() == next);
            button.pseudoClassStateChanged(PseudoClass.getPseudoClass("done"), bolt.state() == State.DONE);
            button.pseudoClassStateChanged(
                    PseudoClass.getPseudoClass("off"), bolt.state() == State.UNDER || bolt.state() == State.OVER);
            button.setAccessibleRole(AccessibleRole.BUTTON);
            button.setAccessibleText(TEXT.get(
                    "bolt_pattern.bolt_in_the_order",
                    bolt.number(),
                    (order.indexOf(bolt.number()) + 1),
                    bolt.state().title()));
            button.setOnAction(e -> onBolt.accept(bolt.number()));
            Point2D at = place(work, bolt.number());
            button.resizeRelocate(at.getX(), at.getY(), SIZE, SIZE);
            right = Math.max(right, at.getX() + SIZE);
            bottom = Math.max(bottom, at.getY() + SIZE);
            getChildren().add(button);
        }
        setMinSize(right + 4, bottom + 4);
        setPrefSize(right + 4, bottom + 4);
        setMaxSize(right + 4, bottom + 4);
    }

    /** A tick for done, a bar below or above for under and over: never by colour alone. */
    private static String mark(State state) {
        return switch (state) {
            case OPEN -> "";
            case DONE -> "✓";
            case UNDER -> "↓";
            case OVER -> "↑";
        };
    }

    private static Point2D place(TorqueWork work, int number) {
        int count = work.bolts().size();
        if (work.input().layout() == Layout.GRID) {
            int columns = (int) work.input().columns().orElse(2);
            return new Point2D((number - 1) % columns * (SIZE + 3 * GAP), (number - 1) / columns * (SIZE + GAP));
        }
        if (work.input().layout() == Layout.LINE || count < 3) {
            return new Point2D((number - 1) * (SIZE + GAP), 0);
        }
        double angle = -Math.PI / 2 + 2 * Math.PI * (number - 1) / count;
        return new Point2D(RADIUS + RADIUS * Math.cos(angle), RADIUS + RADIUS * Math.sin(angle));
    }

    @Override
    protected void layoutChildren() {
        // Bolts stand where show put them.
    }
}
