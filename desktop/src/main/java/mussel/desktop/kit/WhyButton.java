package mussel.desktop.kit;

import atlantafx.base.controls.Popover;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import mussel.core.language.Messages;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;

/** A small button beside a figure that says why it is what it is. */
public final class WhyButton extends Button {
    private static final Messages TEXT = Messages.of(WhyButton.class);

    private static final double WIDTH = 420;

    private final Supplier<Optional<Explanation>> why;

    /** A button that asks for the explanation when pressed. */
    public WhyButton(String id, Supplier<Optional<Explanation>> why) {
        super("why?");
        this.why = why;
        setId(id);
        getStyleClass().add("why");
        setOnAction(e -> why.get().ifPresent(this::explain));
    }

    /** Opens the explanation, if there is one now. */
    public void open() {
        why.get().ifPresent(this::explain);
    }

    private void explain(Explanation explanation) {
        new Callout(explanation.title(), Popover.ArrowLocation.RIGHT_CENTER).open(this, page(explanation));
    }

    /** The explanation as a page. */
    static VBox page(Explanation explanation) {
        VBox page = new Column(6);
        page.getStyleClass().add("why-page");
        page.setPrefWidth(WIDTH);
        page.setMaxWidth(WIDTH);
        page.getChildren().add(line(explanation.title() + ": " + explanation.figure(), "why-title"));
        page.getChildren().add(line(explanation.formula(), "why-formula"));
        GridPane inputs = new GridPane(14, 2);
        int row = 0;
        for (InputLine input : explanation.inputs()) {
            inputs.addRow(
                    row++, line(input.name(), "dim"), line(input.figure(), "strong"), line(input.origin(), "dim"));
        }
        page.getChildren().add(inputs);
        page.getChildren().add(line(explanation.uncertainty(), "plain"));
        page.getChildren().add(line(TEXT.get("why_button.what_would_change_it", explanation.wouldChange()), "plain"));
        page.getChildren().add(line(TEXT.get("why_button.source", explanation.source()), "dim"));
        return page;
    }

    private static Label line(String text, String style) {
        Label label = new Words(text);
        label.setWrapText(true);
        label.setMaxWidth(WIDTH);
        label.getStyleClass().add(style);
        return label;
    }

    /** Opens the one of a page that stands nearest to what has the focus; the first where nothing has. */
    public static void openNearest(Parent page, Node focused) {
        page.lookupAll(".why").stream()
                .filter(n -> n instanceof WhyButton && seen(n))
                .map(WhyButton.class::cast)
                .min(Comparator.comparingDouble(n -> Math.abs(middle(n) - (focused == null ? 0 : middle(focused)))))
                .ifPresent(WhyButton::open);
    }

    /** Pages and stations that are kept but not shown have theirs too: of a leg that may be another one by now. */
    private static boolean seen(Node node) {
        return Stream.iterate(node, n -> n != null, Node::getParent).allMatch(Node::isVisible);
    }

    private static double middle(Node node) {
        return node.localToScene(node.getBoundsInLocal()).getCenterY();
    }
}
