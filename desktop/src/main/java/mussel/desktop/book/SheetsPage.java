package mussel.desktop.book;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.job.JournalException;
import mussel.core.job.MissingValue;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.library.Feature;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.cutaway.Thumbnail;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.PickRow.Choice;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.SheetPane;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** How legs are built and what their manuals say; what a sheet does not say yet is told by the stations it holds up. */
final class SheetsPage implements BookPage {
    private static final Messages TEXT = Messages.of(SheetsPage.class);

    private static final double DRAWN = 0.8;
    private static final double WIDTH = 400;

    private final Workshop shop;
    private final Consumer<String> onTrouble;
    private final Column page = new Column(12);
    private final StackPane tiles = new StackPane();
    private final StackPane drawing = new StackPane();
    private final Label title = Texts.title("");
    private final Label origin = Texts.dim("");
    private final Column holdsUp = new Column(3);
    private final ManualValues manual;
    private final Column built = new Column(8);
    private final ManualLines says;
    private final SheetNumbers numbers;
    private final SheetKits kits;
    private final SheetSteps steps;
    private final Label follow = Texts.dim("");
    private final Label written = Texts.dim("");
    private final SheetHistory history;
    private final Map<String, PickRow> rows = new LinkedHashMap<>();
    private Optional<String> of = Optional.empty();

    SheetsPage(Workshop shop, Consumer<String> onTrouble) {
        this.shop = shop;
        this.onTrouble = onTrouble;
        manual = new ManualValues(
                new ManualValues.Keeper() {
                    @Override
                    public void say(String family, Map<String, String> values, String pageOf) {
                        shop.sheets().say(family, values, pageOf);
                    }

                    @Override
                    public void show() {
                        says.done();
                        SheetsPage.this.show();
                    }

                    @Override
                    public Workshop shop() {
                        return shop;
                    }
                },
                m -> true);
        says = new ManualLines(shop, manual);
        numbers = new SheetNumbers(shop, onTrouble, this::show);
        kits = new SheetKits(shop, this::show);
        steps = new SheetSteps(shop, this::show);
        history = new SheetHistory(shop, onTrouble, this::show);
        drawing.setMinWidth(WIDTH * DRAWN);
        drawing.setId("sheets-drawing");
        Button file = new Button(TEXT.get("sheets_page.as_a_file"));
        file.setId("sheets-file");
        file.setOnAction(e -> file());
        for (Feature feature : shop.sheets().described().features()) {
            List<Choice> answers = feature.answers().stream()
                    .map(a -> Choice.text(a.id(), a.title()))
                    .toList();
            PickRow row = new PickRow("sheet-" + feature.id(), feature.title(), answers)
                    .optional()
                    .onPick(a -> answer(feature.id(), a));
            rows.put(feature.id(), row);
            built.getChildren().add(row);
        }
        Column sheet = new Column(10);
        sheet.getChildren()
                .addAll(
                        title,
                        origin,
                        new Row(10, file, written),
                        Texts.heading(TEXT.get("sheets_page.what_its_manual_has_not_been")),
                        holdsUp,
                        manual,
                        Texts.heading(TEXT.get("sheets_page.what_it_says")),
                        says,
                        Texts.heading(TEXT.get("sheets_page.numbers_of_its_parts")),
                        numbers,
                        Texts.heading(TEXT.get("sheets_page.its_kits")),
                        kits,
                        Texts.heading(TEXT.get("sheets_page.its_steps")),
                        steps,
                        Texts.heading(TEXT.get("sheets_page.how_it_is_built")),
                        follow,
                        built,
                        Texts.heading(TEXT.get("sheets_page.what_was_changed")),
                        history);
        SheetPane pane = new SheetPane(sheet);
        HBox.setHgrow(pane, Priority.ALWAYS);
        Row beside = new Row(18, drawing, pane);
        VBox.setVgrow(beside, Priority.ALWAYS);
        page.setId("sheets-page");
        page.getStyleClass().add("station");
        page.getChildren().addAll(tiles, beside);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void undo() {
        history.undo();
    }

    @Override
    public void redo() {
        history.redo();
    }

    @Override
    public void show() {
        List<SpecSheet> families = shop.families();
        SpecSheet sheet = families.stream()
                .filter(f -> of.equals(Optional.of(f.id())))
                .findFirst()
                .orElse(families.get(families.size() - 1));
        of = Optional.of(sheet.id());
        PickRow which = new PickRow(
                        "sheets-of",
                        TEXT.get("sheets_page.sheet_of"),
                        families.stream()
                                .map(f -> Choice.text(f.id(), f.title()))
                                .toList())
                .keepsOne()
                .onPick(f -> {
                    of = f;
                    written.setText("");
                    show();
                });
        which.show(of);
        tiles.getChildren().setAll(which);
        drawing.getChildren().setAll(new Thumbnail(sheet.drawing(), List.of(), DRAWN));
        title.setText(sheet.title());
        origin.setText(TEXT.get(
                "sheets_page.the_makers_manual_for_the_exact",
                (shop.sheets().described().own(sheet.id())
                        ? TEXT.get("sheets_page.a_sheet_of_this_yards_own")
                        : TEXT.get("sheets_page.ships_with_mussel")),
                sheet.origin()));
        missing(sheet);
        manual.show(sheet);
        says.show(sheet);
        numbers.show(sheet);
        kits.show(sheet);
        steps.show(sheet);
        Map<String, String> answers = shop.sheets().described().answers(sheet.id());
        boolean own = shop.sheets().describes(sheet.id());
        follow.setText(
                own
                        ? TEXT.get("sheets_page.legs_on_the_bench_follow_what")
                        : TEXT.get("sheets_page.as_it_ships_it_is_not"));
        history.show(sheet.id());
        rows.forEach((feature, row) -> {
            row.show(Optional.ofNullable(answers.get(feature)));
            row.setDisable(!own);
        });
        shop.sheets().described().features().forEach(f -> {
            boolean asked = f.asked(answers) || answers.containsKey(f.id());
            rows.get(f.id()).setVisible(asked);
            rows.get(f.id()).setManaged(asked);
        });
    }

    /** What a sheet does not say, by the stations it holds up. */
    private void missing(SpecSheet sheet) {
        List<Node> lines = new ArrayList<>();
        for (Station station : Station.values()) {
            MissingValue.wants(sheet, station)
                    .ifPresent(w -> lines.add(Texts.sentence(station.title() + ": " + w + ".")));
        }
        holdsUp.getChildren()
                .setAll(lines.isEmpty() ? List.of(Texts.sentence(TEXT.get("sheets_page.nothing_is_held_up"))) : lines);
    }

    private void answer(String feature, Optional<String> answer) {
        try {
            shop.sheets().answer(of.orElseThrow(), feature, answer);
        } catch (JournalException e) {
            onTrouble.accept(TEXT.get("sheets_page.that_answer", e.getMessage()));
        }
        show();
    }

    private void file() {
        String family = of.orElseThrow();
        Paper.placeAsLast(shop, page, TEXT.get("sheets_page.the_sheet_as_a_file"), family + ".yaml")
                .ifPresent(place -> Paper.write(
                        shop,
                        TEXT.get("sheets_page.the_sheet"),
                        place,
                        () -> shop.sheets().described().write(family, place),
                        written::setText));
    }
}
