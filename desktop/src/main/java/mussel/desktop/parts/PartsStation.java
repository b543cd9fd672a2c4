package mussel.desktop.parts;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.instrument.PartsSupplier;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Order;
import mussel.core.job.OrderTable;
import mussel.core.job.SecondWave;
import mussel.core.job.Suppliers;
import mussel.core.job.Supply;
import mussel.core.language.Messages;
import mussel.core.parts.Objective;
import mussel.core.parts.Offer;
import mussel.core.parts.PartsInput;
import mussel.core.parts.PartsResult;
import mussel.core.parts.PartsWords;
import mussel.core.parts.Wanted;
import mussel.desktop.desk.ConsentLine;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.Paper;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundTask;
import mussel.work.desk.Desk;

/** The parts: what the job needs, what the shelf has, and the cheapest and the soonest order for the rest beside each other. */
public final class PartsStation implements StationView {
    private static final Messages TEXT = Messages.of(PartsStation.class);

    private final Desk desk;
    private final JobFields fields;
    private final VBox sheet = new Column(12);
    private final Label summary = Texts.sentence("");
    private final ConsentLine consent = new ConsentLine();
    private final Label wave = Texts.sentence("");
    private final VBox needed = new Column(4);
    private final Rows<PartRow> rows;
    private final PickRow which;
    private final Label figure = Texts.wrapped("", "large");
    private final Button order = new Button("Order parts");
    private final VBox leftOver = new Column(2);
    private final VBox open = new Column(8);
    private final VBox placed = new Column(8);
    private final Label said = Texts.dim("");
    private final Button takeAll = new Button("Take parts from stock");
    private Optional<PartsInput> asked = Optional.empty();
    private Optional<Answers> answers = Optional.empty();
    private BackgroundTask working;
    /** Whether the cheapest was asked for while it was still being worked out. */
    private boolean wanted;

    /** For which sitting at the desk it was asked. */
    private int sitting;

    private Objective objective = Objective.COST;

    private record Answers(Supply.Answer cheapest, Supply.Answer soonest) {
        Supply.Answer of(Objective objective) {
            return objective == Objective.COST ? cheapest : soonest;
        }
    }

    /** The station of a job. */
    public PartsStation(Desk desk) {
        this.desk = desk;
        fields = new JobFields(desk);
        rows = new Rows<>(needed, () -> new PartRow(desk));
        takeAll.setId("take-all");
        takeAll.setOnAction(e -> takeAll());
        order.setId("order");
        order.setOnAction(e -> place(objective));
        which = new PickRow(
                        "order-view",
                        "",
                        List.of(
                                Choice.text("cost", TEXT.get("parts_station.for_the_least_money")),
                                Choice.text("speed", TEXT.get("parts_station.soonest"))))
                .keepsOne()
                .onPick(o -> o.ifPresent(id -> {
                    objective = Objective.valueOf(id.toUpperCase(java.util.Locale.ROOT));
                    answers.ifPresent(this::answer);
                }));
        which.show(Optional.of("cost"));
        HBox.setHgrow(figure, Priority.ALWAYS);
        figure.setMaxWidth(Double.MAX_VALUE);
        order.setMinWidth(Region.USE_PREF_SIZE);
        HBox sum = new Row(12, figure, order);
        sum.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        open.getChildren()
                .addAll(
                        new Flow(
                                18, 6, which, fields.field(Field.PARTS_DEADLINE).optional()),
                        sum);
        sheet.getStyleClass().add("station");
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("parts_station.parts")),
                        summary,
                        consent,
                        wave,
                        open,
                        takeAll,
                        said,
                        PartRow.head(),
                        needed,
                        leftOver,
                        placed);
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public boolean prepare(Assessment now) {
        answers = Optional.empty();
        asked = Optional.empty();
        lay(now);
        table();
        return false;
    }

    @Override
    public void show(Assessment now) {
        lay(now);
        if (!now.supply().toBeHad().isEmpty()) {
            workOut(now);
        }
        table();
    }

    private void lay(Assessment now) {
        fields.show(now);
        consent.show(now);
        if (sitting != desk.sitting()) {
            // What was asked for on another leg is not ordered on this one.
            wanted = false;
            objective = Objective.COST;
            which.show(Optional.of("cost"));
        }
        Supply supply = now.supply();
        List<Node> cards = new ArrayList<>();
        now.job().orders().forEach(o -> cards.add(new PlacedCard(desk, o, this::paper)));
        placed.getChildren().setAll(cards);
        boolean some = !supply.toBeHad().isEmpty();
        List<String> unlisted = supply.unlisted();
        String more = SecondWave.of(now).says();
        wave.setText(more);
        wave.setVisible(!more.isEmpty());
        wave.setManaged(!more.isEmpty());
        boolean onShelf = supply.rows().stream().anyMatch(r -> r.open() > 0 && r.onShelf() > 0);
        takeAll.setVisible(onShelf);
        takeAll.setManaged(onShelf);
        open.setVisible(some);
        open.setManaged(some);
        summary.setText(
                supply.rows().isEmpty()
                        ? TEXT.get("parts_station.nothing_is_needed_yet_choose_what")
                        : !unlisted.isEmpty()
                                ? TEXT.get("parts_station.in_no_suppliers_list", String.join(", ", unlisted))
                                : some
                                        ? TEXT.get("parts_station.always_new_seals_o_rings_gaskets")
                                        : supply.allHere()
                                                ? TEXT.get("parts_station.every_part_needed_is_in_the")
                                                : TEXT.get("parts_station.everything_is_taken_or_ordered"));
    }

    /** The table with the order that is looked at. */
    private void table() {
        Assessment now = desk.now();
        boolean some = !now.supply().toBeHad().isEmpty();
        Optional<Supply.Answer> answer = some ? answers.map(a -> a.of(objective)) : Optional.empty();
        rows.begin();
        OrderTable.of(now, answer).lines().forEach(l -> rows.next().show(now, l));
        rows.end();
        leftOver.getChildren().clear();
        answer.ifPresent(a -> {
            a.words().shelfAndSpare().forEach(n -> leftOver.getChildren().add(Texts.dim(n)));
            a.words().leftOut().forEach(n -> leftOver.getChildren().add(Texts.dim(n)));
            a.result().lines().stream()
                    .map(PartsResult.Line::supplier)
                    .distinct()
                    .flatMap(s -> Suppliers.rate(now.yard(), s).stream())
                    .forEach(n -> leftOver.getChildren().add(Texts.dim(n + ".")));
        });
        if (now.supply().forBoth()) {
            leftOver.getChildren().add(0, Texts.sentence(now.supply().forSister()));
        }
        now.supply().comingToShelf().forEach(c -> leftOver.getChildren().add(Texts.sentence(c)));
        Suppliers.unrated(now.yard()).forEach(n -> leftOver.getChildren().add(Texts.sentence(n)));
    }

    @Override
    public boolean press(Handle handle) {
        switch (handle) {
            case TAKE_FROM_SHELF -> takeAll();
            case ORDER -> {
                wanted = answers.isEmpty();
                place(Objective.COST);
            }
            case ARRIVED ->
                desk.job().orders().stream()
                        .filter(o -> o.arrived().isEmpty())
                        .reduce((a, b) -> b)
                        .ifPresent(o -> desk.note(
                                new Fact.Arrived(o.placed().order(), desk.shop().today())));
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Takes all that the shelf has of what is still open, in one entry after another, all or none. */
    private void takeAll() {
        List<Fact> taken = new ArrayList<>();
        for (Supply.Row row : desk.now().supply().rows()) {
            int qty = Math.min(row.open(), row.onShelf());
            if (qty > 0) {
                taken.add(Fact.Read.byHand(
                        Field.FROM_SHELF.of(row.part()),
                        row.taken() + qty,
                        TEXT.get("parts_station.from_the_shelf", row.taken() + qty)));
            }
        }
        desk.note(taken);
    }

    /** Asks the solver off the interface thread, unless the question is the one it answered last. */
    private void workOut(Assessment now) {
        OptionalDouble deadline = now.job().reading(Field.PARTS_DEADLINE);
        PartsInput question = now.supply().input(Objective.COST, deadline);
        boolean same = asked.equals(Optional.of(question)) && sitting == desk.sitting();
        if (same && (answers.isPresent() || working != null && working.running())) {
            answers.ifPresent(this::answer);
            return;
        }
        asked = Optional.of(question);
        sitting = desk.sitting();
        answers = Optional.empty();
        figure.setText(TEXT.get("parts_station.working_it_out"));
        order.setDisable(true);
        if (working != null) {
            working.stop();
        }
        working = desk.quietlyAside(
                TEXT.get("parts_station.working_out_the_order"),
                stop -> new Answers(
                        now.supply().best(Objective.COST, deadline, stop),
                        now.supply().best(Objective.SPEED, deadline, stop)),
                found -> {
                    // What was worked out as something else was asked already answers nothing any more.
                    if (asked.equals(Optional.of(question))) {
                        answers = Optional.of(found);
                        answer(found);
                    }
                });
    }

    private void answer(Answers found) {
        if (wanted) {
            wanted = false;
            place(Objective.COST);
            return;
        }
        boolean same = found.cheapest()
                .result()
                .lines()
                .equals(found.soonest().result().lines());
        which.setVisible(!same);
        which.setManaged(!same);
        PartsResult out = found.of(objective).result();
        boolean any = out.feasible() && !out.lines().isEmpty();
        order.setDisable(!any);
        figure.setText(
                any
                        ? TEXT.get(
                                "parts_station.all_here_in",
                                desk.shop().units().money().exact(out.total().orElse(0)),
                                PartsWords.days(out.leadDays().orElse(0)),
                                (out.shipping() > 0
                                        ? TEXT.get(
                                                "parts_station.shipping_in_it",
                                                desk.shop().units().money().exact(out.shipping()))
                                        : ""),
                                (out.waiting() > 0
                                        ? TEXT.get(
                                                "parts_station.and_for_the_days_it_stands",
                                                desk.shop().units().money().exact(out.waiting()))
                                        : ""),
                                (out.gap() > 0 ? TEXT.get("parts_station.not_proven_to_be_the_best") : ""),
                                (same ? TEXT.get("parts_station.the_cheapest_is_the_soonest_too") : "."))
                        : found.of(objective).words().summary());
        table();
    }

    /** Places the order and enters what the supplier acknowledged. */
    private void place(Objective objective) {
        if (answers.isEmpty()) {
            return;
        }
        Supply.Answer answer = answers.get().of(objective);
        PartsResult out = answer.result();
        if (!out.feasible() || out.lines().isEmpty()) {
            said.setText(TEXT.get("parts_station.nothing_was_ordered_no_suppliers_list"));
            return;
        }
        String number = desk.job().id() + "-" + (desk.job().orders().size() + 1);
        PartsSupplier supplier = desk.shop().instruments().supplier();
        PartsSupplier.Acknowledgement reply = supplier.place(
                number,
                desk.shop().today(),
                out.lines().stream()
                        .map(l -> new PartsSupplier.OrderLine(l.sku(), l.supplier(), l.qty(), l.leadDays()))
                        .toList());
        List<Order.Line> lines = new ArrayList<>();
        for (int i = 0; i < out.lines().size(); i++) {
            PartsResult.Line line = out.lines().get(i);
            lines.add(new Order.Line(
                    line.sku(),
                    line.supplier(),
                    line.qty(),
                    line.cost(),
                    contents(answer, line),
                    reply.lines().get(i).due()));
        }
        desk.note(new Fact.Ordered(
                number,
                reply.reference(),
                supplier.simulated(),
                lines,
                out.shipping(),
                out.total().orElse(0)));
        said.setText(String.join(" ", reply.sentences()));
    }

    private static List<Wanted> contents(Supply.Answer answer, PartsResult.Line line) {
        return answer.input().offers().stream()
                .filter(o -> o.sku().equals(line.sku()) && o.supplier().equals(line.supplier()))
                .findFirst()
                .map(Offer::contains)
                .orElseThrow();
    }

    private void paper(Order order, String kind) {
        Assessment now = desk.now();
        Optional<Path> file = Paper.place(
                desk.shop(), sheet, "Order", "order-" + order.placed().order() + "." + kind);
        file.ifPresent(f -> Paper.write(
                desk.shop(),
                TEXT.get("parts_station.the_order"),
                f,
                () -> desk.shop().papers().order(now, order, f),
                said::setText));
    }

    /** Whether an order is worked out, for those who wait for it. */
    public boolean ready() {
        return answers.isPresent();
    }
}
