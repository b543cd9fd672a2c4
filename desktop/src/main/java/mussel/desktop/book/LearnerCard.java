package mussel.desktop.book;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import mussel.core.book.WorkList;
import mussel.core.job.Entry;
import mussel.core.job.Job;
import mussel.core.job.LearnerSteps;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.measure.StopToken;
import mussel.desktop.desk.Paper;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Row;
import mussel.desktop.kit.Texts;
import mussel.work.background.BackgroundQuery;
import mussel.work.shop.Workshop;

/** What those who learn have done on real legs, by kind of step, alone or with help; on the screen and on paper. */
final class LearnerCard extends Column {
    private static final Messages TEXT = Messages.of(LearnerCard.class);

    private final Workshop shop;
    private final BackgroundQuery aside;

    LearnerCard(Workshop shop, BackgroundQuery aside) {
        super(6);
        this.shop = shop;
        this.aside = aside;
        setId("learners");
        getStyleClass().add("card");
        managedProperty().bind(visibleProperty());
    }

    /** Reads the log anew, off the interface thread; nothing is shown where nobody learns. */
    void show() {
        Yard yard = shop.yard();
        boolean any = yard.crew().stream()
                .flatMap(c -> c.technicians().stream())
                .anyMatch(t -> t.standing() == Yard.Standing.APPRENTICE);
        setVisible(any);
        if (any) {
            getChildren()
                    .setAll(
                            Texts.heading(TEXT.get("learner_card.at_the_bench")),
                            Texts.dim(TEXT.get("learner_card.reading_the_log")));
            aside.ask(stop -> shop.apart(apart -> read(apart, yard, stop)), this::told);
        }
    }

    private static LearnerSteps read(Workshop shop, Yard yard, StopToken stop) {
        LearnerSteps steps = new LearnerSteps(yard);
        for (int number : shop.journal().numbers()) {
            stop.check();
            List<Entry> entries = shop.journal().entries(number);
            if (entries.stream().anyMatch(e -> yard.learns(e.by()))) {
                shop.sheets().workedBy(Job.of(entries)).ifPresent(sheet -> steps.add(entries, sheet));
            }
        }
        return steps;
    }

    private void told(LearnerSteps steps) {
        getChildren().setAll(Texts.heading(TEXT.get("learner_card.at_the_bench")));
        if (steps.done().isEmpty()) {
            getChildren().add(Texts.dim(TEXT.get("learner_card.no_step_was_ticked_yet_by")));
            return;
        }
        getChildren().add(Texts.dim(LearnerSteps.intro()));
        steps.done().forEach((name, kinds) -> {
            getChildren().add(Texts.wrapped(LearnerSteps.title(name), "strong"));
            lines(steps, kinds).forEach(l -> getChildren().add(Texts.sentence(l.says())));
            Button print = new Button(TEXT.get("learner_card.print_list"));
            print.setId("learner-print-" + name.replace(' ', '-'));
            Label printed = Texts.dim("");
            print.setOnAction(e -> print(steps, name, printed));
            getChildren().add(new Row(8, print, printed));
        });
    }

    /** A line a kind, done where it was done alone. */
    private static List<WorkList.Line> lines(LearnerSteps steps, Map<LearnerSteps.Kind, LearnerSteps.Count> kinds) {
        List<WorkList.Line> lines = new ArrayList<>();
        kinds.forEach((kind, count) -> lines.add(new WorkList.Line(steps.says(kind, count), count.alone() > 0)));
        return lines;
    }

    private void print(LearnerSteps steps, String name, Label printed) {
        List<String> notes = shop.families().stream()
                .map(f -> steps.openSays(name, f))
                .flatMap(Optional::stream)
                .toList();
        WorkList list = new WorkList(
                LearnerSteps.title(name),
                LearnerSteps.intro(),
                lines(steps, steps.done().get(name)),
                notes);
        Yard yard = shop.yard();
        LocalDate day = shop.today();
        Paper.place(shop, this, "Learner", "learner.pdf")
                .ifPresent(file -> Paper.write(
                        shop,
                        TEXT.get("learner_card.the_list"),
                        file,
                        () -> shop.papers().list(yard, day, list, file),
                        printed::setText));
    }
}
