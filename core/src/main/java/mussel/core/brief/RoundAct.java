package mussel.core.brief;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mussel.core.brief.Brief.Act;
import mussel.core.brief.Brief.Deed;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.RepairQuestion;
import mussel.core.job.Scale;
import mussel.core.measure.Display;
import mussel.core.sheet.Goal;
import mussel.core.verdict.Finding;
import mussel.core.verdict.RepairSet;
import mussel.core.verdict.Repairs;

/** The acts that follow from rounds of checks and sets of repairs. */
final class RoundAct {
    private RoundAct() {}

    /** The first round that is worth its time as the unit stands; empty where none is. */
    static Optional<Act> of(Assessment now, Repairs repairs, Function<Finding, Deed> own) {
        return repairs.rounds().stream()
                .filter(r -> r.possible() && r.value() > 0)
                .findFirst()
                .map(round -> new Act(
                        RepairWords.says(now, round),
                        Briefing.TEXT.get(
                                "round.note",
                                RepairWords.first(now, round),
                                now.yard().money().sum(round.value())),
                        deed(now, round, own)));
    }

    /** What begins at a station of its own, as a hold does, is begun there; all else is one list. */
    private static Deed deed(Assessment now, Repairs.Round round, Function<Finding, Deed> own) {
        Deed first = own.apply(now.knowledge().finding(round.looks().get(0)).orElseThrow());
        return first instanceof Deed.Look ? new Deed.Round(RepairWords.says(now, round), round.looks()) : first;
    }

    /** Taking the best set; empty where the unit's sheet has nothing of it that is not chosen. */
    static Optional<Act> set(Assessment now, RepairQuestion.Answer answer) {
        RepairSet best = answer.repairs().sets().get(0);
        List<Goal> goals = best.goals().stream()
                .flatMap(g -> now.sheet().goal(g).stream())
                .filter(g -> !now.goals().contains(g.id()))
                .toList();
        if (goals.isEmpty()) {
            return Optional.empty();
        }
        double price = Optional.ofNullable(answer.prices()
                        .get(best.goals().stream()
                                .filter(g -> now.sheet().goal(g).isPresent())
                                .collect(Collectors.toSet())))
                .map(RepairQuestion.Price::money)
                .orElse(best.now());
        String left = RepairWords.left(now, best);
        return Optional.of(new Act(
                Briefing.TEXT.get("set"),
                Briefing.TEXT.get(
                        "set.note",
                        goals.stream().map(Goal::title).collect(Collectors.joining(", ")),
                        now.yard().money().sum(price),
                        Display.percent(best.back()),
                        left.isEmpty() ? "" : Briefing.TEXT.get("set.leaves", left)),
                new Deed.Enter(goals.stream()
                        .<Fact>map(g -> new Fact.Chosen(Scale.GOAL.of(g.id()), "yes"))
                        .toList())));
    }
}
