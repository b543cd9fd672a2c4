package mussel.core.language;

import com.ibm.icu.text.MessagePattern;
import com.ibm.icu.text.MessagePattern.Part;
import com.ibm.icu.text.PluralRules;

/**
 * The text of a message pattern with its arguments. ICU parses the pattern and knows the plurals of a language; the figures are written here, since they
 * look the same everywhere in Mussel and ICU would write its own thousands mark.
 */
final class MessageText {
    private static final String BARE = "0";

    private final MessagePattern pattern;
    private final Language language;
    private final Object[] arguments;
    private final StringBuilder text = new StringBuilder();

    MessageText(MessagePattern pattern, Language language, Object... arguments) {
        this.pattern = pattern;
        this.language = language;
        this.arguments = arguments;
        fill(0, "");
    }

    @Override
    public String toString() {
        return text.toString();
    }

    /**
     * Appends a message, the whole pattern or one choice of it.
     *
     * @param start the part with which it begins
     * @param count what stands for {@code #}
     */
    private void fill(int start, String count) {
        String source = pattern.getPatternString();
        int from = pattern.getPart(start).getLimit();
        int i = start + 1;
        while (true) {
            Part part = pattern.getPart(i);
            text.append(source, from, part.getIndex());
            from = part.getLimit();
            switch (part.getType()) {
                case MSG_LIMIT -> {
                    return;
                }
                case REPLACE_NUMBER -> text.append(count);
                case ARG_START -> {
                    argument(i);
                    i = pattern.getLimitPartIndex(i);
                    from = pattern.getPart(i).getLimit();
                }
                default -> {
                    // Quotes are in no text; their parts only mark what is skipped.
                }
            }
            i++;
        }
    }

    private void argument(int start) {
        Object value = arguments[pattern.getPart(start + 1).getValue()];
        switch (pattern.getPart(start).getArgType()) {
            case NONE -> text.append(shown(value));
            case SIMPLE -> text.append(isBare(start) ? value.toString() : shown(value));
            case PLURAL -> {
                double count = ((Number) value).doubleValue();
                fill(plural(start + 2, count), shown(value));
            }
            case SELECT -> fill(select(start + 2, value.toString()), "");
            default -> throw new IllegalArgumentException("No such argument here: " + pattern.getPatternString());
        }
    }

    private boolean isBare(int start) {
        return pattern.getSubstring(pattern.getPart(start + 3)).strip().equals(BARE);
    }

    private static String shown(Object value) {
        return value instanceof Number number ? Figures.of(number) : String.valueOf(value);
    }

    /** The message of a count: the one for exactly that figure, else the one of its plural form, else the last resort. */
    private int plural(int first, double count) {
        int other = -1;
        int form = -1;
        String name = "";
        for (int i = first; pattern.getPartType(i) == Part.Type.ARG_SELECTOR; ) {
            Part selector = pattern.getPart(i);
            boolean exact = pattern.getPartType(i + 1).hasNumericValue();
            int message = exact ? i + 2 : i + 1;
            if (exact && pattern.getNumericValue(pattern.getPart(i + 1)) == count) {
                return message;
            }
            if (!exact) {
                if (name.isEmpty()) {
                    name = PluralRules.forLocale(language.locale()).select(count);
                }
                if (pattern.partSubstringMatches(selector, name)) {
                    form = message;
                }
                if (pattern.partSubstringMatches(selector, "other")) {
                    other = message;
                }
            }
            i = pattern.getLimitPartIndex(message) + 1;
        }
        return form >= 0 ? form : other;
    }

    private int select(int first, String value) {
        int other = -1;
        for (int i = first; pattern.getPartType(i) == Part.Type.ARG_SELECTOR; ) {
            if (pattern.partSubstringMatches(pattern.getPart(i), value)) {
                return i + 1;
            }
            if (pattern.partSubstringMatches(pattern.getPart(i), "other")) {
                other = i + 1;
            }
            i = pattern.getLimitPartIndex(i + 1) + 1;
        }
        return other;
    }
}
