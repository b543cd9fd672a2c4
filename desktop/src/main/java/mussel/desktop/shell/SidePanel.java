package mussel.desktop.shell;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief;
import mussel.core.job.Assessment;
import mussel.core.job.RepairQuestion;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Rows;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.Words;
import mussel.work.desk.RepairAnswers;

/**
 * What stands beside the station: its caution, its one sentence, what the last entry changed, the one act in the buoy's colour with its key, and folded
 * lines. A column where there is room, else a bar over the station.
 */
final class SidePanel extends Column {
    private static final Messages TEXT = Messages.of(SidePanel.class);

    private static final int MOST_CHANGES = 2;
    private static final double BAR_ACT = 300;

    private final VBox cautions = new Column(6);
    private final Rows<Label> cautionRows;
    private final Label head = Texts.wrapped("", "conclusion");
    private final Label under = Texts.dim("");
    private final Label changed = Texts.wrapped("", "changed");
    private final Button act = new Button();
    private final StackPane warm;
    private final Label note = Texts.dim("");
    private final VBox folds = new Column(5);
    private final Rows<Fold> foldRows;
    private final Label outranked = Texts.dim(TEXT.get("side_panel.manual_first"));
    private final Button more = new Button();
    private final Region gap = new Region();
    private final RepairAnswers repairs;
    private Optional<Brief> shown = Optional.empty();
    private Station at = Station.INTAKE;
    /** The job whose act is shown. */
    private int actOf;

    private String opened = "";
    /** The job as it is told, and as it was told before that. */
    private Assessment told;

    private Optional<Assessment> before = Optional.empty();
    private Optional<String> says = Optional.empty();
    private boolean bar;
    private boolean unfolded;

    /** The column; asks for what takes longer to work out, and calls back to do the act. */
    SidePanel(RepairAnswers repairs, Runnable onAct) {
        this.repairs = repairs;
        getStyleClass().add("beside");
        setId("conclusion");
        head.setId("conclusion-head");
        cautionRows = new Rows<>(cautions, () -> {
            Label caution = Texts.caution("");
            caution.getStyleClass().add("caution-card");
            caution.setMaxWidth(Double.MAX_VALUE);
            return caution;
        });
        foldRows = new Rows<>(folds, this::fold);
        for (Label optional : List.of(under, changed, note)) {
            optional.managedProperty().bind(optional.textProperty().isNotEmpty());
            optional.visibleProperty().bind(optional.textProperty().isNotEmpty());
        }
        Label key = new Words("F5");
        key.getStyleClass().add("key-cap");
        key.setMouseTransparent(true);
        act.setId("act");
        act.setWrapText(true);
        act.getStyleClass().add("act");
        act.setMaxWidth(Double.MAX_VALUE);
        act.setMinHeight(USE_PREF_SIZE);
        act.setOnAction(e -> onAct.run());
        StackPane.setAlignment(key, Pos.CENTER_RIGHT);
        StackPane.setMargin(key, new Insets(0, 12, 0, 0));
        warm = new StackPane(act, key);
        warm.setMinHeight(USE_PREF_SIZE);
        more.setId("beside-more");
        more.getStyleClass().add("fold-line");
        more.setMinWidth(USE_PREF_SIZE);
        more.setOnAction(e -> {
            unfolded = !unfolded;
            lay();
        });
        VBox.setVgrow(gap, Priority.ALWAYS);
        lay();
    }

    private Fold fold() {
        Fold[] made = new Fold[1];
        made[0] = new Fold(() -> {
            opened = opened.equals(made[0].held()) ? "" : made[0].held();
            shown.ifPresent(this::folds);
        });
        return made[0];
    }

    /** Lays it out as a bar or as a column. */
    void setBar(boolean on) {
        if (bar != on) {
            bar = on;
            lay();
        }
    }

    private void lay() {
        getChildren().clear();
        getStyleClass().removeAll("as-bar", "as-column");
        getStyleClass().add(bar ? "as-bar" : "as-column");
        if (!bar) {
            warm.setMinWidth(0);
            warm.setPrefWidth(USE_COMPUTED_SIZE);
            getChildren().addAll(cautions, head, under, changed, warm, note, folds, gap, outranked);
            return;
        }
        more.setText(unfolded ? TEXT.get("side_panel.less_f9") : TEXT.get("side_panel.more_f9"));
        VBox says = new Column(3, cautions, head, changed);
        HBox.setHgrow(says, Priority.ALWAYS);
        says.setMinWidth(0);
        HBox acts = new Row(8, warm, more);
        acts.setMinWidth(USE_PREF_SIZE);
        acts.setAlignment(Pos.CENTER_RIGHT);
        warm.setPrefWidth(BAR_ACT);
        warm.setMinWidth(BAR_ACT);
        HBox line = new Row(14, says, acts);
        line.setAlignment(Pos.CENTER_LEFT);
        getChildren().add(line);
        if (unfolded) {
            getChildren().addAll(under, note, folds, outranked);
        }
    }

    /** Unfolds what the bar holds back, and folds it again; a column holds nothing back. */
    void toggle() {
        if (bar) {
            more.fire();
        }
    }

    /** Whether the act follows from what is worked out beside the window. */
    boolean asksAdvice() {
        return shown.filter(Brief::asksAdvice).isPresent();
    }

    /** The act of the moment. */
    Optional<Brief.Act> act() {
        return shown.flatMap(Brief::act);
    }

    void show(Assessment now, Station station) {
        Optional<RepairQuestion.Answer> answer = repairs.known(now).map(RepairAnswers.Answered::answer);
        Brief brief = Brief.of(now, station, answer);
        shown = Optional.of(brief);
        at = station;
        cautionRows.begin();
        brief.cautions().forEach(c -> cautionRows.next().setText(c));
        cautionRows.end();
        cautions.setVisible(!brief.cautions().isEmpty());
        cautions.setManaged(!brief.cautions().isEmpty());
        head.setText(brief.head());
        under.setText(brief.under());
        changed(now, brief.changes());
        folds(brief);
        if (brief.asksAdvice() && answer.isEmpty()) {
            // The act of this job stays as it was until the next one is worked out, so that nothing changes twice under
            // the eye.
            if (actOf != now.job().id()) {
                actOf = now.job().id();
                act.setText(TEXT.get("side_panel.working_out_what_to_do_next"));
                note.setText("");
            }
            repairs.ask(now, told -> {
                if (this.told == now) {
                    show(now, at);
                }
            });
            return;
        }
        warm.setVisible(brief.act().isPresent());
        warm.setManaged(brief.act().isPresent());
        actOf = now.job().id();
        brief.act().ifPresent(a -> {
            act.setText(a.title());
            act.setAccessibleText(TEXT.get("side_panel.key_f5", a.title(), a.note()));
        });
        note.setText(brief.act().map(Brief.Act::note).orElse(""));
    }

    private void folds(Brief brief) {
        foldRows.begin();
        brief.folds().forEach(f -> foldRows.next().show(f, f.id().equals(opened)));
        foldRows.end();
    }

    /** What the last entry moved of the verdict, where the station is about the verdict. */
    private void changed(Assessment now, boolean wanted) {
        if (told != now) {
            before = Optional.ofNullable(told)
                    .filter(was -> was.job().id() == now.job().id());
            told = now;
            says = Optional.empty();
        }
        changed.setText(wanted ? says() : "");
    }

    private String says() {
        if (says.isEmpty()) {
            List<String> moved = before.map(was -> told.verdictWords().changes(was.verdict()))
                    .orElse(List.of());
            says = Optional.of(
                    moved.isEmpty()
                            ? ""
                            : String.join("; ", moved.subList(0, Math.min(MOST_CHANGES, moved.size()))) + ".");
        }
        return says.get();
    }
}
