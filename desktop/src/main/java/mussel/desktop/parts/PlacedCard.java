package mussel.desktop.parts;

import java.util.function.BiConsumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.job.Fact;
import mussel.core.job.Order;
import mussel.core.measure.Money;
import mussel.desktop.desk.Desk;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;

/** An order placed: its lines with their days, whether it is here, and its papers. */
final class PlacedCard extends Column {
    PlacedCard(Desk desk, Order order, BiConsumer<Order, String> onPaper) {
        super(4);
        Money money = desk.shop().units().money();
        getStyleClass().add("card");
        if (order.placed().simulated()) {
            getStyleClass().add("simulated");
        }
        String number = order.placed().order();
        Label head = Texts.wrapped(
                "Order " + number + ", " + money.exact(order.placed().total()) + ": "
                        + order.arrived().map(d -> "here since " + d).orElse("all here by " + order.due()),
                "strong");
        getChildren().add(head);
        if (order.placed().simulated()) {
            getChildren()
                    .add(Texts.sentence("Simulated supplier, reference "
                            + order.placed().reference() + ": nothing was ordered and nothing will come."));
        }
        for (Order.Line line : order.placed().lines()) {
            getChildren()
                    .add(Texts.dim(line.qty() + " × " + line.sku() + ", " + line.supplier() + ", "
                            + money.exact(line.cost()) + ", here " + line.due()));
        }
        Button here = new Button("It is here");
        here.setId("arrived-" + number);
        here.setDisable(order.arrived().isPresent());
        here.setOnAction(e -> desk.note(new Fact.Arrived(number, desk.shop().today())));
        Button pdf = new Button("Print it");
        pdf.setOnAction(e -> onPaper.accept(order, "pdf"));
        Button csv = new Button("As CSV");
        csv.setOnAction(e -> onPaper.accept(order, "csv"));
        getChildren().add(new Row(10, here, pdf, csv));
    }
}
