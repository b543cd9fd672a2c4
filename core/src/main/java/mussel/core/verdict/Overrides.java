package mussel.core.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.Problems;

/**
 * A yard's own numbers in place of those that ship, each with its reason.
 *
 * @param priors of causes
 * @param shares of findings
 * @param costs of goals
 * @param repairs of what stages take and what leaving a fault does
 */
public record Overrides(
        @Given("the yard's own priors") List<Prior> priors,
        @Given("the yard's own shares") List<Row> shares,
        @Given("the yard's own costs") List<Cost> costs,
        @Given("the yard's own hours and chances of repairs") List<RepairNumber> repairs) {
    private static final Messages TEXT = Messages.of(Overrides.class);

    /** Keeps its own copies. */
    public Overrides {
        priors = List.copyOf(priors);
        shares = List.copyOf(shares);
        costs = List.copyOf(costs);
        repairs = List.copyOf(repairs);
    }

    /** None. */
    public static Overrides none() {
        return new Overrides(List.of(), List.of(), List.of(), List.of());
    }

    /** Reports what does not fit the tables. */
    public void check(Knowledge tables, Problems problems) {
        for (int i = 0; i < priors.size(); i++) {
            Prior prior = priors.get(i);
            problems.unless(
                    tables.cause(prior.cause()).isPresent(),
                    "/priors/" + i + "/cause",
                    TEXT.get("overrides.is_no_cause_of_the_tables", prior.cause()));
        }
        for (int i = 0; i < shares.size(); i++) {
            check(tables, shares.get(i), "/shares/" + i, problems);
        }
        for (int i = 0; i < costs.size(); i++) {
            problems.unless(
                    tables.goal(costs.get(i).goal()).isPresent(),
                    "/costs/" + i + "/goal",
                    TEXT.get("overrides.is_no_goal_of_the_tables", costs.get(i).goal()));
            costs.get(i).check(problems, "/costs/" + i);
        }
        for (int i = 0; i < repairs.size(); i++) {
            RepairNumber number = repairs.get(i);
            String at = "/repairs/" + i;
            problems.unless(
                    tables.repairs().flatMap(number::was).isPresent(),
                    at,
                    TEXT.get("overrides.names_nothing_that_the_tables_have", number.named()));
            problems.unless(
                    !number.number().equals(RepairNumber.BRINGS_BACK) || number.value() <= 1,
                    at + "/value",
                    TEXT.get("overrides.is_a_chance_is_0_to", number.value()));
        }
    }

    private static void check(Knowledge tables, Row row, String at, Problems problems) {
        tables.finding(row.finding())
                .ifPresentOrElse(
                        finding -> {
                            boolean known = row.cause().equals(Finding.Share.BASE)
                                    || finding.given().stream()
                                            .anyMatch(s -> s.cause().equals(row.cause()));
                            problems.unless(
                                    known,
                                    at + "/cause",
                                    TEXT.get("overrides.does_not_bear_on_in_the", row.finding(), row.cause()));
                            Knowledge.row(finding, row.shares(), problems, at + "/shares");
                        },
                        () -> problems.at(
                                at + "/finding", TEXT.get("overrides.is_no_finding_of_the_tables", row.finding())));
    }

    /** The tables with these numbers in place; they have been checked. */
    public Knowledge over(Knowledge tables) {
        List<Cause> causes = new ArrayList<>(tables.causes());
        for (Prior prior : priors) {
            causes.replaceAll(c -> c.id().equals(prior.cause()) ? c.withPrior(prior.prior(), prior.why()) : c);
        }
        List<Finding> findings = new ArrayList<>(tables.findings());
        for (Row row : shares) {
            findings.replaceAll(f ->
                    f.id().equals(row.finding()) ? f.with(new Finding.Share(row.cause(), row.shares(), row.why())) : f);
        }
        List<RepairGoal> goals = new ArrayList<>(tables.goals());
        costs.stream()
                .filter(Cost::inHours)
                .forEach(cost -> goals.replaceAll(g -> g.id().equals(cost.goal())
                        ? new RepairGoal(
                                g.id(),
                                g.title(),
                                cost.marginalHours().getAsDouble(),
                                0,
                                cost.comebackHours().getAsDouble(),
                                0)
                        : g));
        Optional<RepairTables> stages = tables.repairs();
        for (RepairNumber number : repairs) {
            stages = stages.map(number::in);
        }
        return new Knowledge(tables.knowledgeVersion(), tables.access(), goals, causes, findings, stages);
    }

    /** What these numbers changed, one sentence part each: what, from, to, why. */
    public List<Change> changes(Knowledge tables) {
        List<Change> changes = new ArrayList<>();
        priors.forEach(p -> tables.cause(p.cause())
                .ifPresent(c -> changes.add(new Change(
                        c.title() + ", prior", String.valueOf(c.prior()), String.valueOf(p.prior()), p.why()))));
        shares.forEach(r -> tables.finding(r.finding())
                .ifPresent(f -> changes.add(new Change(
                        f.title() + ", " + r.cause().replace('_', ' '),
                        r.cause().equals(Finding.Share.BASE)
                                ? f.base().toString()
                                : f.given().stream()
                                        .filter(s -> s.cause().equals(r.cause()))
                                        .map(s -> s.shares().toString())
                                        .findFirst()
                                        .orElse("-"),
                        r.shares().toString(),
                        r.why()))));
        costs.forEach(c -> tables.goal(c.goal())
                .ifPresent(g -> changes.add(new Change(
                        TEXT.get("overrides.cost_of_doing_and_of_leaving", g.title()),
                        TEXT.get("overrides.h_and_h", g.marginalCost(), g.comebackCost()),
                        c.said(),
                        c.why()))));
        repairs.forEach(n -> tables.repairs()
                .flatMap(n::was)
                .ifPresent(was ->
                        changes.add(new Change(n.named(), String.valueOf(was), String.valueOf(n.value()), n.why()))));
        return List.copyOf(changes);
    }

    /**
     * One number changed.
     *
     * @param what which number
     * @param was as shipped
     * @param is the yard's own
     * @param why the yard's reason
     */
    public record Change(String what, String was, String is, String why) {}

    /**
     * A prior of the yard's own.
     *
     * @param cause the cause
     * @param prior its prior
     * @param why the reason
     */
    public record Prior(
            @Given("the cause") String cause,
            @Given(value = "the prior", min = 0, minOpen = true, max = 0.99) double prior,
            @Given("the reason") String why) {}

    /**
     * A row of the yard's own.
     *
     * @param finding the finding
     * @param cause the cause, or base
     * @param shares its shares
     * @param why the reason
     */
    public record Row(
            @Given("the finding") String finding,
            @Given("the cause, or base") String cause,
            @Given(value = "the shares", min = 0, max = 1, atLeast = 2) List<Double> shares,
            @Given("the reason") String why) {
        /** Keeps its own copy. */
        public Row {
            shares = List.copyOf(shares);
        }
    }

    /**
     * Costs of the yard's own: in hours of work, which follow the labour rate, or in money, which does not. They outrank what this leg's plan says.
     *
     * @param goal the goal
     * @param marginalHours of doing it, its parts as hours of work with it (h)
     * @param comebackHours when it comes back, alike (h)
     * @param marginalCost of doing it (money)
     * @param comebackCost when it comes back (money)
     * @param why the reason
     */
    public record Cost(
            @Given("the goal") String goal,
            @Given(value = "the hours of doing it, its parts as hours of work with it", min = 0, max = 10_000)
                    OptionalDouble marginalHours,
            @Given(value = "the hours when it comes back, alike", min = 0, max = 10_000) OptionalDouble comebackHours,
            @Given(value = "the cost of doing it (money)", min = 0, max = 1e12) OptionalDouble marginalCost,
            @Given(value = "the cost when it comes back (money)", min = 0, max = 1e12) OptionalDouble comebackCost,
            @Given("the reason") String why) {
        private boolean inHours() {
            return marginalHours.isPresent() && comebackHours.isPresent();
        }

        private boolean inMoney() {
            return marginalCost.isPresent() && comebackCost.isPresent();
        }

        private void check(Problems problems, String at) {
            boolean mixed = (marginalHours.isPresent() || comebackHours.isPresent())
                    && (marginalCost.isPresent() || comebackCost.isPresent());
            problems.unless(
                    !mixed && (inHours() || inMoney()),
                    at,
                    TEXT.get("overrides.says_either_marginal_hours_and_comeback"));
        }

        private VerdictInput.Costs at(double labourPerH) {
            return inHours()
                    ? new VerdictInput.Costs(
                            marginalHours.getAsDouble() * labourPerH, comebackHours.getAsDouble() * labourPerH)
                    : new VerdictInput.Costs(marginalCost.getAsDouble(), comebackCost.getAsDouble());
        }

        private String said() {
            return inHours()
                    ? TEXT.get("overrides.h_and_h", marginalHours.getAsDouble(), comebackHours.getAsDouble())
                    : TEXT.get("overrides.and", marginalCost.getAsDouble(), comebackCost.getAsDouble());
        }
    }

    /** The costs without priors and shares. */
    public Overrides costsAlone() {
        return new Overrides(List.of(), List.of(), costs, repairs);
    }

    /** These numbers with others over them: of the same number the other's counts. */
    public Overrides with(Overrides over) {
        return new Overrides(
                joined(priors, over.priors),
                joined(shares, over.shares),
                joined(costs, over.costs),
                joined(repairs, over.repairs));
    }

    private static <T> List<T> joined(List<T> first, List<T> then) {
        List<T> all = new ArrayList<>(first);
        all.addAll(then);
        return all;
    }

    /** What the yard says its goals cost, in money at a labour rate (money per hour). */
    public Map<String, VerdictInput.Costs> costs(double labourPerH) {
        Map<String, VerdictInput.Costs> own = new LinkedHashMap<>();
        costs.forEach(c -> own.put(c.goal(), c.at(labourPerH)));
        return own;
    }
}
