package mussel.core.measure;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mussel.core.language.Messages;

/**
 * Reads a quantity as people type it: {@code 9 psi}, {@code 1,2 l}, {@code 14 thou}, {@code 70 in-lb}, {@code 1 1/2 qt},
 * {@code 1 h 20 min}. A single comma or point is the decimal mark; both together are refused, since guessing which one groups the
 * thousands can be wrong by a factor of a thousand. So is a single one before just three digits, like {@code 1,200 ml}, unless only one of its two
 * readings can be.
 */
public final class AmountReader {
    private static final Messages TEXT = Messages.of(AmountReader.class);

    private static final String NUMBER =
            "\\d{1,3}(?:[ \\u00a0\\u2009\\u202f]\\d{3})+(?:[.,]\\d+)?|\\d+(?:[.,]\\d+)?|[.,]\\d+";
    private static final String UNIT = "[^\\d]*(?:(?<=[mn])[23])?";
    private static final Pattern TERM =
            Pattern.compile("(?:(?<whole>\\d+)\\s+)?(?<top>\\d+)\\s*/\\s*(?<bottom>\\d+)(?<unit1>" + UNIT
                    + ")|(?<number>" + NUMBER + ")(?<unit2>" + UNIT + ")");
    /** One mark before just three digits: decimals, or thousands. Nothing grouped begins with a nought. */
    private static final Pattern EITHER = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");

    private static final Pattern GROUPED_BOTH = Pattern.compile("\\d[.,]\\d+[.,]\\d");
    private static final int LONGEST = 40;

    private AmountReader() {}

    /**
     * Reads the text as a quantity of the kind.
     *
     * @param text what stands in the field; blank means not measured
     * @param kind the kind the field wants
     * @param units the yard's units, taken where no unit is typed
     * @param range the valid range in the kind's canonical unit; what lies outside is refused, never clamped
     */
    public static Typed read(String text, Kind kind, YardUnits units, Range range) {
        String trimmed = text.strip();
        if (trimmed.isEmpty()) {
            return new Typed.Blank();
        }
        if (trimmed.length() > LONGEST) {
            return refuse(TEXT.get("amount_reader.that_is_d_characters_long_type"), trimmed.length());
        }
        if (kind == Kind.MONEY) {
            return PriceReader.read(trimmed, units, range);
        }
        boolean negative = trimmed.startsWith("-") || trimmed.startsWith("−");
        String unsigned =
                negative || trimmed.startsWith("+") ? trimmed.substring(1).strip() : trimmed;
        if (GROUPED_BOTH.matcher(unsigned).find()) {
            return refuse(TEXT.get("amount_reader.s_has_two_decimal_marks_write"), trimmed);
        }
        return readTerms(trimmed, unsigned, negative, kind, units, range);
    }

    private static Typed readTerms(
            String typed, String unsigned, boolean negative, Kind kind, YardUnits units, Range range) {
        Matcher term = TERM.matcher(unsigned);
        double sum = 0;
        double figure = 0;
        String unitSymbol = "";
        boolean anyBare = false;
        int end = 0;
        int terms = 0;
        boolean either = false;
        while (end < unsigned.length() && term.find(end) && term.start() == end) {
            double number = number(term);
            if (!Double.isFinite(number)) {
                return refuse(TEXT.get("amount_reader.s_divides_by_nothing_type_a"), typed);
            }
            String spelled = (term.group("unit1") != null ? term.group("unit1") : term.group("unit2")).strip();
            boolean bare = spelled.isEmpty();
            anyBare |= bare;
            if (anyBare && terms > 0) {
                return refuse(TEXT.get("amount_reader.s_has_two_figures_and_a"), typed);
            }
            Optional<UnitSymbol> unit = bare ? Optional.empty() : UnitTable.find(spelled, kind);
            if (!bare && unit.isEmpty()) {
                return wrongUnit(spelled, kind);
            }
            figure = number;
            unitSymbol = bare ? units.symbol(kind) : unit.get().symbol();
            sum += bare
                    ? units.toCanonical(kind, signed(number, negative))
                    : unit.get().toCanonical(signed(number, negative));
            either = term.group("number") != null
                    && EITHER.matcher(term.group("number")).matches();
            end = term.end();
            terms++;
        }
        if (terms == 0 || end < unsigned.length()) {
            return refuse(TEXT.get("amount_reader.s_is_not_s_s"), typed, kind.phrase(), example(kind, units));
        }
        if (terms > 1 && kind != Kind.DURATION && kind != Kind.RUNNING) {
            return refuse(TEXT.get("amount_reader.s_holds_more_than_one_figure"), typed);
        }
        if (either && terms == 1) {
            return either(typed, sum, signed(figure, negative), unitSymbol, kind, units, range);
        }
        return within(sum, signed(figure, negative), unitSymbol, kind, units, range);
    }

    /** A text whose mark may stand before decimals or between thousands. */
    private static Typed either(
            String typed, double value, double figure, String unit, Kind kind, YardUnits units, Range range) {
        Typed decimal = within(value, figure, unit, kind, units, range);
        Optional<UnitSymbol> symbol = UnitTable.find(unit, kind);
        double whole = symbol.map(u -> u.toCanonical(1_000 * figure)).orElse(units.toCanonical(kind, 1_000 * figure));
        Typed grouped = within(whole, 1_000 * figure, unit, kind, units, range);
        if (!(decimal instanceof Typed.Understood one)) {
            return grouped instanceof Typed.Understood ? grouped : decimal;
        }
        if (!(grouped instanceof Typed.Understood other)) {
            return decimal;
        }
        return new Typed.Refused(
                String.format(
                        java.util.Locale.ROOT,
                        "“%s” can be read in two ways. Write %s or %s%s.",
                        typed,
                        bare(figure),
                        bare(1_000 * figure),
                        unit.isEmpty() ? "" : " " + unit),
                List.of(one, other));
    }

    /** Whether a figure's mark may stand before decimals or between thousands. */
    public static boolean eitherWay(String figure) {
        return EITHER.matcher(figure.startsWith("-") ? figure.substring(1) : figure)
                .matches();
    }

    private static String bare(double figure) {
        return BigDecimal.valueOf(figure).stripTrailingZeros().toPlainString();
    }

    private static Typed within(double value, double figure, String unit, Kind kind, YardUnits units, Range range) {
        if (!range.holds(value)) {
            return refuse(
                    TEXT.get("amount_reader.s_is_outside_what_can_be"),
                    Display.exact(kind, value, units),
                    range.inWords(bound -> Display.exact(kind, bound, units)));
        }
        return new Typed.Understood(value, figure, unit);
    }

    private static double signed(double number, boolean negative) {
        return negative ? -number : number;
    }

    private static double number(Matcher term) {
        if (term.group("top") != null) {
            double whole = term.group("whole") == null ? 0 : Double.parseDouble(term.group("whole"));
            return whole + Double.parseDouble(term.group("top")) / Double.parseDouble(term.group("bottom"));
        }
        String digits =
                term.group("number").replaceAll("[ \\u00a0\\u2009\\u202f]", "").replace(',', '.');
        return new BigDecimal(digits.startsWith(".") ? "0" + digits : digits).doubleValue();
    }

    private static Typed wrongUnit(String spelled, Kind kind) {
        List<UnitSymbol> others = UnitTable.all(spelled);
        String wanted =
                UnitTable.of(kind).stream().map(UnitSymbol::symbol).limit(5).collect(Collectors.joining(", "));
        String hint = wanted.isEmpty()
                ? TEXT.get("amount_reader.type_the_bare_number")
                : TEXT.get("amount_reader.use", wanted);
        if (others.isEmpty()) {
            return refuse(TEXT.get("amount_reader.s_is_no_unit_known_here"), spelled, hint);
        }
        return refuse(
                TEXT.get("amount_reader.s_measures_s_here_goes_s"),
                others.get(0).symbol(),
                others.get(0).kind().phrase(),
                kind.phrase(),
                hint);
    }

    private static String example(Kind kind, YardUnits units) {
        String unit = units.symbol(kind);
        return unit.isEmpty()
                ? TEXT.get("amount_reader.type_a_figure_like_3")
                : TEXT.get("amount_reader.type_a_figure_like_12", unit);
    }

    private static Typed refuse(String pattern, Object... parts) {
        return new Typed.Refused(String.format(java.util.Locale.ROOT, pattern, parts));
    }
}
