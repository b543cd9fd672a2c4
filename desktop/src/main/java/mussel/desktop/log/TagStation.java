package mussel.desktop.log;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.brief.Brief.Handle;
import mussel.core.brief.RepairWords;
import mussel.core.job.Assessment;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.ProofWork;
import mussel.core.job.SetupWork;
import mussel.core.job.Station;
import mussel.core.job.StepMinutes;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.Paper;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** Done, and when again: the tag for the leg, and the job sheet for the owner. */
public final class TagStation implements StationView {
    private static final Messages TEXT = Messages.of(TagStation.class);

    private final Desk desk;
    private final VBox sheet = new Column(12);
    private final VBox tag = new Column(3);
    private final VBox open = new Column(3);
    private final Label comesBack = Texts.sentence("");
    private final Button tagIt = new Button("Close job");
    private final Button print = new Button("Print job sheet");
    private final Button hang = new Button("Service tag with QR code");
    private final Label printed = Texts.dim("");
    private final JobNote word;
    private final ProgressIndicator busy = new ProgressIndicator();

    /** The station of a job. */
    public TagStation(Desk desk) {
        this.desk = desk;
        sheet.getStyleClass().add("station");
        tag.getStyleClass().add("tag-paper");
        tagIt.setId("tag-it");
        tagIt.getStyleClass().add("main-button");
        tagIt.setOnAction(e -> desk.tag());
        print.setId("print");
        print.setOnAction(e -> choosePlace());
        hang.setId("hang");
        hang.setOnAction(e -> Paper.place(
                        desk.shop(), sheet, "Tag", "tag-" + desk.now().job().id() + ".pdf")
                .ifPresent(this::tag));
        busy.setMaxSize(22, 22);
        busy.setVisible(false);
        FlowPane actions = new Flow(10, 8, tagIt, hang, print, busy);
        word = JobNote.line(desk, TEXT.get("tag_station.tagged_all_the_same_because"), Topic.PROOF_OVERRIDE.address())
                .called("tag-word");
        comesBack.setId("comes-back");
        sheet.getChildren()
                .addAll(Texts.title(TEXT.get("tag_station.tag")), tag, comesBack, open, word, actions, printed);
    }

    @Override
    public boolean press(Handle handle) {
        switch (handle) {
            case TAG -> tagIt.fire();
            case TAG_WORD -> word.begin();
            case PRINT_JOB ->
                Paper.placeAsLast(
                                desk.shop(),
                                sheet,
                                TEXT.get("tag_station.job_sheet"),
                                "job-" + desk.now().job().id() + ".pdf")
                        .ifPresent(this::print);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void choosePlace() {
        Paper.place(
                        desk.shop(),
                        sheet,
                        TEXT.get("tag_station.job_sheet"),
                        "job-" + desk.now().job().id() + ".pdf")
                .ifPresent(this::print);
    }

    /** Writes the job sheet into a file, off the interface thread. */
    public void print(Path file) {
        Assessment job = desk.now();
        busy.setVisible(true);
        Paper.write(desk.shop(), TEXT.get("tag_station.the_job_sheet"), file, () -> write(job, file), this::printed);
    }

    /** Of two legs in one visit both sheets, the sister's beside it under its own number. */
    private void write(Assessment job, Path file) {
        desk.shop().jobSheets().write(job, file);
        job.visit().ifPresent(v -> desk.shop()
                .jobSheets()
                .write(v.sister(), file.resolveSibling("job-" + v.sister().job().id() + ".pdf")));
    }

    /** Writes the tag that hangs on the leg, off the interface thread. */
    public void tag(Path file) {
        Assessment job = desk.now();
        busy.setVisible(true);
        Paper.write(
                desk.shop(),
                TEXT.get("tag_station.the_tag"),
                file,
                () -> desk.shop().data().tag(job, file),
                this::printed);
    }

    private void printed(String says) {
        busy.setVisible(false);
        printed.setText(says);
    }

    /** What was said of the last job sheet. */
    public String printed() {
        return printed.getText();
    }

    /** The chance of seeing the boat again for what is left, worked out beside the window. */
    private void back(Assessment now) {
        boolean asked = !now.findings().isEmpty() && now.knowledge().repairs().isPresent() && !now.practice();
        comesBack.setVisible(asked);
        comesBack.setManaged(asked);
        if (asked) {
            desk.repairs()
                    .ask(
                            now,
                            told -> comesBack.setText(
                                    RepairWords.comesBack(now, told.answer().repairs())));
        }
    }

    @Override
    public Node node() {
        return sheet;
    }

    @Override
    public void show(Assessment now) {
        tag.getChildren().clear();
        String hours = now.job().reading(Field.ENGINE_HOURS).isPresent()
                ? Display.exact(
                        Kind.RUNNING,
                        now.job().reading(Field.ENGINE_HOURS).getAsDouble(),
                        now.yard().reads())
                : TEXT.get("tag_station.hours_not_read");
        tag.getChildren().add(Texts.wrapped(now.job().leg().title(), "large"));
        tag.getChildren()
                .add(Texts.sentence(TEXT.get(
                        "tag_station.job",
                        now.sheet().title(),
                        now.job().id(),
                        now.job().tagged().orElse(now.today()),
                        hours)));
        String amount = now.job().reading(Field.PUMPED).isPresent()
                ? ", "
                        + Display.exact(
                                Kind.VOLUME,
                                now.job().reading(Field.PUMPED).getAsDouble(),
                                now.yard().reads())
                : TEXT.get("tag_station.volume_not_recorded");
        tag.getChildren()
                .add(Texts.sentence(
                        now.oil().fillNamed().orElse(TEXT.get("tag_station.gear_oil_not_chosen")) + amount));
        for (Due due : now.due()) {
            tag.getChildren().add(Texts.wrapped(due.what() + " " + due.limits(), "strong"));
        }
        now.proof().unproven().ifPresent(u -> tag.getChildren().add(Texts.caution(u)));
        open.getChildren().setAll(stillOpen(now).stream().map(Texts::dim).toList());
        String took = StepMinutes.of(now).says();
        if (!took.isEmpty()) {
            open.getChildren().add(Texts.dim(took));
        }
        back(now);
        new EngineSide(now).waiting().forEach(w -> open.getChildren().add(Texts.sentence(w)));
        boolean tagged = now.job().tagged().isPresent();
        word.show(now);
        word.setVisible(!now.leftUndone().isEmpty());
        word.setManaged(!now.leftUndone().isEmpty());
        tagIt.setDisable(tagged || !now.blocks().isEmpty());
        tagIt.setText(
                tagged
                        ? TEXT.get("tag_station.tagged_on", now.job().tagged().get())
                        : TEXT.get("tag_station.tag_the_leg"));
    }

    private static List<String> stillOpen(Assessment now) {
        List<String> open = new ArrayList<>(now.blocks());
        now.states().forEach((station, state) -> {
            boolean counts = station != Station.TAG
                    && station != Station.PUMP
                    && station != Station.ESTIMATE
                    && station != Station.PROVE
                    && station != Station.BESIDE
                    && (station != Station.SETUP
                            || now.setup().map(SetupWork::called).orElse(false))
                    && (!now.goals().isEmpty() || station.ordinal() < 2 || station == Station.FILL);
            boolean bears =
                    switch (station) {
                        case DRAIN, FILL ->
                            now.goals().isEmpty()
                                    || !now.fillSteps().isEmpty()
                                    || now.job().reading(Field.DRAINED).isPresent();
                        case LEAK -> now.proof().proofs().stream().anyMatch(p -> p.section() == ProofWork.Section.LEAK);
                        default -> true;
                    };
            if (counts && bears && state != Station.State.DONE) {
                open.add(TEXT.get("tag_station.not_finished", station.title()));
            }
        });
        long unproven = now.proof().proofs().stream()
                .filter(p -> p.state() == ProofWork.State.OPEN)
                .count();
        if (unproven > 0 && !now.goals().isEmpty()) {
            open.add(TEXT.get(
                    "tag_station.not_proven_of_proofs_are_open",
                    unproven,
                    now.proof().proofs().size()));
        }
        now.proof().override().filter(reason -> !now.leftUndone().isEmpty()).ifPresent(reason -> {
            open.addAll(now.leftUndone());
            open.add(TEXT.get("tag_station.tagged_all_the_same_because_2", reason));
        });
        if (now.job().reading(Field.ENGINE_HOURS).isEmpty()) {
            open.add(TEXT.get("tag_station.the_hour_meter_was_not_read"));
        }
        return open;
    }
}
