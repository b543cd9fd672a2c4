package mussel.exchange.log;

import java.time.LocalDate;
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
import mussel.core.job.LegRef;
import mussel.core.job.Scale;
import mussel.core.job.Settings;
import mussel.core.job.Topic;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.verdict.Finding;
import mussel.core.verdict.LegState;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;

/** What the entries of one job from elsewhere must keep to, so that nothing that reads them later stumbles. */
final class FactRules {
    private static final int LONGEST = 20_000;
    private static final int LONGEST_NAME = 1_000;
    private static final int MOST_SHOWN = 60;
    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2300;
    private static final Optional<String> NOTHING = Optional.empty();
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
        if (fact instanceof Fact.Pictured pictured) {
            return picture(pictured);
        }
        return Optional.empty();
    }

    private Optional<String> of(Fact fact) {
        return fact.in(new Rules());
    }

    /** The rule of each kind of fact: a kind without one does not compile. */
    private final class Rules implements Fact.Cases<Optional<String>> {
        @Override
        public Optional<String> opened(Fact.Opened fact) {
            return leg(fact.leg());
        }

        @Override
        public Optional<String> legCorrected(Fact.LegCorrected fact) {
            return leg(fact.leg());
        }

        @Override
        public Optional<String> read(Fact.Read fact) {
            return FactRules.read(fact);
        }

        @Override
        public Optional<String> chosen(Fact.Chosen fact) {
            return FactRules.chosen(fact);
        }

        @Override
        public Optional<String> cleared(Fact.Cleared fact) {
            boolean there = Field.at(fact.about()).isPresent()
                    || OUTCOMES.containsKey(fact.about().name())
                    || TOPICS.contains(fact.about().name());
            return there ? NOTHING : Optional.of("clears “" + fact.about().name() + "”, which is no field");
        }

        @Override
        public Optional<String> ticked(Fact.Ticked fact) {
            return name("a step", fact.step());
        }

        @Override
        public Optional<String> noted(Fact.Noted fact) {
            return known(fact.about(), TOPICS)
                    .or(() -> fact.text().length() > LONGEST
                            ? Optional.of("is a note longer than " + LONGEST + " characters")
                            : NOTHING);
        }

        @Override
        public Optional<String> holdBegun(Fact.HoldBegun fact) {
            holds.add(fact.hold());
            return fact.gaugeStepKpa() > 0 && fact.gaugeStepKpa() <= MOST_KPA
                    ? name("a hold", fact.hold()).or(() -> name("a gauge", fact.instrument()))
                    : Optional.of("has a gauge step of " + fact.gaugeStepKpa() + " kPa; above 0, at most 1000 kPa");
        }

        @Override
        public Optional<String> held(Fact.Held fact) {
            boolean finite = fact.readings().stream()
                    .allMatch(r -> Double.isFinite(r.tS())
                            && Math.abs(r.gaugeKpa()) <= MOST_KPA
                            && Math.abs(r.tempC()) <= MOST_KPA);
            return !holds.contains(fact.hold())
                    ? Optional.of("has readings of the hold “" + shown(fact.hold()) + "”, which was not begun")
                    : finite ? NOTHING : Optional.of("has a reading no gauge shows");
        }

        @Override
        public Optional<String> ordered(Fact.Ordered fact) {
            orders.add(fact.order());
            boolean counts =
                    !fact.lines().isEmpty() && fact.lines().stream().allMatch(l -> l.qty() > 0 && l.cost() >= 0);
            return counts
                    ? name("an order", fact.order())
                    : Optional.of("is an order without lines, amounts or prices");
        }

        @Override
        public Optional<String> arrived(Fact.Arrived fact) {
            return orders.contains(fact.order())
                    ? NOTHING
                    : Optional.of("has the order “" + shown(fact.order()) + "” arrive, which was not placed");
        }

        @Override
        public Optional<String> delivered(Fact.Delivered fact) {
            return !orders.contains(fact.order())
                    ? Optional.of("has some of the order “" + shown(fact.order()) + "” come, which was not placed")
                    : fact.came() > 0 && fact.back() >= 0 && fact.back() <= fact.came()
                            ? NOTHING
                            : Optional.of("has " + fact.came() + " come and " + fact.back() + " of them go back");
        }

        @Override
        public Optional<String> pictured(Fact.Pictured fact) {
            return picture(fact)
                    .or(() -> fact.title().length() > LONGEST
                            ? Optional.of("has a picture with a title longer than " + LONGEST + " characters")
                            : NOTHING);
        }

        @Override
        public Optional<String> workedBy(Fact.WorkedBy fact) {
            return NAME.matcher(fact.sheet()).matches()
                    ? NOTHING
                    : Optional.of("names the sheet “" + shown(fact.sheet()) + "”, which is no name of one");
        }

        @Override
        public Optional<String> decided(Fact.Decided fact) {
            return !Settings.isDecided(fact.key())
                    ? Optional.of("decides " + shown(fact.key()) + ", which belongs to one machine")
                    : Settings.problem(fact.key(), fact.value())
                            .or(() -> thing(fact))
                            .map(why -> "decides " + shown(fact.key()) + ", which " + why);
        }

        @Override
        public Optional<String> countersigned(Fact.Countersigned fact) {
            return day(fact.on());
        }

        @Override
        public Optional<String> tagged(Fact.Tagged fact) {
            return day(fact.on());
        }

        @Override
        public Optional<String> unread(Fact.Unread fact) {
            return Optional.of("is not understood: " + fact.why());
        }

        @Override
        public Optional<String> retracted(Fact.Retracted fact) {
            return numbers.contains(fact.entry())
                    ? NOTHING
                    : Optional.of("takes back the entry " + fact.entry() + ", which the job does not have before it");
        }
    }

    /** What is wrong with a thing of the yard's sheet by itself: a figure out of its bounds, a text where a list is wanted. */
    private static Optional<String> thing(Fact.Decided fact) {
        if (!fact.key().startsWith(Settings.YARD) || fact.value().isEmpty()) {
            return NOTHING;
        }
        Problems problems = new Problems();
        YardTables.form()
                .with(
                        SheetFiles.shippedYard(),
                        Map.of(fact.key().substring(Settings.YARD.length()), fact.value()),
                        problems);
        return problems.list().stream().findFirst().map(p -> "cannot be: " + p);
    }

    private static Optional<String> leg(LegRef leg) {
        return name("a leg", leg.id()).or(() -> name("a boat", leg.boat())).or(() -> name("a family", leg.family()));
    }

    /** A name is something, of a length that can be shown, without marks that nobody can see. */
    private static Optional<String> name(String what, String name) {
        return name.isBlank()
                ? Optional.of("names " + what + " without a name")
                : name.length() > LONGEST_NAME
                        ? Optional.of("names " + what + " of more than " + LONGEST_NAME + " characters")
                        : name.indexOf(0) >= 0 ? Optional.of("names " + what + " with a NUL in its name") : NOTHING;
    }

    private static Optional<String> picture(Fact.Pictured fact) {
        return Settings.isPicture(fact.file())
                ? NOTHING
                : Optional.of("names the picture “" + shown(fact.file()) + "”, which is no name of one");
    }

    private static Optional<String> day(LocalDate on) {
        return on.getYear() >= FIRST_YEAR && on.getYear() <= LAST_YEAR
                ? NOTHING
                : Optional.of("is of the year " + on.getYear() + "; years go from " + FIRST_YEAR + " to " + LAST_YEAR);
    }

    private static String shown(String name) {
        String plain = name.replaceAll("\\p{Cntrl}", "?");
        return plain.length() > MOST_SHOWN ? plain.substring(0, MOST_SHOWN) + "…" : plain;
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
        if (chosen.about().name().equals(Scale.STATE.address().name())) {
            outcomes = LegState.Condition.of(chosen.about().of())
                    .map(LegState.Condition::states)
                    .orElse(null);
        }
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
