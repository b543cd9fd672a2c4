package mussel.core.book;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** A day as a bench writes it: {@code 2026-12-04}, {@code Friday} (the next one), {@code Friday week} (seven days on), today, tomorrow. */
public final class PromisedDay {
    private PromisedDay() {}

    /** The day meant by words written on another day; empty where they name none. */
    public static Optional<LocalDate> in(String words, LocalDate written) {
        String text = words.toLowerCase(Locale.ROOT);
        for (String word : text.split("[^a-z0-9-]+")) {
            Optional<LocalDate> day = word(word, written);
            if (day.isPresent()) {
                boolean week = text.contains(word + " week");
                return day.map(d -> week ? d.plusDays(7) : d);
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> word(String word, LocalDate written) {
        if (word.equals("today")) {
            return Optional.of(written);
        }
        if (word.equals("tomorrow")) {
            return Optional.of(written.plusDays(1));
        }
        if (word.length() == 10 && Character.isDigit(word.charAt(0))) {
            try {
                return Optional.of(LocalDate.parse(word));
            } catch (DateTimeParseException e) {
                return Optional.empty();
            }
        }
        return Stream.of(DayOfWeek.values())
                .filter(d -> Stream.of(TextStyle.FULL, TextStyle.SHORT)
                        .anyMatch(style -> d.getDisplayName(style, Locale.ENGLISH)
                                .toLowerCase(Locale.ROOT)
                                .equals(word)))
                .findFirst()
                .map(d -> written.with(TemporalAdjusters.next(d)));
    }
}
