package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import mussel.core.language.Messages;
import mussel.core.measure.Display;
import mussel.core.plan.Plan.PlannedStep;
import mussel.core.plan.PlanEngine;
import mussel.core.plan.PlanResult;
import mussel.core.sheet.Place;
import mussel.core.sheet.Step;

/** Two legs as one visit: one order, one price where they are one owner's, and their steps side by side. */
public final class OneVisit {
    private static final Messages TEXT = Messages.of(OneVisit.class);

    private final Assessment own;
    private final Assessment sister;
    private Optional<Optional<RepairWorth>> worth = Optional.empty();

    private OneVisit(Assessment own, Assessment sister) {
        this.own = own;
        this.sister = sister;
    }

    static Optional<OneVisit> of(Assessment own) {
        return own.sister()
                .filter(s -> OtherLeg.oneVisit(own.job(), s.job()))
                .flatMap(OtherLeg::assessed)
                .map(s -> new OneVisit(own, s));
    }

    /** The leg at hand. */
    public Assessment own() {
        return own;
    }

    /** The leg beside it, by itself. */
    public Assessment sister() {
        return sister;
    }

    /** Both, the port one first; of legs of different boats the job with the lower number. */
    public List<Assessment> legs() {
        boolean later = oneBoat()
                ? own.job().leg().position() == LegRef.Position.STARBOARD
                : own.job().id() > sister.job().id();
        return later ? List.of(sister, own) : List.of(own, sister);
    }

    /** Whether both hang on one boat. */
    private boolean oneBoat() {
        return own.job().leg().boat().equals(sister.job().leg().boat());
    }

    /** Whether both are one owner's: of one boat, or the same name is written down for both. One price and one word then hold for both. */
    public boolean oneOwner() {
        Optional<String> here = owner(own);
        return oneBoat() || here.isPresent() && here.equals(owner(sister));
    }

    private static Optional<String> owner(Assessment leg) {
        return leg.before().ofTheLeg(Topic.OWNER, leg.job()).map(LegBefore.Told::text);
    }

    /** A leg of the visit as the other calls it: by its place on one boat, else by its boat. */
    public String called(Assessment leg) {
        LegRef ref = leg.job().leg();
        return oneBoat() ? TEXT.get("visit.leg", ref.position().title()) : ref.title();
    }

    /** A leg of the visit in a word or two. */
    public String briefly(Assessment leg) {
        LegRef ref = leg.job().leg();
        return oneBoat() ? ref.position().title() : ref.title();
    }

    /** Whether a step is done once for both: what belongs to the boat is not where there are two. */
    private boolean shared(Step step) {
        return step.once() && (oneBoat() || step.place() != Place.COWL && step.place() != Place.TANK);
    }

    private static List<Step> steps(Assessment leg) {
        return leg.plan().steps().stream().map(PlannedStep::step).toList();
    }

    /** How long both take in one go; nothing is to be done on one of them where that is so. */
    public PlanResult.Minutes together() {
        Assessment port = legs().get(0);
        Assessment starboard = legs().get(1);
        return PlanEngine.together(
                steps(port), port.saltYears(), steps(starboard), starboard.saltYears(), this::shared);
    }

    /** What one go saves against two (min). */
    public double savedMinutes() {
        Set<String> here = new TreeSet<>();
        steps(own).stream().filter(this::shared).forEach(s -> here.add(s.id()));
        return steps(sister).stream()
                .filter(s -> here.contains(s.id()))
                .mapToDouble(s -> s.meanMinutes(sister.saltYears()))
                .sum();
    }

    /** What a job costs: both legs where they are one visit, else its own. */
    public static Optional<RepairWorth> worthOf(Assessment now) {
        return now.visit().filter(OneVisit::oneOwner).flatMap(OneVisit::worth).or(now::worth);
    }

    /** What both cost as one job; empty while neither has anything to do. */
    public Optional<RepairWorth> worth() {
        if (worth.isEmpty()) {
            Optional<RepairWorth> here = own.worth();
            Optional<RepairWorth> there = sister.worth();
            worth = Optional.of(
                    here.isPresent() && there.isPresent()
                            ? Optional.of(RepairWorth.both(here.get(), there.get(), together()))
                            : here.or(() -> there));
        }
        return worth.get();
    }

    /**
     * A step of the one or the other leg, or of both.
     *
     * @param step as the sheet of the leg has it whose plan it stands in
     * @param port whether it is done on the port leg; empty where its plan has no such step
     * @param starboard the same of the starboard leg
     * @param once whether it is done once for both
     * @param title what it is called; both names where the two legs call it otherwise
     */
    public record Line(Step step, String title, Optional<Boolean> port, Optional<Boolean> starboard, boolean once) {
        /** The line's own key: its step, and of which leg where it is not of both. */
        public String key() {
            return step.id() + (port.isEmpty() ? "-starboard" : starboard.isEmpty() ? "-port" : "");
        }

        /** Whether it is done wherever it is to be done. */
        public boolean done() {
            return port.orElse(true) && starboard.orElse(true);
        }
    }

    /**
     * Every step of both, each leg's in its own order: a step of both is one line as far as both orders allow (a longest common subsequence), else a line for
     * each leg.
     */
    public List<Line> lines() {
        Assessment port = legs().get(0);
        Assessment starboard = legs().get(1);
        List<Step> left = steps(port);
        List<Step> right = steps(starboard);
        int[][] common = common(left, right);
        List<Line> lines = new ArrayList<>();
        int l = 0;
        int r = 0;
        while (l < left.size() || r < right.size()) {
            boolean both = l < left.size() && r < right.size() && same(left.get(l), right.get(r));
            boolean here = both || r == right.size() || l < left.size() && common[l + 1][r] >= common[l][r + 1];
            boolean there = both || !here;
            Step step = here ? left.get(l) : right.get(r);
            String title = both && !step.title().equals(right.get(r).title())
                    ? step.title() + " / " + right.get(r).title()
                    : step.title();
            lines.add(new Line(
                    step,
                    title,
                    here ? Optional.of(done(port, step)) : Optional.empty(),
                    there ? Optional.of(done(starboard, step)) : Optional.empty(),
                    both && shared(step)));
            l += here ? 1 : 0;
            r += there ? 1 : 0;
        }
        return lines;
    }

    /** How many steps the rests of two plans from each place on have in common, in both orders. */
    private static int[][] common(List<Step> left, List<Step> right) {
        int[][] common = new int[left.size() + 1][right.size() + 1];
        for (int l = left.size() - 1; l >= 0; l--) {
            for (int r = right.size() - 1; r >= 0; r--) {
                common[l][r] = same(left.get(l), right.get(r))
                        ? common[l + 1][r + 1] + 1
                        : Math.max(common[l + 1][r], common[l][r + 1]);
            }
        }
        return common;
    }

    private static boolean same(Step one, Step other) {
        return one.id().equals(other.id());
    }

    private static boolean done(Assessment leg, Step step) {
        return leg.job().ticked(step.id()).isPresent();
    }

    /** What doing the sister leg at once would save, with the same to be done on it; empty for a leg that hangs alone. */
    static String priced(Assessment now) {
        return now.timedPlan()
                .twin()
                .map(twin -> TEXT.get(
                        "twin.priced",
                        Display.workTime(twin.togetherMinutes()),
                        Display.workTime(twin.apartMinutes()),
                        now.yard().money().sum(twin.savedMinutes() * now.yard().labourPerH() / 60)))
                .orElse("");
    }

    /** That the sister is in the yard too, in a sentence: asked, never decided. */
    public static String proposed(OtherLeg sister) {
        return TEXT.get(
                "visit.proposed",
                sister.job().leg().position().title(),
                String.valueOf(sister.job().id()));
    }

    /** The visit in a sentence: both legs, how long they take together, and what that saves. */
    public String says() {
        String both = TEXT.get(
                savedMinutes() < 1 ? "visit.both.plain" : "visit.both",
                sister.job().leg().title(),
                String.valueOf(sister.job().id()),
                Display.workTime(together().mean()),
                Display.workTime(savedMinutes()));
        return oneOwner() ? both : both + " " + TEXT.get("visit.owners");
    }
}
