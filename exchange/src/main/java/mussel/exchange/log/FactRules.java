package mussel.exchange.log;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import mussel.core.job.Address;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Scale;
import mussel.core.job.Settings;
import mussel.core.job.Topic;
import mussel.core.measure.NamedBy;
import mussel.core.verdict.Finding;
import mussel.exchange.verdict.KnowledgeFiles;

/** What the entries of one job from elsewhere must keep to, so that nothing that reads them later stumbles. */
final class FactRules {
    private static final int LONGEST = 20_000;
    private static final double MOST_KPA = 1_000;
    private static final Map<String, List<String>> OUTCOMES = outcomes();
    private static final Set<String> TOPICS = names(Topic.values());

    private static final Pattern NAME = Pattern.compile("[0-9a-f]{32}");

    private final boolean yard;
    private final Set<Long> numbers = new HashSet<>();
    private long last;
    private final Set<String> holds = new HashSet<>();
    private final Set<String> orders = new HashSet<>();

    /** The rules of a job's entries, or of those of the yard itself. */
    FactRules(boolean yard) {
        this.yard = yard;
    }

    private static Map<String, List<String>> outcomes() {
        Map<String, List<String>> outcomes = new HashMap<>();
        for (Finding finding : KnowledgeFiles.shipped().findings()) {
            outcomes.put(finding.id(), finding.outcomes());
        }
        for (Scale scale : Scale.values()) {
            outcomes.put(NamedBy.file(scale), scale.outcomes());
        }
        return outcomes;
    }

    private static Set<String> names(Enum<?>[] constants) {
        Set<String> names = new HashSet<>();
        Stream.of(constants).map(NamedBy::file).forEach(names::add);
        return names;
    }

    /** What is wrong with the next entry; empty where nothing is. */
    Optional<String> problem(long seq, Fact fact) {
        boolean first = numbers.isEmpty();
        if (!numbers.add(seq)) {
            return Optional.of("has the number " + seq + ", which an earlier entry of the job has");
        }
        if (seq < last) {
            return Optional.of("has the number " + seq + ", which is below that of the entry before it, " + last);
        }
        last = seq;
        if (yard != fact instanceof Fact.Decided && !(fact instanceof Fact.Retracted)) {
            return Optional.of(
                    yard ? "is none of what a yard decides" : "is what a yard decides, and belongs into no job");
        }
        if (!yard && first != fact instanceof Fact.Opened) {
            return Optional.of(first ? "is the first of its job and must open it" : "opens a job that is open already");
        }
        return of(fact);
    }

    /**
     * What of an entry's names is unknown to this program: a field, a scale, an outcome, a topic. Empty where all are known.
     */
    static Optional<String> unknown(Fact fact) {
        if (fact instanceof Fact.Read read) {
            return Field.at(read.about()).isPresent()
                    ? Optional.empty()
                    : Optional.of("reads “" + read.about().name() + "”, which is no field");
        }
        if (fact instanceof Fact.Chosen chosen) {
            return chosen(chosen);
        }
        if (fact instanceof Fact.Noted noted) {
            return known(noted.about(), TOPICS);
        }
        return Optional.empty();
    }

    private Optional<String> of(Fact fact) {
        if (fact instanceof Fact.Read read) {
            return read(read);
        }
        if (fact instanceof Fact.Chosen chosen) {
            return chosen(chosen);
        }
        if (fact instanceof Fact.Noted noted) {
            return known(noted.about(), TOPICS)
                    .or(() -> noted.text().length() > LONGEST
                            ? Optional.of("is a note longer than " + LONGEST + " characters")
                            : Optional.empty());
        }
        if (fact instanceof Fact.Cleared cleared) {
            boolean there = Field.at(cleared.about()).isPresent()
                    || OUTCOMES.containsKey(cleared.about().name())
                    || TOPICS.contains(cleared.about().name());
            return there
                    ? Optional.empty()
                    : Optional.of("clears “" + cleared.about().name() + "”, which is no field");
        }
        if (fact instanceof Fact.HoldBegun begun) {
            holds.add(begun.hold());
            return begun.gaugeStepKpa() > 0 && begun.gaugeStepKpa() <= MOST_KPA
                    ? Optional.empty()
                    : Optional.of("has a gauge step of " + begun.gaugeStepKpa() + " kPa; above 0, at most 1000 kPa");
        }
        if (fact instanceof Fact.Held held) {
            boolean finite = held.readings().stream()
                    .allMatch(r -> Double.isFinite(r.tS())
                            && Math.abs(r.gaugeKpa()) <= MOST_KPA
                            && Math.abs(r.tempC()) <= MOST_KPA);
            return !holds.contains(held.hold())
                    ? Optional.of("has readings of the hold “" + held.hold() + "”, which was not begun")
                    : finite ? Optional.empty() : Optional.of("has a reading no gauge shows");
        }
        if (fact instanceof Fact.Ordered ordered) {
            orders.add(ordered.order());
            boolean counts =
                    !ordered.lines().isEmpty() && ordered.lines().stream().allMatch(l -> l.qty() > 0 && l.cost() >= 0);
            return counts ? Optional.empty() : Optional.of("is an order without lines, amounts or prices");
        }
        if (fact instanceof Fact.Arrived arrived) {
            return orders.contains(arrived.order())
                    ? Optional.empty()
                    : Optional.of("has the order “" + arrived.order() + "” arrive, which was not placed");
        }
        if (fact instanceof Fact.Delivered part) {
            return !orders.contains(part.order())
                    ? Optional.of("has some of the order “" + part.order() + "” come, which was not placed")
                    : part.came() > 0 && part.back() >= 0 && part.back() <= part.came()
                            ? Optional.empty()
                            : Optional.of("has " + part.came() + " come and " + part.back() + " of them go back");
        }
        if (fact instanceof Fact.Decided decided) {
            return Settings.problem(decided.key(), decided.value())
                    .map(why -> "decides " + decided.key() + ", which " + why);
        }
        if (fact instanceof Fact.WorkedBy by) {
            return NAME.matcher(by.sheet()).matches()
                    ? Optional.empty()
                    : Optional.of("names the sheet “" + by.sheet() + "”, which is no name of one");
        }
        if (fact instanceof Fact.Retracted back) {
            return numbers.contains(back.entry())
                    ? Optional.empty()
                    : Optional.of("takes back the entry " + back.entry() + ", which the job does not have before it");
        }
        return Optional.empty();
    }

    private static Optional<String> read(Fact.Read read) {
        Optional<Field> field = Field.at(read.about());
        if (field.isEmpty()) {
            return Optional.of("reads “" + read.about().name() + "”, which is no field");
        }
        return field.get().range().holds(read.value())
                ? Optional.empty()
                : Optional.of("has " + read.value() + " " + field.get().kind().canonical() + " for the "
                        + field.get().label() + "; it goes "
                        + field.get().range().inWords(String::valueOf) + " "
                        + field.get().kind().canonical());
    }

    private static Optional<String> chosen(Fact.Chosen chosen) {
        List<String> outcomes = OUTCOMES.get(chosen.about().name());
        if (outcomes == null) {
            return Optional.of("chooses on “" + chosen.about().name() + "”, which is no scale");
        }
        return outcomes.isEmpty() || outcomes.contains(chosen.outcome())
                ? Optional.empty()
                : Optional.of("chooses “" + chosen.outcome() + "” on "
                        + chosen.about().name() + "; there are " + String.join(", ", outcomes));
    }

    private static Optional<String> known(Address about, Set<String> names) {
        return names.contains(about.name())
                ? Optional.empty()
                : Optional.of("writes on “" + about.name() + "”, which is no topic");
    }
}
