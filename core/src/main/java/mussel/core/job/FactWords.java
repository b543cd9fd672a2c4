package mussel.core.job;

import java.util.Arrays;
import java.util.Locale;
import mussel.core.language.Messages;
import mussel.core.measure.NamedBy;

/** What an entry says, in a few words, as undo names it. Every kind of fact has its own: a new one does not compile without. */
public final class FactWords implements Fact.Cases<String> {
    private static final FactWords WORDS = new FactWords();
    private static final Messages TEXT = Messages.of(FactWords.class);

    private FactWords() {}

    /** The fact in a few words. */
    public static String of(Fact fact) {
        return fact.in(WORDS);
    }

    private static String name(Address about) {
        return Field.at(about).map(Field::label).orElseGet(() -> Arrays.stream(Scale.values())
                .filter(s -> NamedBy.file(s).equals(about.name()))
                .map(Scale::label)
                .findFirst()
                .orElse(plain(about.name())));
    }

    private static String plain(String id) {
        return id.replace('_', ' ');
    }

    @Override
    public String opened(Fact.Opened fact) {
        return TEXT.get("fact.opened", fact.leg().title());
    }

    @Override
    public String legCorrected(Fact.LegCorrected fact) {
        return TEXT.get("fact.leg", fact.leg().title());
    }

    @Override
    public String read(Fact.Read fact) {
        return TEXT.get("fact.read", name(fact.about()), fact.typed());
    }

    @Override
    public String chosen(Fact.Chosen fact) {
        if (fact.about().equals(Scale.VISIT_WITH.address())) {
            return TEXT.get("fact.visit.with");
        }
        return TEXT.get("fact.chosen", name(fact.about()), plain(fact.outcome()));
    }

    @Override
    public String cleared(Fact.Cleared fact) {
        return TEXT.get("fact.cleared", name(fact.about()));
    }

    @Override
    public String ticked(Fact.Ticked fact) {
        return TEXT.get(fact.done() ? "fact.step.done" : "fact.step.open", plain(fact.step()));
    }

    @Override
    public String noted(Fact.Noted fact) {
        return TEXT.get("fact.note", plain(fact.about().name()));
    }

    @Override
    public String holdBegun(Fact.HoldBegun fact) {
        return TEXT.get("fact.test", fact.mode().name().toLowerCase(Locale.ROOT));
    }

    @Override
    public String held(Fact.Held fact) {
        return TEXT.get("fact.held", fact.readings().size());
    }

    @Override
    public String ordered(Fact.Ordered fact) {
        return TEXT.get("fact.order", fact.order());
    }

    @Override
    public String arrived(Fact.Arrived fact) {
        return TEXT.get("fact.arrived", fact.order());
    }

    @Override
    public String delivered(Fact.Delivered fact) {
        return TEXT.get("fact.delivered", fact.came(), fact.sku());
    }

    @Override
    public String pictured(Fact.Pictured fact) {
        return TEXT.get("fact.picture", fact.title());
    }

    @Override
    public String workedBy(Fact.WorkedBy fact) {
        return TEXT.get("fact.manual");
    }

    @Override
    public String decided(Fact.Decided fact) {
        return TEXT.get("fact.setting", plain(fact.key()));
    }

    @Override
    public String countersigned(Fact.Countersigned fact) {
        return TEXT.get("fact.signed");
    }

    @Override
    public String tagged(Fact.Tagged fact) {
        return TEXT.get("fact.tag");
    }

    @Override
    public String unread(Fact.Unread fact) {
        return TEXT.get("fact.unread");
    }

    @Override
    public String retracted(Fact.Retracted fact) {
        return TEXT.get("fact.undone");
    }
}
