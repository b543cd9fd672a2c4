package mussel.desktop.practice;

import java.util.EnumMap;
import java.util.Map;
import java.util.function.Function;
import mussel.core.job.Station;
import mussel.desktop.desk.StationView;
import mussel.work.desk.Desk;

/** The stations as a practice leg is gone about at them: the ordinary ones with what can be looked at over each, the verdict shut on one's own, and handing back for the tag. */
public final class PracticeStations {
    private PracticeStations() {}

    /**
     * How each is made.
     *
     * @param ordinary how the ordinary ones are
     * @param another begins another leg like this one
     * @param lessons leads to all lessons
     */
    public static Map<Station, Function<Desk, StationView>> over(
            Map<Station, Function<Desk, StationView>> ordinary, Runnable another, Runnable lessons) {
        Map<Station, Function<Desk, StationView>> makers = new EnumMap<>(Station.class);
        ordinary.forEach((station, maker) -> makers.put(
                station,
                desk -> new PracticeStation(
                        desk,
                        station,
                        switch (station) {
                            case VERDICT -> new SuspectStation(desk, maker.apply(desk));
                            case TAG -> new HandBackStation(desk, another, lessons);
                            default -> maker.apply(desk);
                        })));
        return makers;
    }
}
