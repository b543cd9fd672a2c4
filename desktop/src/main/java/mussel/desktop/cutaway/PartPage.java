package mussel.desktop.cutaway;

import atlantafx.base.controls.Popover;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import mussel.core.job.Assessment;
import mussel.core.job.Inspection;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.Phase;
import mussel.core.sheet.Seal;
import mussel.core.sheet.Step;
import mussel.desktop.kit.Callout;
import mussel.desktop.kit.Column;
import mussel.desktop.kit.Texts;

/** Everything known of one part: its number and kit, how it lay and how it goes in, its fasteners, and the way to where it is recorded. */
public final class PartPage extends Column {
    private static final Messages TEXT = Messages.of(PartPage.class);

    private static final double WIDTH = 360;

    /** The page of a part; {@code onGo} opens the station where it comes off (true) or goes in (false). */
    PartPage(Assessment now, Part part, java.util.function.Consumer<Boolean> onGo) {
        super(6);
        getStyleClass().add("why-page");
        setPrefWidth(WIDTH);
        setMaxWidth(WIDTH);
        String qty = part.qty() > 1 ? part.qty() + " × " : "";
        getChildren().add(Texts.wrapped(qty + part.title(), "why-title"));
        String kits = String.join(
                ", ",
                now.sheet().kits().stream()
                        .filter(k ->
                                k.contains().stream().anyMatch(p -> p.part().equals(part.id())))
                        .map(Kit::title)
                        .toList());
        getChildren()
                .add(Texts.dim((Step.says(part.number()) ? TEXT.get("part_page.sheet_number", part.number()) : "")
                        + (kits.isEmpty() ? TEXT.get("part_page.in_no_kit") : TEXT.get("part_page.in", kits))
                        + (part.alwaysNew() ? TEXT.get("part_page.always_new") : "")
                        + (part.loose() ? TEXT.get("part_page.small_and_loose") : "")));
        Inspection judged = Inspection.of(now.job(), part.id());
        if (judged.verdict() != Inspection.Verdict.NOT_JUDGED) {
            String why = judged.why().isEmpty() ? "" : ": " + judged.why();
            getChildren()
                    .add(Texts.wrapped(
                            TEXT.get("part_page.judged", judged.verdict().title(), why), "strong"));
        }
        for (Seal seal : now.sheet().seals()) {
            if (seal.part().equals(part.id())) {
                getChildren().add(Texts.sentence(seal.orientation() + " " + seal.depth()));
            }
        }
        for (PlannedStep planned : now.plan().steps()) {
            step(now, part, planned.step());
        }
        List<PlannedStep> touching =
                now.plan().steps().stream().filter(s -> touches(part, s.step())).toList();
        if (touching.isEmpty()) {
            getChildren().add(Texts.dim(TEXT.get("part_page.the_work_chosen_does_not_touch")));
        } else {
            getChildren().add(go(TEXT.get("part_page.where_it_comes_off"), () -> onGo.accept(true)));
            getChildren().add(go(TEXT.get("part_page.where_it_goes_in"), () -> onGo.accept(false)));
        }
        getChildren()
                .add(Texts.dim(TEXT.get(
                        "part_page.the_makers_manual_outranks_it", now.sheet().origin())));
    }

    /** Opens the page beside the part. */
    public static void open(Node beside, Assessment now, Part part, java.util.function.Consumer<Boolean> onGo) {
        Callout callout = new Callout(part.title(), Popover.ArrowLocation.LEFT_CENTER);
        callout.open(beside, new PartPage(now, part, strip -> {
            callout.close();
            onGo.accept(strip);
        }));
    }

    private static Button go(String text, Runnable action) {
        Button button = new Button(text);
        button.setOnAction(e -> action.run());
        return button;
    }

    private static boolean touches(Part part, Step step) {
        return step.partsOut().stream().anyMatch(p -> p.part().equals(part.id()))
                || step.partsIn().stream().anyMatch(p -> p.part().equals(part.id()));
    }

    private void step(Assessment now, Part part, Step step) {
        boolean done = now.job().ticked(step.id()).isPresent();
        step.partsOut().stream()
                .filter(p -> p.part().equals(part.id()))
                .forEach(p -> line(now, step, p, done ? TEXT.get("part_page.off") : TEXT.get("part_page.comes_off")));
        step.partsIn().stream()
                .filter(p -> p.part().equals(part.id()))
                .forEach(p -> line(now, step, p, done ? TEXT.get("part_page.fitted") : TEXT.get("part_page.goes_in")));
    }

    private void line(Assessment now, Step step, PartQty part, String what) {
        String how = part.hasHow() ? ", " + part.how() : "";
        getChildren().add(Texts.sentence(TEXT.get("part_page.at", what, step.title(), how)));
        now.job().note(Topic.AS_FOUND.of(step.id())).ifPresent(found -> getChildren()
                .add(Texts.wrapped(TEXT.get("part_page.as_found", found), "strong")));
        if (step.phase() == Phase.BUILD) {
            step.fasteners().forEach(id -> now.sheet().fastener(id).ifPresent(f -> getChildren()
                    .add(Texts.dim(f.named() + ": " + f.tightness()))));
        }
    }
}
