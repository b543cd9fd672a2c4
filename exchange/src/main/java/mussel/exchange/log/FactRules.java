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
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;
import mussel.core.measure.Problems;
import mussel.core.verdict.Finding;
import mussel.core.verdict.LegState;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;

/** What the entries of one job from elsewhere must keep to, so that nothing that reads them later stumbles. */
final class FactRules {
    private static final Messages TEXT = Messages.of(FactRules.class);

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
            return Optional.of(TEXT.get("fact_rules.has_the_number_which_an_earlier", seq));
        }
        if (seq < last) {
            return Optional.of(TEXT.get("fact_rules.has_the_number_which_is_below", seq, last));
        }
        last = seq;
        if (yard != fact instanceof Fact.Decided && !(fact instanceof Fact.Retracted)) {
            return Optional.of(
                    yard
                            ? TEXT.get("fact_rules.is_none_of_what_a_yard")
                            : TEXT.get("fact_rules.is_what_a_yard_decides_and"));
        }
        if (!yard && first != fact instanceof Fact.Opened) {
            return Optional.of(
                    first
                            ? TEXT.get("fact_rules.is_the_first_of_its_job")
                            : TEXT.get("fact_rules.opens_a_job_that_is_open"));
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
                    : Optional.of(TEXT.get(
                            "fact_rules.reads_which_is_no_field", read.about().name()));
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
            return there
                    ? NOTHING
                    : Optional.of(TEXT.get(
                            "fact_rules.clears_which_is_no_field", fact.about().name()));
        }

        @Override
        public Optional<String> ticked(Fact.Ticked fact) {
            return name("a step", fact.step());
        }

        @Override
        public Optional<String> noted(Fact.Noted fact) {
            return known(fact.about(), TOPICS)
                    .or(() -> fact.text().length() > LONGEST
                            ? Optional.of(TEXT.get("fact_rules.is_a_note_longer_than_characters", LONGEST))
                            : NOTHING);
        }

        @Override
        public Optional<String> holdBegun(Fact.HoldBegun fact) {
            holds.add(fact.hold());
            return fact.gaugeStepKpa() > 0 && fact.gaugeStepKpa() <= MOST_KPA
                    ? name("a hold", fact.hold()).or(() -> name("a gauge", fact.instrument()))
                    : Optional.of(TEXT.get("fact_rules.has_a_gauge_step_of_kpa", fact.gaugeStepKpa()));
        }

        @Override
        public Optional<String> held(Fact.Held fact) {
            boolean finite = fact.readings().stream()
                    .allMatch(r -> Double.isFinite(r.tS())
                            && Math.abs(r.gaugeKpa()) <= MOST_KPA
                            && Math.abs(r.tempC()) <= MOST_KPA);
            return !holds.contains(fact.hold())
                    ? Optional.of(TEXT.get("fact_rules.has_readings_of_the_hold_which", shown(fact.hold())))
                    : finite ? NOTHING : Optional.of(TEXT.get("fact_rules.has_a_reading_no_gauge_shows"));
        }

        @Override
        public Optional<String> ordered(Fact.Ordered fact) {
            orders.add(fact.order());
            boolean counts =
                    !fact.lines().isEmpty() && fact.lines().stream().allMatch(l -> l.qty() > 0 && l.cost() >= 0);
            return counts
                    ? name(TEXT.get("fact_rules.an_order"), fact.order())
                    : Optional.of(TEXT.get("fact_rules.is_an_order_without_lines_amounts"));
        }

        @Override
        public Optional<String> arrived(Fact.Arrived fact) {
            return orders.contains(fact.order())
                    ? NOTHING
                    : Optional.of(TEXT.get("fact_rules.has_the_order_arrive_which_was", shown(fact.order())));
        }

        @Override
        public Optional<String> delivered(Fact.Delivered fact) {
            return !orders.contains(fact.order())
                    ? Optional.of(TEXT.get("fact_rules.has_some_of_the_order_come", shown(fact.order())))
                    : fact.came() > 0 && fact.back() >= 0 && fact.back() <= fact.came()
                            ? NOTHING
                            : Optional.of(TEXT.get("fact_rules.has_come_and_of_them_go", fact.came(), fact.back()));
        }

        @Override
        public Optional<String> pictured(Fact.Pictured fact) {
            return picture(fact)
                    .or(() -> fact.title().length() > LONGEST
                            ? Optional.of(TEXT.get("fact_rules.has_a_picture_with_a_title", LONGEST))
                            : NOTHING);
        }

        @Override
        public Optional<String> workedBy(Fact.WorkedBy fact) {
            return NAME.matcher(fact.sheet()).matches()
                    ? NOTHING
                    : Optional.of(TEXT.get("fact_rules.names_the_sheet_which_is_no", shown(fact.sheet())));
        }

        @Override
        public Optional<String> decided(Fact.Decided fact) {
            return !Settings.isDecided(fact.key())
                    ? Optional.of(TEXT.get("fact_rules.decides_which_belongs_to_one_machine", shown(fact.key())))
                    : Settings.problem(fact.key(), fact.value())
                            .or(() -> thing(fact))
                            .map(why -> TEXT.get("fact_rules.decides_which", shown(fact.key()), why));
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
            return Optional.of(TEXT.get("fact_rules.is_not_understood", fact.why()));
        }

        @Override
        public Optional<String> retracted(Fact.Retracted fact) {
            return numbers.contains(fact.entry())
                    ? NOTHING
                    : Optional.of(TEXT.get("fact_rules.takes_back_the_entry_which_the", fact.entry()));
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
        return problems.list().stream().findFirst().map(p -> TEXT.get("fact_rules.cannot_be", p));
    }

    private static Optional<String> leg(LegRef leg) {
        return name("a leg", leg.id()).or(() -> name("a boat", leg.boat())).or(() -> name("a family", leg.family()));
    }

    /** A name is something, of a length that can be shown, without marks that nobody can see. */
    private static Optional<String> name(String what, String name) {
        return name.isBlank()
                ? Optional.of(TEXT.get("fact_rules.names_without_a_name", what))
                : name.length() > LONGEST_NAME
                        ? Optional.of(TEXT.get("fact_rules.names_of_more_than_characters", what, LONGEST_NAME))
                        : name.indexOf(0) >= 0
                                ? Optional.of(TEXT.get("fact_rules.names_with_a_nul_in_its", what))
                                : NOTHING;
    }

    private static Optional<String> picture(Fact.Pictured fact) {
        return Settings.isPicture(fact.file())
                ? NOTHING
                : Optional.of(TEXT.get("fact_rules.names_the_picture_which_is_no", shown(fact.file())));
    }

    private static Optional<String> day(LocalDate on) {
        return on.getYear() >= FIRST_YEAR && on.getYear() <= LAST_YEAR
                ? NOTHING
                : Optional.of(TEXT.get("fact_rules.is_of_the_year_years_go", on.getYear(), FIRST_YEAR, LAST_YEAR));
    }

    private static String shown(String name) {
        String plain = name.replaceAll("\\p{Cntrl}", "?");
        return plain.length() > MOST_SHOWN ? plain.substring(0, MOST_SHOWN) + "…" : plain;
    }

    private static Optional<String> read(Fact.Read read) {
        Optional<Field> field = Field.at(read.about());
        if (field.isEmpty()) {
            return Optional.of(
                    TEXT.get("fact_rules.reads_which_is_no_field", read.about().name()));
        }
        return field.get().range().holds(read.value())
                ? Optional.empty()
                : Optional.of(TEXT.get(
                        "fact_rules.has_for_the_it_goes",
                        read.value(),
                        field.get().kind().canonical(),
                        field.get().label(),
                        field.get().range().inWords(String::valueOf)));
    }

    private static Optional<String> chosen(Fact.Chosen chosen) {
        List<String> outcomes = OUTCOMES.get(chosen.about().name());
        if (chosen.about().name().equals(Scale.STATE.address().name())) {
            outcomes = LegState.Condition.of(chosen.about().of())
                    .map(LegState.Condition::states)
                    .orElse(null);
        }
        if (outcomes == null) {
            return Optional.of(TEXT.get(
                    "fact_rules.chooses_on_which_is_no_scale", chosen.about().name()));
        }
        return outcomes.isEmpty() || outcomes.contains(chosen.outcome())
                ? Optional.empty()
                : Optional.of(TEXT.get(
                        "fact_rules.chooses_on_there_are",
                        chosen.outcome(),
                        chosen.about().name(),
                        String.join(", ", outcomes)));
    }

    private static Optional<String> known(Address about, Set<String> names) {
        return names.contains(about.name())
                ? Optional.empty()
                : Optional.of(TEXT.get("fact_rules.writes_on_which_is_no_topic", about.name()));
    }
}
