package mussel.desktop.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mussel.core.job.Fact;
import mussel.core.job.Hold;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.work.desk.Desk;

/**
 * Takes the readings of a hold as they come and enters them together, once a second at most: a hold at ten a second makes no more than one
 * entry a second. Lives on the interface thread.
 */
public final class Recorder {
    private final Desk desk;
    private final List<LeakReading> waiting = new ArrayList<>();
    private Optional<String> hold = Optional.empty();

    Recorder(Desk desk) {
        this.desk = desk;
    }

    /** Begins a hold. Says whether it is in the journal. */
    public boolean begin(LeakMode mode, double gaugeStepKpa, String instrument, boolean simulated) {
        flush();
        String id = "hold-" + (desk.job().holds().size() + 1) + "-" + desk.entries();
        boolean begun = desk.note(new Fact.HoldBegun(id, mode, gaugeStepKpa, instrument, simulated));
        hold = begun ? Optional.of(id) : Optional.empty();
        return begun;
    }

    /** Whether a hold is being recorded. */
    public boolean recording() {
        return hold.isPresent();
    }

    /** Takes a reading; it is entered with the next {@link #flush()}. */
    public void take(LeakReading reading) {
        waiting.add(reading);
    }

    /** The hold with the readings that wait to be entered. */
    public Optional<Hold> live() {
        return desk.job().holds().stream()
                .filter(h -> hold.isPresent() && h.id().equals(hold.get()))
                .findFirst()
                .map(h -> {
                    List<LeakReading> all = new ArrayList<>(h.readings());
                    all.addAll(waiting);
                    return new Hold(h.id(), h.mode(), h.gaugeStepKpa(), h.instrument(), h.simulated(), h.begun(), all);
                });
    }

    /** Enters what waits. */
    public void flush() {
        if (hold.isPresent() && !waiting.isEmpty() && desk.note(new Fact.Held(hold.get(), waiting))) {
            waiting.clear();
        }
    }

    /** Ends the recording; what waits is entered. */
    public void end() {
        flush();
        waiting.clear();
        hold = Optional.empty();
    }
}
