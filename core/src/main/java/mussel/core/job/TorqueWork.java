package mussel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import mussel.core.language.Messages;
import mussel.core.measure.TorqueRange;
import mussel.core.measure.TorqueUnit;
import mussel.core.plan.Plan;
import mussel.core.sheet.Fastener;
import mussel.core.torque.ScrewThread;
import mussel.core.torque.Strength;
import mussel.core.torque.TorqueEngine;
import mussel.core.torque.TorqueInput;
import mussel.core.torque.TorqueInput.Adapter;
import mussel.core.torque.TorqueInput.Aim;
import mussel.core.torque.TorqueInput.Condition;
import mussel.core.torque.TorqueInput.Layout;
import mussel.core.torque.TorqueResult;

/** A group of fasteners to be tightened: the wrench and its setting, the order, and how far each bolt is. */
public final class TorqueWork {
    private static final Messages TEXT = Messages.of(TorqueWork.class);

    private final Fastener fastener;
    private final TorqueRange range;
    private final TorqueInput in;
    private final TorqueResult out;
    private final List<Bolt> bolts = new ArrayList<>();

    TorqueWork(Job job, Fastener fastener, Yard yard) {
        this.fastener = fastener;
        this.range = fastener.torque()
                .orElseThrow(() -> new IllegalArgumentException("no torque is known for " + fastener.id()))
                .range();
        Optional<Strength> strength = List.of(Strength.values()).stream()
                .filter(s -> s.file().equals(fastener.strength()))
                .findFirst();
        OptionalDouble crowfoot = job.reading(Field.ADAPTER.of(fastener.id()));
        int many = Math.max(1, fastener.count());
        boolean grid = fastener.pattern() == Fastener.Pattern.GRID && many > 1;
        this.in = new TorqueInput(
                TorqueUnit.NM.fromNm(range.lowNm()),
                TorqueUnit.NM.fromNm(range.highNm()),
                yard.habits()
                        .map(YardHabits::printedTorque)
                        .orElse(YardHabits.PrintedTorque.WITHIN_5_PERCENT)
                        .share(),
                TorqueUnit.NM,
                Aim.MIDDLE,
                Optional.of(fastener.thread()).filter(t -> ScrewThread.read(t).isPresent()),
                strength,
                Condition.valueOf(job.choice(Scale.THREADS.of(fastener.id()))
                        .orElse(fastener.wetted().name())
                        .toUpperCase(Locale.ROOT)),
                job.reading(Field.PREVAILING.of(fastener.id())),
                crowfoot.isPresent()
                        ? Optional.of(new Adapter(
                                crowfoot.getAsDouble(),
                                job.reading(Field.ADAPTER_ANGLE.of(fastener.id()))
                                        .orElse(0)))
                        : Optional.empty(),
                yard.wrenches().stream().map(Yard.Wrench::wrench).toList(),
                many,
                grid ? Layout.GRID : fastener.pattern() == Fastener.Pattern.RING ? Layout.RING : Layout.LINE,
                grid ? OptionalDouble.of(Math.ceil(many / 2.0)) : OptionalDouble.empty(),
                grid ? OptionalDouble.of(2) : OptionalDouble.empty(),
                List.of(),
                many > 1 ? List.of(0.5, 1.0) : List.of(1.0));
        this.out = TorqueEngine.run(in);
        for (int i = 1; i <= many; i++) {
            Optional<Fact.Read> read = job.read(address(fastener.id(), i));
            bolts.add(new Bolt(
                    i,
                    read.map(Fact.Read::value),
                    read.map(Fact.Read::simulated).orElse(false),
                    state(read)));
        }
    }

    /** Every group a plan closes whose torque is known. */
    static List<TorqueWork> of(Job job, Plan plan, Yard yard) {
        return plan.fasteners().stream()
                .filter(f -> f.torque().isPresent())
                .map(f -> new TorqueWork(job, f, yard))
                .toList();
    }

    /** Where the torque of a bolt is kept. */
    public static Address address(String fastener, int bolt) {
        return Field.TORQUED.of(fastener + "." + bolt);
    }

    private State state(Optional<Fact.Read> read) {
        if (read.isEmpty()) {
            return State.OPEN;
        }
        double nm = read.get().value();
        double slack = 1e-9 * in.highNm();
        return nm < in.lowNm() - slack ? State.UNDER : nm > in.highNm() + slack ? State.OVER : State.DONE;
    }

    /** The group. */
    public Fastener fastener() {
        return fastener;
    }

    /** How tight. */
    public TorqueRange range() {
        return range;
    }

    /** What the engine was fed. */
    public TorqueInput input() {
        return in;
    }

    /** The wrench, its setting and the order. */
    public TorqueResult result() {
        return out;
    }

    /** Each bolt, as numbered on the sheet. */
    public List<Bolt> bolts() {
        return List.copyOf(bolts);
    }

    /** The next bolt in the order of tightening that is not done; empty when all are. */
    public Optional<Bolt> next() {
        return out.order().stream()
                .map(n -> bolts.get(n - 1))
                .filter(b -> b.state() != State.DONE)
                .findFirst();
    }

    /** How many bolts are in that state. */
    public long count(State state) {
        return bolts.stream().filter(b -> b.state() == state).count();
    }

    /** How far a bolt is. */
    public enum State {
        /** Not torqued yet. */
        OPEN,
        /** Within the range. */
        DONE,
        /** Short of the range. */
        UNDER,
        /** Beyond the range. */
        OVER;

        /** In words. */
        public String title() {
            return TEXT.of(this);
        }
    }

    /**
     * One bolt.
     *
     * @param number its number on the sheet
     * @param nm what it was brought to (N·m); empty while it is open
     * @param simulated whether a simulated wrench says so
     * @param state how far it is
     */
    public record Bolt(int number, Optional<Double> nm, boolean simulated, State state) {}
}
