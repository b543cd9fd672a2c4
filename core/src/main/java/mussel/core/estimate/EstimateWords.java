package mussel.core.estimate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mussel.core.estimate.EstimateResult.Option;
import mussel.core.language.Messages;
import mussel.core.measure.Money;

/** The estimate in plain words, for the technician and for the owner. */
public final class EstimateWords {
    private static final Messages TEXT = Messages.of(EstimateWords.class);
    /** Eight of ten cases of a normal spread lie within so many standard deviations. */
    private static final double EIGHT_OF_TEN = 2.563;
    /** A spread below this is none (money). */
    private static final double FIXED = 0.005;

    private static final double CLEAR = 0.9;
    private static final double LIKELY = 0.6;

    private final EstimateInput in;
    private final EstimateResult out;
    private final Money money;

    /** Words for one result, in the yard's money. */
    public EstimateWords(EstimateInput in, EstimateResult out, Money money) {
        this.in = in;
        this.out = out;
        this.money = money;
    }

    /** The money it is in. */
    public Money money() {
        return money;
    }

    /** Plain sentences a technician can act on. */
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        notes.add(advice());
        notes.add(range());
        perHour().ifPresent(notes::add);
        notes.addAll(flips());
        in.exchange().stream()
                .filter(e -> e.coreReturned() && e.coreCharge() > 0)
                .forEach(e -> notes.add(TEXT.get("core", e.name(), money.exact(e.coreCharge()))));
        notes.add(TEXT.get("estimate"));
        return List.copyOf(notes);
    }

    /** What to do, and how sure that is. */
    public String advice() {
        Option best = out.option(out.cheapest());
        if (out.options().size() == 1) {
            return TEXT.get("advice.only", about(best, best.mean()));
        }
        Option next = out.options().stream()
                .filter(o -> !o.name().equals(best.name()))
                .min(Comparator.comparingDouble(Option::mean))
                .orElseThrow();
        String how = out.pRepairCheapest() >= CLEAR || out.pRepairCheapest() <= 1 - CLEAR
                ? "advice.clear"
                : out.pRepairCheapest() >= LIKELY || out.pRepairCheapest() <= 1 - LIKELY
                        ? "advice.likely"
                        : "advice.close";
        return TEXT.get(
                how,
                capital(title(best.name())),
                about(best, best.mean()),
                title(next.name()),
                about(next, next.mean()),
                String.valueOf(Math.round(100 * out.pRepairCheapest())));
    }

    /** The advice in few words. */
    public String briefly() {
        Option best = out.option(out.cheapest());
        boolean clear = out.pRepairCheapest() >= LIKELY || out.pRepairCheapest() <= 1 - LIKELY;
        return TEXT.get(
                out.options().size() == 1 ? "brief.only" : clear ? "brief.best" : "brief.close",
                capital(title(best.name())),
                about(best, best.mean()));
    }

    /** Between what and what the repair will cost. */
    public String range() {
        Option repair = out.option(EstimateEngine.REPAIR);
        return TEXT.get("range", about(repair, repair.p10()), about(repair, repair.p90()), about(repair, repair.p50()));
    }

    private Optional<String> perHour() {
        return out.options().stream()
                .filter(o -> o.perLifeHour().isPresent())
                .min(Comparator.comparingDouble(o -> o.perLifeHour().getAsDouble()))
                .map(o -> TEXT.get(
                        "per.hour",
                        capital(title(o.name())),
                        money.sum(o.perLifeHour().getAsDouble())));
    }

    /** Where the answer changes. */
    public List<String> flips() {
        List<String> flips = new ArrayList<>();
        if (out.flipsAt().labourPerH().isPresent()) {
            double rate = out.flipsAt().labourPerH().getAsDouble();
            flips.add(TEXT.get(rate > in.labourPerH() ? "flip.labour.above" : "flip.labour.below", money.sum(rate)));
        }
        if (out.flipsAt().doubtfulTotal().isPresent()) {
            flips.add(TEXT.get(
                    "flip.doubtful",
                    money.sum(out.flipsAt().doubtfulTotal().getAsDouble()),
                    money.sum(in.doubtfulTotal())));
        }
        if (flips.isEmpty() && out.options().size() > 1) {
            flips.add(TEXT.get("flip.none"));
        }
        return flips;
    }

    /** An option's name for people. */
    public static String title(String option) {
        return option.equals(EstimateEngine.REPAIR) || option.equals(EstimateEngine.LEAVE)
                ? TEXT.get("option." + option)
                : option;
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** A figure of an option, as sure as the option is; the price of a unit that is bought is exact. */
    public String about(Option option, double figure) {
        double u = (option.p90() - option.p10()) / EIGHT_OF_TEN;
        if (option.name().equals(EstimateEngine.LEAVE)) {
            return money.sum(figure);
        }
        return u < FIXED ? money.exact(figure) : money.sum(figure, u);
    }
}
