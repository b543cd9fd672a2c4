package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.book.LogBook;
import mussel.core.book.LogBook.Found;
import mussel.core.book.LogBook.Query;
import mussel.core.book.LogBook.State;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** Every job ever made: found as one types, and the life of the leg it belongs to. */
final class LogbookPage implements BookPage {
    private static final Messages TEXT = Messages.of(LogbookPage.class);

    private static final double LIST_WIDTH = 360;
    private static final int MOST_YEARS = 4;

    private final Workshop shop;
    private final HBox page = new Row(14);
    private final TextField search = new TextField();
    private final ListView<Found> found = new ListView<>();
    private final Label count = Texts.dim("");
    private final VBox filters = new Column(6);
    private final Button beside = new Button("Twin");
    private final LegLife life;
    private final LegLife twin;
    private State state = State.ANY;
    private Optional<String> family = Optional.empty();
    private Optional<Integer> year = Optional.empty();
    private String leg = "";

    LogbookPage(Workshop shop, Consumer<Integer> onOpen) {
        this.shop = shop;
        this.life = new LegLife(shop, "life", onOpen);
        this.twin = new LegLife(shop, "twin", onOpen);
        search.setId("book-search");
        search.setPromptText(TEXT.get("logbook_page.boat_part_finding_what_was_written"));
        search.setAccessibleText(TEXT.get("logbook_page.search_the_logbook"));
        search.textProperty().addListener((o, was, is) -> find());
        found.setId("found");
        found.getStyleClass().add("found");
        found.setAccessibleText(TEXT.get("logbook_page.jobs_found_the_latest_first"));
        found.setCellFactory(list -> new FoundCell());
        found.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> {
            if (is != null && !is.leg().equals(leg)) {
                showLeg(is.leg());
            }
        });
        VBox.setVgrow(found, Priority.ALWAYS);
        VBox left = new Column(8, search, filters, count, found);
        left.setMinWidth(LIST_WIDTH);
        left.setPrefWidth(LIST_WIDTH);
        left.setMaxWidth(LIST_WIDTH);
        beside.setId("beside-twin");
        beside.setMinWidth(Region.USE_PREF_SIZE);
        beside.managedProperty().bind(beside.visibleProperty());
        beside.setOnAction(e -> besideTwin());
        life.beside(beside);
        for (LegLife each : List.of(life, twin)) {
            HBox.setHgrow(each, Priority.ALWAYS);
            each.setMinWidth(0);
            each.setPrefWidth(0);
        }
        page.getChildren().addAll(left, life);
    }

    private void filters() {
        LogBook.Choices choices = shop.book().choices();
        PickRow states = new PickRow(
                        "state",
                        "",
                        List.of(
                                PickRow.Choice.text("open", TEXT.get("logbook_page.on_the_bench")),
                                PickRow.Choice.text("tagged", TEXT.get("logbook_page.tagged"))))
                .onPick(s -> {
                    state = s.map(v -> State.valueOf(v.toUpperCase(Locale.ROOT)))
                            .orElse(State.ANY);
                    find();
                });
        List<PickRow.Choice> families = new ArrayList<>();
        choices.families().forEach((id, named) -> families.add(PickRow.Choice.text(id, named)));
        PickRow of = new PickRow("family", "", families).onPick(f -> {
            family = f;
            find();
        });
        List<PickRow.Choice> years = choices.years().stream()
                .limit(MOST_YEARS)
                .map(y -> PickRow.Choice.text(String.valueOf(y), String.valueOf(y)))
                .toList();
        PickRow in = new PickRow("year", "", years).onPick(y -> {
            year = y.map(Integer::valueOf);
            find();
        });
        filters.getChildren().setAll(states, of, in);
    }

    private void find() {
        List<Found> hits = shop.book().search(new Query(search.getText(), state, family, year));
        found.getItems().setAll(hits);
        count.setText(
                hits.isEmpty()
                        ? TEXT.get("logbook_page.nothing_holds_that_fewer_words_or")
                        : hits.size() == LogBook.MOST_FOUND
                                ? TEXT.get("logbook_page.the_latest_more_words_find_less", hits.size())
                                : hits.size() + (hits.size() == 1 ? " job" : " jobs"));
        if (!hits.isEmpty() && hits.stream().noneMatch(h -> h.leg().equals(leg))) {
            found.getSelectionModel().select(0);
        } else {
            point();
        }
    }

    /** The list points at a job of the leg whose life is shown, or at none. */
    private void point() {
        Found at = found.getSelectionModel().getSelectedItem();
        if (at == null || !at.leg().equals(leg)) {
            Optional<Found> job =
                    found.getItems().stream().filter(h -> h.leg().equals(leg)).findFirst();
            found.getSelectionModel().clearSelection();
            job.ifPresent(found.getSelectionModel()::select);
            job.ifPresent(there -> Platform.runLater(() -> found.scrollTo(there)));
        }
    }

    /** Shows the life of a leg. */
    void showLeg(String id) {
        leg = id;
        point();
        boolean twins = page.getChildren().contains(twin);
        life.few(twins);
        life.show(id);
        Optional<String> other = shop.book().twin(id);
        beside.setVisible(other.isPresent());
        beside.setText(twins ? TEXT.get("logbook_page.alone") : TEXT.get("logbook_page.beside_its_twin"));
        if (twins) {
            twin.few(true);
            other.ifPresentOrElse(twin::show, () -> page.getChildren().remove(twin));
        }
    }

    private void besideTwin() {
        if (!page.getChildren().remove(twin)) {
            page.getChildren().add(twin);
        }
        showLeg(leg);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void show() {
        filters();
        find();
        if (!leg.isEmpty()) {
            showLeg(leg);
        }
        search.requestFocus();
    }

    /** One job found. */
    private static final class FoundCell extends ListCell<Found> {
        FoundCell() {
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Found hit, boolean empty) {
            super.updateItem(hit, empty);
            if (empty || hit == null) {
                setGraphic(null);
                setAccessibleText("");
                return;
            }
            VBox lines = new Column(
                    1,
                    Texts.wrapped(hit.title(), "strong"),
                    Texts.dim(TEXT.get(
                            "logbook_page.job",
                            hit.day(),
                            hit.family(),
                            hit.job(),
                            (hit.tagged() ? "" : TEXT.get("logbook_page.on_the_bench_2")))));
            if (!hit.snippet().isEmpty()) {
                lines.getChildren().add(Texts.wrapped(hit.snippet(), "small"));
            }
            lines.setMaxWidth(LIST_WIDTH - 40);
            setGraphic(lines);
            setAccessibleText(TEXT.get("logbook_page.job_2", hit.title(), hit.job(), hit.day()));
        }
    }
}
