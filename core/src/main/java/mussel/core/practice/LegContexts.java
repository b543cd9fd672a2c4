package mussel.core.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.job.Fact;
import mussel.core.job.Field;
import mussel.core.job.Job;
import mussel.core.job.Scale;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.NamedBy;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.Construction;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Context;
import mussel.core.verdict.Context.CaseKind;
import mussel.core.verdict.Context.Complaint;
import mussel.core.verdict.Context.Duty;
import mussel.core.verdict.Context.LastJob;
import mussel.core.verdict.Context.SealLayout;
import mussel.core.verdict.Context.Storage;
import mussel.core.verdict.Context.Waters;
import mussel.core.verdict.LegState;
import mussel.core.verdict.LegState.Condition;
import org.hipparchus.random.MersenneTwister;

/**
 * What is known of practice legs before anyone looks: a working fleet on a sea loch, with what its boats come in for. The shares are estimates of a yard's year.
 * A service brings legs with nothing wrong, every other complaint raises what people bring such a leg for by the tables' own factors, so that what is drawn is
 * what the tables say of it.
 */
final class LegContexts {
    private static final Messages TEXT = Messages.of(LegContexts.class);

    private static final Complaint[] COMPLAINTS = {
        Complaint.SERVICE,
        Complaint.WATER_IN_OIL,
        Complaint.OIL_OUTSIDE,
        Complaint.HOT,
        Complaint.WEAK_STREAM,
        Complaint.NOISE,
        Complaint.GEAR_TROUBLE,
        Complaint.STIFF,
        Complaint.SHAKES
    };
    private static final double[] COMING = {0.33, 0.15, 0.1, 0.12, 0.1, 0.06, 0.06, 0.03, 0.05};
    private static final double[] HOURS = {20, 60, 110, 180, 260};
    private static final double[] MONTHS = {3, 8, 12, 18, 30};
    private static final double[] AGES = {1, 4, 8, 14, 25};
    private static final double[] PUMP_MONTHS = {4, 12, 24, 40, 60};

    private static final double MONTHS_A_YEAR = 12;
    /** A leg that comes whole on its boat. */
    static final LegState WHOLE = whole();

    private static final double ALONE = 0.12;
    private static final double DRAINED = 0.05;
    private static final double DRAINED_ALONE = 0.25;
    private static final double PUMP_OFF_ALONE = 0.15;

    private LegContexts() {}

    /** The context of a leg: one that was given, else drawn. */
    static Context draw(long seed, int number, Optional<Context> given) {
        if (given.isPresent()) {
            return given.get();
        }
        // Its own stream, so that a leg of a given context has the same causes drawn in the same way.
        MersenneTwister random = PracticeLeg.source(~seed, number);
        return new Context(
                Optional.of(pick(random, Waters.values(), 0.15, 0.7, 0.15)),
                Optional.of(random.nextDouble() < 0.35),
                Optional.of(pick(random, Storage.values(), 0.6, 0.3, 0.1)),
                OptionalDouble.of(any(random, HOURS)),
                OptionalDouble.of(any(random, MONTHS)),
                Optional.of(pick(random, CaseKind.values(), 0.7, 0.3)),
                OptionalDouble.of(any(random, AGES)),
                Optional.of(pick(random, LastJob.values(), 0.15, 0.6, 0.15, 0.1)),
                Optional.of(pick(random, SealLayout.values(), 0.75, 0.25)),
                List.of(),
                List.of(pick(random, COMPLAINTS, COMING)),
                Optional.of(pick(random, Duty.values(), 0.2, 0.5, 0.3)),
                OptionalDouble.of(any(random, PUMP_MONTHS)));
    }

    /**
     * The state a drawn leg comes in. Most come whole on their boat; some were brought in alone, some had been drained or opened by other hands. The shares are
     * estimates of a yard's year.
     */
    static LegState state(PracticeLeg leg) {
        MersenneTwister random = leg.source("state");
        boolean alone = random.nextDouble() < ALONE;
        boolean drained = random.nextDouble() < (alone ? DRAINED_ALONE : DRAINED);
        boolean opened = random.nextDouble() < (alone ? PUMP_OFF_ALONE : 0);
        LegState state = WHOLE;
        if (alone) {
            state = state.with(Condition.ENGINE, "away").with(Condition.LEG, "off");
        }
        if (drained) {
            state = state.with(Condition.OIL, "out").with(Condition.PLUGS, "out");
        }
        return opened ? state.with(Condition.PUMP, "out") : state;
    }

    private static LegState whole() {
        LegState whole = LegState.UNKNOWN;
        for (Condition condition : Condition.values()) {
            // The case follows from what is in it; whether the shafts turn is for hands to find out.
            if (condition != Condition.CASE && condition != Condition.TURNS && condition != Condition.CURING) {
                whole = whole.with(condition, condition.states().get(0));
            }
        }
        return whole;
    }

    /** What is not whole of a leg as it comes in, as a job says it. */
    static List<Fact> facts(LegState came) {
        List<Fact> facts = new ArrayList<>();
        came.known().forEach((condition, value) -> {
            if (!value.equals(condition.states().get(0))) {
                facts.add(new Fact.Chosen(Scale.STATE.of(condition.id()), value));
            }
        });
        return facts;
    }

    /** The state a leg came in, as its job says it. */
    static LegState came(Job job) {
        LegState came = WHOLE;
        for (Condition condition : WHOLE.known().keySet()) {
            Optional<String> said = job.choice(Scale.STATE.of(condition.id()));
            came = said.isPresent() ? came.with(condition, said.get()) : came;
        }
        return came;
    }

    /** The same of a leg of a family: built as its sheet says. */
    static Context of(Context context, SpecSheet sheet) {
        Construction built = sheet.construction();
        return new Context(
                context.water(),
                context.sand(),
                context.storage(),
                context.hoursSinceChange(),
                context.monthsSinceChange(),
                Optional.of(built.caseKind())
                        .filter(k -> k != Construction.CaseKind.UNKNOWN)
                        .map(k -> CaseKind.valueOf(k.name())),
                context.ageYears(),
                context.lastJob(),
                Optional.of(built.sealLayout())
                        .filter(l -> l != Construction.SealLayout.UNKNOWN)
                        .map(l -> SealLayout.valueOf(l.name())),
                List.of(),
                context.complaint(),
                context.duty(),
                context.pumpMonths());
    }

    /** What is known beforehand, as a job says it. */
    static List<Fact> facts(Context context) {
        List<Fact> facts = new ArrayList<>();
        context.complaint().forEach(c -> facts.add(new Fact.Chosen(Scale.CAME_FOR.of(NamedBy.file(c)), "yes")));
        chosen(facts, Scale.WATER, context.water());
        context.sand().ifPresent(s -> facts.add(new Fact.Chosen(Scale.SAND.address(), s ? "yes" : "no")));
        chosen(facts, Scale.STORAGE, context.storage());
        chosen(facts, Scale.LAST_JOB, context.lastJob());
        chosen(facts, Scale.DUTY, context.duty());
        read(facts, Field.HOURS_SINCE_FILL, context.hoursSinceChange());
        read(facts, Field.MONTHS_SINCE_FILL, context.monthsSinceChange());
        if (context.ageYears().isPresent()) {
            read(
                    facts,
                    Field.AGE,
                    OptionalDouble.of(MONTHS_A_YEAR * context.ageYears().getAsDouble()));
        }
        read(facts, Field.IMPELLER_AGE, context.pumpMonths());
        return List.copyOf(facts);
    }

    private static void chosen(List<Fact> facts, Scale scale, Optional<? extends Enum<?>> outcome) {
        outcome.ifPresent(o -> facts.add(new Fact.Chosen(scale.address(), NamedBy.file(o))));
    }

    private static void read(List<Fact> facts, Field field, OptionalDouble value) {
        value.ifPresent(v -> facts.add(new Fact.Read(
                field.address(),
                v,
                Display.exact(field.kind(), v, YardUnits.METRIC),
                TEXT.get("leg_contexts.practice_leg"),
                true)));
    }

    private static double any(MersenneTwister random, double[] all) {
        return all[(int) (random.nextDouble() * all.length)];
    }

    private static <T> T pick(MersenneTwister random, T[] all, double... shares) {
        double at = random.nextDouble();
        for (int i = 0; i < all.length - 1; i++) {
            at -= shares[i];
            if (at < 0) {
                return all[i];
            }
        }
        return all[all.length - 1];
    }
}
