package mussel.desktop.book;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.ListCell;
import javafx.scene.layout.VBox;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.YardUnits;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** One job in the life of a leg. */
final class VisitCell extends ListCell<Visit> {
    private static final Messages TEXT = Messages.of(VisitCell.class);

    private static final double EDGES = 44;

    private final YardUnits units;
    private final VBox lines = new Column(2);

    VisitCell(YardUnits units) {
        this.units = units;
        getStyleClass().add("visit");
        setPrefWidth(0);
        listViewProperty().addListener((o, was, is) -> {
            if (is != null) {
                lines.prefWidthProperty().bind(is.widthProperty().subtract(EDGES));
                lines.maxWidthProperty().bind(lines.prefWidthProperty());
            }
        });
    }

    /** As high as its lines are at the list's width: left alone, a cell would ask how high they are unwrapped. */
    @Override
    protected double computePrefHeight(double width) {
        double room = lines.getPrefWidth();
        return getGraphic() == null || room <= 0
                ? super.computePrefHeight(width)
                : snappedTopInset() + lines.prefHeight(room) + snappedBottomInset();
    }

    @Override
    protected void updateItem(Visit visit, boolean empty) {
        super.updateItem(visit, empty);
        if (empty || visit == null) {
            setGraphic(null);
            setAccessibleText("");
            return;
        }
        lines.getChildren().clear();
        String hours = visit.hours().isPresent()
                ? Display.exact(Kind.RUNNING, visit.hours().getAsDouble(), units)
                : TEXT.get("visit_cell.hours_not_read");
        String state = visit.tagged().isPresent() ? "" : TEXT.get("visit_cell.on_the_bench");
        lines.getChildren()
                .add(Texts.wrapped(TEXT.get("visit_cell.job", visit.day(), hours, visit.job(), state), "strong"));
        for (String line : said(visit)) {
            lines.getChildren().add(Texts.sentence(line));
        }
        if (visit.simulated()) {
            lines.getChildren().add(Texts.dim(TEXT.get("visit_cell.some_readings_come_from_simulated_instruments")));
        }
        setGraphic(lines);
        setAccessibleText(TEXT.get("visit_cell.job_2", visit.job(), visit.day(), String.join(" ", said(visit))));
    }

    private static List<String> said(Visit visit) {
        List<String> said = new ArrayList<>();
        if (!visit.complaint().isEmpty()) {
            said.add("“" + visit.complaint() + "”");
        }
        if (!visit.looks().isEmpty()) {
            said.add(visit.looks().stream().map(VisitCell::says).collect(Collectors.joining(", ")) + measures(visit));
        }
        if (!visit.done().isEmpty()) {
            said.add((visit.tagged().isPresent() ? "Done: " : TEXT.get("visit_cell.to_be_done"))
                    + String.join(", ", visit.done()));
        }
        for (Visit.Expectation each : visit.expected()) {
            String expected = TEXT.get("visit_cell.expected", Display.percent(each.probability()), each.title());
            said.add(expected + (each.found() ? " — found" : TEXT.get("visit_cell.not_found")));
        }
        return said;
    }

    private static String says(Visit.Look look) {
        return Scale.valueOf(look.scale()).label() + ": " + look.outcome().replace('_', ' ');
    }

    private static String measures(Visit visit) {
        return visit.measures().stream()
                .map(m -> "; " + m.quantity().title().toLowerCase(java.util.Locale.ROOT) + " "
                        + m.quantity().figure(m.value() * m.quantity().factor())
                        + (m.simulated() ? " (simulated)" : ""))
                .collect(Collectors.joining());
    }
}
