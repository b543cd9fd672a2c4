package mussel.desktop.visit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import mussel.core.anode.AnodeWords;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.visit.EngineSideItem;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.QuantityField;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** One item of the work beside the leg: its answer in a row; how it is done and what is measured once it is opened. */
final class EngineSideCard extends Column {
    private static final Messages TEXT = Messages.of(EngineSideCard.class);

    private static final double TITLE = 168;

    private final EngineSideItem item;
    private final JobFields fields;
    private final JobPicks picks;
    private final Button more = new Button();
    private final Column details = new Column(6);
    private final Column measured = new Column(6);
    private final Column found = new Column(2);
    private final JobNote why;
    private final PickRow answer;
    private Optional<Assessment> shown = Optional.empty();
    private final List<PickRow> cylinders = new ArrayList<>();
    private boolean open;
    private int sitting;
    private final Desk desk;

    EngineSideCard(Desk desk, EngineSideItem item) {
        super(4);
        this.desk = desk;
        this.item = item;
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        getStyleClass().add("part-row");
        setId("beside-" + item.id());
        Label title = Texts.wrapped(item.title(), "strong");
        title.setMinWidth(TITLE);
        title.setPrefWidth(TITLE);
        answer = picks.row(Scale.BESIDE.of(item.id()), "", Scale.BESIDE.outcomes(), o -> null)
                .optional();
        answer.setAccessibleText(item.title());
        more.setId("more-" + item.id());
        more.setMinWidth(Region.USE_PREF_SIZE);
        more.setOnAction(e -> turn());
        Row row = new Row(10, title, answer, more);
        row.setAlignment(Pos.CENTER_LEFT);
        why = JobNote.line(desk, TEXT.get("engine_side_card.why_it_waits"), Topic.PUT_OFF_WHY.of(item.id()));
        details.getChildren().add(Texts.dim(item.how()));
        if (!item.caution().isEmpty()) {
            details.getChildren().add(0, Texts.caution(item.caution()));
        }
        measured.getChildren().setAll(questions());
        details.getChildren().add(measured);
        getChildren().addAll(row, why, details, found);
        lay();
    }

    private List<Node> questions() {
        return switch (item) {
            case ANODES ->
                List.of(new Flow(
                        8,
                        6,
                        Stream.concat(
                                        EngineSide.ANODES.stream()
                                                .map(a -> fields.field(
                                                        Field.ANODE_LEFT,
                                                        Field.ANODE_LEFT.of(a),
                                                        AnodeWords.title(a) + ", % left")),
                                        Stream.of(fields.field(Field.ANODE_MONTHS)))
                                .map(QuantityField::optional)
                                .toArray(Node[]::new)));
            case GREASE ->
                List.of(new Flow(
                        14,
                        6,
                        EngineSide.POINTS.stream()
                                .map(p -> picks.row(
                                                Scale.GREASE_POINT.of(p), p, Scale.GREASE_POINT.outcomes(), o -> null)
                                        .optional())
                                .toArray(Node[]::new)));
            case ENGINE_OIL ->
                List.of(new Flow(
                        8,
                        6,
                        fields.field(Field.ENGINE_TAKES).optional(),
                        fields.field(Field.FILTER_HOLDS).optional(),
                        fields.field(Field.ENGINE_OIL_IN).optional()));
            case PLUGS -> List.of(fields.field(Field.CYLINDERS).optional(), new Flow(14, 6));
            case FUEL -> List.of(fields.field(Field.BOWL_WATER).optional());
            default -> List.of();
        };
    }

    private void turn() {
        open = !open;
        lay();
        shown.ifPresent(now -> show(now, new EngineSide(now)));
        if (open) {
            FocusStops.of(measured).first().ifPresent(Node::requestFocus);
            fireEvent(new ScrollIntoView());
        }
    }

    private void lay() {
        details.setVisible(open);
        details.setManaged(open);
        more.setText(open ? TEXT.get("engine_side_card.less") : TEXT.get("engine_side_card.look"));
        more.setAccessibleText((open ? "close: " : TEXT.get("engine_side_card.look_at"))
                + item.title().toLowerCase(Locale.ROOT));
    }

    void show(Assessment now, EngineSide beside) {
        if (sitting != desk.sitting()) {
            sitting = desk.sitting();
            open = false;
            lay();
        }
        shown = Optional.of(now);
        answer.needed(beside.state(item) == EngineSide.State.OPEN);
        if (item == EngineSideItem.PLUGS && cylinders.size() != beside.cylinders()) {
            plugs(beside.cylinders());
        }
        fields.show(now);
        picks.show(now);
        EngineSide.State state = beside.state(item);
        boolean waits = state == EngineSide.State.PUT_OFF || state == EngineSide.State.REFUSED;
        why.show(now);
        why.setVisible(waits);
        why.setManaged(waits);
        found.getChildren().clear();
        beside.found(item)
                .forEach(f -> found.getChildren().add(f.calls() ? Texts.caution(f.says()) : Texts.sentence(f.says())));
        if (item == EngineSideItem.ENGINE_OIL
                && open
                && now.job().reading(Field.ENGINE_OIL_IN).isEmpty()) {
            beside.engineOil().says(now.yard().reads()).forEach(s -> found.getChildren()
                    .add(Texts.sentence(s)));
        }
        if (waits) {
            found.getChildren().add(Texts.dim(TEXT.get("engine_side_card.waiting_risks", item.risk())));
        }
    }

    /** A row for each cylinder's plug. */
    private void plugs(int count) {
        cylinders.clear();
        for (int i = 1; i <= count; i++) {
            cylinders.add(picks.row(
                            Scale.PLUG_COLOUR.of(String.valueOf(i)),
                            TEXT.get("engine_side_card.cylinder", i),
                            Scale.PLUG_COLOUR.outcomes(),
                            o -> null)
                    .optional());
        }
        ((Flow) measured.getChildren().get(1)).getChildren().setAll(cylinders);
    }
}
