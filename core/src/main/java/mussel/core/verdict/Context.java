package mussel.core.verdict;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.Kind;
import mussel.core.measure.Wide;

/**
 * What is known of a leg before anyone looks: it moves the odds beforehand. What is absent moves nothing.
 *
 * @param water what it runs in
 * @param sand whether it runs in sand or shallows
 * @param storage how it is kept
 * @param hoursSinceChange running hours since the oil was changed (h)
 * @param monthsSinceChange months since the oil was changed
 * @param caseKind one piece or split
 * @param ageYears the leg's age (years)
 * @param lastJob what was done last
 * @param sealLayout how the lips of a pair face
 * @param twinFound causes confirmed on the leg that hangs beside it
 * @param complaint what it came in for
 * @param duty how hard it works
 * @param pumpMonths months since the impeller was renewed
 */
@Wide("The headless contract of the diagnosis engine: a component is a field of its schema.")
public record Context(
        @Given("what the leg runs in") Optional<Waters> water,
        @Given("whether it runs in sand or shallows") Optional<Boolean> sand,
        @Given("how it is kept") Optional<Storage> storage,
        @Given(value = "the running hours since the last change", kind = Kind.RUNNING, min = 0, max = 100_000)
                OptionalDouble hoursSinceChange,
        @Given(value = "the months since the last change", kind = Kind.MONTHS, min = 0, max = 1_200)
                OptionalDouble monthsSinceChange,
        @Given("how the case is made") Optional<CaseKind> caseKind,
        @Given(value = "the age of the leg (years)", min = 0, max = 120) OptionalDouble ageYears,
        @Given("what was done last") Optional<LastJob> lastJob,
        @Given("how the lips of a pair face") Optional<SealLayout> sealLayout,
        @Given("causes confirmed on the sister leg") List<String> twinFound,
        @Given("what the leg came in for") List<Complaint> complaint,
        @Given("how hard it works") Optional<Duty> duty,
        @Given(value = "the months since the impeller was renewed", kind = Kind.MONTHS, min = 0, max = 1_200)
                OptionalDouble pumpMonths) {
    private static final Messages TEXT = Messages.of(Context.class);

    /** Keeps its own copy. */
    public Context {
        twinFound = List.copyOf(twinFound);
        complaint = List.copyOf(complaint);
    }

    /** Nothing known. */
    public static Context empty() {
        return new Context(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                OptionalDouble.empty());
    }

    /** The same of a leg that came in for these. */
    public Context withComplaint(List<Complaint> other) {
        return new Context(
                water,
                sand,
                storage,
                hoursSinceChange,
                monthsSinceChange,
                caseKind,
                ageYears,
                lastJob,
                sealLayout,
                twinFound,
                other,
                duty,
                pumpMonths);
    }

    /** The same of a leg built so. */
    public Context built(CaseKind kind, SealLayout layout) {
        return new Context(
                water,
                sand,
                storage,
                hoursSinceChange,
                monthsSinceChange,
                Optional.of(kind),
                ageYears,
                lastJob,
                Optional.of(layout),
                twinFound,
                complaint,
                duty,
                pumpMonths);
    }

    /** The waters that matter. */
    public enum Waters {
        /** Lakes and rivers. */
        FRESH,
        /** The sea. */
        SEA,
        /** Between the two. */
        BRACKISH
    }

    /** How a leg is kept. */
    public enum Storage {
        /** In the water. */
        MOORING,
        /** On a trailer. */
        TRAILER,
        /** Through frost. */
        FROST
    }

    /** How a case is made. */
    public enum CaseKind {
        /** One casting. */
        ONE_PIECE,
        /** With a lower half of its own. */
        SPLIT
    }

    /** What was done last. */
    public enum LastJob {
        /** Nothing. */
        NONE,
        /** The oil. */
        OIL_ONLY,
        /** The seals. */
        RESEALED,
        /** Opened by nobody knows whom. */
        OPENED_UNKNOWN
    }

    /** How the lips of a pair face. */
    public enum SealLayout {
        /** One keeps oil in, the other water out. */
        BACK_TO_BACK,
        /** Both outward. */
        BOTH_OUT
    }

    /** What a leg is brought for. */
    public enum Complaint {
        /** Water in its oil. */
        WATER_IN_OIL,
        /** Oil outside it: a sheen, a drip. */
        OIL_OUTSIDE,
        /** The engine runs hot. */
        HOT,
        /** The telltale is weak or gone. */
        WEAK_STREAM,
        /** It growls, knocks or whines. */
        NOISE,
        /** It jumps out of gear or does not go in. */
        GEAR_TROUBLE,
        /** It is stiff to turn. */
        STIFF,
        /** It shakes, or revs up without pushing. */
        SHAKES,
        /** Nothing: its service is due. */
        SERVICE;

        /** As it is read. */
        public String title() {
            return TEXT.of(this);
        }
    }

    /** How hard a leg works. */
    public enum Duty {
        /** Now and then. */
        LIGHT,
        /** As most do. */
        NORMAL,
        /** Full load, day after day. */
        HARD
    }
}
