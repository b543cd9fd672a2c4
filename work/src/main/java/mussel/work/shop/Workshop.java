package mussel.work.shop;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import mussel.core.book.BenchPlan;
import mussel.core.book.LayUpRound;
import mussel.core.book.LayUpWork;
import mussel.core.book.LogBook;
import mussel.core.book.ShelfPlan;
import mussel.core.instrument.Instruments;
import mussel.core.job.Assessment;
import mussel.core.job.BenchLine;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.LegRef;
import mussel.core.job.OwnRecord;
import mussel.core.job.PumpHabit;
import mussel.core.job.Settings;
import mussel.core.job.Suppliers;
import mussel.core.job.Surroundings;
import mussel.core.job.Yard;
import mussel.core.measure.StopToken;
import mussel.core.measure.UnitSet;
import mussel.core.measure.YardUnits;
import mussel.core.parts.Seller;
import mussel.core.practice.Exercise;
import mussel.core.sheet.SpecSheet;
import mussel.core.verdict.Knowledge;
import mussel.core.verdict.Overrides;
import mussel.core.yard.YardDecisions;
import mussel.work.background.Background;

/**
 * What the screens see of the yard: its journal, its families, its units. Journal and bench are there at once; families and yard may still
 * be on their way, and whoever asks for them waits.
 */
public final class Workshop {
    /** The most legs named as changed by a decision. */
    private static final int MOST_DUE = 4_000;

    private final Journal journal;
    private final LogBook book;
    private final CompletableFuture<Catalogue> catalogue;
    private final Clock clock;
    private final Ports ports;
    private final DiagnosisTables tables;
    private final JobSurroundings around;
    private final SpecSheets families;
    private final YardDecisions decisions;
    private final Shelf shelf;
    private final Filing filing;
    private final ChangeFeed changes;
    /** Assessments made before. */
    private final RecentAssessments recent = new RecentAssessments();

    /** Everything a screen needs, brought together by the application. */
    public Workshop(Journal journal, LogBook book, CompletableFuture<Catalogue> catalogue, Clock clock, Ports ports) {
        this.journal = journal;
        this.book = book;
        this.catalogue = catalogue;
        this.clock = clock;
        this.ports = ports;
        families = new SpecSheets(journal, ports.sheets(), this::offered);
        decisions = new YardDecisions(journal, this::sheet, ports.yardForm());
        shelf = new Shelf(journal, decisions, families::workedBy, this::listed);
        tables = new DiagnosisTables(journal, book, decisions, catalogue);
        around = new JobSurroundings(journal, book, clock, families, shelf, tables::judge);
        filing = new Filing(this, catalogue);
        changes = new ChangeFeed(journal);
        changes.listen(this::changed);
    }

    /** What each keeper of answers lets go when something changes. */
    private void changed(ChangeFeed.Change change) {
        if (change.ofTheShop()) {
            decisions.forget();
        }
        if (change.about(Settings.SHEET) || change.about(Settings.DEMO)) {
            families.readAnew();
        }
        if (change.about(Settings.YARD) || change.about(DiagnosisTables.LEARN)) {
            tables.forget();
        }
        if (change.filed()) {
            tables.learnAnew();
        }
        if (change.ofJobs() || change.about(Settings.COMEBACKS)) {
            around.forget();
        }
        shelf.forget();
    }

    /** Follows what has come into the journal since the last time. */
    public void follow() {
        changes.look();
    }

    /** Follows what is derived from the entries too, which changes as jobs are filed. */
    void followFiling() {
        changes.lookFiling();
    }

    /** Follows an import, or work that was filed beside: anything may be different. */
    public void followEverything() {
        changes.everything();
    }

    /**
     * What a yard works with.
     *
     * @param families the families known
     * @param yard the yard as its sheet says
     * @param shipped the diagnosis tables that ship
     * @param own the yard's own numbers for them
     * @param supply what can be bought
     * @param demo what of it is the demo yard's
     * @param stamp changes when any of it does
     */
    public record Catalogue(
            List<SpecSheet> families,
            Yard yard,
            Knowledge shipped,
            Overrides own,
            mussel.core.parts.Catalogue supply,
            Demo demo,
            String stamp) {
        /** Keeps its own copy. */
        public Catalogue {
            families = List.copyOf(families);
        }
    }

    /**
     * What of a catalogue is the demo yard's, and goes where a yard wants none of that.
     *
     * @param families the ids of its families
     * @param supply whether what can be bought is
     * @param yard whether the yard's sheet is
     */
    public record Demo(Set<String> families, boolean supply, boolean yard) {
        /** Keeps its own copy. */
        public Demo {
            families = Set.copyOf(families);
        }
    }

    /** The families that come with the program or lie in the data folder; without the demo yard's where the yard wants none of them. */
    private List<SpecSheet> offered() {
        Catalogue all = catalogue.join();
        return demo()
                ? all.families()
                : all.families().stream()
                        .filter(f -> !all.demo().families().contains(f.id()))
                        .toList();
    }

    /** The yard's sheet as it came; one without the demo yard's things where it wants none of them. */
    private Yard sheet() {
        Catalogue all = catalogue.join();
        return demo() || !all.demo().yard() ? all.yard() : all.yard().bare();
    }

    /** What suppliers' files list; without the demo yard's where the yard wants none of it. */
    private mussel.core.parts.Catalogue listed() {
        Catalogue all = catalogue.join();
        return demo() || !all.demo().supply() ? all.supply() : mussel.core.parts.Catalogue.EMPTY;
    }

    /** Whether the demo yard's sheets and prices are among those known. */
    public boolean demo() {
        return !journal.setting(Settings.DEMO, "on").equals("off");
    }

    /** Has the demo yard's sheets and prices among those known, or not. */
    public void setDemo(boolean wanted) {
        decisions.keep(by(), Settings.DEMO, wanted ? "on" : "off");
        follow();
    }

    /** The reader of price lists. */
    public Ports.PriceLists priceLists() {
        return ports.priceLists();
    }

    /** Which numbers of a supplier's list mean something here. */
    public Predicate<String> numbers(String supplier) {
        return Suppliers.known(listed(), families.all(), supplier);
    }

    /** Who sells to the yard: those it has written down, and those of its catalogue. */
    public List<Seller> sellers() {
        return Suppliers.sellers(listed(), yard());
    }

    /** The families known, in their order. */
    public List<SpecSheet> families() {
        return families.all();
    }

    /** The sheets of the families, and what the yard makes of them. */
    public SpecSheets sheets() {
        return families;
    }

    /** Whether the sheet of a family is here. */
    public boolean knows(String family) {
        return families.knows(family);
    }

    /** The yard's book. */
    public LogBook book() {
        return book;
    }

    /** The journal. */
    public Journal journal() {
        return journal;
    }

    /** The yard as it is. */
    public Yard yard() {
        return decisions.yard();
    }

    /** What the yard has decided, and decides. */
    public YardDecisions decisions() {
        return decisions;
    }

    /** Takes the last thing the yard decided back. */
    public void undoYard() {
        decisions.undo(by());
        follow();
    }

    /** Decides again what was taken back last. */
    public void redoYard() {
        decisions.redo(by());
        follow();
    }

    /** Sets how the yard renews pumps; every open job follows. */
    public void setHabit(PumpHabit habit) {
        decisions.decide(by(), "pump_habit", yard().with(habit));
    }

    /** Reckons in that currency, written as where it is at home; in bare figures where none is said. */
    public void reckonIn(Optional<String> currency) {
        decisions.decide(by(), "money_as", yard().reckoning(Optional.empty()));
        decisions.decide(by(), "currency", yard().reckoning(currency));
    }

    /** Reads in another set of units. */
    public void readIn(UnitSet set) {
        decisions.decide(by(), "units", yard().in(set));
    }

    /** The shelf. */
    public Shelf shelf() {
        return shelf;
    }

    /** What can be bought for a family. */
    public mussel.core.parts.Catalogue catalogue(String family) {
        return families.all().stream()
                .filter(f -> f.id().equals(family))
                .findFirst()
                .map(sheet -> Suppliers.of(listed(), yard(), sheet))
                .orElse(mussel.core.parts.Catalogue.EMPTY);
    }

    /** The shelf against what it will be asked for. */
    public ShelfPlan shelfPlan() {
        List<Assessment> open = journal.benchLines().open().stream()
                .map(BenchLine::job)
                .map(this::assessed)
                .flatMap(Optional::stream)
                .toList();
        return ShelfPlan.of(families.all(), shelf::counts, open, book.due(MOST_DUE), yard(), today());
    }

    /** Writes down how many of a part were counted on the shelf, with what this job has taken off already. */
    public void countShelf(Job job, String part, int counted) {
        int inGears = assess(job)
                .flatMap(Assessment::setup)
                .map(setup -> setup.used().getOrDefault(part, 0))
                .orElse(0);
        shelf.count(job, part, counted, inGears);
    }

    /** Earlier jobs of the leg of that job in a sentence each, the latest first. */
    public List<String> earlier(Job job) {
        return around.earlier(job, yard());
    }

    Filing filing() {
        return filing;
    }

    /** Jobs that could not be read, each in a sentence. */
    public List<String> unfiled() {
        return filing.unfiled();
    }

    /** Brings book and bench up to date; much of it, as after an import, is left to {@link #settle}. */
    public void refreshBench() {
        filing.refresh();
    }

    /** Files what {@link #refreshBench} has left, on whatever thread it is called. */
    public void settle(IntPredicate goOn) {
        filing.settle(goOn);
    }

    /** Brings everything up to date before it returns, for work without a window. */
    public void fileEverything() {
        filing.everything();
    }

    /** Legs that are not there. */
    public Ports.Practice practice() {
        return ports.practice();
    }

    /** What practice legs are worked with: this yard's sheets, prices and decisions, and the diagnosis tables that ship. */
    public Catalogue forPractice() {
        Catalogue all = catalogue.join();
        List<SpecSheet> sheets = families.all().isEmpty() ? all.families() : families.all();
        return new Catalogue(sheets, yard(), all.shipped(), Overrides.none(), listed(), all.demo(), all.stamp());
    }

    /** An exercise by its job; empty where it is none, or the sheet of its family or its lesson is not here. */
    public Optional<Exercise> exercise(Job job) {
        return PracticeJobs.exercise(this, job);
    }

    /** What is done off the interface thread. */
    public Background background() {
        return ports.background();
    }

    /** Does work in a shop over connections of its own, on whatever thread it is called: nothing of it is shared with the interface thread. */
    public <T> T apart(Function<Workshop, T> work) {
        return ports.data().aside((own, itsBook) -> work.apply(new Workshop(own, itsBook, catalogue, clock, ports)));
    }

    /** Data in and out. */
    public Ports.Data data() {
        return ports.data();
    }

    /** Whether the yard has said what it is called. */
    public boolean named() {
        return decisions.named();
    }

    /** The folder papers went to last, while it is there. */
    public Optional<Path> paperFolder() {
        return Optional.of(journal.setting(Settings.PAPERS, ""))
                .filter(f -> !f.isEmpty())
                .map(Path::of)
                .filter(Files::isDirectory);
    }

    /** Keeps the folder papers go to. */
    public void setPaperFolder(Path folder) {
        journal.keepSetting(Settings.PAPERS, folder.toString());
    }

    /** Calls the yard by another name. */
    public void rename(String name) {
        decisions.decide(by(), "name", yard().named(name));
    }

    /** The work on the bench from now on. */
    public BenchPlan benchPlan() {
        return BenchPlan.of(
                journal.benchLines().open().stream()
                        .map(BenchLine::job)
                        .map(this::assessed)
                        .flatMap(Optional::stream)
                        .toList(),
                yard(),
                absences()::of,
                LocalDateTime.now(clock));
    }

    /** Enters that a step of a job is done. */
    public void tick(int job, String step) {
        journal.append(job, by(), new Fact.Ticked(step, true));
    }

    /** When technicians are away. */
    public Absences absences() {
        return new Absences(journal, decisions);
    }

    /** The units and the money the yard reads and writes in. */
    public YardUnits units() {
        // The bench stands before the yard's sheet has come.
        return catalogue.isDone() ? yard().reads() : YardUnits.of(decisions.unitsKept());
    }

    /** The printer of job sheets. */
    public Ports.JobSheets jobSheets() {
        return ports.jobSheets();
    }

    /** The printer of everything else. */
    public Ports.Papers papers() {
        return ports.papers();
    }

    /** The pictures beside the journal. */
    public Ports.Pictures pictures() {
        return ports.pictures();
    }

    /** The reader of holds from files. */
    public Ports.HoldFiles holdFiles() {
        return ports.holdFiles();
    }

    /** The instruments of the bench. */
    public Instruments instruments() {
        return ports.instruments();
    }

    /** The yard's own zone. */
    public ZoneId zone() {
        return clock.getZone();
    }

    /** Now. */
    public Instant moment() {
        return clock.instant();
    }

    /** Today. */
    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Who makes the entries at this bench. */
    public String by() {
        return journal.setting("by", "bench");
    }

    /** Somebody stands at this bench from now on. */
    public void standsHere(String name) {
        journal.keepSetting("by", name);
    }

    /** Assesses a job; empty where its family's sheet is not here. */
    public Optional<Assessment> assess(Job job) {
        return families.workedBy(job).map(sheet -> Assessment.of(job, sheet, surroundings(job)));
    }

    /** The same for the desk, which asks for the same jobs over and over: what was made before is given again where nothing it rests on has changed. */
    public Optional<Assessment> recent(Job job) {
        return families.workedBy(job).map(sheet -> recent.of(job, sheet, surroundings(job)));
    }

    /**
     * What another yard would change on the legs that are open, a line for each leg it changes; of more than the bench holds at once the first ones.
     */
    public List<String> wouldChange(Yard other, StopToken stop) {
        return around.wouldChange(other, this::assessed, stop);
    }

    Surroundings surroundings(Job job) {
        return around.of(job, job.taggedAt().map(decisions::at).orElseGet(this::yard));
    }

    /** What the yard's own jobs of a family say. */
    public OwnRecord ownRecord(String family) {
        return around.own(family);
    }

    /** Whether what came back counts in what leaving a thing costs. */
    public boolean countingComebacks() {
        return around.counting();
    }

    /** Sets whether it counts; every verdict from now on follows. */
    public void setCountingComebacks(boolean on) {
        decisions.keep(by(), Settings.COMEBACKS, on ? "on" : "off");
        follow();
    }

    /** The diagnosis tables, and the yard's own numbers for them. */
    public DiagnosisTables tables() {
        return tables;
    }

    /** Every job of the journal whose family is known, in the order of opening. */
    public List<Assessment> jobs() {
        List<Assessment> jobs = new ArrayList<>();
        for (List<Entry> entries : journal.all()) {
            assess(Job.of(entries)).ifPresent(jobs::add);
        }
        return jobs;
    }

    /** What the boat of a job needs before frost, computing nothing else of it. */
    public LayUpRound.Boat layUp(int number) {
        return around.layUp(Job.of(journal.entries(number)), yard());
    }

    /** How many steps of its lay-up are done on a job. */
    public int layUpDone(int number) {
        return LayUpWork.done(Job.of(journal.entries(number)));
    }

    /** A job as it stands, by its number; empty where its family's sheet is not here. */
    public Optional<Assessment> assessed(int job) {
        return assess(Job.of(journal.entries(job)));
    }

    /** What of the yard's settings is not understood here, each in a sentence. */
    public List<String> settingsSetAside() {
        return Settings.setAside(journal.settings());
    }

    /** Takes a leg in and returns the number of its new job. */
    public int takeIn(LegRef leg) {
        int job = journal.open(leg, by()).job();
        if (families.knows(leg.family())) {
            families.goesBy(leg.family(), false).ifPresent(by -> journal.append(job, by(), by));
        }
        return job;
    }

    /** The leg of a job. */
    public LegRef leg(int job) {
        return Job.of(journal.entries(job)).leg();
    }
}
