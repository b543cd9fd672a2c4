package mussel.desktop.parts;

import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import mussel.core.job.Fact;
import mussel.core.job.Order;
import mussel.core.language.Messages;
import mussel.core.measure.Kind;
import mussel.core.measure.Money;
import mussel.core.measure.Range;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** An order placed: its lines with their days, what came of it and what went back, and its papers. */
final class PlacedCard extends Column {
    private static final Messages TEXT = Messages.of(PlacedCard.class);

    private final Desk desk;
    private final Order order;
    private final Money money;

    PlacedCard(Desk desk, Order order, BiConsumer<Order, String> onPaper) {
        super(4);
        this.desk = desk;
        this.order = order;
        this.money = desk.shop().units().money();
        getStyleClass().add("card");
        if (order.placed().simulated()) {
            getStyleClass().add("simulated");
        }
        String number = order.placed().order();
        Label head = Texts.wrapped(
                TEXT.get(
                        "placed_card.order",
                        number,
                        money.exact(order.placed().total()),
                        order.arrived()
                                .map(d -> TEXT.get("placed_card.here_since", d))
                                .orElse((order.delivered().isEmpty()
                                                ? TEXT.get("placed_card.all_here_by")
                                                : TEXT.get("placed_card.the_rest_here_by"))
                                        + order.due())),
                "strong");
        getChildren().add(head);
        if (order.placed().simulated()) {
            getChildren()
                    .add(Texts.sentence(TEXT.get(
                            "placed_card.simulated_supplier_reference_nothing_was_ordered",
                            order.placed().reference())));
        }
        Column lines = new Column(3);
        order.placed().lines().forEach(line -> lines.getChildren().add(Texts.dim(said(line))));
        Button here = new Button(TEXT.get("placed_card.it_is_here"));
        here.setId("arrived-" + number);
        here.setDisable(order.arrived().isPresent());
        here.setOnAction(e -> desk.note(new Fact.Arrived(number, desk.shop().today())));
        Button some = new Button(TEXT.get("placed_card.some_of_it_came"));
        some.setId("some-" + number);
        some.setDisable(order.arrived().isPresent());
        some.setOnAction(e -> {
            lines.getChildren().clear();
            for (int i = 0; i < order.placed().lines().size(); i++) {
                lines.getChildren().add(part(i, order.placed().lines().get(i)));
            }
            FocusStops.of(lines).first().ifPresent(Node::requestFocus);
        });
        Button pdf = new Button(TEXT.get("placed_card.print_it"));
        pdf.setOnAction(e -> onPaper.accept(order, "pdf"));
        Button csv = new Button(TEXT.get("placed_card.as_csv"));
        csv.setOnAction(e -> onPaper.accept(order, "csv"));
        getChildren().addAll(lines, new Row(10, here, some, pdf, csv));
    }

    private String said(Order.Line line) {
        int still = order.still(line);
        String came = order.delivered().isEmpty() || order.arrived().isPresent() && order.back(line) == 0
                ? ""
                : still == 0
                        ? TEXT.get("placed_card.all_of_it_here")
                        : TEXT.get("placed_card.here_to_come", (line.qty() - still), still);
        return TEXT.get(
                "placed_card.here",
                line.qty(),
                line.sku(),
                line.supplier(),
                money.exact(line.cost()),
                line.due(),
                came,
                (order.back(line) > 0 ? TEXT.get("placed_card.went_back", order.back(line)) : ""));
    }

    /** A line of which some came: how many, and how many of those go back. */
    private Node part(int number, Order.Line line) {
        int still = order.still(line);
        Label what = Texts.sentence(TEXT.get("placed_card.still_to_come_from", still, line.sku(), line.supplier()));
        what.setMinWidth(0);
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        if (still == 0) {
            return Texts.dim(said(line));
        }
        double[] counts = {still, 0};
        Button take = new Button(TEXT.get("placed_card.take_in"));
        take.setId("came-take-" + number);
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setOnAction(e -> desk.note(new Fact.Delivered(
                order.placed().order(),
                line.supplier(),
                line.sku(),
                (int) counts[0],
                (int) counts[1],
                desk.shop().today())));
        Row row = new Row(
                10,
                what,
                count("came-" + number, "came", counts, 0, 100 * line.qty(), take),
                count("back-" + number, TEXT.get("placed_card.of_these_back"), counts, 1, 100 * line.qty(), take),
                take);
        row.setAlignment(Pos.BOTTOM_LEFT);
        return row;
    }

    private static Node count(String id, String label, double[] counts, int which, int most, Button take) {
        QuantityField field = new QuantityField(id, label, Kind.COUNT, Range.of(0, most)).optional();
        field.onEnter((typed, value) -> {
                    counts[which] = Math.round(value);
                    field.show(OptionalDouble.of(counts[which]), YardUnits.METRIC);
                    take.setDisable(counts[0] < 1 || counts[1] > counts[0]);
                })
                .onClear(() -> {
                    counts[which] = 0;
                    take.setDisable(counts[0] < 1);
                });
        if (which == 0) {
            field.show(OptionalDouble.of(counts[0]), YardUnits.METRIC);
        }
        return field;
    }
}
