package mussel.core.fleet;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A bench and the work on it.
 *
 * @param now from when on work can be placed
 * @param hours when the yard works
 * @param technicians who works
 * @param tools tools of which there are few
 * @param legs the legs with their work
 */
public record Fleet(LocalDateTime now, Hours hours, List<Technician> technicians, List<Tool> tools, List<Leg> legs) {
    /** Keeps its own copies; somebody must work. */
    public Fleet {
        technicians = List.copyOf(technicians);
        tools = List.copyOf(tools);
        legs = List.copyOf(legs);
        if (technicians.isEmpty()) {
            throw new IllegalArgumentException("A plan needs at least one technician");
        }
    }

    /**
     * When the yard works.
     *
     * @param from start of the day
     * @param to end of the day
     * @param days the days worked
     */
    public record Hours(LocalTime from, LocalTime to, Set<DayOfWeek> days) {
        /** Eight to half past four, Monday to Friday. */
        public static final Hours USUAL = new Hours(
                LocalTime.of(8, 0),
                LocalTime.of(16, 30),
                Set.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY, DayOfWeek.FRIDAY));

        /** Refuses a day without hours or a week without days. */
        public Hours {
            if (!from.isBefore(to) || days.isEmpty()) {
                throw new IllegalArgumentException("A yard works some hours on some days");
            }
            days = Set.copyOf(days);
        }
    }

    /**
     * Somebody who works.
     *
     * @param name the name
     * @param hoursPerDay how much of the yard's day is for the bench, from its start (h)
     * @param away days away
     */
    public record Technician(String name, double hoursPerDay, List<LocalDate> away) {
        /** Keeps its own copy. */
        public Technician {
            away = List.copyOf(away);
        }
    }

    /**
     * A shared tool.
     *
     * @param name as the tasks name it
     * @param count how many there are
     */
    public record Tool(String name, int count) {}

    /**
     * A leg and its work, one task after the other.
     *
     * @param job the job's number
     * @param title the leg
     * @param promised the day it was promised for
     * @param tasks what is still to be done, in order
     */
    public record Leg(int job, String title, Optional<LocalDate> promised, List<Task> tasks) {
        /** Keeps its own copy. */
        public Leg {
            tasks = List.copyOf(tasks);
        }
    }

    /**
     * A piece of work one person does in one go, within a day.
     *
     * @param title what is done
     * @param minutes how long, on the mean (min)
     * @param tools shared tools it takes
     * @param cureMinutes how long nobody may go on afterwards, day and night (min)
     * @param notBefore the day from which it can be done, as when parts are on their way
     * @param awaits what that day brings; empty where nothing
     */
    public record Task(
            String title,
            double minutes,
            List<String> tools,
            double cureMinutes,
            Optional<LocalDate> notBefore,
            String awaits) {
        /** Keeps its own copy. */
        public Task {
            tools = List.copyOf(tools);
        }
    }
}
