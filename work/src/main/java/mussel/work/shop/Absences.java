package mussel.work.shop;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mussel.core.job.Journal;
import mussel.core.job.Settings;
import mussel.core.yard.YardDecisions;

/** On which days the technicians are away, kept among the yard's settings. */
public final class Absences {
    private final Journal journal;
    private final YardDecisions decisions;

    Absences(Journal journal, YardDecisions decisions) {
        this.journal = journal;
        this.decisions = decisions;
    }

    /** The days a technician is away, in order. */
    public List<LocalDate> of(String technician) {
        return Stream.of(journal.setting(Settings.AWAY + technician, "").split(" "))
                .flatMap(day -> day(day).stream())
                .sorted()
                .toList();
    }

    /** A day; whatever else a setting from elsewhere may hold is left out. */
    private static Optional<LocalDate> day(String text) {
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** Keeps whether a technician is away on a day; days before today are let go. */
    public void keep(String technician, LocalDate day, boolean away, LocalDate today) {
        TreeSet<LocalDate> days = new TreeSet<>(of(technician));
        days.removeIf(d -> d.isBefore(today));
        if (away) {
            days.add(day);
        } else {
            days.remove(day);
        }
        decisions.keep(
                journal.setting("by", "bench"),
                Settings.AWAY + technician,
                days.stream().map(LocalDate::toString).collect(Collectors.joining(" ")));
    }
}
