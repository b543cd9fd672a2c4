package mussel.core.job;

import java.util.function.Function;
import mussel.core.language.Messages;

/** The stations of a job in working order. */
public enum Station {
    /** What comes in, and what is known of it. */
    INTAKE(IntakeWork::new),
    /** What runs out. */
    DRAIN(DrainWork::new),
    /** Where it gets in and out. */
    LEAK(LeakWork::new),
    /** What the water pump comes to. */
    PUMP(PumpStationWork::new),
    /** What is wrong, and what to look at next. */
    VERDICT(DiagnosisWork::new),
    /** Whether it is worth doing. */
    ESTIMATE(EstimateWork::new),
    /** How deep, and in what order. */
    STRIP(StripWork::new),
    /** Shims and lash. */
    SETUP(SetupStationWork::new),
    /** What must be there to put it back. */
    PARTS(PartsWork::new),
    /** Putting it back. */
    BUILD(BuildWork::new),
    /** New oil. */
    FILL(FillWork::new),
    /** What is done beside the leg. */
    BESIDE(EngineSideStationWork::new),
    /** Whether it holds, shifts and runs. */
    PROVE(FinalChecksWork::new),
    /** Done, and when again. */
    TAG(CloseWork::new);

    private static final Messages TEXT = Messages.of(Station.class);

    private final Function<Assessment, StationWork> work;

    Station(Function<Assessment, StationWork> work) {
        this.work = work;
    }

    /** What this station makes of a job. */
    StationWork work(Assessment job) {
        return work.apply(job);
    }

    /** The station's name. */
    public String title() {
        return TEXT.of(this);
    }

    /** How far a station is. */
    public enum State {
        /** Nothing was done there. */
        UNTOUCHED,
        /** Something was, but not all. */
        BEGUN,
        /** All that it needs. */
        DONE
    }
}
