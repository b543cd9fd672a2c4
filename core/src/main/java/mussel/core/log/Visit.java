package mussel.core.log;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.measure.Kind;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.Wide;
import mussel.core.measure.YardUnits;

/**
 * One job in the life of a leg, in short: what the logbook shows of it. Derived from the job's entries.
 *
 * @param job the job's number
 * @param leg the leg's id
 * @param title boat and position
 * @param boat the boat
 * @param family the family's id
 * @param familyTitle the family's name
 * @param opened the day it came in
 * @param tagged the day it was tagged; empty while it is on the bench
 * @param hours the engine's meter (h)
 * @param water what it runs in, as the job says; empty where it does not
 * @param sand whether it runs in sand or shallows
 * @param measures what was measured
 * @param expected what was expected when opened, and what was found
 * @param done the goals of its work, by the names the sheet gave them then
 * @param looks looks worth remembering
 * @param renewals what was renewed
 * @param complaint what the owner saw; empty where nothing is written
 * @param simulated whether any of its readings came from a simulated instrument
 * @param held whether a hold was made once work had begun
 * @param comeback whether the yard has marked it as one that came back for what was mended
 * @param work what its work took and came to; empty where nothing was worked out, or an earlier program filed it
 */
@Wide("One row of the logbook, filed as one document.")
public record Visit(
        int job,
        String leg,
        String title,
        String boat,
        String family,
        String familyTitle,
        LocalDate opened,
        Optional<LocalDate> tagged,
        OptionalDouble hours,
        Optional<String> water,
        boolean sand,
        List<Measure> measures,
        List<Expectation> expected,
        List<String> done,
        List<Look> looks,
        List<Renewal> renewals,
        String complaint,
        boolean simulated,
        boolean held,
        boolean comeback,
        Optional<Work> work) {
    private static final Messages TEXT = Messages.of(Visit.class);

    /** One that proved nothing by a hold and is no comeback. */
    public Visit(
            int job,
            String leg,
            String title,
            String boat,
            String family,
            String familyTitle,
            LocalDate opened,
            Optional<LocalDate> tagged,
            OptionalDouble hours,
            Optional<String> water,
            boolean sand,
            List<Measure> measures,
            List<Expectation> expected,
            List<String> done,
            List<Look> looks,
            List<Renewal> renewals,
            String complaint,
            boolean simulated) {
        this(
                job,
                leg,
                title,
                boat,
                family,
                familyTitle,
                opened,
                tagged,
                hours,
                water,
                sand,
                measures,
                expected,
                done,
                looks,
                renewals,
                complaint,
                simulated,
                false,
                false,
                Optional.empty());
    }

    /** The same with what was proved by a hold, whether it came back, and what its work took. */
    public Visit proved(boolean byHold, boolean cameBack, Optional<Work> took) {
        return new Visit(
                job,
                leg,
                title,
                boat,
                family,
                familyTitle,
                opened,
                tagged,
                hours,
                water,
                sand,
                measures,
                expected,
                done,
                looks,
                renewals,
                complaint,
                simulated,
                byHold,
                cameBack,
                took);
    }

    /** Keeps its own copies. */
    public Visit {
        measures = List.copyOf(measures);
        expected = List.copyOf(expected);
        done = List.copyOf(done);
        looks = List.copyOf(looks);
        renewals = List.copyOf(renewals);
        work = work == null ? Optional.empty() : work;
    }

    /**
     * What the work of a job took and came to.
     *
     * @param minutes by step, what it took by its tick (min); only steps that can be told
     * @param stuck by step, what it took where something was stuck and it was written down what was tried (min); apart from the others
     * @param spent work and parts of it (money)
     * @param cameTo the same with tools and the days without the boat, as an estimate reckons (money)
     * @param quoted the most the estimate named when the owner said yes to it (money); empty where nobody asked him
     */
    public record Work(
            Map<String, Double> minutes,
            Map<String, Double> stuck,
            double spent,
            double cameTo,
            OptionalDouble quoted) {
        /** Keeps its own copies; visits filed by earlier versions tell of nothing stuck. */
        public Work {
            minutes = OrderedMap.copyOf(minutes);
            stuck = stuck == null ? Map.of() : OrderedMap.copyOf(stuck);
        }

        /** Work on which nothing was stuck. */
        public Work(Map<String, Double> minutes, double spent, double cameTo, OptionalDouble quoted) {
            this(minutes, Map.of(), spent, cameTo, quoted);
        }
    }

    /** The day it counts for: tagged, or opened while it is on the bench. */
    public LocalDate day() {
        return tagged.orElse(opened);
    }

    /** What was measured of a quantity. */
    public Optional<Measure> measure(Quantity quantity) {
        return measures.stream().filter(m -> m.quantity() == quantity).findFirst();
    }

    /** What a logbook follows over the years. */
    public enum Quantity {
        /** Share of water in the oil. */
        WATER("%", 100),
        /** The coat on the worst magnet, as a step of its scale from 0 (clean) to 4 (chips). */
        MAGNET("", 1, "clean", "paste", "bristle", "slivers", "chips"),
        /** Lash of the forward gear. */
        LASH_FORWARD("mm", 1),
        /** Lash of the reverse gear. */
        LASH_REVERSE("mm", 1),
        /** Telltale against a new pump's. */
        FLOW("%", 100),
        /** What a pressure hold loses. */
        PRESSURE_DROP("kPa", 1);
        private final String unit;
        private final double factor;
        private final List<String> steps;

        Quantity(String unit, double factor, String... steps) {
            this.unit = unit;
            this.factor = factor;
            this.steps = List.of(steps);
        }

        /** The quantity in words. */
        public String title() {
            return TEXT.of(this);
        }

        /** The unit it is shown in; empty for a scale. */
        public String unit() {
            return unit;
        }

        /** The steps of a scale in words, from 0 on; empty for a measured figure. */
        public List<String> steps() {
            return steps;
        }

        /** A figure as shown, with its unit; of a scale the step in words. */
        public String figure(double shown) {
            if (!steps.isEmpty()) {
                return steps.get((int) Math.max(0, Math.min(steps.size() - 1, Math.round(shown))));
            }
            return unit.equals("mm")
                    ? Display.exact(Kind.LENGTH, shown, YardUnits.METRIC)
                    : Display.significant(shown) + " " + unit;
        }

        /** What a kept value is multiplied with to be shown in that unit. */
        public double factor() {
            return factor;
        }
    }

    /**
     * What was seen.
     *
     * @param scale the name of the scale it was judged on
     * @param outcome its outcome
     */
    public record Look(String scale, String outcome) {}

    /**
     * A measured figure.
     *
     * @param quantity what
     * @param value as it is kept: a share, or the canonical unit
     * @param low lower bound; the value where none is known
     * @param high upper bound; the value where none is known
     * @param simulated whether a simulated instrument read it
     */
    public record Measure(Quantity quantity, double value, double low, double high, boolean simulated) {}

    /**
     * A cause, expected and found.
     *
     * @param cause its id
     * @param title its name
     * @param probability how likely it was held to be (0..1)
     * @param prior how likely before anything was looked at (0..1)
     * @param found whether it was found when opened
     */
    public record Expectation(String cause, String title, double probability, double prior, boolean found) {}

    /** What wears out and is renewed. */
    public enum Wearing {
        /** The impeller. */
        IMPELLER,
        /** The driveshaft's pair of seals. */
        DRIVESHAFT_SEALS,
        /** The propeller shaft's pair of seals. */
        PROPSHAFT_SEALS,
        /** The gear oil. */
        GEAR_OIL;

        /** In words. */
        public String title() {
            return TEXT.of(this);
        }
    }

    /**
     * Something was renewed.
     *
     * @param what what
     * @param failed whether the old one had failed; empty where nobody looked
     * @param age how long the old one had run, where somebody knew (h)
     */
    public record Renewal(Wearing what, Optional<Boolean> failed, OptionalDouble age) {}
}
