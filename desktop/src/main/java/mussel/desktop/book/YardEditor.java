package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.JournalException;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.yard.YardTable;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.PickMany;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** One thing the yard decides, being changed: its lines, what it would change on open legs, and whether to take it. */
final class YardEditor extends Column {
    private static final Messages TEXT = Messages.of(YardEditor.class);

    private static final String TOOLS = "tools";
    private static final int MOST_OPEN = 40;
    private static final int LEAST = 6;
    private static final int MOST = 28;

    private final Workshop shop;
    private final YardTable table;
    private final Runnable onDone;
    private final Column lines = new Column(8);
    private final List<Line> all = new ArrayList<>();
    private final TextField find = new TextField();
    private final Label notShown = Texts.dim("");
    private final Column effect = new Column(2);
    private final Label refusal = Texts.wrapped("", "refusal");
    private final Button keep = new Button("Keep");
    private final BackgroundQuery changing;
    private int added;
    private Optional<List<List<String>>> looked = Optional.empty();

    YardEditor(Workshop shop, YardTable table, Runnable onDone) {
        super(8);
        this.shop = shop;
        this.table = table;
        this.onDone = onDone;
        changing = new BackgroundQuery(shop.background(), this::refused);
        getStyleClass().add("card");
        setId("yard-editor");
        List<List<String>> said = shop.decisions().form().lines(table, shop.yard());
        if (said.size() > MOST_OPEN) {
            find.setId("yard-find");
            find.setPromptText(TEXT.get("yard_editor.find_a_line_like_t60_0601"));
            find.setAccessibleText(TEXT.get("yard_editor.find_a_line_of", table.title()));
            find.textProperty().addListener((o, was, is) -> found());
        }
        said.forEach(line -> all.add(new Line(line)));
        found();
        Button more = new Button(TEXT.get("yard_editor.another_line"));
        more.setId("yard-more");
        more.setOnAction(e -> {
            Line line = new Line(table.columns().stream().map(c -> "").toList());
            all.add(line);
            find.setText("");
            if (!lines.getChildren().contains(line.row())) {
                lines.getChildren().add(line.row());
            }
            line.row().lookupAll(".text-field").stream().findFirst().ifPresent(Node::requestFocus);
        });
        keep.setId("yard-keep");
        keep.getStyleClass().add("act");
        keep.setOnAction(e -> keep());
        Button leave = new Button(TEXT.get("yard_editor.leave_it"));
        leave.setId("yard-leave");
        leave.setOnAction(e -> onDone.run());
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        getChildren().add(Texts.heading(table.title()));
        if (!table.note().isEmpty()) {
            getChildren().add(Texts.dim(table.note()));
        }
        if (table.id().equals(TOOLS)) {
            getChildren().add(asked(said.stream().map(l -> l.get(0)).collect(Collectors.toSet())));
        }
        if (said.size() > MOST_OPEN) {
            getChildren().addAll(find, notShown);
        }
        getChildren().add(lines);
        Row below = new Row(10, keep, leave);
        if (table.many()) {
            below.getChildren().add(more);
        }
        getChildren().addAll(refusal, below, effect);
    }

    /** The tools that the steps of the sheets ask for, ticked where the yard has them: what is ticked is a line of its own below. */
    private Node asked(Set<String> has) {
        List<Choice> choices = shop.families().stream()
                .flatMap(f -> f.steps().stream())
                .flatMap(s -> s.tools().stream())
                .distinct()
                .sorted()
                .map(t -> Choice.text(t, t))
                .toList();
        PickMany picks =
                new PickMany("yard-tools", TEXT.get("yard_editor.what_the_sheets_steps_ask_for"), choices, this::owned);
        picks.show(has);
        return picks;
    }

    /** A tool is there, or is not: its line comes or goes. */
    private void owned(String tool, boolean is) {
        if (is) {
            all.add(new Line(List.of(tool)));
        } else {
            all.removeIf(l -> l.written().get(0).equals(tool));
        }
        found();
        touched();
    }

    /** Of many lines only some are laid out: those that hold what is looked for, and those that were added. All of them are kept. */
    private void found() {
        String wanted = find.getText().strip().toLowerCase(Locale.ROOT);
        List<Node> shown = all.stream()
                .filter(l -> wanted.isEmpty()
                        || l.written().stream()
                                .anyMatch(c -> c.toLowerCase(Locale.ROOT).contains(wanted)))
                .limit(MOST_OPEN)
                .map(Line::row)
                .toList();
        lines.getChildren().setAll(shown);
        notShown.setText(
                shown.size() < all.size() ? TEXT.get("yard_editor.of_lines_are_shown", shown.size(), all.size()) : "");
    }

    /** A line: as it was said until it is laid out, then as it is typed. */
    private final class Line {
        private final List<String> said;
        private final int number = added++;
        private final List<Supplier<String>> cells = new ArrayList<>();
        private Optional<Node> row = Optional.empty();

        Line(List<String> said) {
            this.said = said;
        }

        List<String> written() {
            return row.isEmpty() ? said : cells.stream().map(Supplier::get).toList();
        }

        Node row() {
            if (row.isEmpty()) {
                row = Optional.of(laid());
            }
            return row.get();
        }

        private Node laid() {
            Flow flow = new Flow(8, 6);
            for (int i = 0; i < table.columns().size(); i++) {
                YardTable.Column column = table.columns().get(i);
                String id = "yard-" + number + "-" + i;
                flow.getChildren()
                        .add(
                                column.words().isEmpty()
                                        ? typed(column, id, said.get(i), cells)
                                        : picked(column, id, said.get(i), cells));
            }
            if (table.many()) {
                Button out = new Button(TEXT.get("yard_editor.take_out"));
                out.setAccessibleText(TEXT.get("yard_editor.take_line_out", (number + 1)));
                out.setOnAction(e -> {
                    all.remove(this);
                    lines.getChildren().remove(flow);
                    touched();
                });
                flow.getChildren().add(new Column(2, Texts.dim(" "), out));
            }
            return flow;
        }
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
        changing.cancel();
        effect.getChildren().clear();
        keep.setText(TEXT.get("yard_editor.keep"));
    }

    private List<List<String>> written() {
        return all.stream().map(Line::written).toList();
    }

    /** Tells first what it changes on legs that are open; takes it when that was seen, or where it changes nothing. */
    private void keep() {
        List<List<String>> written = written();
        try {
            if (looked.equals(Optional.of(written))) {
                decide(written);
                return;
            }
            Yard would = shop.decisions().would(table, written);
            shop.tables().check(would);
            refusal.setText("");
            effect.getChildren().setAll(Texts.dim(TEXT.get("yard_editor.working_out_what_it_changes_on")));
            changing.ask(stop -> shop.apart(own -> own.wouldChange(would, stop)), changes -> told(written, changes));
        } catch (JournalException e) {
            refused(e.getMessage());
        }
    }

    private void told(List<List<String>> written, List<String> changes) {
        if (!written.equals(written())) {
            return;
        }
        looked = Optional.of(written);
        if (changes.isEmpty()) {
            keep();
            return;
        }
        effect.getChildren().setAll(Texts.heading(TEXT.get("yard_editor.on_the_legs_that_are_open")));
        changes.stream().map(Texts::sentence).forEach(effect.getChildren()::add);
        keep.setText(TEXT.get("yard_editor.take_it"));
        fireEvent(new ScrollIntoView());
    }

    private void decide(List<List<String>> written) {
        shop.decisions().decide(shop.by(), table, written);
        onDone.run();
    }

    private void refused(String why) {
        effect.getChildren().clear();
        refusal.setText(TEXT.get("yard_editor.not_kept", why));
    }
}
