package mussel.desktop.practice;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.brief.Brief.Handle;
import mussel.core.job.Assessment;
import mussel.core.job.RepairOption;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Where a practice leg is handed back: what is to be done, or that it goes to a dealer; then what it came to. */
final class HandBackStation implements StationView {
    private static final Messages TEXT = Messages.of(HandBackStation.class);

    private final Desk desk;
    private final Runnable another;
    private final Runnable lessons;
    private final Column page = new Column(10);
    private final Column before = new Column(10);
    private final Label chosen = Texts.sentence("");
    private final JobPicks picks;
    private final Button back = new Button("Hand back");
    /** The job whose reckoning stands on the page. */
    private int told = -1;

    HandBackStation(Desk desk, Runnable another, Runnable lessons) {
        this.desk = desk;
        this.another = another;
        this.lessons = lessons;
        picks = new JobPicks(desk);
        page.getStyleClass().add("station");
        chosen.setId("practice-chosen");
        back.setId("practice-back");
        back.setOnAction(e -> handBack());
        PickRow over = picks.bound(
                Scale.HANDED_OVER.address(),
                TEXT.get("hand_back_station.this_leg"),
                List.of(
                        PickRow.Choice.text("no", TEXT.get("hand_back_station.is_mended_here")),
                        PickRow.Choice.text("yes", TEXT.get("hand_back_station.goes_to_a_dealer_stop_and"))));
        before.getChildren()
                .addAll(
                        Texts.title(TEXT.get("hand_back_station.hand_it_back")),
                        chosen,
                        Texts.dim(TEXT.get("hand_back_station.what_is_to_be_done_is")),
                        over.optional(),
                        back);
    }

    @Override
    public Node node() {
        return page;
    }

    @Override
    public void show(Assessment now) {
        boolean done = now.job().tagged().isPresent();
        if (!done) {
            told = -1;
            String goals = now.further().stream()
                    .filter(RepairOption::chosen)
                    .map(RepairOption::title)
                    .collect(Collectors.joining(", "));
            chosen.setText(
                    goals.isEmpty()
                            ? TEXT.get("hand_back_station.nothing_is_to_be_done_it")
                            : TEXT.get("hand_back_station.to_be_done", goals));
            picks.show(now);
            page.getChildren().setAll(before);
        } else if (told != now.job().id()) {
            told = now.job().id();
            desk.exercise()
                    .ifPresent(e -> page.getChildren().setAll(new PracticeReckoning(desk.shop(), e, another, lessons)));
        }
    }

    @Override
    public boolean press(Handle handle) {
        if (handle != Handle.TAG) {
            return false;
        }
        handBack();
        return true;
    }

    private void handBack() {
        desk.handBack();
        begin().ifPresent(Node::requestFocus);
    }

    @Override
    public Optional<Node> begin() {
        return Optional.ofNullable(
                page.lookup(desk.job().tagged().isPresent() ? "#practice-another" : "#practice-back"));
    }
}
