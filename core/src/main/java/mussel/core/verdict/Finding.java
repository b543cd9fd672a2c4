package mussel.core.verdict;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Wide;

/**
 * Something that can be looked at, with its outcomes from benign to severe.
 *
 * @param id its id
 * @param title its name
 * @param outcomes from benign to severe
 * @param station where it is made
 * @param access what must be open for it
 * @param minutes its own time (min)
 * @param base the distribution with no cause
 * @param why the reason for the base
 * @param given each cause's own share
 * @param gate it says something benign only while one of these stands
 * @param only what the construction or the keeping must be for it to be looked for at all; an absent key forbids nothing
 * @param notAfter findings after which it cannot be made any more; with no outcomes named, any of them
 * @param once an access level that must have been opened before it, as the plugs before a vacuum hold: else it would draw oil into the tester
 * @param variants rows that take the place of others in some contexts
 */
@Wide("One finding as the diagnosis tables write it: a component is a line of the file format.")
public record Finding(
        @Given("the finding's id") String id,
        @Given("the finding's name") String title,
        @Given(value = "the outcomes, benign to severe", atLeast = 2) List<String> outcomes,
        @Given("the station where it is made") String station,
        @Given("what must be open for it") String access,
        @Given(value = "its own time", kind = Kind.DURATION, min = 0, max = 600) double minutes,
        @Given(value = "the shares with no cause", min = 0, max = 1, atLeast = 2) List<Double> base,
        @Given("the reason for the base") String why,
        @Given(value = "each cause's own share", atLeast = 1) List<Share> given,
        @Given("what opens it") List<Gate> gate,
        @Given("what it needs of the leg") List<Need> only,
        @Given("after what it is too late") List<Past> notAfter,
        @Given("what must have been opened before it") Optional<String> once,
        @Given("rows for other contexts") List<Variant> variants) {
    /** Keeps its own copies. */
    public Finding {
        outcomes = List.copyOf(outcomes);
        base = List.copyOf(base);
        given = List.copyOf(given);
        gate = List.copyOf(gate);
        only = List.copyOf(only);
        notAfter = List.copyOf(notAfter);
        variants = List.copyOf(variants);
    }

    /** The causes' rows in a context, by cause. */
    public Map<String, Share> given(Context context) {
        Map<String, Share> rows = given.stream()
                .collect(Collectors.toMap(Share::cause, s -> s, (a, b) -> b, java.util.LinkedHashMap::new));
        variants.stream()
                .filter(v ->
                        v.key().matches(context, Optional.of(v.is()), OptionalDouble.empty(), OptionalDouble.empty()))
                .forEach(v -> v.given().forEach(s -> rows.put(s.cause(), s)));
        return rows;
    }

    /** Whether the gate is open: none there, or one of its outcomes stands. */
    public boolean open(Map<String, String> findings) {
        return gate.isEmpty()
                || gate.stream()
                        .anyMatch(g -> findings.containsKey(g.finding())
                                && g.outcomes().contains(findings.get(g.finding())));
    }

    /** Whether it can be looked for on this leg, and still can after what was found. One that is given all the same counts. */
    public boolean possible(Context context, Map<String, String> findings) {
        return only.stream().allMatch(n -> n.met(context)) && notAfter.stream().noneMatch(p -> p.stands(findings));
    }

    /** The same finding with another base or another row. */
    Finding with(Share row) {
        if (row.cause().equals(Share.BASE)) {
            return new Finding(
                    id,
                    title,
                    outcomes,
                    station,
                    access,
                    minutes,
                    row.shares(),
                    row.why(),
                    given,
                    gate,
                    only,
                    notAfter,
                    once,
                    variants);
        }
        List<Share> rows =
                given.stream().map(s -> s.cause().equals(row.cause()) ? row : s).toList();
        return new Finding(
                id, title, outcomes, station, access, minutes, base, why, rows, gate, only, notAfter, once, variants);
    }

    /**
     * One cause's own share of a finding.
     *
     * @param cause the cause
     * @param shares over the outcomes
     * @param why the reason
     */
    public record Share(
            @Given("the cause") String cause,
            @Given(value = "the shares over the outcomes", min = 0, max = 1, atLeast = 2) List<Double> shares,
            @Given("the reason for the numbers") String why) {
        /** Stands for the base in a yard's own file. */
        public static final String BASE = "base";

        /** Keeps its own copy. */
        public Share {
            shares = List.copyOf(shares);
        }
    }

    /**
     * One way to open a finding.
     *
     * @param finding another finding
     * @param outcomes the outcomes of it that open this one
     */
    public record Gate(
            @Given("the other finding") String finding,
            @Given(value = "the outcomes that open it", atLeast = 1) List<String> outcomes) {
        /** Keeps its own copy. */
        public Gate {
            outcomes = List.copyOf(outcomes);
        }
    }

    /**
     * What a finding needs of the leg.
     *
     * @param key the key of the context
     * @param is the values it may have
     */
    public record Need(
            @Given("the key of the context") When key,
            @Given(value = "the values it may have", atLeast = 1) List<String> is) {
        /** Keeps its own copy. */
        public Need {
            is = List.copyOf(is);
        }

        private boolean met(Context context) {
            return key.absent(context)
                    || is.stream()
                            .anyMatch(v -> key.matches(
                                    context, Optional.of(v), OptionalDouble.empty(), OptionalDouble.empty()));
        }
    }

    /**
     * A finding after which it is too late.
     *
     * @param finding another finding
     * @param outcomes the outcomes of it; none for any
     */
    public record Past(@Given("the other finding") String finding, @Given("the outcomes of it") List<String> outcomes) {
        /** Keeps its own copy. */
        public Past {
            outcomes = List.copyOf(outcomes);
        }

        private boolean stands(Map<String, String> findings) {
            String found = findings.get(finding);
            return found != null && (outcomes.isEmpty() || outcomes.contains(found));
        }
    }

    /**
     * Rows for another context.
     *
     * @param key the key of the context
     * @param is its value
     * @param given the rows that take the place of those of the same causes
     */
    public record Variant(
            @Given("the key of the context") When key,
            @Given("its value") String is,
            @Given(value = "the rows", atLeast = 1) List<Share> given) {
        /** Keeps its own copy. */
        public Variant {
            given = List.copyOf(given);
        }
    }
}
