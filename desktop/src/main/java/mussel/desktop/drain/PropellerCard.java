package mussel.desktop.drain;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Field;
import mussel.core.job.MissingValue;
import mussel.core.job.ShaftRunout;
import mussel.core.job.Station;
import mussel.core.language.Messages;
import mussel.core.propeller.RunoutWords;
import mussel.core.verdict.Finding;
import mussel.core.verdict.Knowledge;
import mussel.desktop.desk.JobFields;
import mussel.desktop.desk.JobPicks;
import mussel.desktop.desk.ManualValues;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Flow;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.desktop.kit.WhyButton;
import mussel.work.desk.Desk;

/** The propeller and its shaft: what is seen with the propeller off, and the shaft's run-out on the indicator against its limit. */
final class PropellerCard extends Column {
    private static final Messages TEXT = Messages.of(PropellerCard.class);

    private static final List<String> LOOKS = List.of("blade_edges", "fishing_line", "prop_hub_oil", "hub_mark");

    private final ManualValues limit;
    private final VBox answer = new Column(3);
    private final Label news = Texts.wrapped("", "strong");
    private final VBox more = new Column(3);

    PropellerCard(Desk desk, JobFields fields, JobPicks picks) {
        super(8);
        setId("propeller-off");
        Knowledge knowledge = desk.now().knowledge();
        Flow looks = new Flow(18, 8);
        for (String look : LOOKS) {
            knowledge.finding(look).ifPresent(f -> looks.getChildren().add(row(picks, f)));
        }
        limit = new ManualValues(desk, Station.DRAIN, m -> m.at().equals(MissingValue.RUNOUT));
        HBox.setHgrow(news, Priority.ALWAYS);
        news.setMaxWidth(Double.MAX_VALUE);
        WhyButton why = new WhyButton("why-runout", () -> runout(desk.now())
                .flatMap(r -> r.words(desk.now().yard().reads()))
                .map(RunoutWords::why));
        answer.getChildren().addAll(new Row(8, news, why), more);
        answer.getStyleClass().add("card");
        getChildren()
                .addAll(
                        Texts.heading(TEXT.get("propeller_card.propeller_and_its_shaft")),
                        looks,
                        Texts.dim(TEXT.get("propeller_card.run_out_indicator_on_the_bare")),
                        new Flow(
                                8,
                                6,
                                fields.field(Field.RUNOUT_HIGH).optional(),
                                fields.field(Field.RUNOUT_LOW).optional(),
                                fields.field(Field.RUNOUT_PLAY).optional()),
                        answer,
                        limit);
    }

    private static Node row(JobPicks picks, Finding finding) {
        return picks.row(Address.the(finding.id()), finding.title(), finding.outcomes(), outcome -> null)
                .optional();
    }

    private static Optional<ShaftRunout> runout(Assessment now) {
        return ShaftRunout.of(now.job(), now.sheet());
    }

    void show(Assessment now) {
        Optional<ShaftRunout> runout = runout(now);
        answer.setVisible(runout.isPresent());
        answer.setManaged(runout.isPresent());
        limit.show(now);
        if (runout.isEmpty()) {
            limit.setVisible(false);
            return;
        }
        List<String> notes = runout.get().notes(now.yard().reads());
        news.setText(notes.get(0));
        more.getChildren().setAll(notes.stream().skip(1).map(Texts::sentence).toList());
    }
}
