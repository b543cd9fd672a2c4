package mussel.core.job;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import mussel.core.language.Messages;
import mussel.core.measure.UnitSet;
import mussel.core.pump.PumpInput;
import mussel.core.sheet.PumpPolicy;

/**
 * What the settings of a yard may hold, as this program reads them. What is not understood is named; whoever reads a setting goes on without it.
 */
public final class Settings {
    private static final Messages TEXT = Messages.of(Settings.class);

    private static final int LONGEST_NAME = 200;
    private static final int LONGEST_STAMP = 20_000;
    private static final int LONGEST_KEY = 400;
    private static final int MOST_COUNT = 1_000_000;
    private static final double MOST_MONTHS = 1_200;
    private static final double MOST_FIGURE = 1e12;
    private static final int LONGEST_SHEET = 400_000;

    /** What the setting that holds a sheet of the yard's own begins with; the family's id follows. */
    public static final String SHEET = "sheet:";

    /** What the setting that holds a thing the yard has decided begins with; the thing's name in the yard's sheet follows. */
    public static final String YARD = "yard:";

    /** What the setting that holds a count on the shelf begins with; the family's and the part's ids follow. */
    public static final String SHELF = "shelf:";

    /** What the setting that holds the days somebody is away begins with; his name follows. */
    public static final String AWAY = "away:";

    /** What else the yard decides: whether its own findings count, and what it takes parts' lives to cost. */
    public static final Set<String> HABITS =
            Set.of("learn_priors", "count_comebacks", "shipped_sheets", "life-planned", "life-failure", "life-risk");

    /** The setting that says whether what comebacks cost counts in the cost of leaving a thing. */
    public static final String COMEBACKS = "count_comebacks";

    /** The setting that says whether the demo yard's sheets and prices are among those known. */
    public static final String DEMO = "shipped_sheets";

    /** What the setting that holds the picture of a manual's page begins with; the family's id and the value's place follow. */
    public static final String PAGE = "page:";

    /** The setting that holds the picture of the yard's logo, kept beside the journal as the pages of manuals are. */
    public static final String LOGO = PAGE + "yard:logo";

    /** The folder papers went to last. It is of one machine, and goes with no log to another. */
    public static final String PAPERS = "paper_folder";

    /** The setting that says by which sheets the bench's lines were made. */
    public static final String BENCH_STAMP = "bench_stamp";

    /** What belongs to one machine and whoever is at it: nobody decides it, and another's never comes in. */
    private static final Set<String> OF_A_MACHINE = Set.of(PAPERS, "by", BENCH_STAMP);

    private static final Set<String> OF_A_SCREEN = Set.of("look", "glove");

    private static final int LONGEST_PATH = 4_096;
    private static final Pattern SHELF_OF = Pattern.compile("shelf:[^:]+:.+");
    private static final Pattern PICTURE = Pattern.compile("[0-9a-f]{64}\\.(?:jpg|jpeg|png|gif)");
    private static final Set<String> FIGURES = Set.of("life-planned", "life-failure", "life-risk");

    private Settings() {}

    /** Whether a name is one that a picture is kept under: the SHA-256 of its content and its kind. */
    public static boolean isPicture(String name) {
        return PICTURE.matcher(name).matches();
    }

    /** Whether it is something a yard decides, and not how one machine is set. */
    public static boolean isDecided(String key) {
        return !OF_A_MACHINE.contains(key) && !OF_A_SCREEN.contains(key);
    }

    /** Why a setting is not understood here; empty where it is. */
    public static Optional<String> problem(String key, String value) {
        if (key.length() > LONGEST_KEY || key.isBlank()) {
            return Optional.of(TEXT.get("settings.has_no_name_this_program_knows"));
        }
        if (SHELF_OF.matcher(key).matches()) {
            return count(value).isPresent()
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_and_no_count", shown(value)));
        }
        if (key.startsWith(SHEET)) {
            return value.isEmpty() || value.length() <= LONGEST_SHEET && value.startsWith("{")
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_no_sheet_or_longer_than"));
        }
        if (key.startsWith(YARD)) {
            return value.length() <= LONGEST_SHEET
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_longer_than_anything_a_yard"));
        }
        if (key.startsWith(PAGE)) {
            return value.isEmpty() || isPicture(value)
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_and_no_pictures_name", shown(value)));
        }
        if (key.startsWith(AWAY)) {
            return days(value)
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_and_no_list_of_days", shown(value)));
        }
        if (FIGURES.contains(key)) {
            return value.isEmpty() || figure(value, MOST_FIGURE).isPresent()
                    ? Optional.empty()
                    : Optional.of(TEXT.get("settings.is_and_no_figure", shown(value)));
        }
        return switch (key) {
            case "units" -> named(UnitSet.class, value);
            case "pump_policy" -> named(PumpPolicy.class, value);
            case "pump_extent" -> named(PumpInput.Extent.class, value);
            case "pump_calendar_months" ->
                figure(value, MOST_MONTHS).isPresent()
                        ? Optional.empty()
                        : Optional.of(TEXT.get("settings.is_and_no_number_of_months", shown(value)));
            case "look" -> oneOf(value, "light", "dark");
            case "glove", "learn_priors", COMEBACKS, DEMO -> oneOf(value, "on", "off");
            case "by", "yard_name" ->
                value.length() <= LONGEST_NAME
                        ? Optional.empty()
                        : Optional.of(TEXT.get("settings.is_longer_than_200_characters"));
            case PAPERS ->
                value.length() <= LONGEST_PATH
                        ? Optional.empty()
                        : Optional.of(TEXT.get("settings.is_longer_than_a_folders_name"));
            case BENCH_STAMP ->
                value.length() <= LONGEST_STAMP
                        ? Optional.empty()
                        : Optional.of(TEXT.get("settings.is_longer_than_it_ever_is"));
            default -> Optional.of(TEXT.get("settings.is_none_this_program_knows"));
        };
    }

    /** The settings that are not understood here, each in a sentence, in the order of their names. */
    public static List<String> setAside(Map<String, String> settings) {
        List<String> told = new ArrayList<>();
        new TreeMap<>(settings).forEach((key, value) -> problem(key, value)
                .ifPresent(why -> told.add(TEXT.get("settings.the_setting_a_newer_mussel_or", shown(key), why))));
        return told;
    }

    /** The setting that holds the picture of the page where a family's manual says something. */
    public static String page(String family, String at) {
        return PAGE + family + ":" + at;
    }

    /** The sheets of the yard's own that are kept in the settings, family by text, in the order of their ids. */
    public static Map<String, String> sheets(Map<String, String> settings) {
        Map<String, String> sheets = new TreeMap<>();
        settings.forEach((key, value) -> {
            if (key.startsWith(SHEET) && !value.isEmpty() && problem(key, value).isEmpty()) {
                sheets.put(key.substring(SHEET.length()), value);
            }
        });
        return sheets;
    }

    /** The settings that mean something on another machine too. */
    public static Map<String, String> ofTheYard(Map<String, String> settings) {
        Map<String, String> yard = new TreeMap<>(settings);
        yard.keySet().removeAll(OF_A_MACHINE);
        return yard;
    }

    /** A constant named by a setting; the fallback where there is none or it is not understood. */
    public static <E extends Enum<E>> E constant(Journal journal, String key, Class<E> type, E fallback) {
        return constant(type, journal.setting(key, fallback.name())).orElse(fallback);
    }

    /** A figure kept in a setting; the fallback where there is none or it is not understood. */
    public static double figure(Journal journal, String key, double fallback) {
        return figure(journal.setting(key, ""), MOST_FIGURE).orElse(fallback);
    }

    /** A count kept in a setting; zero where there is none or it is not understood. */
    public static int count(Journal journal, String key) {
        return count(journal.setting(key, "0")).orElse(0);
    }

    private static <E extends Enum<E>> Optional<E> constant(Class<E> type, String name) {
        for (E each : type.getEnumConstants()) {
            if (each.name().equals(name)) {
                return Optional.of(each);
            }
        }
        return Optional.empty();
    }

    private static <E extends Enum<E>> Optional<String> named(Class<E> type, String value) {
        return constant(type, value).isPresent()
                ? Optional.empty()
                : Optional.of(TEXT.get("settings.is_which_is_none_this_program", shown(value)));
    }

    private static Optional<String> oneOf(String value, String one, String other) {
        return value.equals(one) || value.equals(other)
                ? Optional.empty()
                : Optional.of(TEXT.get("settings.is_and_must_be_or", shown(value), one, other));
    }

    private static Optional<Double> figure(String value, double most) {
        return parsed(value, Double::valueOf).filter(f -> f >= 0 && f <= most);
    }

    private static Optional<Integer> count(String value) {
        return parsed(value, Integer::valueOf).filter(n -> Math.abs((long) n) <= MOST_COUNT);
    }

    private static <T> Optional<T> parsed(String value, Function<String, T> parse) {
        try {
            return Optional.of(parse.apply(value));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private static boolean days(String value) {
        try {
            for (String day : value.isBlank() ? new String[0] : value.strip().split(" ")) {
                LocalDate.parse(day);
            }
            return true;
        } catch (DateTimeParseException e) {
            return false;
        }
    }

    private static String shown(String text) {
        String plain = text.replaceAll("\\p{Cntrl}", "?");
        return plain.length() > 60 ? plain.substring(0, 60) + "…" : plain;
    }
}
