package mussel.core.job;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import mussel.core.plan.Planning;
import mussel.core.verdict.Judge;

/**
 * What a job is judged in.
 *
 * @param yard the yard
 * @param judge the diagnosis tables in use
 * @param twinFound causes confirmed on the leg that hangs beside it
 * @param today the day
 * @param stores shelf and catalogue
 * @param planning plans made before
 * @param zone the yard's own zone: its days begin and end there
 * @param before what earlier jobs of the leg say of it, looked up when first asked for
 * @param sister the leg that hangs beside it, where it is in the yard at the same time
 * @param own what the yard's own jobs of the family say
 */
public record Surroundings(
        Yard yard,
        Judge judge,
        List<String> twinFound,
        LocalDate today,
        Stores stores,
        Planning planning,
        ZoneId zone,
        Supplier<LegBefore> before,
        Optional<OtherLeg> sister,
        OwnRecord own) {
    /** Surroundings without a shelf or a catalogue. */
    public Surroundings(Yard yard, Judge judge, List<String> twinFound, LocalDate today) {
        this(yard, judge, twinFound, today, Stores.EMPTY, new Planning());
    }

    /** Surroundings whose days are those of the meridian. */
    public Surroundings(
            Yard yard, Judge judge, List<String> twinFound, LocalDate today, Stores stores, Planning planning) {
        this(yard, judge, twinFound, today, stores, planning, ZoneOffset.UTC);
    }

    /** Surroundings of a leg nobody saw before. */
    public Surroundings(
            Yard yard,
            Judge judge,
            List<String> twinFound,
            LocalDate today,
            Stores stores,
            Planning planning,
            ZoneId zone) {
        this(
                yard,
                judge,
                twinFound,
                today,
                stores,
                planning,
                zone,
                () -> LegBefore.UNKNOWN,
                Optional.empty(),
                OwnRecord.NONE);
    }

    /** Keeps its own copy. */
    public Surroundings {
        twinFound = List.copyOf(twinFound);
    }

    /** The same for a leg whose sister had these causes. */
    public Surroundings withTwin(List<String> found) {
        return new Surroundings(yard, judge, found, today, stores, planning, zone, before, sister, own);
    }

    /** The same for a leg with this history. */
    public Surroundings with(LegBefore history) {
        return new Surroundings(yard, judge, twinFound, today, stores, planning, zone, () -> history, sister, own);
    }

    /** The same for a leg whose sister is in the yard too. */
    public Surroundings beside(OtherLeg leg) {
        return new Surroundings(yard, judge, twinFound, today, stores, planning, zone, before, Optional.of(leg), own);
    }

    /** The same for a yard that has jobs of the family behind it. */
    public Surroundings with(OwnRecord known) {
        return new Surroundings(yard, judge, twinFound, today, stores, planning, zone, before, sister, known);
    }
}
