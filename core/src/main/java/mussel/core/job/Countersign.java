package mussel.core.job;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.sheet.Phase;

/**
 * What an apprentice has proved waits until somebody who does not learn has countersigned it: the answers of the proof, holds made once work had begun, and the
 * ticked steps of proving. What he proves afterwards waits anew.
 *
 * @param proved apprentices whose proofs wait
 * @param signed who has countersigned last; empty while nobody did
 */
public record Countersign(List<String> proved, Optional<String> signed) {
    private static final Messages TEXT = Messages.of(Countersign.class);
    private static final Set<Scale> PROOFS = Set.of(
            Scale.SHIFT_NEUTRAL,
            Scale.SHIFT_FORWARD,
            Scale.SHIFT_REVERSE,
            Scale.RUN_TELLTALE,
            Scale.RUN_AHEAD,
            Scale.RUN_ASTERN,
            Scale.RUN_SOUND,
            Scale.DRIPS);
    private static final Countersign NONE = new Countersign(List.of(), Optional.empty());

    /** Keeps its own copy. */
    public Countersign {
        proved = List.copyOf(proved);
    }

    /** What waits on a job. */
    public static Countersign of(Assessment all) {
        Yard yard = all.yard();
        if (all.job().people().stream().noneMatch(yard::learns)) {
            return NONE;
        }
        Set<String> proved = new LinkedHashSet<>();
        Optional<String> signed = Optional.empty();
        boolean begun = false;
        for (Entry entry : all.job().undoLine().standing()) {
            begun |= entry.fact() instanceof Fact.Ticked;
            if (entry.fact() instanceof Fact.Countersigned && !yard.learns(entry.by())) {
                proved.clear();
                signed = Optional.of(entry.by());
            } else if (yard.learns(entry.by()) && proof(all, entry.fact(), begun)) {
                proved.add(entry.by());
            }
        }
        return new Countersign(List.copyOf(proved), signed);
    }

    private static boolean proof(Assessment all, Fact fact, boolean begun) {
        if (fact instanceof Fact.Chosen chosen) {
            return PROOFS.stream().anyMatch(s -> s.address().equals(chosen.about()));
        }
        if (fact instanceof Fact.Ticked ticked) {
            return ticked.done()
                    && all.plan().of(Phase.PROVE).stream()
                            .anyMatch(s -> s.step().id().equals(ticked.step()));
        }
        return begun && fact instanceof Fact.HoldBegun;
    }

    /** Whether anything waits. */
    public boolean waits() {
        return !proved.isEmpty();
    }

    /** What waits, or who has countersigned, in a sentence; empty where no apprentice has proved anything. */
    public String says() {
        return waits()
                ? TEXT.get("countersign.waits", String.join(", ", proved))
                : signed.map(by -> TEXT.get("countersign.signed", by)).orElse("");
    }
}
