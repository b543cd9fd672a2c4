package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import mussel.core.language.Messages;
import mussel.core.plan.Plan;
import mussel.core.sheet.Construction;

/**
 * What a leg is not tagged with in silence: a failed proof, a hold that was not made again, pieces short on the mat, steps undone, bolts not brought
 * to their torque. Each may be, and then it takes a word.
 */
final class TagCheck {
    private static final Messages TEXT = Messages.of(TagCheck.class);

    /** Groups of bolts named before the rest is only counted. */
    private static final int MOST_NAMED = 4;

    private final Assessment all;

    TagCheck(Assessment all) {
        this.all = all;
    }

    /** Each of them, in a sentence. */
    List<String> untold() {
        List<String> untold = new ArrayList<>();
        all.proof().failed().stream().findFirst().ifPresent(p -> untold.add(TEXT.get("block.proof", p.says())));
        Countersign countersign = Countersign.of(all);
        if (countersign.waits()) {
            untold.add(countersign.says());
        }
        StepAsk.fellIn(all).ifPresent(what -> untold.add(TEXT.get("block.fell", what)));
        String planned = new EngineSide(all).planned();
        if (!planned.isEmpty()) {
            untold.add(TEXT.get("block.beside", planned));
        }
        List<Plan.PlannedStep> steps = all.plan().steps();
        boolean begun =
                steps.stream().anyMatch(s -> all.job().ticked(s.step().id()).isPresent());
        if (!begun) {
            return untold;
        }
        List<ProofWork.Proof> unheld = all.proof().unheld();
        if (!unheld.isEmpty()) {
            untold.add(TEXT.get(
                    all.sheet().construction().sealLayout() == Construction.SealLayout.BACK_TO_BACK
                            ? "block.unheld"
                            : "block.unheld.one",
                    String.join(" ", unheld.stream().map(ProofWork.Proof::says).toList())));
        }
        all.loose().stream()
                .filter(l -> l.counted().isPresent() && l.counted().getAsDouble() < l.expected())
                .forEach(l -> untold.add(TEXT.get(
                        "block.short",
                        all.supply().title(l.part()),
                        String.valueOf((int) l.counted().getAsDouble()),
                        String.valueOf(l.expected()))));
        List<String> undone = steps.stream()
                .filter(s -> all.job().ticked(s.step().id()).isEmpty())
                .map(s -> s.step().title())
                .toList();
        if (!undone.isEmpty()) {
            untold.add(TEXT.get(
                    undone.size() == 1 ? "block.step" : "block.steps",
                    String.valueOf(undone.size()),
                    String.join("; ", undone.stream().limit(2).toList())));
        }
        List<String> loose = all.torques().stream()
                .filter(t -> tight(t) < t.bolts().size())
                .map(t ->
                        t.fastener().title() + " " + tight(t) + "/" + t.bolts().size())
                .toList();
        if (!loose.isEmpty()) {
            String first = String.join(", ", loose.stream().limit(MOST_NAMED).toList());
            untold.add(
                    loose.size() > MOST_NAMED
                            ? TEXT.get("block.bolts.more", first, String.valueOf(loose.size() - MOST_NAMED))
                            : TEXT.get("block.bolts", first));
        }
        return untold;
    }

    /** Bolts within their range; a simulated wrench tightens nothing. */
    private static long tight(TorqueWork work) {
        return work.bolts().stream()
                .filter(b -> b.state() == TorqueWork.State.DONE && !b.simulated())
                .count();
    }
}
