package mussel.core.job;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.log.Due;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.sheet.Goal;
import mussel.core.sheet.Part;
import mussel.core.visit.EngineOil;
import mussel.core.visit.EngineSideItem;
import mussel.core.visit.Plugs;

/** The work beside the leg in one visit: what became of each item, what was found, when it is due again, and what waits. */
public final class EngineSide {
    /** The anodes that are asked for. */
    public static final List<String> ANODES = List.of("tab", "outer_pair", "inner");

    /** The grease points that are asked for. */
    public static final List<String> POINTS = List.of("swivel", "tilt", "steering");

    private static final Messages TEXT = Messages.of(EngineSide.class);
    private static final int MOST_CYLINDERS = 12;

    private final Assessment all;
    private final Job job;

    /** The work beside the leg of a job. */
    public EngineSide(Assessment all) {
        this.all = all;
        this.job = all.job();
    }

    /** What became of an item. */
    public enum State {
        /** Nobody has asked for it in this visit. */
        OPEN,
        /** Looked at, and needs nothing. */
        SOUND,
        /** Done. */
        DONE,
        /** Waits for another visit. */
        PUT_OFF,
        /** The owner does not want it. */
        REFUSED,
        /** Planned for this visit: its parts come with the order. */
        TO_DO;

        private static State of(Optional<String> choice) {
            return choice.map(c -> State.valueOf(c.toUpperCase(java.util.Locale.ROOT)))
                    .orElse(OPEN);
        }
    }

    /** What became of an item. */
    public State state(EngineSideItem item) {
        return State.of(job.choice(Scale.BESIDE.of(item.id())));
    }

    /** Whether anything beside the leg was asked or found in this visit. */
    public boolean begun() {
        for (EngineSideItem item : EngineSideItem.values()) {
            if (state(item) != State.OPEN || !found(item).isEmpty()) {
                return true;
            }
        }
        return false;
    }

    /** Whether every item is answered. */
    public boolean answered() {
        for (EngineSideItem item : EngineSideItem.values()) {
            if (state(item) == State.OPEN || state(item) == State.TO_DO) {
                return false;
            }
        }
        return true;
    }

    /** A figure of the engine: as it was typed in this visit, else as it was in an earlier one. */
    public OptionalDouble ofTheEngine(Field field) {
        return all.before().ofTheEngine(field, job);
    }

    /** How many cylinders are asked for; none while nobody said how many there are. */
    public int cylinders() {
        return (int) Math.min(MOST_CYLINDERS, ofTheEngine(Field.CYLINDERS).orElse(0));
    }

    /** What was to be done in this visit and is not done, by title. */
    String planned() {
        return Arrays.stream(EngineSideItem.values())
                .filter(item -> state(item) == State.TO_DO)
                .map(EngineSideItem::title)
                .collect(Collectors.joining(", "));
    }

    /**
     * The parts of the work planned or done beside the leg, by part: a plug for each cylinder, of anodes those that are not good for another season where they
     * were looked at.
     *
     * @param state planned or done
     */
    public Map<String, Integer> parts(State state) {
        Map<String, Integer> parts = new LinkedHashMap<>();
        for (Part part : all.sheet().parts()) {
            String[] beside = part.beside().orElse("").split("/");
            EngineSideItem.of(beside[0]).filter(i -> state(i) == state).ifPresent(item -> {
                int count = item == EngineSideItem.PLUGS ? Math.max(1, cylinders()) : part.qty();
                boolean good = beside.length > 1
                        && AnodeWork.of(job, beside[1]).filter(a -> !a.renew()).isPresent();
                if (!good) {
                    parts.put(part.id(), count);
                }
            });
        }
        return parts;
    }

    /** The engine's oil. */
    public EngineOil engineOil() {
        return new EngineOil(
                ofTheEngine(Field.ENGINE_TAKES),
                ofTheEngine(Field.FILTER_HOLDS),
                job.reading(Field.ENGINE_OIL_IN),
                all.yard().bottles());
    }

    /**
     * Something found.
     *
     * @param says what, in a sentence
     * @param calls whether it calls for more than its clock
     */
    public record Found(String says, boolean calls) {}

    /** What was found of an item; nothing where nothing was looked at. */
    public List<Found> found(EngineSideItem item) {
        List<Found> found = new ArrayList<>();
        switch (item) {
            case ANODES ->
                ANODES.forEach(id -> AnodeWork.of(job, id).ifPresent(a -> found.add(new Found(a.says(), a.calls()))));
            case GREASE ->
                POINTS.forEach(p -> job.choice(Scale.GREASE_POINT.of(p))
                        .ifPresent(c -> found.add(new Found(TEXT.get("beside.grease." + c, p), !c.equals("clean")))));
            case PLUGS -> {
                boolean odd = !plugs().odd().isEmpty();
                plugs().says().forEach(s -> found.add(new Found(s, odd)));
            }
            case FUEL ->
                job.reading(Field.BOWL_WATER)
                        .ifPresent(ml -> found.add(
                                ml > 0
                                        ? new Found(
                                                TEXT.get(
                                                        "beside.bowl",
                                                        Display.exact(
                                                                Kind.VOLUME,
                                                                ml,
                                                                all.yard().reads())),
                                                true)
                                        : new Found(TEXT.get("beside.bowl.dry"), false)));
            case ENGINE_OIL -> {
                if (job.reading(Field.ENGINE_OIL_IN).isPresent()) {
                    List<String> says = engineOil().says(all.yard().reads());
                    found.add(new Found(says.get(says.size() - 1), engineOil().off()));
                }
            }
            default -> {
                // Nothing is measured of it.
            }
        }
        return found;
    }

    private Plugs plugs() {
        Map<Integer, String> colours = new HashMap<>();
        for (int i = 1; i <= cylinders(); i++) {
            int cylinder = i;
            job.choice(Scale.PLUG_COLOUR.of(String.valueOf(i))).ifPresent(c -> colours.put(cylinder, c));
        }
        return new Plugs(colours);
    }

    /** When what was looked at or done in this visit is due again: after the yard's own clock where it has one. */
    List<Due> due(LocalDate done, OptionalDouble hours) {
        List<Due> due = new ArrayList<>();
        for (EngineSideItem item : EngineSideItem.values()) {
            State state = state(item);
            if (state == State.DONE || state == State.SOUND) {
                Yard.Clock clock = all.yard().clock(item);
                due.add(new Due(
                        item.id(),
                        item.title(),
                        hours.isPresent()
                                ? OptionalDouble.of(hours.getAsDouble() + clock.hours())
                                : OptionalDouble.empty(),
                        done.plusMonths(clock.months())));
            } else if (state == State.PUT_OFF) {
                due.add(new Due(
                        item.id(), TEXT.get("beside.due", item.title()), OptionalDouble.empty(), done.plusMonths(1)));
            }
        }
        return due;
    }

    /** What waits after this visit, each in a sentence with what that risks: what this one put off, and what an earlier one did and this one did not ask for. */
    public List<String> waiting() {
        List<String> waiting = new ArrayList<>(greeting().values());
        for (EngineSideItem item : EngineSideItem.values()) {
            now(Scale.BESIDE.of(item.id())).ifPresent(waiting::add);
        }
        all.sheet().goals().forEach(g -> now(Scale.GOAL.of(g.id())).ifPresent(waiting::add));
        return waiting;
    }

    private Optional<String> now(Address about) {
        String answer = job.choice(about).orElse("");
        if (!answer.equals("put_off") && !answer.equals("refused")) {
            return Optional.empty();
        }
        String why = job.note(Topic.PUT_OFF_WHY.of(about.of())).orElse("");
        return Optional.of(
                TEXT.get("beside." + answer + (why.isEmpty() ? "" : ".why"), title(about), risk(about), why));
    }

    private String title(Address about) {
        return EngineSideItem.of(about.of())
                .map(EngineSideItem::title)
                .or(() -> all.sheet().goal(about.of()).map(Goal::title))
                .orElse(about.of().replace('_', ' '));
    }

    /** What waiting risks: of a repair, what it costs when it comes back. */
    private String risk(Address about) {
        return EngineSideItem.of(about.of()).map(EngineSideItem::risk).orElseGet(() -> {
            GoalCosts costs = all.goalCosts().get(about.of());
            return costs == null
                    ? TEXT.get("goal.risk.unknown")
                    : TEXT.get("goal.risk", all.yard().money().sum(costs.comeback()));
        });
    }

    /** What earlier visits left waiting and this one has not answered, by what it is about, in a sentence each. */
    public Map<Address, String> greeting() {
        Map<Address, String> greeting = new LinkedHashMap<>();
        for (LegBefore.Waiting each : all.before().waiting()) {
            if (job.choice(each.about()).isEmpty()) {
                greeting.put(
                        each.about(),
                        TEXT.get(
                                (each.refused() ? "beside.was_refused" : "beside.was_put_off")
                                        + (each.why().isEmpty() ? "" : ".why"),
                                title(each.about()),
                                each.day().toString(),
                                String.valueOf(each.job()),
                                risk(each.about()),
                                each.why()));
            }
        }
        return greeting;
    }

    /** What was done beside the leg, each with what was found, for paper. */
    public List<String> done() {
        List<String> done = new ArrayList<>();
        for (EngineSideItem item : EngineSideItem.values()) {
            State state = state(item);
            List<String> found = found(item).stream().map(Found::says).toList();
            if (state == State.DONE || state == State.SOUND || !found.isEmpty()) {
                String says = state == State.SOUND
                        ? TEXT.get("beside.sound", item.title())
                        : state == State.DONE ? TEXT.get("beside.done", item.title()) : item.title();
                done.add(found.isEmpty() ? says + "." : says + ": " + String.join(" ", found));
            }
        }
        return done;
    }
}
