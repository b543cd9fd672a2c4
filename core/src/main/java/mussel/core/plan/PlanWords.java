package mussel.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Explanation;
import mussel.core.measure.Explanation.InputLine;
import mussel.core.plan.PlanResult.Marginal;
import mussel.core.plan.PlanResult.TimedStep;
import mussel.core.plan.PlanResult.Twin;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Seizure;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.sheet.Substitute;

/** A plan in sentences. */
public final class PlanWords {
    private static final Messages TEXT = Messages.of(PlanWords.class);
    private static final double WORTH_SAYING = 0.2;

    private final PlanInput in;
    private final PlanResult out;
    private final SpecSheet sheet;

    /** Words for one result. */
    public PlanWords(PlanInput in, PlanResult out, SpecSheet sheet) {
        this.in = in;
        this.out = out;
        this.sheet = sheet;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(time());
        out.goals().stream().filter(g -> !in.goals().contains(g)).forEach(g -> notes.add(TEXT.get("policy", title(g))));
        seized().ifPresent(notes::add);
        out.steps().stream()
                .filter(s -> s.cureMin() > 0)
                .max(Comparator.comparingDouble(PlanResult.TimedStep::cureMin))
                .ifPresent(s -> notes.add(TEXT.get("cures", s.title(), Display.workTime(s.cureMin()))));
        if (!in.haveTools().isEmpty() && !out.toolsMissing().isEmpty()) {
            notes.add(TEXT.get("tools", String.join(", ", out.toolsMissing())));
        }
        out.substitutes().forEach(s -> notes.add(substitute(s)));
        out.marginal().stream()
                .filter(m -> m.extraMinutes() < WORTH_SAYING * m.aloneMinutes()
                        && !out.steps().isEmpty())
                .sorted(Comparator.comparingDouble(m -> m.extraMinutes() / m.aloneMinutes()))
                .limit(5)
                .forEach(m -> notes.add(marginal(m)));
        out.twin().ifPresent(t -> notes.add(twin(t)));
        notes.add(TEXT.get("outranks"));
        return List.copyOf(notes);
    }

    /** How long it takes, with its spread. */
    public String time() {
        return out.steps().isEmpty()
                ? TEXT.get("nothing")
                : TEXT.get(
                        "time",
                        Display.workTime(out.minutes().mean()),
                        Display.workTime(out.minutes().p50()),
                        Display.workTime(out.minutes().p90()),
                        String.valueOf(out.steps().size()));
    }

    private Optional<String> seized() {
        return out.steps().stream()
                .filter(s -> s.seizedProbability() > WORTH_SAYING)
                .max(Comparator.comparingDouble(TimedStep::seizedProbability))
                .flatMap(s -> sheet.step(s.id())
                        .flatMap(Step::seizes)
                        .map(z -> TEXT.get(
                                "seized",
                                z.what(),
                                String.valueOf(Math.round(100 * s.seizedProbability())),
                                Display.workTime(z.extraMin()))));
    }

    /** What may have seized in salt, before anyone knows. */
    public static String maySeize(Seizure seizure) {
        return TEXT.get("may.seize", seizure.what(), Display.workTime(seizure.extraMin()));
    }

    /** What stands in for a tool. */
    public static String substitute(Substitute substitute) {
        return Step.says(substitute.caution())
                ? TEXT.get("substitute.mind", substitute.tool(), substitute.with(), substitute.caution())
                : TEXT.get("substitute", substitute.tool(), substitute.with());
    }

    /** One goal more, while it is open and later. */
    public String marginal(Marginal marginal) {
        return TEXT.get(
                "marginal",
                title(marginal.goal()),
                Display.workTime(marginal.extraMinutes()),
                Display.workTime(marginal.aloneMinutes()));
    }

    /** Doing both legs at once. */
    public static String twin(Twin twin) {
        return TEXT.get(
                "twin",
                Display.workTime(twin.togetherMinutes()),
                Display.workTime(twin.apartMinutes()),
                Display.workTime(twin.savedMinutes()));
    }

    /** Why it takes so long. */
    public Explanation whyTime() {
        return new Explanation(
                TEXT.get("why.title"),
                Display.workTime(out.minutes().mean()),
                TEXT.get("why.formula"),
                List.of(
                        new InputLine(
                                TEXT.get("plan_words.steps"),
                                String.valueOf(out.steps().size()),
                                TEXT.get("plan_words.family_sheet")),
                        new InputLine(
                                TEXT.get("plan_words.years_in_salt"),
                                Math.round(in.saltYears() * 10) / 10.0 + " a",
                                "intake"),
                        new InputLine(
                                TEXT.get("plan_words.in_half_of_all_cases_at"),
                                Display.workTime(out.minutes().p50()),
                                "20,000 draws"),
                        new InputLine(
                                TEXT.get("plan_words.in_nine_of_ten_at_most"),
                                Display.workTime(out.minutes().p90()),
                                "20,000 draws")),
                TEXT.get("why.source"),
                TEXT.get("why.u"),
                TEXT.get("why.change"));
    }

    private String title(String goal) {
        return sheet.goal(goal).map(Goal::title).orElse(goal);
    }
}
