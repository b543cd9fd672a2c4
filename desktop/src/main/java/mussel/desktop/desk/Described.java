package mussel.desktop.desk;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mussel.core.job.Job;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.Settings;
import mussel.core.library.CompactSheet;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.sheet.FamilySheet;
import mussel.core.sheet.Region;

/** The legs a yard has described itself. Their sheets lie in the journal, and go with it wherever that goes. */
public final class Described {
    private final Journal journal;
    private final Sheets sheets;
    private final List<String> refused = new ArrayList<>();

    Described(Journal journal, Sheets sheets) {
        this.journal = journal;
        this.sheets = sheets;
    }

    /** The sheets that are kept and sound; those that are not are told by {@link #refused}. */
    List<FamilySheet> all() {
        List<FamilySheet> all = new ArrayList<>();
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

    /** The sheet a job is worked by: the family's as it is now, or an earlier one where only that knows every step that was ticked. */
    FamilySheet workedBy(Job job, FamilySheet now) {
        return Stream.concat(Stream.of(now), sheets.earlier(now.id()).stream())
                .filter(sheet ->
                        job.steps().stream().allMatch(s -> sheet.step(s).isPresent()))
                .findFirst()
                .orElse(now);
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
    FamilySheet say(String family, Map<String, String> values, String page) {
        return keep(family, sheets.say(family, kept(family), values, page));
    }

    /** Answers a feature otherwise, and keeps that. */
    FamilySheet answer(String family, String feature, Optional<String> answer) {
        return keep(family, sheets.answer(family, kept(family), feature, answer));
    }

    private FamilySheet keep(String family, String kept) {
        FamilySheet sheet = sheets.full(kept);
        journal.keepSetting(Settings.SHEET + family, kept);
        return sheet;
    }

    private Optional<String> kept(String family) {
        return Optional.of(journal.setting(Settings.SHEET + family, "")).filter(s -> !s.isEmpty());
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
    FamilySheet begin(String title, Size size, Map<String, String> answers, Set<String> taken) {
        String wanted = CompactSheet.idOf(title);
        String id = wanted;
        for (int n = 2; taken.contains(id); n++) {
            id = wanted + "-" + n;
        }
        String kept = sheets.begin(id, title, size, answers);
        FamilySheet sheet = sheets.full(kept);
        journal.keepSetting(Settings.SHEET + id, kept);
        return sheet;
    }
}
