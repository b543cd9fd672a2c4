package mussel.core.fleet;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * The plan of a bench.
 *
 * @param days the working days it looks over
 * @param placements every task, by its beginning
 * @param legs when each leg is ready
 * @param proven whether no better plan exists
 * @param unplanned legs whose work does not fit into the days looked over
 */
public record FleetPlan(
        List<LocalDate> days, List<Placement> placements, List<Ready> legs, boolean proven, List<String> unplanned) {
    /** Keeps its own copies. */
    public FleetPlan {
        days = List.copyOf(days);
        placements = List.copyOf(placements);
        legs = List.copyOf(legs);
        unplanned = List.copyOf(unplanned);
    }

    /** The same plan, naming the legs it leaves out. */
    FleetPlan leaving(List<String> out) {
        return new FleetPlan(days, placements, legs, proven, out);
    }

    /** What to do first: for each technician the first task. */
    public List<Placement> next() {
        return placements.stream()
                .filter(p -> placements.stream()
                        .noneMatch(o -> o.technician().equals(p.technician()) && o.startSlot() < p.startSlot()))
                .toList();
    }

    /** Legs whose promise breaks. */
    public List<Ready> broken() {
        return legs.stream().filter(Ready::broken).toList();
    }

    /**
     * A task in its place.
     *
     * @param job the job
     * @param leg the leg
     * @param task what is done
     * @param technician who does it
     * @param start when it begins
     * @param end when it is over
     * @param startSlot its first quarter hour, counted from the midnight before the plan begins
     * @param endSlot one past its last
     * @param why why it does not begin earlier
     */
    public record Placement(
            int job,
            String leg,
            Fleet.Task task,
            String technician,
            LocalDateTime start,
            LocalDateTime end,
            int startSlot,
            int endSlot,
            String why) {}

    /**
     * When a leg is ready.
     *
     * @param job the job
     * @param leg the leg
     * @param at when its last task is over
     * @param promised the day it was promised for
     * @param why what holds it up longest
     */
    public record Ready(int job, String leg, LocalDateTime at, Optional<LocalDate> promised, String why) {
        /** Whether it is ready only after the day it was promised for. */
        public boolean broken() {
            return promised.isPresent() && at.toLocalDate().isAfter(promised.get());
        }
    }
}
