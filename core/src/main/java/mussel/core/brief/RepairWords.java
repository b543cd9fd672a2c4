package mussel.core.brief;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mussel.core.job.Assessment;
import mussel.core.job.ProofWork;
import mussel.core.measure.Display;
import mussel.core.sheet.Goal;
import mussel.core.verdict.Finding;
import mussel.core.verdict.RepairSet;
import mussel.core.verdict.RepairTables;
import mussel.core.verdict.Repairs;

/** Rounds of checks and sets of repairs in words, as every screen says them. */
public final class RepairWords {
    private static final int MOST_LEFT = 3;

    private RepairWords() {}

    /** A round in few words: its name, how many checks, how long. */
    public static String says(Assessment now, Repairs.Round round) {
        return Briefing.TEXT.get(
                "round",
                name(now, round),
                Briefing.TEXT.get("round.checks", certain(now, round).size()),
                Display.workTime(round.minutes()));
    }

    /** The name of a round. */
    public static String name(Assessment now, Repairs.Round round) {
        return now.knowledge().repairs().stream()
                .flatMap(r -> r.rounds().stream())
                .filter(r -> r.id().equals(round.round()))
                .map(RepairTables.Round::title)
                .findFirst()
                .orElse(round.round());
    }

    /** The check it begins with, by name. */
    static String first(Assessment now, Repairs.Round round) {
        return certain(now, round).stream().findFirst().map(Finding::title).orElseGet(() -> name(now, round));
    }

    /** Its checks by name, in the order they are made. */
    public static String checks(Assessment now, Repairs.Round round) {
        return certain(now, round).stream().map(Finding::title).collect(Collectors.joining(" · "));
    }

    /** The checks that are made whatever the others show; one behind another may follow. */
    private static List<Finding> certain(Assessment now, Repairs.Round round) {
        Map<String, String> found = new HashMap<>();
        now.findings().forEach((id, made) -> found.put(id, made.outcome()));
        return round.looks().stream()
                .flatMap(f -> now.knowledge().finding(f).stream())
                .filter(f -> f.open(found))
                .toList();
    }

    /** A repair by name: as the unit's sheet calls it, else as the tables do. */
    public static String repair(Assessment now, String goal) {
        return now.sheet()
                .goal(goal)
                .map(Goal::title)
                .or(() -> now.knowledge().goal(goal).map(g -> g.title()))
                .orElse(goal);
    }

    /** The likeliest of what a set leaves open, each with its chance; empty where nothing of this unit's sheet is. */
    public static String left(Assessment now, RepairSet set) {
        return set.leaves().stream()
                .filter(l -> now.sheet().goal(l.goal()).isPresent())
                .limit(MOST_LEFT)
                .map(l -> repair(now, l.goal()) + " " + Display.percent(l.probability()))
                .collect(Collectors.joining(", "));
    }

    /** A final check by name. */
    public static String check(Assessment now, String proof) {
        return now.knowledge().repairs().stream()
                .flatMap(r -> r.proofs().stream())
                .filter(p -> p.id().equals(proof))
                .map(RepairTables.Proof::title)
                .findFirst()
                .orElse(proof);
    }

    /** The chance that the boat comes back for what is left once this is handed over: what was chosen, else nothing. */
    public static String comesBack(Assessment now, Repairs repairs) {
        RepairSet done = repairs.chosen()
                .orElseGet(() -> repairs.sets().get(repairs.sets().size() - 1));
        boolean made = now.proof().proofs().stream()
                .anyMatch(p -> p.section() == ProofWork.Section.LEAK && p.state() != ProofWork.State.OPEN);
        String left = left(now, done);
        return Briefing.TEXT.get(
                made ? "back.made" : "back.open",
                Display.percent(done.back()),
                check(now, done.proof()),
                left.isEmpty() ? "" : Briefing.TEXT.get("back.left", left));
    }
}
