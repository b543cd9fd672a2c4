package mussel.core.job;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.estimate.EstimateEngine;
import mussel.core.estimate.EstimateInput;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.language.Messages;
import mussel.core.log.Visit;
import mussel.core.measure.Money;
import mussel.core.sheet.Goal;

/** What the owner has agreed to, and what the work comes to against it. */
public final class Consent {
    private static final Messages TEXT = Messages.of(Consent.class);

    private final Assessment all;
    private final Job job;

    /** The consent of a job. */
    public Consent(Assessment all) {
        this.all = all;
        this.job = all.job();
    }

    /** Where his answer stands: on this leg, else on its sister where both are one visit. */
    private Job answered() {
        return has(job)
                ? job
                : all.visit()
                        .filter(OneVisit::oneOwner)
                        .map(v -> v.sister().job())
                        .filter(Consent::has)
                        .orElse(job);
    }

    private static boolean has(Job of) {
        return of.choice(Scale.CONSENT).isPresent()
                || of.reading(Field.SPENDING_LIMIT).isPresent();
    }

    /** How he stands to it. */
    public enum Answer {
        /** Nobody has asked him, or he has not answered. */
        NONE,
        /** He said yes to the estimate. */
        YES,
        /** Yes up to a figure. */
        UP_TO,
        /** No. */
        NO
    }

    /** What he answered; what he spends without being asked is a yes up to that. */
    public Answer answer() {
        return answered()
                .choice(Scale.CONSENT)
                .map(c -> Answer.valueOf(c.toUpperCase(java.util.Locale.ROOT)))
                .orElse(answered().reading(Field.SPENDING_LIMIT).isPresent() ? Answer.UP_TO : Answer.NONE);
    }

    /** The most he agreed to: the figure he named, else the most the estimate named when he said yes to it; empty where neither is written down. */
    public OptionalDouble limit() {
        Job by = answered();
        return switch (answer()) {
            case UP_TO ->
                by.reading(Field.CONSENT_LIMIT).isPresent()
                        ? by.reading(Field.CONSENT_LIMIT)
                        : by.reading(Field.SPENDING_LIMIT);
            case YES -> by.reading(Field.CONSENT_SUM);
            default -> OptionalDouble.empty();
        };
    }

    /** The most the estimate named when he agreed to this leg's work, whatever figure he set to it; empty where nobody asked him by an estimate, or it was of two legs. */
    OptionalDouble quoted() {
        return all.visit().isEmpty() && (answer() == Answer.YES || answer() == Answer.UP_TO)
                ? job.reading(Field.CONSENT_SUM)
                : OptionalDouble.empty();
    }

    /** What is entered with an answer: what the estimate says now, and what it names as what may come on top; the answer last, so that undo takes it back first. */
    public List<Fact> entered(Optional<String> choice) {
        List<Fact> facts = new ArrayList<>();
        if (choice.isEmpty()) {
            return List.of(new Fact.Cleared(Scale.CONSENT.address()));
        }
        repair().ifPresent(r -> facts.add(
                Fact.Read.byHand(Field.CONSENT_SUM.address(), Math.ceil(r.p90()), money().exact(Math.ceil(r.p90())))));
        String named = OneVisit.worthOf(all)
                .map(w -> w.input().doubtful().stream()
                        .map(EstimateInput.Doubtful::part)
                        .collect(Collectors.joining("; ")))
                .orElse("");
        if (!named.isEmpty()) {
            facts.add(new Fact.Noted(Topic.FORESEEN.address(), named));
        } else if (job.note(Topic.FORESEEN.address()).isPresent()) {
            facts.add(new Fact.Cleared(Topic.FORESEEN.address()));
        }
        facts.add(new Fact.Chosen(Scale.CONSENT.address(), choice.get()));
        return facts;
    }

    /** The goals of this leg chosen since he answered, by their titles, each with whether the estimate had named it. */
    public Map<String, Boolean> since() {
        Map<String, Boolean> since = new LinkedHashMap<>();
        Optional<Instant> at = answered().chosenAt(Scale.CONSENT.address());
        String named = "; " + answered().note(Topic.FORESEEN.address()).orElse("") + "; ";
        for (Goal goal : Assessment.goals(job, all.sheet())) {
            Optional<Instant> chosen = job.chosenAt(Scale.GOAL.of(goal.id()));
            if (at.isPresent() && chosen.isPresent() && chosen.get().isAfter(at.get())) {
                since.put(goal.title(), named.contains("; " + goal.title() + "; "));
            }
        }
        return since;
    }

    private Optional<Option> repair() {
        return OneVisit.worthOf(all).map(w -> w.result().option(EstimateEngine.REPAIR));
    }

    private Money money() {
        return all.yard().money();
    }

    /** What he said, in a sentence. */
    public String says() {
        String by = answered()
                .note(Topic.CONSENT_BY.address())
                .or(() -> job.note(Topic.OWNER.address()))
                .or(() -> answered().note(Topic.OWNER.address()))
                .orElse(TEXT.get("consent.owner"));
        String how = answered()
                .choice(Scale.CONSENT_HOW)
                .map(h -> " " + TEXT.get("consent." + h))
                .orElse("");
        return switch (answer()) {
            case NONE -> TEXT.get("consent.none");
            case YES ->
                limit().isPresent()
                        ? TEXT.get("consent.yes.sum", by, how, money().exact(limit().getAsDouble()))
                        : TEXT.get("consent.yes", by, how);
            case NO -> TEXT.get("consent.no", by, how);
            case UP_TO ->
                limit().isPresent()
                        ? TEXT.get(
                                answered().choice(Scale.CONSENT).isPresent() ? "consent.up_to" : "consent.unasked",
                                by,
                                how,
                                money().exact(limit().getAsDouble()))
                        : TEXT.get("consent.up_to.nothing", by, how);
        };
    }

    /** Whether the work is likely to go beyond what he agreed to, with what to tell him; empty where it is not, or nobody can tell. */
    public Optional<String> beyond() {
        Optional<Option> repair = repair();
        if (limit().isEmpty() || repair.isEmpty()) {
            return Optional.empty();
        }
        double limit = limit().getAsDouble();
        if (job.tagged().isPresent()) {
            double came = StepMinutes.work(all).map(Visit.Work::cameTo).orElse(0.0)
                    + all.visit()
                            .filter(OneVisit::oneOwner)
                            .flatMap(v -> StepMinutes.work(v.sister()))
                            .map(Visit.Work::cameTo)
                            .orElse(0.0);
            return came > limit
                    ? Optional.of(TEXT.get("consent.came", money().sum(came), money().exact(limit)))
                    : Optional.empty();
        }
        Option cost = repair.get();
        if (cost.mean() > limit) {
            return Optional.of(TEXT.get(
                    "consent.beyond",
                    money().sum(cost.mean()),
                    money().exact(limit),
                    money().sum(cost.p10()),
                    money().sum(cost.p90())));
        }
        return cost.p90() > limit
                ? Optional.of(TEXT.get("consent.perhaps", money().exact(limit), money().sum(cost.p90())))
                : Optional.empty();
    }

    /** Whether orders and what opens the case go on without his word. */
    public boolean missing() {
        return answer() == Answer.NONE || answer() == Answer.NO;
    }

    /** What is said before the case is opened or parts are ordered; none where he agreed to it. */
    public List<String> before() {
        List<String> says = new ArrayList<>();
        if (missing() && !all.goals().isEmpty()) {
            says.add(answer() == Answer.NO ? says() : TEXT.get("consent.missing"));
        }
        since().forEach((goal, named) -> says.add(TEXT.get(named ? "consent.named" : "consent.new", goal)));
        beyond().ifPresent(says::add);
        return says;
    }
}
