package mussel.solver.sat;

import com.google.ortools.Loader;

/** The solver's native library, loaded once when first needed. */
final class Native {
    static {
        Loader.loadNativeLibraries();
    }

    private Native() {}

    static void ready() {
        // Loading this class is all.
    }
}
