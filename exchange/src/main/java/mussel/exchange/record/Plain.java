package mussel.exchange.record;

/** Text without what a terminal, a spreadsheet or a calendar would take for a command. */
public final class Plain {
    private Plain() {}

    /** One line: control characters and the marks that turn the direction of writing become blanks. */
    public static String text(String text) {
        return clean(text, false);
    }

    /** Lines, as for a terminal: ends of lines stay, every other control character becomes a blank. */
    public static String lines(String text) {
        return clean(text, true);
    }

    private static String clean(String text, boolean lines) {
        StringBuilder plain = null;
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean ends = lines && (c == '\n' || c == '\r' || c == '\t');
            if (!ends && (Character.isISOControl(c) || turns(c))) {
                if (plain == null) {
                    plain = new StringBuilder(text);
                }
                plain.setCharAt(i, ' ');
            }
        }
        return plain == null ? text : plain.toString();
    }

    /** Line and paragraph separators, and the marks of the bidirectional algorithm (Unicode Standard Annex 9). */
    private static boolean turns(char c) {
        return c >= '\u2028' && c <= '\u202E' || c >= '\u2066' && c <= '\u2069' || c == '\u200E' || c == '\u200F';
    }
}
