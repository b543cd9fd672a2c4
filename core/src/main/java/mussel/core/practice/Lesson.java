package mussel.core.practice;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import mussel.core.measure.Given;
import mussel.core.measure.Wide;
import mussel.core.verdict.Context;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.LegState;
import mussel.core.verdict.Tables;

/**
 * A lesson: what to see, why, and which legs have it to teach. A leg belongs to it when its causes are as named and the habit does not solve it.
 *
 * @param id its id
 * @param title its name
 * @param see what to see
 * @param why the reason
 * @param habit the habit it corrects
 * @param looks what somebody of that habit looks at
 * @param complaint what its legs come in for
 * @param state the state they come in, where they do not come whole on their boat
 * @param oneOf causes of which one at least is there; none for any
 * @param none causes of which none is there
 * @param least how many causes there are at least
 * @param handOver whether what is right is to stop and hand over
 * @param claims what it says of what a look speaks for; the tables must say the same
 */
@Wide("A lesson: a component is a line of the file format.")
public record Lesson(
        @Given("the lesson's id") String id,
        @Given("its name") String title,
        @Given("what to see") String see,
        @Given("the reason") String why,
        @Given("the habit") String habit,
        @Given(value = "what the habit looks at", atLeast = 1) List<String> looks,
        @Given(value = "what its legs come in for", atLeast = 1) List<Context.Complaint> complaint,
        @Given("the state its legs come in") Map<String, String> state,
        @Given("causes of which one is there") List<String> oneOf,
        @Given("causes of which none is there") List<String> none,
        @Given(value = "the least number of causes", min = 1, max = 10, orElse = "1") double least,
        @Given(value = "whether it is handed over", orElse = "false") boolean handOver,
        @Given("what it claims") List<Claim> claims) {
    /** The most legs that are drawn until one belongs to it. */
    private static final int MOST_DRAWN = 60_000;

    /** Keeps its own copies. */
    public Lesson {
        looks = List.copyOf(looks);
        complaint = List.copyOf(complaint);
        state = new LinkedHashMap<>(state);
        oneOf = List.copyOf(oneOf);
        none = List.copyOf(none);
        claims = List.copyOf(claims);
    }

    /** What an outcome does to the odds of a fault. */
    public enum Speaks {
        /** It makes it likelier, twice at least. */
        FOR,
        /** It makes it half as likely or less. */
        AGAINST,
        /** It says nothing of it. */
        NOTHING
    }

    /**
     * What a lesson says of a look, so that a test can hold it against the tables.
     *
     * @param finding the look
     * @param outcome what it showed
     * @param cause the fault
     * @param speaks what that does to its odds
     */
    public record Claim(
            @Given("the look") String finding,
            @Given("what it showed") String outcome,
            @Given("the fault") String cause,
            @Given("what that does to its odds") Speaks speaks) {}

    /** What is known of its legs before anyone looks. */
    public Context context() {
        return Context.empty().withComplaint(complaint);
    }

    /** Whether the tables know everything it names. */
    public boolean known(Knowledge knowledge) {
        return state.entrySet().stream().allMatch(e -> LegState.Condition.of(e.getKey())
                        .filter(c -> c.states().contains(e.getValue()))
                        .isPresent())
                && oneOf.stream().allMatch(c -> knowledge.cause(c).isPresent())
                && none.stream().allMatch(c -> knowledge.cause(c).isPresent())
                && looks.stream().allMatch(f -> knowledge.finding(f).isPresent());
    }

    /** The state its legs come in. */
    public LegState came() {
        LegState came = LegContexts.WHOLE;
        for (Map.Entry<String, String> entry : state.entrySet()) {
            came = came.with(LegState.Condition.of(entry.getKey()).orElseThrow(), entry.getValue());
        }
        return came;
    }

    /** Whether a leg has it to teach. */
    public boolean teaches(PracticeLeg leg, Tables tables, double labourPerH) {
        boolean there = oneOf.isEmpty() || oneOf.stream().anyMatch(leg.causes()::contains);
        if (!there || leg.causes().size() < least || none.stream().anyMatch(leg.causes()::contains)) {
            return false;
        }
        Bench habitually = new Bench(leg, tables, Bench.Prices.tables(labourPerH), came());
        looks.forEach(habitually::look);
        Reckoning came = habitually.handBack();
        return !came.missed().isEmpty() || !came.needless().isEmpty();
    }

    /**
     * Its next leg.
     *
     * @param seed of the draw
     * @param after the number of the leg before; nought for the first
     * @return empty where none is found, as with tables that make such legs very rare
     */
    public Optional<PracticeLeg> next(long seed, int after, Tables tables, double labourPerH) {
        return next(seed, after, number -> tables, labourPerH);
    }

    /** The same where each number has tables of its own, as those of its family. */
    public Optional<PracticeLeg> next(long seed, int after, IntFunction<Tables> tables, double labourPerH) {
        for (int number = after + 1; number <= after + MOST_DRAWN; number++) {
            Tables of = tables.apply(number);
            PracticeLeg leg = PracticeLeg.of(seed, number, of);
            if (teaches(leg, of, labourPerH)) {
                return Optional.of(leg);
            }
        }
        return Optional.empty();
    }
}
