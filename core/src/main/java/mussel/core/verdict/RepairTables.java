package mussel.core.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Problems;

/**
 * What repairs share and what leaving a fault in brings: the stages a lower unit is taken apart in, the final checks, and for each repair and each
 * fault what {@link RepairSets} needs. In hours of work and parts as the hours they are worth, so that the tables hold no currency.
 *
 * @param visitHours what a return visit costs before anything is opened: the boat out, in and idle once (h)
 * @param stages the stages, each after those it names
 * @param proofs the final checks to choose from
 * @param states what makes the conditions of the state
 * @param stepNeeds the state that steps need before they are ticked
 * @param closing the conditions that shut something in when they are met again
 * @param byRule repairs that need no odds
 * @param rounds the rounds that looks are made in, in the order they come to hand
 * @param goals the repairs
 * @param causes the faults
 */
public record RepairTables(
        @Given(value = "the hours of a return visit", min = 0, max = 1_000) double visitHours,
        @Given(value = "the stages", atLeast = 1) List<Stage> stages,
        @Given(value = "the final checks", atLeast = 1) List<Proof> proofs,
        @Given("what makes the state") List<StateRule> states,
        @Given("the state that steps need") List<StepNeed> stepNeeds,
        @Given("the conditions that shut something in when they are met again") List<String> closing,
        @Given("repairs that need no odds") List<ByRule> byRule,
        @Given("the rounds of looks") List<Round> rounds,
        @Given(value = "the repairs", atLeast = 1) List<Repair> goals,
        @Given(value = "the faults", atLeast = 1) List<Left> causes) {
    private static final Messages TEXT = Messages.of(RepairTables.class);

    /** The most stages there may be. */
    static final int MOST_STAGES = 30;

    /** Keeps its own copies. */
    public RepairTables {
        stages = List.copyOf(stages);
        proofs = List.copyOf(proofs);
        states = List.copyOf(states);
        stepNeeds = List.copyOf(stepNeeds);
        closing = List.copyOf(closing);
        byRule = List.copyOf(byRule);
        rounds = List.copyOf(rounds);
        goals = List.copyOf(goals);
        causes = List.copyOf(causes);
    }

    /**
     * A part of the way in: taken off once, put back once, whatever is repaired behind it.
     *
     * @param id its id
     * @param title in words
     * @param hours off and on again (h)
     * @param after the stages before it
     * @param renews the repairs that are done by rule once it is open
     * @param shows the findings that can be made while it is open and not before
     * @param places where the hands are at its steps, as sheets name places
     * @param openWhen the state in which it stands open: a value by condition
     * @param why the reason for the number
     */
    public record Stage(
            @Given("the stage's id") String id,
            @Given("the stage in words") String title,
            @Given(value = "off and on again (h)", min = 0, max = 1_000) double hours,
            @Given("the stages before it") List<String> after,
            @Given("the repairs done by rule once it is open") List<String> renews,
            @Given("the findings it opens") List<String> shows,
            @Given("where the hands are at its steps") List<String> places,
            @Given("the state in which it stands open") Map<String, String> openWhen,
            @Given("the reason for the number") String why) {
        /** Keeps its own copies. */
        public Stage {
            after = List.copyOf(after);
            renews = List.copyOf(renews);
            shows = List.copyOf(shows);
            places = List.copyOf(places);
            openWhen = new LinkedHashMap<>(openWhen);
        }

        /** Whether it stands open in a state. */
        public boolean open(LegState state) {
            return openWhen.entrySet().stream().anyMatch(e -> LegState.Condition.of(e.getKey())
                    .flatMap(state::of)
                    .filter(e.getValue()::equals)
                    .isPresent());
        }
    }

    /**
     * What makes a condition of the state.
     *
     * @param condition the condition
     * @param parts it is out while one of these parts is off
     * @param elseParts the parts that count where a sheet has none of those
     * @param steps what steps make of it that move no part, by step
     */
    public record StateRule(
            @Given("the condition") String condition,
            @Given("the parts that make it") List<String> parts,
            @Given("the parts where there are none of those") List<String> elseParts,
            @Given("what steps make of it") Map<String, String> steps) {
        /** Keeps its own copies. */
        public StateRule {
            parts = List.copyOf(parts);
            elseParts = List.copyOf(elseParts);
            steps = new LinkedHashMap<>(steps);
        }
    }

    /**
     * The state that steps need: a step that is ticked in another is asked about.
     *
     * @param phases the phases of those steps
     * @param places the places of those steps
     * @param needs the state, a value by condition
     * @param says what is asked
     */
    public record StepNeed(
            @Given(value = "the phases of the steps", atLeast = 1) List<String> phases,
            @Given(value = "the places of the steps", atLeast = 1) List<String> places,
            @Given("the state they need") Map<String, String> needs,
            @Given("what is asked") String says)
            implements Checked {
        /** Keeps its own copies. */
        public StepNeed {
            phases = List.copyOf(phases);
            places = List.copyOf(places);
            needs = new LinkedHashMap<>(needs);
        }

        /** Whether it is about a step of a phase and place. */
        public boolean concerns(String phase, String place) {
            return phases.contains(phase) && places.contains(place);
        }

        @Override
        public void check(Problems problems, String pointer) {
            needs.forEach((id, value) -> problems.unless(
                    LegState.Condition.of(id)
                            .filter(c -> c.states().contains(value))
                            .isPresent(),
                    pointer + "/needs/" + id,
                    TEXT.get("repair_tables.is_no_state_a_lower_unit", value)));
        }
    }

    /**
     * A repair that needs no odds.
     *
     * @param goal the repair
     * @param when the state in which it is done, a value by condition
     * @param found the findings with which it is done
     * @param due the clock that calls for it, by what an interval counts from
     * @param why the reason
     */
    public record ByRule(
            @Given("the goal") String goal,
            @Given("the state in which it is done") Map<String, String> when,
            @Given("the findings with which it is done") List<Finding.Gate> found,
            @Given("the clock that calls for it") Optional<String> due,
            @Given("the reason") String why) {
        /** Keeps its own copies. */
        public ByRule {
            when = new LinkedHashMap<>(when);
            found = List.copyOf(found);
        }

        /** Whether it is done in a state, with what was found. */
        boolean applies(LegState state, Map<String, String> findings) {
            return when.entrySet().stream().anyMatch(e -> LegState.Condition.of(e.getKey())
                            .flatMap(state::of)
                            .filter(e.getValue()::equals)
                            .isPresent())
                    || found.stream().anyMatch(f -> f.outcomes().contains(findings.getOrDefault(f.finding(), "")));
        }
    }

    /**
     * A way of checking the work at the end.
     *
     * @param id its id
     * @param title in words
     * @param hours what it takes (h)
     */
    public record Proof(
            @Given("the final check's id") String id,
            @Given("the final check in words") String title,
            @Given(value = "what it takes (h)", min = 0, max = 100) double hours) {}

    /**
     * What can be looked at in one state of the lower unit, in the order it is looked at.
     *
     * @param id its id
     * @param title in words
     * @param minutes its set-up beside the stage (min)
     * @param stage what must be open for it
     * @param stripDown whether the lower unit is taken apart for it
     * @param needs the state it needs: a value by condition
     * @param looks its findings
     * @param firstFor the complaints it comes first for
     * @param thenFor the complaints it comes second for
     * @param notBefore looks that come before it, by complaint
     */
    public record Round(
            @Given("the round's id") String id,
            @Given("the round in words") String title,
            @Given(value = "its set-up", min = 0, max = 10_000, kind = Kind.DURATION) double minutes,
            @Given("the stage it needs open") Optional<String> stage,
            @Given(value = "whether the lower unit is taken apart for it", orElse = "false") boolean stripDown,
            @Given("the state it needs") Map<String, String> needs,
            @Given(value = "its looks", atLeast = 1) List<String> looks,
            @Given("the complaints it comes first for") List<String> firstFor,
            @Given("the complaints it comes second for") List<String> thenFor,
            @Given("looks that come before it") List<Before> notBefore)
            implements Checked {
        /** Keeps its own copies. */
        public Round {
            needs = new LinkedHashMap<>(needs);
            looks = List.copyOf(looks);
            firstFor = List.copyOf(firstFor);
            thenFor = List.copyOf(thenFor);
            notBefore = List.copyOf(notBefore);
        }

        @Override
        public void check(Problems problems, String pointer) {
            needs.forEach((id, value) -> problems.unless(
                    LegState.Condition.of(id)
                            .filter(c -> c.states().contains(value))
                            .isPresent(),
                    pointer + "/needs/" + id,
                    TEXT.get("repair_tables.is_no_state_a_lower_unit", value)));
        }

        /** What must be brought about before it: the conditions that are known to stand otherwise. */
        public Map<LegState.Condition, String> unmet(LegState state) {
            Map<LegState.Condition, String> unmet = new java.util.EnumMap<>(LegState.Condition.class);
            needs.forEach((id, value) -> {
                LegState.Condition condition = LegState.Condition.of(id).orElseThrow();
                if (state.forbids(condition, value)) {
                    unmet.put(condition, value);
                }
            });
            return unmet;
        }
    }

    /**
     * A look that comes before a round.
     *
     * @param complaint for what the leg came in
     * @param look the look
     */
    public record Before(@Given("the complaint") String complaint, @Given("the look") String look) {}

    /**
     * A repair by itself, without the way to it.
     *
     * @param id the goal
     * @param opens the stages it needs open
     * @param ownHours its own work once they are open (h)
     * @param partsHours its parts (hours of work they are worth)
     * @param covers the repairs it does along with itself, as a whole pump its impeller
     */
    public record Repair(
            @Given("the goal") String id,
            @Given("the stages it needs open") List<String> opens,
            @Given(value = "its own work (h)", min = 0, max = 1_000) double ownHours,
            @Given(value = "its parts, in hours of work", min = 0, max = 10_000) double partsHours,
            @Given("the repairs it does along with itself") List<String> covers) {
        /** Keeps its own copies. */
        public Repair {
            opens = List.copyOf(opens);
            covers = List.copyOf(covers);
        }
    }

    /**
     * What a fault does that is left in.
     *
     * @param id the cause
     * @param spoilsHours what running on with it ruins (hours of work)
     * @param bringsBack the chance that it brings the boat back
     * @param shownAtProof the chance that a final check shows it, by the check's id; 0 where not named
     * @param seenAt the stage at which it is seen, where it can be seen only there
     * @param why the reason for the numbers
     */
    public record Left(
            @Given("the cause") String id,
            @Given(value = "what running on with it ruins (h)", min = 0, max = 10_000) double spoilsHours,
            @Given(value = "the chance that it brings the boat back", min = 0, max = 1) double bringsBack,
            @Given("the chance that a final check shows it") Map<String, Double> shownAtProof,
            @Given("the stage at which it is seen") Optional<String> seenAt,
            @Given("the reason for the numbers") String why)
            implements Checked {
        /** Keeps its own copy. */
        public Left {
            shownAtProof = new LinkedHashMap<>(shownAtProof);
        }

        @Override
        public void check(Problems problems, String pointer) {
            shownAtProof.forEach((proof, chance) -> problems.unless(
                    chance >= 0 && chance <= 1,
                    pointer + "/shown_at_proof/" + proof,
                    TEXT.get("repair_tables.is_a_chance_is_0_to", chance)));
        }
    }

    /** The stage of that id. */
    public Optional<Stage> stage(String id) {
        return stages.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** Reports stages, goals, causes and findings that are not there, and what the tables know and this leaves out. */
    void check(Knowledge knowledge, Problems problems, String at) {
        Set<String> known = new java.util.HashSet<>();
        problems.unless(
                stages.size() <= MOST_STAGES,
                at + "/stages",
                TEXT.get("repair_tables.are_at_most_30_are_read", stages.size()));
        for (int i = 0; i < stages.size(); i++) {
            Stage stage = stages.get(i);
            String here = at + "/stages/" + i;
            for (String before : stage.after()) {
                problems.unless(
                        known.contains(before),
                        here + "/after",
                        TEXT.get("repair_tables.names_no_stage_before_it", before));
            }
            problems.unless(
                    known.add(stage.id()), here + "/id", TEXT.get("repair_tables.is_the_id_of_an_earlier", stage.id()));
            for (String goal : stage.renews()) {
                problems.unless(
                        knowledge.goal(goal).isPresent(), here + "/renews", TEXT.get("repair_tables.is_no_goal", goal));
            }
            for (String finding : stage.shows()) {
                problems.unless(
                        knowledge.finding(finding).isPresent(),
                        here + "/shows",
                        TEXT.get("repair_tables.is_no_finding", finding));
            }
        }
        for (int i = 0; i < rounds.size(); i++) {
            Round round = rounds.get(i);
            String here = at + "/rounds/" + i;
            round.stage()
                    .filter(stage -> !known.contains(stage))
                    .ifPresent(stage -> problems.at(here + "/stage", TEXT.get("repair_tables.is_no_stage", stage)));
            for (String look : round.looks()) {
                problems.unless(
                        knowledge.finding(look).isPresent(),
                        here + "/looks",
                        TEXT.get("repair_tables.is_no_finding", look));
            }
        }
        for (int i = 0; i < goals.size(); i++) {
            for (String stage : goals.get(i).opens()) {
                problems.unless(
                        known.contains(stage),
                        at + "/goals/" + i + "/opens",
                        TEXT.get("repair_tables.is_no_stage", stage));
            }
            for (String goal : goals.get(i).covers()) {
                problems.unless(
                        knowledge.goal(goal).isPresent(),
                        at + "/goals/" + i + "/covers",
                        TEXT.get("repair_tables.is_no_goal", goal));
            }
        }
        for (int i = 0; i < causes.size(); i++) {
            causes.get(i)
                    .seenAt()
                    .filter(stage -> !known.contains(stage))
                    .ifPresent(stage -> problems.at(at + "/causes", TEXT.get("repair_tables.is_no_stage", stage)));
        }
        List<String> repairs = goals.stream().map(Repair::id).toList();
        List<String> left = causes.stream().map(Left::id).toList();
        problems.unless(
                Set.copyOf(repairs)
                                .equals(Set.copyOf(knowledge.goals().stream()
                                        .map(RepairGoal::id)
                                        .toList()))
                        && repairs.stream().distinct().count() == repairs.size(),
                at + "/goals",
                TEXT.get("repair_tables.name_each_goal_of_the_tables"));
        problems.unless(
                Set.copyOf(left)
                                .equals(Set.copyOf(knowledge.causes().stream()
                                        .map(Cause::id)
                                        .toList()))
                        && left.stream().distinct().count() == left.size(),
                at + "/causes",
                TEXT.get("repair_tables.name_each_cause_of_the_tables"));
    }
}
