package mussel.desktop.pump;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import mussel.core.instrument.Telltale;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.PumpWork;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.sheet.PumpGeometry;
import mussel.core.sheet.PumpSheet;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Pages;
import mussel.desktop.kit.Texts;
import mussel.work.desk.Desk;

/** The telltale by bucket and stopwatch: readings one after the other, each with its speed and place. */
final class TelltaleCard extends Column {
    private static final Messages TEXT = Messages.of(TelltaleCard.class);

    private static final double SIMULATED_RPM = 1_000;
    private static final double SIMULATED_BUCKET_L = 2;

    private final Desk desk;
    private final JobFields fields;
    private final JobPicks picks;
    private final VBox readings = new Column(3);
    private final Pages current = new Pages();
    private final Button another = new Button("Add reading");
    private final Button simulated = new Button("Measure on the simulated leg");
    private final Stopwatch watch;
    private final FlowPane[] rows = new FlowPane[PumpWork.MOST_FLOWS];
    private int nr = 1;
    private int job;

    TelltaleCard(Desk desk) {
        super(8);
        this.desk = desk;
        fields = new JobFields(desk);
        picks = new JobPicks(desk);
        watch = new Stopwatch(this::stopped);
        another.setId("another-flow");
        another.setOnAction(e -> {
            nr = Math.min(PumpWork.MOST_FLOWS, nr + 1);
            show(desk.now());
        });
        simulated.setId("simulated-flow");
        simulated.getStyleClass().add("simulated");
        simulated.setOnAction(e -> simulate());
        desk.onLeave("telltale", watch::halt);
        FlowPane buttons = new Flow(10, 8, watch, another, simulated);
        getChildren().addAll(current, buttons, readings);
    }

    private FlowPane row(int number) {
        if (rows[number - 1] == null) {
            String of = String.valueOf(number);
            rows[number - 1] = new Flow(
                    12,
                    6,
                    fields.field(Field.FLOW_RPM, Field.FLOW_RPM.of(of), Field.FLOW_RPM.label())
                            .wide(),
                    fields.field(Field.FLOW_CAUGHT, Field.FLOW_CAUGHT.of(of), Field.FLOW_CAUGHT.label()),
                    fields.field(Field.FLOW_TIME, Field.FLOW_TIME.of(of), Field.FLOW_TIME.label()),
                    picks.row(
                            Scale.FLOW_WHERE.of(of), Scale.FLOW_WHERE.label(), Scale.FLOW_WHERE.outcomes(), o -> null));
        }
        return rows[number - 1];
    }

    private void stopped(double seconds) {
        desk.read(Field.FLOW_TIME.of(String.valueOf(nr)), seconds, String.format(Locale.ROOT, "%.1f s", seconds));
    }

    /** Fills a bucket on a practice leg whose pump is as marked; every reading says that it is simulated. */
    private void simulate() {
        Assessment now = desk.now();
        Optional<PumpSheet> pump = now.sheet().pump();
        Optional<PumpGeometry> geometry = pump.flatMap(PumpSheet::geometry);
        if (geometry.isEmpty() || pump.get().telltaleShare().isEmpty()) {
            desk.tell(TEXT.get("telltale_card.the_sheet_of_this_family_has"));
            return;
        }
        Telltale telltale = desk.shop().instruments().telltale(now.job().id() * 31L + nr);
        double flow = pump.get().telltaleShare().getAsDouble()
                * geometry.get()
                        .flowLMin(
                                SIMULATED_RPM,
                                now.pump().result().set().orElse(0),
                                now.pump().result().clearanceMm());
        Telltale.Caught caught = telltale.fill(SIMULATED_BUCKET_L, flow);
        String of = String.valueOf(nr);
        desk.note(List.of(
                read(Field.FLOW_RPM.of(of), SIMULATED_RPM, "1000 rpm", telltale),
                read(Field.FLOW_CAUGHT.of(of), caught.litres() * 1_000, caught.litres() + " l", telltale),
                read(Field.FLOW_TIME.of(of), caught.seconds(), caught.seconds() + " s", telltale),
                new Fact.Chosen(Scale.FLOW_WHERE.of(of), "tank")));
    }

    private static Fact read(Address at, double value, String typed, Telltale by) {
        return new Fact.Read(at, value, typed, by.name(), by.simulated());
    }

    /** Whether the stopwatch runs. */
    boolean running() {
        return watch.running();
    }

    void show(Assessment now) {
        if (now.job().id() != job) {
            job = now.job().id();
            nr = Math.max(1, taken(now.job()));
        }
        current.show(row(nr));
        fields.show(now);
        picks.show(now);
        another.setDisable(nr >= PumpWork.MOST_FLOWS || taken(now.job()) < nr);
        List<Label> said = now.pump().result().flows().stream()
                .map(now.pump().words()::flow)
                .map(Texts::sentence)
                .toList();
        readings.getChildren().setAll(said);
        if (now.pump().simulatedFlow()) {
            Label mark = Texts.wrapped(TEXT.get("telltale_card.timed_on_a_simulated_leg_this"), "strong");
            readings.getChildren().add(mark);
        }
    }

    /** The last reading with anything in it. */
    private static int taken(Job job) {
        return IntStream.rangeClosed(1, PumpWork.MOST_FLOWS)
                .filter(i -> job.reading(Field.FLOW_TIME.of(String.valueOf(i))).isPresent())
                .max()
                .orElse(0);
    }
}
