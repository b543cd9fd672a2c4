package mussel.desktop.parts;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import mussel.core.job.Supply;
import mussel.core.measure.Display;
import mussel.core.parts.Objective;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;
import mussel.desktop.kit.Texts;

/** An order worked out but not placed: what it costs, when it is here, its lines, and what its kits leave out. */
final class OrderCard extends VBox {
    private final Label title;
    private final Label figure = Texts.wrapped("", "large");
    private final Label when = Texts.sentence("");
    private final VBox lines = new VBox(2);
    private final VBox left = new VBox(4);
    private final Button place = new Button("Order this");

    OrderCard(Objective objective, Runnable onPlace) {
        super(6);
        getStyleClass().add("card");
        title = Texts.heading(objective == Objective.COST ? "For the least money" : "Soonest");
        place.setId(objective == Objective.COST ? "order-cheapest" : "order-soonest");
        place.getStyleClass().add("act");
        place.setOnAction(e -> onPlace.run());
        getChildren().addAll(title, figure, when, place, left, lines);
    }

    void show(Supply.Answer answer) {
        PartsResult out = answer.result();
        boolean any = out.feasible() && !out.lines().isEmpty();
        place.setDisable(!any);
        figure.setText(out.feasible() ? Display.money(out.total().orElse(0)) : "not to be had");
        when.setText(
                any
                        ? "All here in " + PartsWords.days(out.leadDays().orElse(0)) + ". Shipping "
                                + Display.money(out.shipping()) + "."
                                + (out.gap() > 0 ? " Not proven to be the best." : "")
                        : answer.words().summary());
        lines.getChildren()
                .setAll(out.lines().stream()
                        .map(l -> Texts.dim(l.qty() + " × " + l.sku() + ", " + l.supplier() + ", "
                                + Display.money(l.cost()) + ", " + PartsWords.days(l.leadDays())))
                        .toList());
        left.getChildren()
                .setAll(answer.words().leftOut().stream().map(Texts::caution).toList());
        answer.words().shelfAndSpare().forEach(n -> left.getChildren().add(Texts.dim(n)));
    }

    /** Where the other card shows the same order. */
    void same() {
        when.setText("The cheapest order is the soonest too.");
        lines.getChildren().clear();
        left.getChildren().clear();
        place.setDisable(true);
    }

    /** While the solver is at work. */
    void wait(String sentence) {
        figure.setText("…");
        when.setText(sentence);
        place.setDisable(true);
    }
}
