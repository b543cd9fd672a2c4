package mussel.core.simulated;

import mussel.core.instrument.DialIndicator;
import mussel.core.instrument.Instruments;
import mussel.core.instrument.PartsSupplier;
import mussel.core.instrument.PracticeTester;
import mussel.core.instrument.Telltale;
import mussel.core.instrument.TorqueWrench;

/** Every instrument of the bench, simulated. */
public final class SimulatedInstruments implements Instruments {
    @Override
    public PracticeTester practiceTester(long seed, double airMl) {
        return new SimulatedLeakTester(seed, airMl);
    }

    @Override
    public Telltale telltale(long seed) {
        return new SimulatedTelltale(seed);
    }

    @Override
    public TorqueWrench torqueWrench(long seed) {
        return new SimulatedTorqueWrench(seed);
    }

    @Override
    public DialIndicator dialIndicator(long seed) {
        return new SimulatedDialIndicator(seed);
    }

    @Override
    public PartsSupplier supplier() {
        return new SimulatedSupplier();
    }
}
