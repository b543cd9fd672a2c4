package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.JournalException;
import mussel.core.yard.YardTable;
import mussel.desktop.desk.Workshop;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SeeMe;
import mussel.desktop.kit.Texts;

/** One thing the yard decides, being changed: its lines, what it would change on open legs, and whether to take it. */
final class YardEditor extends Column {
    private static final int LEAST = 6;
    private static final int MOST = 28;

    private final Workshop shop;
    private final YardTable table;
    private final Runnable onDone;
    private final Column lines = new Column(8);
    private final List<List<Supplier<String>>> cells = new ArrayList<>();
    private final Column effect = new Column(2);
    private final Label refusal = Texts.wrapped("", "refusal");
    private final Button keep = new Button("Keep");
    private int added;
    private Optional<List<List<String>>> looked = Optional.empty();

    YardEditor(Workshop shop, YardTable table, Runnable onDone) {
        super(8);
        this.shop = shop;
        this.table = table;
        this.onDone = onDone;
        getStyleClass().add("card");
        setId("yard-editor");
        List<List<String>> said = shop.decisions().form().lines(table, shop.yard());
        said.forEach(this::add);
        Button more = new Button("Another line");
        more.setId("yard-more");
        more.setOnAction(e -> {
            add(table.columns().stream().map(c -> "").toList());
            lines.getChildren().get(lines.getChildren().size() - 1).lookupAll(".text-field").stream()
                    .findFirst()
                    .ifPresent(Node::requestFocus);
        });
        keep.setId("yard-keep");
        keep.getStyleClass().add("act");
        keep.setOnAction(e -> keep());
        Button leave = new Button("Leave it");
        leave.setId("yard-leave");
        leave.setOnAction(e -> onDone.run());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren().add(Texts.heading(table.title()));
        if (!table.note().isEmpty()) {
            getChildren().add(Texts.dim(table.note()));
        }
        getChildren().add(lines);
        Row below = new Row(10, keep, leave);
        if (table.many()) {
            below.getChildren().add(more);
        }
        getChildren().addAll(refusal, below, effect);
    }

    private void add(List<String> said) {
        List<Supplier<String>> line = new ArrayList<>();
        Flow row = new Flow(8, 6);
        int number = added++;
        for (int i = 0; i < table.columns().size(); i++) {
            YardTable.Column column = table.columns().get(i);
            String id = "yard-" + number + "-" + i;
            row.getChildren()
                    .add(
                            column.words().isEmpty()
                                    ? typed(column, id, said.get(i), line)
                                    : picked(column, id, said.get(i), line));
        }
        cells.add(line);
        if (table.many()) {
            Button out = new Button("Take out");
            out.setAccessibleText("take line " + (number + 1) + " out");
            out.setOnAction(e -> {
                lines.getChildren().remove(row);
                cells.remove(line);
                touched();
            });
            row.getChildren().add(new Column(2, Texts.dim(" "), out));
        }
        lines.getChildren().add(row);
    }

    private Node typed(YardTable.Column column, String id, String said, List<Supplier<String>> line) {
        TextField field = new TextField(said);
        field.setId(id);
        field.setPromptText(column.example());
        field.setAccessibleText(table.title() + ", " + column.title());
        field.setPrefColumnCount(Math.max(
                LEAST, Math.min(MOST, Math.max(said.length(), column.example().length()) + 1)));
        field.textProperty().addListener((o, was, is) -> touched());
        field.setOnAction(e -> keep());
        line.add(field::getText);
        return new Column(2, Texts.dim(column.title()), field);
    }

    private Node picked(YardTable.Column column, String id, String said, List<Supplier<String>> line) {
        String[] chosen = {said};
        PickRow row = new PickRow(
                        id,
                        column.title(),
                        column.words().stream()
                                .map(w -> Choice.text(w, w.replace('_', ' ')))
                                .toList())
                .optional()
                .onPick(w -> {
                    chosen[0] = w.orElse("");
                    touched();
                });
        row.show(Optional.of(said).filter(s -> !s.isEmpty()));
        line.add(() -> chosen[0]);
        return row;
    }

    /** What was told of it before is not what would be taken now. */
    private void touched() {
        looked = Optional.empty();
        effect.getChildren().clear();
        keep.setText("Keep");
    }

    private List<List<String>> written() {
        return cells.stream()
                .map(line -> line.stream().map(Supplier::get).toList())
                .toList();
    }

    /** Tells first what it changes on legs that are open; takes it when that was seen, or where it changes nothing. */
    private void keep() {
        List<List<String>> written = written();
        try {
            if (!looked.equals(Optional.of(written))) {
                List<String> changes = shop.wouldChange(shop.decisions().would(table, written));
                looked = Optional.of(written);
                refusal.setText("");
                if (!changes.isEmpty()) {
                    effect.getChildren().setAll(Texts.heading("On the legs that are open"));
                    changes.stream().map(Texts::sentence).forEach(effect.getChildren()::add);
                    keep.setText("Take it");
                    fireEvent(new SeeMe());
                    return;
                }
            }
            shop.decisions().decide(shop.by(), table, written);
            onDone.run();
        } catch (JournalException e) {
            effect.getChildren().clear();
            refusal.setText("Not kept. " + e.getMessage());
        }
    }
}
