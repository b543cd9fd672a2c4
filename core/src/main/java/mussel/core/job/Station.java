package mussel.core.job;

import java.util.function.Function;

/** The stations of a job in working order. */
public enum Station {
    /** What comes in, and what is known of it. */
    INTAKE("Intake", IntakeWork::new),
    /** What runs out. */
    DRAIN("Drain", DrainWork::new),
    /** Where it gets in and out. */
    LEAK("Leak hunt", LeakWork::new),
    /** What the water pump comes to. */
    PUMP("Pump", PumpStationWork::new),
    /** What is wrong, and what to look at next. */
    VERDICT("Verdict", DiagnosisWork::new),
    /** Whether it is worth doing. */
    ESTIMATE("Estimate", EstimateWork::new),
    /** How deep, and in what order. */
    STRIP("Strip-down", StripWork::new),
    /** Shims and lash. */
    SETUP("Set-up", SetupStationWork::new),
    /** What must be there to put it back. */
    PARTS("Parts", PartsWork::new),
    /** Putting it back. */
    BUILD("Build", BuildWork::new),
    /** New oil. */
    FILL("Fill", FillWork::new),
    /** What is done beside the leg. */
    BESIDE("Beside", EngineSideStationWork::new),
    /** Whether it holds, shifts and runs. */
    PROVE("Prove", FinalChecksWork::new),
    /** Done, and when again. */
    TAG("Tag", CloseWork::new);

    private final String title;
    private final Function<Assessment, StationWork> work;

    Station(String title, Function<Assessment, StationWork> work) {
        this.title = title;
        this.work = work;
    }

    /** What this station makes of a job. */
    StationWork work(Assessment job) {
        return work.apply(job);
    }

    /** The station's name. */
    public String title() {
        return title;
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
