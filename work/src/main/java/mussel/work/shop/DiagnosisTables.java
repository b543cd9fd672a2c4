package mussel.work.shop;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import mussel.core.book.LogBook;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Yard;
import mussel.core.measure.Problems;
import mussel.core.verdict.Calibration;
import mussel.core.verdict.Judge;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Learned;
import mussel.core.verdict.Overrides;
import mussel.core.yard.YardDecisions;

/** The diagnosis tables as a yard uses them: those that ship, its own numbers over them, and what it has found where it wants that counted. */
public final class DiagnosisTables {
    static final String LEARN = "learn_priors";

    private final Journal journal;
    private final LogBook book;
    private final YardDecisions decisions;
    private final CompletableFuture<Workshop.Catalogue> catalogue;
    private Optional<Judged> judge = Optional.empty();

    DiagnosisTables(
            Journal journal, LogBook book, YardDecisions decisions, CompletableFuture<Workshop.Catalogue> catalogue) {
        this.journal = journal;
        this.book = book;
        this.decisions = decisions;
        this.catalogue = catalogue;
    }

    /** They are made anew when they are asked for next. */
    void forget() {
        judge = Optional.empty();
    }

    /** The same where they learn and other causes were judged since; else they stay, and with them all that was worked out with them. */
    void learnAnew() {
        if (judge.isPresent() && learning() && !judge.get().from().equals(judgedCauses())) {
            forget();
        }
    }

    /** The diagnosis tables in use: the yard's own numbers among them, and what it has found where it wants that counted. */
    public Judge judge() {
        return judge(decisions.yard());
    }

    /** The same as a yard would have them. */
    Judge judge(Yard by) {
        Overrides own = numbers(by);
        if (judge.isEmpty() || !judge.get().own().equals(own)) {
            Knowledge shipped = catalogue.join().shipped();
            // What was found is read with the tables as they are, before it counts.
            judge = Optional.of(new Judged(own, List.of(), new Judge(shipped, own)));
            if (learning()) {
                List<Calibration.Judged> from = judgedCauses();
                Knowledge learned = Learned.from(own.over(shipped), from).knowledge();
                judge = Optional.of(new Judged(own, from, new Judge(learned, own.costsAlone())));
            }
        }
        return judge.get().judge();
    }

    /** Tables in use, with the numbers of the yard and the judged causes they were made from. */
    private record Judged(Overrides own, List<Calibration.Judged> from, Judge judge) {}

    /** A yard's own numbers: those of its file, and over them those it has decided. */
    private Overrides numbers(Yard by) {
        Overrides file = catalogue.join().own();
        return by.tables().map(file::with).orElse(file);
    }

    /** Refuses a yard whose own numbers do not fit the diagnosis tables; a JournalException says which. */
    public void check(Yard other) {
        Problems problems = new Problems();
        other.tables().ifPresent(t -> t.check(catalogue.join().shipped(), problems));
        if (!problems.none()) {
            throw new JournalException(problems.list().stream()
                    .map(p -> p.at().substring(1).replace('/', ' ') + " " + p.problem() + ".")
                    .collect(Collectors.joining(" ")));
        }
    }

    /** Tables with the yard's own numbers in place. */
    public Knowledge own(Knowledge tables) {
        return ownNumbers().over(tables);
    }

    /** Whether the priors learn from what was found. */
    public boolean learning() {
        return journal.setting(LEARN, "off").equals("on");
    }

    /** Sets whether the priors learn; every verdict from now on follows. */
    public void setLearning(boolean on) {
        decisions.keep(journal.setting("by", "bench"), LEARN, on ? "on" : "off");
        judge = Optional.empty();
    }

    /** Every cause confirmed or found absent when a case was opened, with what had been expected of it. */
    public List<Calibration.Judged> judgedCauses() {
        return book.judged();
    }

    /** The diagnosis tables that ship. */
    public Knowledge shippedTables() {
        return catalogue.join().shipped();
    }

    /** The yard's own numbers for them. */
    public Overrides ownNumbers() {
        return numbers(decisions.yard());
    }
}
