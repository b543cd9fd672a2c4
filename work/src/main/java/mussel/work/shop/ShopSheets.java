package mussel.work.shop;

import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import mussel.core.job.Decisions;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/** The legs a yard has described itself. Their sheets lie in the journal, and go with it wherever that goes. */
public final class ShopSheets {
    private static final Messages TEXT = Messages.of(ShopSheets.class);

    private final Journal journal;
    private final SheetLibrary sheets;
    private final List<String> refused = new ArrayList<>();
    private final Map<SpecSheet, SheetLibrary.Kept> names = Collections.synchronizedMap(new IdentityHashMap<>());
    private final Map<String, Optional<SpecSheet>> read = new ConcurrentHashMap<>();

    ShopSheets(Journal journal, SheetLibrary sheets) {
        this.journal = journal;
        this.sheets = sheets;
    }

    /** The sheets that are kept and sound; those that are not are told by {@link #refused}. */
    List<SpecSheet> all() {
        List<SpecSheet> all = new ArrayList<>();
        refused.clear();
        Settings.sheets(journal.settings()).forEach((id, kept) -> {
            try {
                all.add(sheets.full(kept));
            } catch (JournalException e) {
                refused.add(e.getMessage());
            }
        });
        return all;
    }

    /** Why a sheet that is kept is left out, a sentence each. */
    public List<String> refused() {
        return List.copyOf(refused);
    }

    /**
     * The sheet a job goes by. A tagged one goes by what it was worked by, whatever became of the family since; an open one by the family's as it is now, where
     * that knows every step that was ticked.
     *
     * @param job the job
     * @param now the family's sheet as it is now; empty where it is not here
     * @param ships the family's sheet as the product or the data folder has it
     */
    Optional<SpecSheet> workedBy(Job job, Optional<SpecSheet> now, Optional<SpecSheet> ships) {
        Optional<SpecSheet> named = job.sheet()
                .flatMap(name -> named(name, now))
                .filter(sheet -> sheet.id().equals(job.leg().family()));
        if (job.tagged().isPresent() && named.isPresent()) {
            return named;
        }
        Stream<SpecSheet> before = ships.stream().flatMap(sheet -> sheets.earlier(sheet).stream());
        List<SpecSheet> all = (job.tagged().isPresent() && job.sheet().isEmpty()
                        ? Stream.concat(before, now.stream())
                        : Stream.of(now.stream(), named.stream(), before).flatMap(s -> s))
                .toList();
        return all.stream()
                .filter(sheet ->
                        job.steps().stream().allMatch(s -> sheet.step(s).isPresent()))
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    private Optional<SpecSheet> named(String name, Optional<SpecSheet> now) {
        return now.filter(sheet -> name(sheet).equals(name))
                .or(() -> read.computeIfAbsent(name, n -> journal.sheet(n).flatMap(sheets::read)));
    }

    /** The name a sheet has among those that jobs keep. */
    private String name(SpecSheet sheet) {
        return kept(sheet).name();
    }

    private SheetLibrary.Kept kept(SpecSheet sheet) {
        return names.computeIfAbsent(sheet, sheets::kept);
    }

    /** Keeps a sheet for the jobs that go by it, and returns its name. */
    String keep(SpecSheet sheet) {
        SheetLibrary.Kept kept = kept(sheet);
        journal.keepSheet(kept.name(), kept.text());
        return kept.name();
    }

    /** Whether a sheet is the kept one of that name. */
    boolean is(SpecSheet sheet, String name) {
        return name(sheet).equals(name);
    }

    /** What became different in the family's sheet since a job that is open went by it last, a line each; what it lacks of that first. */
    List<String> changedSince(Job job, SpecSheet now) {
        if (job.tagged().isPresent()
                || job.sheet().isEmpty()
                || is(now, job.sheet().get())) {
            return List.of();
        }
        return named(job.sheet().get(), Optional.empty())
                .map(before -> {
                    List<String> lines = new ArrayList<>(lacks(job, now));
                    lines.addAll(sheets.differences(before, now));
                    return lines;
                })
                .orElse(List.of());
    }

    /** What a job has ticked or wants done that a sheet does not know. */
    private static List<String> lacks(Job job, SpecSheet now) {
        List<String> lines = new ArrayList<>();
        job.steps().stream()
                .filter(step -> now.step(step).isEmpty())
                .forEach(step -> lines.add(TEXT.get("shop_sheets.the_step_done_on_this_job", step)));
        return lines;
    }

    /** What is asked of how a leg is built. */
    public List<Feature> features() {
        return sheets.features();
    }

    /** What a size is called. */
    public String title(Size size) {
        return sheets.title(size);
    }

    /** How a family answers the features. */
    public Map<String, String> answers(String family) {
        return sheets.answers(family, kept(family));
    }

    /** What a leg looks like that is built so. */
    public List<Region> drawing(Size size, Map<String, String> answers) {
        return sheets.drawing(size, answers);
    }

    /** Writes what its manual says into the sheet of a family, and keeps it. */
    SpecSheet say(String family, Map<String, String> values, String page) {
        return keep(family, sheets.say(family, kept(family), values, page));
    }

    /** What the sheet of a family says of its manual, by place. */
    public Map<String, SheetLibrary.Said> said(String family) {
        return sheets.said(family, kept(family));
    }

    /** Reads lines of a parts list as a spreadsheet gives them. */
    public List<SheetLibrary.Pasted> pasted(SpecSheet sheet, String text) {
        return sheets.pasted(sheet, text);
    }

    /** Writes numbers of parts into the sheet of a family, and keeps it. */
    SpecSheet number(String family, Map<String, String> numbers) {
        return keep(family, sheets.numbered(family, kept(family), numbers));
    }

    /** Says how a step is done on the legs of a family, and keeps that. */
    SpecSheet step(
            String family,
            String step,
            Optional<String> title,
            Optional<String> detail,
            Optional<Step.Minutes> minutes) {
        return keep(family, sheets.stepped(family, kept(family), step, title, detail, minutes));
    }

    /** The kits of a family, a line each. */
    public String kits(SpecSheet sheet) {
        return sheets.kits(sheet);
    }

    /** Takes the kits of a family from such lines, and keeps them. */
    SpecSheet kits(SpecSheet sheet, String lines) {
        return keep(sheet.id(), sheets.kits(sheet, kept(sheet.id()), lines));
    }

    /** The name of the picture of the page where the manual of a family says something; empty where nobody put one there. */
    public Optional<String> page(String family, String at) {
        return Optional.of(journal.setting(Settings.page(family, at), "")).filter(p -> !p.isEmpty());
    }

    /** Puts a picture of a page beside what it says; an empty name takes it away. */
    public void page(String family, String at, String picture) {
        Decisions.about(journal, Settings.page(family, at)).decide(by(), picture);
    }

    /** Answers a feature otherwise, and keeps that. */
    SpecSheet answer(String family, String feature, Optional<String> answer) {
        return keep(family, sheets.answer(family, kept(family), feature, answer));
    }

    private SpecSheet keep(String family, String kept) {
        SpecSheet sheet = sheets.full(kept);
        decisions(family).decide(by(), kept);
        return sheet;
    }

    private String by() {
        return journal.setting("by", "bench");
    }

    private Decisions decisions(String family) {
        return Decisions.about(journal, Settings.SHEET + family);
    }

    /**
     * A change of a sheet of the yard's own.
     *
     * @param at when
     * @param by by whom
     * @param lines what it changed, a line each
     * @param before the sheet before it
     * @param after the sheet after it
     */
    public record Change(Instant at, String by, List<String> lines, String before, String after) {}

    /** What was changed in the sheet of a family and stands, the latest first. */
    public List<Change> history(String family) {
        List<Change> changes = new ArrayList<>();
        String before = "";
        for (Entry entry : decisions(family).standing()) {
            if (entry.fact() instanceof Fact.Decided decided) {
                changes.add(
                        0,
                        new Change(
                                entry.at(),
                                entry.by(),
                                sheets.changes(before, decided.value()),
                                before,
                                decided.value()));
                before = decided.value();
            }
        }
        return changes;
    }

    /** Takes one change back, whatever else was changed since; that is a change itself. */
    SpecSheet without(String family, Change change) {
        return keep(family, sheets.without(kept(family).orElse(""), change.before(), change.after()));
    }

    /** Whether there is a change to take back: a sheet that was begun here stays begun. */
    boolean undoable(String family, boolean begun) {
        Decisions made = decisions(family);
        return made.undoable().isPresent() && (!begun || made.standing().size() > 1);
    }

    /** Takes the last change back; the sheet as it is then, empty where the yard has none of its own any more. */
    Optional<SpecSheet> undo(String family) {
        decisions(family).undo(by());
        return kept(family).map(sheets::full);
    }

    /** Whether a change that was taken back can be made again. */
    boolean redoable(String family) {
        return decisions(family).redoable().isPresent();
    }

    /** Makes the last change again that was taken back. */
    Optional<SpecSheet> redo(String family) {
        decisions(family).redo(by());
        return kept(family).map(sheets::full);
    }

    private Optional<String> kept(String family) {
        return Optional.of(journal.setting(Settings.SHEET + family, "")).filter(s -> !s.isEmpty());
    }

    /** Whether the sheet of a family can be changed here, and not only in a file of the data folder. */
    public boolean changeable(String family) {
        return sheets.changeable(family, kept(family));
    }

    /** Whether the yard keeps a sheet of its own for a family. */
    public boolean own(String family) {
        return kept(family).isPresent();
    }

    /** Writes the sheet of a family into a file that another yard can take. */
    public void write(String family, Path file) {
        sheets.write(family, kept(family), file);
    }

    /** Begins a sheet under an id nobody has, and keeps it. */
    SpecSheet begin(String title, Size size, Map<String, String> answers, Set<String> taken) {
        String id = free(title, taken);
        return keep(id, sheets.begin(id, title, size, answers));
    }

    /** Begins a sheet that shares that of a family, under an id nobody has, and keeps it. One that is shared itself is shared on. */
    SpecSheet beginLike(String title, String family, Set<String> taken) {
        String id = free(title, taken);
        return keep(id, sheets.beginLike(id, title, base(family).orElse(family)));
    }

    private static String free(String title, Set<String> taken) {
        String wanted = CompactSheet.idOf(title);
        String id = wanted;
        for (int n = 2; taken.contains(id); n++) {
            id = wanted + "-" + n;
        }
        return id;
    }

    /** The family whose sheet a family shares; empty where its own stands alone. */
    public Optional<String> base(String family) {
        return sheets.base(kept(family));
    }

    /** The sheets that share that of a family, as they are now; one that no longer fits it stays as it was and is told at the next start. */
    List<SpecSheet> sharing(String family) {
        List<SpecSheet> sharing = new ArrayList<>();
        for (String kept : Settings.sheets(journal.settings()).values()) {
            if (sheets.base(Optional.of(kept)).equals(Optional.of(family))) {
                try {
                    sharing.add(sheets.full(kept));
                } catch (JournalException e) {
                    refused.add(e.getMessage());
                }
            }
        }
        return sharing;
    }
}
