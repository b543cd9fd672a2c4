package mussel.core.fleet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.fleet.FleetEngine.Slotted;

/**
 * A plan as a foreman would make it, for the solver to begin with: legs by their promises, each task at the first place that is free (the
 * serial scheme of R. Kolisch, European Journal of Operational Research 90, 1996).
 */
final class FirstPlan {
    private final Fleet fleet;
    private final WorkCalendar calendar;
    private final List<BitSet> busy = new ArrayList<>();
    private final Map<String, List<BitSet>> taken = new HashMap<>();
    private final Map<Fleet.Task, Place> places = new java.util.IdentityHashMap<>();
    private int end;

    /** Where a task goes: its first slot and whose it is. */
    record Place(int start, int technician) {}

    FirstPlan(Fleet fleet, WorkCalendar calendar) {
        this.fleet = fleet;
        this.calendar = calendar;
        fleet.technicians().forEach(t -> {
            BitSet theirs = new BitSet();
            calendar.gaps(t).forEach(g -> theirs.set(g[0], g[0] + g[1]));
            busy.add(theirs);
        });
        fleet.tools().forEach(tool -> {
            List<BitSet> pieces = new ArrayList<>();
            for (int i = 0; i < tool.count(); i++) {
                pieces.add(new BitSet());
            }
            taken.put(tool.name(), pieces);
        });
        fleet.legs().stream()
                .sorted(Comparator.comparing((Fleet.Leg l) -> l.promised().orElse(LocalDate.MAX))
                        .thenComparing(Fleet.Leg::job))
                .forEach(this::place);
    }

    private void place(Fleet.Leg leg) {
        int free = calendar.first();
        for (Fleet.Task task : leg.tasks()) {
            int slots = WorkCalendar.slots(task.minutes());
            int from = Math.max(free, task.notBefore().map(calendar::opens).orElse(0));
            Optional<Place> place = first(task, slots, from);
            if (place.isEmpty()) {
                return;
            }
            take(task, slots, place.get());
            int over = place.get().start() + slots;
            end = Math.max(end, over);
            free = over + WorkCalendar.slots(task.cureMinutes());
        }
    }

    private Optional<Place> first(Fleet.Task task, int slots, int from) {
        for (int start = from; start + slots <= calendar.slots(); start++) {
            int to = start + slots;
            int begin = start;
            boolean tools = task.tools().stream().filter(taken::containsKey).allMatch(tool -> taken.get(tool).stream()
                    .anyMatch(t -> free(t, begin, to)));
            for (int who = 0; tools && who < busy.size(); who++) {
                if (free(busy.get(who), start, to)) {
                    return Optional.of(new Place(start, who));
                }
            }
        }
        return Optional.empty();
    }

    private void take(Fleet.Task task, int slots, Place place) {
        int to = place.start() + slots;
        busy.get(place.technician()).set(place.start(), to);
        task.tools().stream().filter(taken::containsKey).forEach(tool -> taken.get(tool).stream()
                .filter(t -> free(t, place.start(), to))
                .findFirst()
                .ifPresent(t -> t.set(place.start(), to)));
        places.put(task, place);
    }

    private static boolean free(BitSet taken, int from, int to) {
        int next = taken.nextSetBit(from);
        return next < 0 || next >= to;
    }

    /** The same bench with the legs alone whose every task has a place. */
    Fleet placed() {
        List<Fleet.Leg> legs = fleet.legs().stream().filter(this::hasPlace).toList();
        return new Fleet(fleet.now(), fleet.hours(), fleet.technicians(), fleet.tools(), legs);
    }

    /** Legs with a task that fits nowhere. */
    List<String> unplaced() {
        return fleet.legs().stream()
                .filter(l -> !hasPlace(l))
                .map(Fleet.Leg::title)
                .toList();
    }

    private boolean hasPlace(Fleet.Leg leg) {
        return leg.tasks().stream().allMatch(places::containsKey);
    }

    /** The plan as it stands. */
    FleetPlan plan() {
        Fleet placed = placed();
        List<Slotted> slotted = new ArrayList<>();
        for (Fleet.Leg leg : placed.legs()) {
            for (int nr = 0; nr < leg.tasks().size(); nr++) {
                Fleet.Task task = leg.tasks().get(nr);
                Place place = places.get(task);
                String who = fleet.technicians().get(place.technician()).name();
                int over = place.start() + WorkCalendar.slots(task.minutes());
                slotted.add(new Slotted(leg, nr, task, who, place.start(), over));
            }
        }
        return new Reasons(placed, calendar, slotted).plan(false).leaving(unplaced());
    }

    /** Where it put a task; empty where it found no place. */
    Optional<Place> of(Fleet.Task task) {
        return Optional.ofNullable(places.get(task));
    }

    /** One past the last slot it used. */
    int end() {
        return end;
    }
}
