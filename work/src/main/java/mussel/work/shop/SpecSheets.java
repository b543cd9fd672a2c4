package mussel.work.shop;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.library.Size;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/** The families of legs that are known: those that ship or lie in the data folder, and what the yard has made of them or described itself. */
public final class SpecSheets {
    private final Journal journal;
    private final Supplier<List<SpecSheet>> shipped;
    private final ShopSheets described;
    private final Map<String, SpecSheet> families = new LinkedHashMap<>();

    SpecSheets(Journal journal, SheetLibrary sheets, Supplier<List<SpecSheet>> shipped) {
        this.journal = journal;
        this.shipped = shipped;
        this.described = new ShopSheets(journal, sheets);
    }

    /** The families known, in their order. */
    List<SpecSheet> all() {
        return List.copyOf(known().values());
    }

    private Map<String, SpecSheet> known() {
        if (families.isEmpty()) {
            shipped.get().forEach(f -> families.put(f.id(), f));
            described.all().forEach(f -> families.put(f.id(), f));
        }
        return families;
    }

    /** Legs the yard has described itself. */
    public ShopSheets described() {
        return described;
    }

    /** Whether the yard has described a family itself, so that it may describe it otherwise. */
    public boolean describes(String family) {
        return shipped.get().stream().noneMatch(f -> f.id().equals(family));
    }

    /** Writes what its manual says into the sheet of a family, for this leg and every later one. */
    public void say(String family, Map<String, String> values, String page) {
        put(described.say(family, values, page));
    }

    /** The sheet of a family as it became; one the yard keeps none of its own of any more is as it ships. */
    private void became(String family, Optional<SpecSheet> own) {
        own.or(() -> ships(family)).ifPresent(this::put);
    }

    /** A family's sheet as it is from now on, and with it those that share it. */
    private void put(SpecSheet sheet) {
        putAlone(sheet);
        described.sharing(sheet.id()).forEach(this::putAlone);
    }

    /** The bench draws the legs of a family by its sheet. */
    private void putAlone(SpecSheet sheet) {
        SpecSheet before = known().put(sheet.id(), sheet);
        if (before == null || !before.outline().equals(sheet.outline())) {
            journal.benchLines().keepOutline(sheet.id(), sheet.outline());
        }
    }

    private Optional<SpecSheet> ships(String family) {
        return shipped.get().stream().filter(f -> f.id().equals(family)).findFirst();
    }

    /** Takes one change of a family's sheet back. */
    public void without(String family, ShopSheets.Change change) {
        became(family, Optional.of(described.without(family, change)));
    }

    /** Whether the last change of a family's sheet can be taken back. */
    public boolean undoable(String family) {
        return described.undoable(family, describes(family));
    }

    /** Takes the last change of a family's sheet back. */
    public void undo(String family) {
        if (undoable(family)) {
            became(family, described.undo(family));
        }
    }

    /** Whether a change of a family's sheet that was taken back can be made again. */
    public boolean redoable(String family) {
        return described.redoable(family);
    }

    /** Makes the last change of a family's sheet again that was taken back. */
    public void redo(String family) {
        if (redoable(family)) {
            became(family, described.redo(family));
        }
    }

    /** That a job goes by the family's sheet as it is now, as an entry for it; the sheet is kept. Empty where it cannot be kept. */
    public Optional<Fact.WorkedBy> goesBy(String family, boolean said) {
        return kept(sheet(family), said);
    }

    /** That a job went by a sheet, as an entry for it; the sheet is kept. Empty where it cannot be kept. */
    public Optional<Fact.WorkedBy> wentBy(SpecSheet sheet) {
        return kept(sheet, false);
    }

    /** The job's other entries matter more than the name of its sheet: whatever stands in their way is told with them. */
    private Optional<Fact.WorkedBy> kept(SpecSheet sheet, boolean said) {
        try {
            return Optional.of(new Fact.WorkedBy(described.keep(sheet), said));
        } catch (JournalException e) {
            System.getLogger("mussel").log(System.Logger.Level.WARNING, "A sheet could not be kept", e);
            return Optional.empty();
        }
    }

    /** Whether there is a sheet to show a job by: its family's, or the one it kept. */
    public boolean shows(Job job) {
        return workedBy(job).isPresent();
    }

    /** What was typed from the manual at a job is taken back with its entry, unless the sheet has gone on since. */
    public void takenBack(String family, Fact.WorkedBy by) {
        if (described.is(sheet(family), by.sheet())) {
            undo(family);
        }
    }

    /** What was typed from the manual at a job and taken back comes back with its entry, where it is still what comes next. */
    public void broughtBack(String family, Fact.WorkedBy by) {
        redo(family);
        if (!described.is(sheet(family), by.sheet())) {
            undo(family);
        }
    }

    /** What became different in the family's sheet since the job went by it last, a line each; empty where nothing did. */
    public List<String> changedSince(Job job) {
        return knows(job.leg().family())
                ? described.changedSince(job, sheet(job.leg().family()))
                : List.of();
    }

    /** Sheets came in from elsewhere: they are read anew. */
    public void readAnew() {
        families.clear();
        described.all().forEach(this::putAlone);
    }

    /** Writes numbers of parts into the sheet of a family. */
    public void number(String family, Map<String, String> numbers) {
        put(described.number(family, numbers));
    }

    /** Says how a step is done on the legs of a family; what is empty stays, blank words go by the library again. */
    public void step(
            String family,
            String step,
            Optional<String> title,
            Optional<String> detail,
            Optional<Step.Minutes> minutes) {
        put(described.step(family, step, title, detail, minutes));
    }

    /** Takes the kits of a family from lines, each a name, a colon and what is in it. */
    public void kits(String family, String lines) {
        put(described.kits(sheet(family), lines));
    }

    /** Answers how the legs of a family are built otherwise. */
    public void answer(String family, String feature, Optional<String> answer) {
        put(described.answer(family, feature, answer));
    }

    /** Describes a leg that no file describes, so that it stands among the families from now on. */
    public SpecSheet describe(String title, Size size, Map<String, String> answers) {
        SpecSheet sheet = described.begin(title, size, answers, known().keySet());
        put(sheet);
        return sheet;
    }

    /** Describes a leg that is one of a known family under another name: it shares that sheet, only what differs is kept. */
    public SpecSheet describeLike(String title, String family) {
        SpecSheet sheet = described.beginLike(title, family, known().keySet());
        put(sheet);
        return sheet;
    }

    /** The sheet a job goes by; empty where neither its family nor what it kept is here. */
    public Optional<SpecSheet> workedBy(Job job) {
        String family = job.leg().family();
        return described.workedBy(job, Optional.ofNullable(known().get(family)), ships(family));
    }

    private SpecSheet sheet(String family) {
        return known().get(family);
    }

    /** Whether the sheet of a family is here. */
    public boolean knows(String family) {
        return known().containsKey(family);
    }
}
