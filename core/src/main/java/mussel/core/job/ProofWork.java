package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.leak.LeakMode;
import mussel.core.sheet.Construction;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Phase;

/** Whether the leg is proven: the shift's truth table, the leak test done again, the run, and the hour after it. */
public final class ProofWork {
    private static final Messages TEXT = Messages.of(ProofWork.class);

    /** Answers that mean the leg must come off again. */
    private static final Set<String> OFF_AGAIN = Set.of(
            "shift_neutral.locks",
            "shift_forward.turns",
            "shift_forward.locks",
            "shift_reverse.turns",
            "shift_reverse.jumps",
            "run_telltale.none",
            "run_ahead.slips",
            "run_ahead.jumps",
            "run_astern.slips",
            "run_astern.jumps",
            "run_sound.growls",
            "run_sound.knocks");

    private final Assessment all;
    private final List<Proof> proofs = new ArrayList<>();

    ProofWork(Assessment all) {
        this.all = all;
        shift();
        leaks();
        answer(Scale.RUN_TELLTALE, "steady", Section.RUN);
        answer(Scale.RUN_AHEAD, "drives", Section.RUN);
        answer(Scale.RUN_ASTERN, "drives", Section.RUN);
        answer(Scale.RUN_SOUND, "even", Section.RUN);
        answer(Scale.DRIPS, "dry", Section.AFTER);
    }

    private void shift() {
        answer(Scale.SHIFT_NEUTRAL, "turns", Section.SHIFT);
        answer(Scale.SHIFT_FORWARD, "clicks", Section.SHIFT);
        answer(Scale.SHIFT_REVERSE, "locks", Section.SHIFT);
    }

    /** Astern with the engine still is tried only where the shaft is turned by hand meanwhile; the step of the sheet says how. */
    public String reverseCaution() {
        return TEXT.get("proof.reverse.caution");
    }

    private void answer(Scale scale, String right, Section section) {
        String id = scale.name().toLowerCase(Locale.ROOT);
        Optional<String> found = all.job().choice(scale);
        State state = found.isEmpty() ? State.OPEN : found.get().equals(right) ? State.PASSED : State.FAILED;
        proofs.add(new Proof(
                id,
                section,
                state,
                found.isEmpty() ? TEXT.get("proof." + id) : TEXT.get("proof." + id + "." + found.get()),
                found.filter(f -> OFF_AGAIN.contains(id + "." + f)).isPresent()));
    }

    private void leaks() {
        for (LeakMode mode : LeakMode.values()) {
            List<Hold> held = all.job().holds().stream()
                    .filter(h -> h.mode() == mode)
                    .sorted(java.util.Comparator.comparing(Hold::begun))
                    .toList();
            // With lips back to back pressure tries the oil-side ones alone and vacuum the water-side ones: one hold
            // proves half a reseal.
            boolean both = all.sheet().construction().sealLayout() == Construction.SealLayout.BACK_TO_BACK;
            boolean asked = (mode == LeakMode.PRESSURE || both)
                    && Assessment.goals(all.job(), all.sheet()).stream().anyMatch(g -> !g.means(Goal.Meaning.DRY_SIDE));
            if (held.isEmpty() && !asked) {
                continue;
            }
            proofs.add(leak(mode, held));
        }
    }

    private Proof leak(LeakMode mode, List<Hold> held) {
        String name = mode.name().toLowerCase(Locale.ROOT);
        Optional<Hold> again = held.stream().filter(all::afterBuild).reduce((a, b) -> b);
        if (again.isEmpty()) {
            return new Proof("leak_" + name, Section.LEAK, State.OPEN, TEXT.get("proof.leak." + name), false);
        }
        String first = held.stream()
                .filter(h -> !all.afterBuild(h))
                .findFirst()
                .map(h -> TEXT.get("proof.leak.first", TEXT.get("proof.leak.was." + verdict(h))))
                .orElse(TEXT.get("proof.leak.no.first"));
        String verdict = verdict(again.get());
        State state = verdict.equals("open") || again.get().simulated()
                ? State.OPEN
                : verdict.equals("tight") ? State.PASSED : State.FAILED;
        String practice = again.get().simulated() ? " " + TEXT.get("proof.leak.simulated") : "";
        return new Proof(
                "leak_" + name,
                Section.LEAK,
                state,
                TEXT.get("proof.leak.again." + verdict, TEXT.get("proof.hold." + name)) + " " + first + practice,
                state == State.FAILED);
    }

    private String verdict(Hold hold) {
        HeldTest test = HeldTest.of(hold, all.sheet().leakTest(), all.job().reading(Field.BAROMETER));
        return test.finding().orElse(test.over() ? "tight" : "open");
    }

    /** Every proof, in the order it is made. */
    public List<Proof> proofs() {
        return List.copyOf(proofs);
    }

    /** Those that failed. */
    public List<Proof> failed() {
        return proofs.stream().filter(p -> p.state() == State.FAILED).toList();
    }

    /** How it stands, in a sentence. */
    public String head() {
        List<Proof> failed = failed();
        if (failed.stream().anyMatch(Proof::offAgain)) {
            return TEXT.get("proof.head.off");
        }
        if (!failed.isEmpty()) {
            return TEXT.get("proof.head.failed", failed.size());
        }
        long passed = proofs.stream().filter(p -> p.state() == State.PASSED).count();
        return passed == proofs.size()
                ? TEXT.get("proof.head.passed")
                : TEXT.get("proof.head.open", passed, proofs.size());
    }

    /** Why the leg is tagged all the same; empty where nobody has said. */
    public Optional<String> override() {
        return all.job().note(Topic.PROOF_OVERRIDE.address()).filter(s -> !s.isBlank());
    }

    /** The holds again that were asked for and not made, or proved nothing. */
    List<Proof> unheld() {
        return proofs.stream()
                .filter(p -> p.section() == Section.LEAK && p.state() == State.OPEN)
                .toList();
    }

    /** That nothing says its lips are tight, in a sentence as it hangs on the leg; empty where they were proven, or nothing was sealed. */
    public Optional<String> unproven() {
        List<Proof> holds =
                proofs.stream().filter(p -> p.section() == Section.LEAK).toList();
        boolean begun = all.stepsDone(all.buildSteps()) > 0;
        if (holds.isEmpty() || !begun || unheld().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                holds.size() == 1
                        ? TEXT.get("tag.unproven.none")
                        : TEXT.get("tag.unproven", String.valueOf(unheld().size()), String.valueOf(holds.size())));
    }

    /** Whether anything was proven or found wanting. */
    public boolean begun() {
        return proofs.stream().anyMatch(p -> p.state() != State.OPEN)
                || all.stepsDone(all.plan().of(Phase.PROVE)) > 0;
    }

    /** Whether every proof is passed and every step of proving is done. */
    public boolean done() {
        return proofs.stream().allMatch(p -> p.state() == State.PASSED)
                && all.stepsDone(all.plan().of(Phase.PROVE))
                        == all.plan().of(Phase.PROVE).size();
    }

    /** Where a proof belongs. */
    public enum Section {
        /** By hand, engine still. */
        SHIFT,
        /** The leak test again. */
        LEAK,
        /** With the engine running. */
        RUN,
        /** An hour later. */
        AFTER
    }

    /** How a proof stands. */
    public enum State {
        /** Not made yet. */
        OPEN,
        /** As it should be. */
        PASSED,
        /** Not so. */
        FAILED
    }

    /**
     * One proof.
     *
     * @param id its id
     * @param section where it belongs
     * @param state how it stands
     * @param says what is to be seen, or what was and what it means
     * @param offAgain whether the leg must come off again for it
     */
    public record Proof(String id, Section section, State state, String says, boolean offAgain) {}
}
