package mussel.work.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import mussel.core.job.Address;
import mussel.core.job.Assessment;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.JournalException;
import mussel.core.job.Topic;
import mussel.core.language.Messages;
import mussel.core.practice.Exercise;
import mussel.work.background.Background.Work;
import mussel.work.background.BackgroundTask;
import mussel.work.shop.Workshop;

/**
 * One job on the desk: entries go into the journal at once, and whatever is computed follows. What is being typed is a draft: it is
 * computed with, but becomes an entry only when it is finished. Lives on the interface thread.
 */
public final class Desk {
    private static final Messages TEXT = Messages.of(Desk.class);

    private final Workshop shop;
    private final List<Entry> entries = new ArrayList<>();
    private int job;
    /** Counts who sat down: what was begun for one job is not answered for another, nor for the same one opened again. */
    private int sittings;

    private final Map<Address, Double> drafts = new LinkedHashMap<>();
    private final List<Consumer<Assessment>> followers = new ArrayList<>();
    private Assessment now;
    private final Map<String, Runnable> leaving = new LinkedHashMap<>();
    /** Finishes what is being typed: only one place can be typed into, and those that are gone must not be held on to. */
    private Runnable typing = () -> {};

    private final RepairAnswers repairs = new RepairAnswers(this);
    private Job entered;
    private Optional<Exercise> exercise = Optional.empty();
    private Consumer<String> onTrouble = sentence -> {};
    private Consumer<String> onHint = sentence -> {};

    /** The desk with that job of the shop on it. */
    public Desk(Workshop shop, int job) {
        this.shop = shop;
        sit(job);
    }

    /**
     * Puts another job on the desk. Fields and tiles stay and show the other job, which is much quicker than making them anew. What was being typed has been entered when its field was left.
     */
    public void sit(int other) {
        leave();
        List<Entry> read = shop.journal().entries(other);
        String family = read.get(0).fact() instanceof Fact.Opened opened
                ? opened.leg().family()
                : Job.of(read).leg().family();
        if (!shop.knows(family) && !shop.sheets().shows(Job.of(read))) {
            throw new JournalException(TEXT.get("desk.the_sheet_of_the_family_is", family, other));
        }
        job = other;
        sittings++;
        shop.follow();
        drafts.clear();
        entries.clear();
        entries.addAll(read);
        refresh();
    }

    /**
     * What to do before the job leaves the desk, as to enter readings that wait.
     *
     * @param who whose work it is: made anew, they take the place of those before them
     */
    public void onLeave(String who, Runnable work) {
        leaving.put(who, work);
    }

    /** The job leaves the desk: what waits is entered. */
    public void leave() {
        settle();
        List.copyOf(leaving.values()).forEach(Runnable::run);
    }

    /** The job as it stands, drafts included. */
    public Assessment now() {
        return now;
    }

    /** Tells a screen of each change of the job, from the next one on. */
    public void follow(Consumer<Assessment> follower) {
        followers.add(follower);
    }

    /** The job as it is in the journal, without what is being typed. */
    public Job job() {
        return entered;
    }

    /** Rounds of checks and sets of repairs, worked out beside the window. */
    public RepairAnswers repairs() {
        return repairs;
    }

    /** The shop it stands in. */
    public Workshop shop() {
        return shop;
    }

    /** What to do with a sentence that says why something could not be written. */
    public void setOnTrouble(Consumer<String> handler) {
        onTrouble = handler;
    }

    /** The exercise, where the job is one. */
    public Optional<Exercise> exercise() {
        if (!entered.leg().isPractice()) {
            return Optional.empty();
        }
        if (exercise.filter(e -> e.job() == entered).isEmpty()) {
            exercise = shop.exercise(entered);
        }
        return exercise;
    }

    /** Makes a look at a practice leg: what it shows is entered, and what is one reading with it. */
    public void look(String finding) {
        if (Exercise.whileHeld(finding)) {
            settle();
        } else {
            // A hold that runs is ended: both hands are needed.
            leave();
        }
        exercise().ifPresent(e -> {
            if (e.back()) {
                onHint.accept(TEXT.get("desk.this_leg_is_handed_back_what"));
            } else if (e.waitsForSuspicion(finding)) {
                onHint.accept(TEXT.get("desk.say_first_what_you_suspect_in"));
            } else {
                List<Fact> shows = e.look(finding);
                if (!shows.isEmpty()) {
                    enter(shows);
                }
            }
        });
    }

    /** Hands a practice leg back. */
    public void handBack() {
        exercise().filter(e -> !e.back()).ifPresent(e -> enter(e.handBack(shop.today())));
    }

    /** Whether a hand may not make these entries, which is told: what a practice leg shows is looked at. */
    private boolean refused(List<Fact> facts) {
        Optional<Exercise> practised = exercise();
        if (practised.isEmpty() || facts.stream().allMatch(practised.get()::byHand)) {
            return false;
        }
        onHint.accept(
                practised.get().back()
                        ? TEXT.get("desk.this_leg_is_handed_back_nothing")
                        : TEXT.get("desk.a_practice_leg_shows_what_it"));
        refresh();
        return true;
    }

    private boolean enter(List<Fact> facts) {
        try {
            entries.addAll(shop.journal().append(job, shop.by(), facts));
            refresh();
            return true;
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
            return false;
        }
    }

    /** Makes an entry. Says whether it is in the journal; when it is not, nothing has changed and the trouble was told. */
    public boolean note(Fact fact) {
        if (refused(List.of(fact))) {
            return false;
        }
        if (exercise().isPresent()) {
            return enter(exercise().get().counted(fact));
        }
        try {
            entries.add(shop.journal().append(job, shop.by(), fact));
            refresh();
            return true;
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
            return false;
        }
    }

    /** Makes an entry in the job of the leg beside it, or in this one where that is meant. */
    public void noteBeside(int other, Fact fact) {
        if (other == job) {
            note(fact);
            return;
        }
        try {
            shop.journal().append(other, shop.by(), fact);
            refresh();
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
    }

    /** Makes several entries, all or none. Says whether they are in the journal. */
    public boolean note(List<Fact> facts) {
        return !refused(facts) && enter(facts);
    }

    /**
     * Does work off the interface thread that somebody asked for, and answers on it. When another job came onto the desk meanwhile the answer is dropped
     * and that is told; what fails is told too.
     *
     * @param what what is done, as it stands in a sentence, like "the reading of hold.csv"
     * @return the work, for those who show that it goes on or let it go
     */
    public <T> BackgroundTask aside(String what, Work<T> work, Consumer<T> answer) {
        return aside(what, work, answer, true);
    }

    /** The same for what a station works out by itself and will again: an answer that comes too late is dropped without a word. */
    public <T> BackgroundTask quietlyAside(String what, Work<T> work, Consumer<T> answer) {
        return aside(what, work, answer, false);
    }

    private <T> BackgroundTask aside(String what, Work<T> work, Consumer<T> answer, boolean asked) {
        int sitting = sittings;
        String leg = entered.leg().title();
        return shop.background()
                .begin(
                        work,
                        found -> {
                            if (sitting == sittings) {
                                answer.accept(found);
                            } else if (asked) {
                                tell(TEXT.get("desk.nothing_came_of_for_another_leg", what, leg));
                            }
                        },
                        why -> {
                            System.getLogger("mussel").log(System.Logger.Level.ERROR, "Beside the desk", why);
                            if (sitting == sittings) {
                                tell(
                                        why instanceof JournalException
                                                ? why.getMessage()
                                                : TEXT.get("desk.nothing_came_of_the_log_in", what));
                            }
                        });
    }

    /** Which sitting this is: it changes whenever a job is put on the desk. */
    public int sitting() {
        return sittings;
    }

    /** How many entries the job has. */
    public int entries() {
        return entries.size();
    }

    /** Says a sentence across the window. */
    public void tell(String sentence) {
        onTrouble.accept(sentence);
    }

    /** Says a sentence that is gone with the next key. */
    public void hint(String sentence) {
        onHint.accept(sentence);
    }

    /** What to do with a sentence that is gone with the next key. */
    public void setOnHint(Consumer<String> handler) {
        onHint = handler;
    }

    /** Picks an outcome, or clears the choice. */
    public void choose(Address scale, Optional<String> outcome) {
        note(outcome.<Fact>map(o -> new Fact.Chosen(scale, o)).orElseGet(() -> new Fact.Cleared(scale)));
    }

    /** Enters a reading made by hand. */
    public boolean read(Address field, double value, String typed) {
        return read(field, value, typed, false);
    }

    /**
     * Enters a reading made by hand.
     *
     * @param further whether it is what became of the reading entered last, which was only its beginning and is taken back
     */
    public boolean read(Address field, double value, String typed, boolean further) {
        return read(field, List.of(Fact.Read.byHand(field, value, typed)), further);
    }

    /** Enters a reading that was asked about: that it was, and whether it was confirmed, goes before it. */
    public boolean readDoubted(
            Address field, double value, String typed, String doubt, boolean confirmed, boolean further) {
        String mark = typed + ": " + doubt + (confirmed ? " Confirmed." : " Left standing, not confirmed.");
        return read(
                field, List.of(new Fact.Noted(doubted(field), mark), Fact.Read.byHand(field, value, typed)), further);
    }

    private static Address doubted(Address field) {
        return Topic.DOUBTED.of(field.name() + (field.of().isEmpty() ? "" : "-" + field.of()));
    }

    private boolean read(Address field, List<Fact> reading, boolean further) {
        drafts.remove(field);
        if (!further) {
            return reading.size() == 1 ? note(reading.get(0)) : note(reading);
        }
        List<Fact> facts = new ArrayList<>(beginning(field));
        facts.addAll(reading);
        return note(facts);
    }

    /** Takes back the reading entered last, with what it was asked; nothing where something else was entered since. */
    private List<Fact> beginning(Address field) {
        List<Entry> standing = entered.undoLine().standing();
        int at = standing.size() - 1;
        if (at < 0
                || !(standing.get(at).fact() instanceof Fact.Read read)
                || !read.about().equals(field)) {
            return List.of();
        }
        List<Fact> back =
                new ArrayList<>(List.of(new Fact.Retracted(standing.get(at).seq())));
        if (at > 0
                && standing.get(at - 1).fact() instanceof Fact.Noted noted
                && noted.about().equals(doubted(field))) {
            back.add(new Fact.Retracted(standing.get(at - 1).seq()));
        }
        return back;
    }

    /** The job as it is in the journal, computed: without what is being typed. */
    public Assessment assessed() {
        return drafts.isEmpty() ? now : shop.recent(entered).orElseThrow();
    }

    /** What is being typed becomes an entry now, as before something is done that rests on it. */
    public void settle() {
        Runnable finish = typing;
        typing = () -> {};
        finish.run();
    }

    /** Something is being typed; this finishes it when it must become an entry. It takes the place of what was typed before, which was finished when the focus left it. */
    public void typing(Runnable finish) {
        typing = finish;
    }

    /** Computes with a figure while it is being typed. */
    public void draft(Address field, Optional<Double> value) {
        boolean changed =
                value.isPresent() ? !value.get().equals(drafts.put(field, value.get())) : drafts.remove(field) != null;
        if (changed) {
            refresh();
        }
    }

    /** Takes the last entry back. */
    public void undo() {
        drafts.clear();
        entered.undoLine().undoable().ifPresent(e -> {
            if (!exercise().map(x -> x.byHand(e.fact())).orElse(true)) {
                onHint.accept(
                        entered.tagged().isPresent()
                                ? TEXT.get("desk.this_leg_is_handed_back_nothing_2")
                                : TEXT.get("desk.what_was_looked_at_was_seen"));
                return;
            }
            if (e.fact() instanceof Fact.WorkedBy by) {
                told(() -> shop.sheets().takenBack(entered.leg().family(), by));
            }
            enter(List.of(new Fact.Retracted(e.seq())));
        });
    }

    /** What could not be written is told. */
    private void told(Runnable change) {
        try {
            change.run();
        } catch (JournalException e) {
            onTrouble.accept(e.getMessage());
        }
    }

    /** Does the last undone entry again. */
    public void redo() {
        drafts.clear();
        entered.undoLine().redoable().ifPresent(e -> {
            long undone = e.fact() instanceof Fact.Retracted back ? back.entry() : e.seq();
            entries.stream()
                    .filter(of -> of.seq() == undone && of.fact() instanceof Fact.WorkedBy)
                    .forEach(of -> shop.sheets().broughtBack(entered.leg().family(), (Fact.WorkedBy) of.fact()));
            note(new Fact.Retracted(e.seq()));
        });
    }

    /**
     * Writes what the manual says into the sheet of the leg's family, for this leg and every later one. It counts here once {@link #said} was called.
     *
     * @throws JournalException with what is wrong with a figure
     */
    public void say(Map<String, String> values, String page) {
        shop.sheets().say(entered.leg().family(), values, page);
    }

    /** The job goes by what was written into the sheet; undo takes both back. */
    public void said() {
        shop.sheets().goesBy(entered.leg().family(), true).ifPresentOrElse(this::note, this::refresh);
    }

    /** What became different in the family's sheet since this job went by it last, a line each; empty where nothing did. */
    public List<String> sheetChanges() {
        return shop.sheets().changedSince(entered);
    }

    /** Enters that what became different in the sheet was seen: the job goes by it from here on. */
    public void goByNewSheet() {
        shop.sheets().goesBy(entered.leg().family(), false).ifPresent(this::note);
    }

    /** Tags the leg. The sheet it was worked by stays with it, whatever becomes of the family's. */
    public void tag() {
        List<Fact> facts = new ArrayList<>();
        shop.sheets().wentBy(assessed().sheet()).ifPresent(facts::add);
        facts.add(new Fact.Tagged(shop.today()));
        note(facts);
    }

    /** Computes again, as after a change of units. */
    public void refresh() {
        entered = Job.of(entries);
        if (drafts.isEmpty()) {
            show(shop.recent(entered).orElseThrow());
            return;
        }
        List<Entry> all = new ArrayList<>(entries);
        drafts.forEach((field, value) -> all.add(new Entry(
                Long.MAX_VALUE - all.size(), job, entries.get(0).at(), "", Fact.Read.byHand(field, value, ""))));
        show(shop.assess(Job.of(all)).orElseThrow());
    }

    private void show(Assessment assessed) {
        if (now != assessed) {
            now = assessed;
            List.copyOf(followers).forEach(follower -> follower.accept(assessed));
        }
    }
}
