package mussel.desktop.book;

import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import mussel.core.language.Messages;
import mussel.core.log.Trend;
import mussel.core.log.Visit;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.shop.Workshop;

/** The life of one leg: its trends, and every job it has seen, the latest first. Enter or a double click opens a job. */
final class LegLife extends Column {
    private static final Messages TEXT = Messages.of(LegLife.class);

    private static final int MOST_TRENDS = 3;

    private final Workshop shop;
    private final Label title = Texts.title("");
    private final Label about = Texts.dim("");
    private final HBox trends = new Row(12);
    private final Button file = new Button("Export");
    private final HBox head = new Row(12, title);
    private final ListView<Visit> jobs = new ListView<>();
    private int mostTrends = MOST_TRENDS;
    private String leg = "";

    LegLife(Workshop shop, String id, Consumer<Integer> onOpen) {
        super(8);
        this.shop = shop;
        setId(id);
        jobs.setId(id + "-jobs");
        jobs.getStyleClass().add("visits");
        jobs.setCellFactory(list -> new VisitCell(shop.units()));
        jobs.setAccessibleText(TEXT.get("leg_life.the_jobs_of_this_leg_the"));
        jobs.widthProperty().addListener((o, was, is) -> Platform.runLater(jobs::refresh));
        jobs.setOnMouseClicked(e -> {
            if (e.getClickCount() == 2) {
                open(onOpen);
            }
        });
        jobs.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                open(onOpen);
            }
        });
        VBox.setVgrow(jobs, Priority.ALWAYS);
        title.setWrapText(true);
        title.setMinHeight(Label.USE_PREF_SIZE);
        head.setAlignment(Pos.CENTER_LEFT);
        file.setId(id + "-file");
        file.setMinWidth(Region.USE_PREF_SIZE);
        file.setOnAction(e -> Paper.place(this, "Leg", "leg.json")
                .ifPresent(to -> Paper.write(
                        shop,
                        TEXT.get("leg_life.the_leg"),
                        to,
                        () -> shop.data().leg(leg, to),
                        about::setText)));
        Region spring = new Region();
        HBox.setHgrow(spring, Priority.ALWAYS);
        head.getChildren().addAll(spring, file);
        getChildren().addAll(head, about, trends, jobs);
    }

    private void open(Consumer<Integer> onOpen) {
        Visit visit = jobs.getSelectionModel().getSelectedItem();
        if (visit != null) {
            onOpen.accept(visit.job());
        }
    }

    /** Puts a control at the end of the title's line. */
    void beside(Node control) {
        head.getChildren().add(control);
    }

    /** Shows less, as beside another leg: one trend, and nothing beside the title. */
    void few(boolean few) {
        mostTrends = few ? 1 : MOST_TRENDS;
        file.setManaged(!few);
        file.setVisible(!few);
    }

    void show(String id) {
        leg = id;
        List<Visit> visits = shop.book().visits(id);
        file.setDisable(visits.isEmpty());
        jobs.getItems().setAll(visits);
        trends.getChildren().clear();
        if (visits.isEmpty()) {
            title.setText("");
            about.setText(TEXT.get("leg_life.nothing_is_filed_of_this_leg"));
            return;
        }
        Visit last = visits.get(0);
        title.setText(last.title());
        about.setText(TEXT.get(
                "leg_life.since",
                last.familyTitle(),
                visits.size(),
                (visits.size() == 1 ? " job" : " jobs"),
                visits.get(visits.size() - 1).opened()));
        Trend.of(visits).stream()
                .filter(t -> t.points().size() > 1)
                .limit(mostTrends)
                .forEach(t -> trends.getChildren().add(card(t)));
    }

    private Region card(Trend trend) {
        VBox card =
                new Column(2, Texts.heading(trend.quantity().title()), new TrendChart(trend), Texts.dim(trend.says()));
        card.getStyleClass().add("trend");
        card.setMinWidth(0);
        card.setPrefWidth(0);
        HBox.setHgrow(card, Priority.ALWAYS);
        return card;
    }
}
