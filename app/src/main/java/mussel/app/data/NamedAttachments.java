package mussel.app.data;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Predicate;
import mussel.core.book.LogSource;
import mussel.core.job.Entry;
import mussel.core.job.Fact;
import mussel.core.language.Messages;

/** A log that is looked into, and the spec sheets and pictures that its entries name. */
final class NamedAttachments implements LogSource {
    private static final Messages TEXT = Messages.of(NamedAttachments.class);

    private static final int MOST_TOLD = 20;

    private final LogSource log;
    private final Map<Integer, Set<String>> sheets = new TreeMap<>();
    private final Set<String> pictures = new TreeSet<>();

    NamedAttachments(LogSource log) {
        this.log = log;
    }

    @Override
    public Map<String, String> walk(Consumer<List<Entry>> job) {
        return log.walk(entries -> {
            entries.forEach(this::note);
            job.accept(entries);
        });
    }

    private void note(Entry entry) {
        if (entry.fact() instanceof Fact.WorkedBy by) {
            sheets.computeIfAbsent(entry.job(), j -> new TreeSet<>()).add(by.sheet());
        } else if (entry.fact() instanceof Fact.Pictured picture) {
            pictures.add(picture.file());
        }
    }

    @Override
    public void sheets(BiConsumer<String, String> each) {
        log.sheets(each);
    }

    /**
     * What its entries name that neither comes with it nor is here, each in a sentence.
     *
     * @param here the names of the sheets that are here
     * @param picture whether a picture is here or comes with it
     */
    List<String> missing(List<String> here, Predicate<String> picture) {
        Set<String> known = new HashSet<>(here);
        log.sheets((name, text) -> known.add(name));
        List<String> says = new ArrayList<>();
        sheets.forEach((job, names) -> names.stream()
                .filter(name -> !known.contains(name))
                .forEach(name -> says.add(TEXT.get("named_attachments.job_was_worked_by_the_spec", job, name))));
        if (says.size() > MOST_TOLD) {
            int more = says.size() - MOST_TOLD;
            says.subList(MOST_TOLD, says.size()).clear();
            says.add(TEXT.get("named_attachments.the_same_holds_for_more_jobs", more));
        }
        long gone = pictures.stream().filter(picture.negate()).count();
        if (gone > 0) {
            says.add(TEXT.get(
                    "named_attachments.neither_here_nor_in_the_file",
                    gone,
                    (gone == 1
                            ? TEXT.get("named_attachments.picture_that_it_names_is")
                            : TEXT.get("named_attachments.pictures_that_it_names_are"))));
        }
        return says;
    }
}
