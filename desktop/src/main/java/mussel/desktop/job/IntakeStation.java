package mussel.desktop.job;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.job.Assessment;
import mussel.core.job.Comeback;
import mussel.core.job.EngineSide;
import mussel.core.job.Field;
import mussel.core.job.OneVisit;
import mussel.core.job.Scale;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.sheet.Construction;
import mussel.core.sheet.Plug;
import mussel.core.sheet.SpecSheet;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobNote;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.Paper;
import mussel.desktop.desk.StationView;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.FocusStops;
import mussel.desktop.kit.PickRow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.ScrollIntoView;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** What comes in, and what is known of it before anything is opened. */
public final class IntakeStation implements StationView {
    private static final Messages TEXT = Messages.of(IntakeStation.class);

    private final Desk desk;
    private final JobFields fields;
    private final VBox history = new Column(3);
    private int recalled;
    private final JobPicks picks;
    private final VBox sheet = new Column(12);
    private final Label family = Texts.sentence("");
    private final Label ofTheLeg = Texts.sentence("");
    private final List<JobNote> notes = new ArrayList<>();
    private final Complaints complaints;
    private final IncomingCondition howItCame;
    private final OtherLegQuestion another;
    private final Button ownerOpen = new Button("Owner and engine");
    private final Column owner = new Column(8);
    private final Column comeback = new Column(4);
    private final PickRow came;
    private final PickRow together;
    private final Button letter = new Button("Print letter");
    private final Label printed = Texts.dim("");
    private boolean ownerShown;
    private int sitting;

    /** The station of a job. */
    public IntakeStation(Desk desk) {
        this.desk = desk;
        this.fields = new JobFields(desk);
        this.picks = new JobPicks(desk);
        this.complaints = new Complaints(desk);
        this.howItCame = new IncomingCondition(desk);
        this.another = new OtherLegQuestion(desk);
        sheet.getStyleClass().add("station");
        ownerOpen.setId("owner-open");
        ownerOpen.setOnAction(e -> {
            ownerShown = true;
            owner.setVisible(true);
            owner.setManaged(true);
            ownerOpen.setVisible(false);
            ownerOpen.setManaged(false);
            FocusStops.of(owner).first().ifPresent(Node::requestFocus);
            owner.fireEvent(new ScrollIntoView());
        });
        owner.setId("owner");
        owner.getChildren()
                .addAll(
                        Texts.heading(TEXT.get("intake_station.owner_and_engine")),
                        noted(JobNote.line(desk, TEXT.get("intake_station.who_owns_it"), Topic.OWNER.address())),
                        noted(JobNote.line(
                                desk, TEXT.get("intake_station.how_he_is_reached"), Topic.REACHED.address())),
                        noted(JobNote.line(
                                desk, TEXT.get("intake_station.who_pays_where_it_is_not"), Topic.PAYS.address())),
                        noted(JobNote.line(
                                desk,
                                TEXT.get("intake_station.the_engine_year_model_serial_number"),
                                Topic.ENGINE_MADE.address())),
                        fields.field(Field.SPENDING_LIMIT).optional().wide());
        came = picks.row(Scale.COMEBACK).optional();
        together = picks.row(Scale.ONE_VISIT).optional();
        letter.setId("print-letter");
        letter.setOnAction(e -> Paper.place(
                        desk.shop(), sheet, "Letter", "letter-" + desk.job().id() + ".pdf")
                .ifPresent(this::letter));
        comeback.setId("comeback");
        FlowPane hours = new Flow(8, 6, fields.field(Field.ENGINE_HOURS), fields.field(Field.HOURS_SINCE_FILL));
        FlowPane use = new Flow(
                18,
                8,
                picks.row(Scale.WATER),
                picks.row(Scale.SAND),
                picks.row(Scale.STORAGE),
                picks.row(Scale.DUTY),
                picks.row(Scale.LAST_JOB));
        FlowPane more = new Flow(
                8,
                6,
                fields.field(Field.MONTHS_SINCE_FILL).optional().wide(),
                fields.field(Field.AGE).optional().wide(),
                fields.field(Field.FILL).optional(),
                fields.field(Field.STORAGE_MIN).optional());
        sheet.getChildren()
                .addAll(
                        Texts.title(TEXT.get("intake_station.intake")),
                        family,
                        hours,
                        complaints,
                        howItCame,
                        noted(JobNote.line(
                                desk, TEXT.get("intake_station.in_the_owners_words"), Topic.COMPLAINT.address())),
                        use,
                        picks.row(Scale.LEG_STAYS).optional(),
                        more,
                        picks.oils(Scale.OIL_LAST),
                        noted(JobNote.line(
                                desk,
                                TEXT.get("intake_station.year_and_serial_number_of_the"),
                                Topic.LEG_MADE.address())),
                        noted(JobNote.line(
                                desk,
                                TEXT.get("intake_station.different_on_this_leg_a_bolt"),
                                Topic.LEG_OWN.address())),
                        ofTheLeg,
                        history,
                        comeback,
                        noted(JobNote.line(
                                desk,
                                TEXT.get("intake_station.waits_for_blank_when_it_can"),
                                Topic.WAITS_FOR.address())),
                        noted(JobNote.line(desk, TEXT.get("intake_station.promised_for"), Topic.PROMISED.address())),
                        another,
                        ownerOpen,
                        owner,
                        Texts.dim(TEXT.get("intake_station.unknown_history_is_normal_leave_blank")));
    }

    /** Writes the letter for a leg that came back, off the interface thread. */
    private void letter(Path file) {
        Assessment now = desk.now();
        Paper.write(
                desk.shop(),
                TEXT.get("intake_station.the_letter"),
                file,
                () -> desk.shop().papers().letter(now, file),
                printed::setText);
    }

    private Node noted(JobNote note) {
        notes.add(note);
        return note;
    }

    /** What earlier jobs have written down of the leg itself and this one has not. */
    private static String ofTheLeg(Assessment now) {
        return Stream.of(
                        Map.entry(Topic.LEG_MADE, TEXT.get("intake_station.year_and_serial_number")),
                        Map.entry(Topic.LEG_OWN, TEXT.get("intake_station.different_on_it")),
                        Map.entry(Topic.OWNER, "Owner"),
                        Map.entry(Topic.REACHED, "Reached"),
                        Map.entry(Topic.PAYS, "Pays"),
                        Map.entry(Topic.ENGINE_MADE, "Engine"))
                .flatMap(what -> now.before().ofTheLeg(what.getKey(), now.job()).stream()
                        .filter(told -> told.job() != now.job().id())
                        .map(told -> TEXT.get("intake_station.since_job", what.getValue(), told.job(), told.text())))
                .collect(Collectors.joining("\n"));
    }

    /** Whether anything of owner and engine is written down in this job. */
    private static boolean owners(Assessment now) {
        return now.job().reading(Field.SPENDING_LIMIT).isPresent()
                || Stream.of(Topic.OWNER, Topic.REACHED, Topic.PAYS, Topic.ENGINE_MADE)
                        .anyMatch(t -> now.job().note(t.address()).isPresent());
    }

    /** What this leg has been through, from its earlier jobs. */
    private void recall(Assessment now) {
        if (recalled == now.job().id()) {
            return;
        }
        recalled = now.job().id();
        history.getChildren().setAll(Texts.heading(TEXT.get("intake_station.here_before")));
        List<String> earlier = desk.shop().earlier(now.job());
        earlier.forEach(line -> history.getChildren().add(Texts.sentence(line)));
        if (earlier.isEmpty()) {
            history.getChildren().add(Texts.dim(TEXT.get("intake_station.no_earlier_job_of_this_leg")));
        }
    }

    @Override
    public Node node() {
        return sheet;
    }

    private static String words(Enum<?> constant) {
        return constant.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' ');
    }

    @Override
    public void show(Assessment now) {
        SpecSheet s = now.sheet();
        long vents = s.plugs().stream().filter(p -> p.role() == Plug.Role.VENT).count();
        String plugs = vents == 2 ? TEXT.get("intake_station.two_vents") : TEXT.get("intake_station.one_vent");
        family.setText(TEXT.get(
                "intake_station.the_makers_manual_for_the_exact",
                s.title(),
                (s.construction().caseKind() == Construction.CaseKind.UNKNOWN
                        ? TEXT.get("intake_station.one_piece_or_split_not_looked")
                        : TEXT.get("intake_station.case", words(s.construction().caseKind()))),
                plugs,
                (s.construction().sealLayout() == Construction.SealLayout.UNKNOWN
                        ? TEXT.get("intake_station.how_the_lips_face_not_looked")
                        : TEXT.get(
                                "intake_station.seals", words(s.construction().sealLayout()))),
                s.origin()));
        String told = ofTheLeg(now);
        ofTheLeg.setText(told);
        ofTheLeg.setVisible(!told.isEmpty());
        ofTheLeg.setManaged(!told.isEmpty());
        fields.show(now);
        recall(now);
        picks.show(now);
        complaints.show(now);
        howItCame.show(now);
        another.show(now);
        if (sitting != desk.sitting()) {
            sitting = desk.sitting();
            ownerShown = false;
        }
        boolean shown = ownerShown || owners(now);
        owner.setVisible(shown);
        owner.setManaged(shown);
        ownerOpen.setVisible(!shown);
        ownerOpen.setManaged(!shown);
        comeback.getChildren().clear();
        now.sister()
                .filter(leg -> leg.job().tagged().isEmpty())
                .filter(leg -> leg.job().leg().boat().equals(now.job().leg().boat()))
                .ifPresent(leg -> comeback.getChildren().addAll(Texts.sentence(OneVisit.proposed(leg)), together));
        Comeback back = new Comeback(now);
        back.proposed().ifPresent(p -> comeback.getChildren().addAll(Texts.sentence(p), came));
        if (back.marked()) {
            comeback.getChildren().add(new Row(10, letter, printed));
        }
        new EngineSide(now).greeting().values().forEach(w -> comeback.getChildren()
                .add(Texts.caution(w)));
        notes.forEach(n -> n.show(now));
    }
}
