package mussel.core.torque;

import mussel.core.measure.Written;

/** Strength classes of bolts with their proof stress: ISO 898-1 for steel, ISO 3506-1 (0.2 % proof) for stainless. */
public enum Strength implements Written {
    /** Mild steel. */
    C4_6("4.6", 225, 225),
    /** Structural steel. */
    C8_8("8.8", 580, 600),
    /** High-strength steel. */
    C10_9("10.9", 830, 830),
    /** Stainless, A2. */
    A2_70("A2-70", 450, 450),
    /** Stainless, A4. */
    A4_70("A4-70", 450, 450),
    /** Stainless, A4, cold-worked harder. */
    A4_80("A4-80", 600, 600);

    private static final double LARGER_ABOVE_MM = 16;

    private final String file;
    private final double proofMpa;
    private final double proofLargeMpa;

    Strength(String file, double proofMpa, double proofLargeMpa) {
        this.file = file;
        this.proofMpa = proofMpa;
        this.proofLargeMpa = proofLargeMpa;
    }

    @Override
    public String file() {
        return file;
    }

    /** The most a bolt of that diameter may hold whatever its class: 12.9 (ISO 898-1, MPa). */
    static final double STRONGEST_MPA = 970;

    /** Proof stress for a nominal diameter in millimetres (MPa). */
    public double proofMpa(double diameterMm) {
        return diameterMm > LARGER_ABOVE_MM ? proofLargeMpa : proofMpa;
    }
}
