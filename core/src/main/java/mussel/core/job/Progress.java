package mussel.core.job;

import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Stream;
import mussel.core.job.NextAction.What;

/** How far a job is, station by station, and what to do next: what each station makes of it, brought together. */
final class Progress {
    private final Assessment all;
    private final Map<Station, StationWork> works = new EnumMap<>(Station.class);
    private final Map<Station, Station.State> states = new EnumMap<>(Station.class);

    Progress(Assessment all) {
        this.all = all;
        for (Station station : Station.values()) {
            StationWork work = station.work(all);
            works.put(station, work);
            states.put(station, work.state());
        }
    }

    Map<Station, Station.State> states() {
        return states;
    }

    private boolean closed() {
        return all.job().tagged().isPresent();
    }

    private boolean done(Station station) {
        return states.get(station) == Station.State.DONE;
    }

    Station current() {
        return Stream.of(Station.values())
                .filter(s -> !closed() && !done(s) && works.get(s).leadsHere())
                .findFirst()
                .orElse(Station.TAG);
    }

    /** Whether something waits at a station: what the job's order of work wants, and what can be done besides. */
    boolean work(Station station) {
        return !closed() && !done(station) && works.get(station).open();
    }

    NextAction nextAction() {
        if (closed()) {
            return NextAction.of(What.NONE);
        }
        Station current = current();
        return all.pieceLost() && current.compareTo(Station.BUILD) >= 0
                ? NextAction.of(What.PIECE)
                : works.get(current).next();
    }
}
