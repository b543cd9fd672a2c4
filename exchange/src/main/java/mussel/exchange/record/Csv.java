package mussel.exchange.record;

/** Cells of a CSV file that a spreadsheet may open. */
public final class Csv {
    private static final String FORMULA_STARTS = "=+-@\t\r\n";

    private Csv() {}

    /** Text that no spreadsheet takes for a formula: an apostrophe goes before one. */
    public static String plain(String text) {
        String cell = Plain.text(text);
        return !cell.isEmpty() && FORMULA_STARTS.indexOf(cell.charAt(0)) >= 0 ? "'" + cell : cell;
    }
}
