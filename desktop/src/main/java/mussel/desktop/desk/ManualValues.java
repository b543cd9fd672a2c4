package mussel.desktop.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import mussel.core.job.Assessment;
import mussel.core.job.JournalException;
import mussel.core.job.MissingValue;
import mussel.core.job.MissingValue.Ask;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.desktop.kit.AnsweredByKey;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.desk.Desk;
import mussel.work.shop.SheetLibrary;
import mussel.work.shop.Workshop;

/**
 * What a station wants from the leg's manual and the yard's sheet does not say yet: a line for each, with its page. What is kept is asked for never
 * again, on this leg or any later one of the family.
 */
public final class ManualValues extends Column {
    private static final Messages TEXT = Messages.of(ManualValues.class);

    private static final int LEAST = 8;
    private static final int PAGE = 4;

    private final Keeper keeper;
    private final Predicate<MissingValue> wanted;
    private final Map<String, Line> lines = new LinkedHashMap<>();

    /** Keeps what was typed; a JournalException says what is wrong with it. */
    public interface Keeper {
        /** Keeps values of the manual, by their places, with the page. */
        void say(String family, Map<String, String> values, String page);

        /** Shows everything by what was kept. */
        void show();

        /** The shop, whose pictures of pages stand beside what was read there. */
        Workshop shop();
    }

    /** Everything a station wants. */
    public ManualValues(Desk desk, Station station) {
        this(desk, station, m -> true);
    }

    /** Some of what a station wants. */
    public ManualValues(Desk desk, Station station, Predicate<MissingValue> wanted) {
        this(
                new Keeper() {
                    @Override
                    public void say(String family, Map<String, String> values, String page) {
                        desk.say(values, page);
                    }

                    @Override
                    public void show() {
                        desk.said();
                    }

                    @Override
                    public Workshop shop() {
                        return desk.shop();
                    }
                },
                m -> m.stations().contains(station) && wanted.test(m));
    }

    /** Whatever of a sheet is wanted. */
    public ManualValues(Keeper keeper, Predicate<MissingValue> wanted) {
        super(8);
        this.keeper = keeper;
        this.wanted = wanted;
        managedProperty().bind(visibleProperty());
    }

    /** Shows what the leg's sheet does not say. */
    public void show(Assessment now) {
        show(now.sheet());
    }

    /** Shows what a sheet does not say. */
    public void show(SpecSheet sheet) {
        List<Line> shown = new ArrayList<>();
        for (MissingValue missing : MissingValue.of(sheet)) {
            if (wanted.test(missing) && !missing.asks().isEmpty()) {
                shown.add(lines.computeIfAbsent(
                        sheet.id() + missing.at() + missing.meanwhile(), at -> new Line(sheet.id(), missing)));
            }
        }
        if (!getChildren().equals(shown)) {
            getChildren().setAll(shown);
        }
        setVisible(!shown.isEmpty());
    }

    /** A line for something the sheet may say already, with what it says in its fields. */
    public Node change(SpecSheet sheet, MissingValue what, Map<String, SheetLibrary.Said> said) {
        Line line = new Line(sheet.id(), what);
        line.fill(said);
        return line;
    }

    /** One thing of the manual: its figures, the page, and why one was not taken. */
    private final class Line extends Column {
        private final String family;
        private final Map<Ask, TextField> figures = new LinkedHashMap<>();
        private final TextField page = new TextField();
        private final Label refusal = Texts.wrapped("", "refusal");
        private Map<String, String> kept = Map.of();
        private Map<String, SheetLibrary.Said> had = Map.of();

        private Line(String family, MissingValue missing) {
            super(3);
            this.family = family;
            getStyleClass().addAll("card", "from-manual");
            Label caption = new Words(TEXT.get("manual_values.from_its_manual", missing.title()));
            caption.getStyleClass().add("strong");
            Flow row = new Flow(8, 6);
            for (Ask ask : missing.asks()) {
                TextField figure = new TextField();
                figure.setId("manual" + ask.at().replace('/', '-'));
                figure.setPromptText(ask.example());
                figure.setAccessibleText(missing.title() + " " + ask.title());
                figure.setPrefColumnCount(Math.max(LEAST, ask.example().length()));
                figure.setOnAction(e -> keep());
                figures.put(ask, figure);
                row.getChildren().add(ask.title().isEmpty() ? figure : new Column(2, Texts.dim(ask.title()), figure));
            }
            page.setPromptText("page");
            page.setAccessibleText(TEXT.get("manual_values.page_of_the_manual_for", missing.title()));
            page.setPrefColumnCount(PAGE);
            page.setOnAction(e -> keep());
            Button keep = new Button(TEXT.get("manual_values.keep"));
            keep.setOnAction(e -> keep());
            boolean captioned = missing.asks().stream().anyMatch(a -> !a.title().isEmpty());
            row.getChildren().add(captioned ? new Column(2, Texts.dim("page"), page) : page);
            row.getChildren().add(captioned ? new Column(2, Texts.dim(" "), keep) : keep);
            PagePicture picture = new PagePicture(keeper.shop(), family, missing);
            row.getChildren().add(captioned ? new Column(2, Texts.dim(" "), picture) : picture);
            focusWithinProperty().addListener((o, was, is) -> {
                if (!is && !typed().isEmpty() && !typed().equals(kept)) {
                    keep(false);
                }
            });
            refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
            getChildren().addAll(caption, row);
            if (!missing.meanwhile().isEmpty()) {
                getChildren().add(Texts.dim(missing.meanwhile()));
            }
            getChildren().add(refusal);
        }

        private void fill(Map<String, SheetLibrary.Said> said) {
            had = said;
            figures.forEach(
                    (ask, field) -> Optional.ofNullable(said.get(ask.at())).ifPresent(s -> {
                        field.setText(s.value());
                        if (Step.says(s.page())) {
                            page.setText(s.page());
                        }
                    }));
            kept = typed();
        }

        private Map<String, String> typed() {
            Map<String, String> values = new LinkedHashMap<>();
            figures.forEach((ask, field) -> {
                // What was said and is blanked is taken out again.
                if (!field.getText().isBlank() || had.containsKey(ask.at())) {
                    values.put(ask.at(), field.getText().strip());
                }
            });
            return values;
        }

        private void keep() {
            keep(true);
        }

        /** Keeps what was typed, and goes on to the next where somebody has said so rather than left. */
        private void keep(boolean goOn) {
            Map<String, String> values = typed();
            kept = values;
            if (values.isEmpty()) {
                refusal.setText(TEXT.get("manual_values.type_what_the_manual_prints_with"));
                return;
            }
            try {
                keeper.say(family, values, page.getText().strip());
                long said = values.values().stream().filter(v -> !v.isEmpty()).count();
                refusal.setText(
                        said > 0 && said < figures.size() ? TEXT.get("manual_values.kept_it_counts_once_all_of") : "");
                // What is kept leaves the page, and the focus with it.
                Optional<TextField> open = figures.values().stream()
                        .filter(f -> f.getText().isBlank())
                        .findFirst();
                if (goOn && open.isEmpty()) {
                    fireEvent(new AnsweredByKey());
                }
                keeper.show();
                if (goOn) {
                    open.ifPresent(TextField::requestFocus);
                }
            } catch (JournalException e) {
                refusal.setText(TEXT.get("manual_values.not_kept_it", e.getMessage()));
            }
        }
    }
}
