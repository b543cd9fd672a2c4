package mussel.core.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.language.Messages;
import mussel.core.measure.Checked;
import mussel.core.measure.Given;
import mussel.core.measure.OrderedMap;
import mussel.core.measure.Problems;
import mussel.core.measure.Wide;
import mussel.core.measure.Written;
import mussel.core.sheet.Interval;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Region;
import mussel.core.sheet.Step;
import mussel.core.sheet.Substitute;

/**
 * A family in a few lines: how it is built and what its manual says. The full sheet is made from it and the library.
 *
 * @param format the format of the file
 * @param id the family's id in files; made from its title where it is absent
 * @param title its name for people
 * @param like the family whose sheet it shares: only what differs stands here
 * @param maker who builds it
 * @param origin which manual, which issue
 * @param size how big it is
 * @param features how it is built: feature by answer; absent is unknown
 * @param values what its manual says
 * @param numbers numbers of its parts, part by number
 * @param kits the kits sold for it
 * @param intervals what is due; the library's where it is empty
 * @param substitutes what stands in for special tools; the library's where it is empty
 * @param parts parts it has otherwise, or beside
 * @param minutes how long steps take on it, step by minutes
 * @param except steps done otherwise
 * @param add steps it has beside
 * @param drop steps it has not
 * @param drawing its own cutaway; drawn from the features where it is empty
 */
@Wide("A compact sheet: a component is a section of the file format.")
public record CompactSheet(
        @Given("the format") Format format,
        @Given("the family's id") Optional<String> id,
        @Given("the family's name") String title,
        @Given("the family whose sheet it shares") Optional<String> like,
        @Given(value = "the maker", orElse = "-") String maker,
        @Given(value = "where the values come from", orElse = "As the yard has described it") String origin,
        @Given("how big it is") Size size,
        @Given("how the leg is built") Map<String, Answer> features,
        @Given("what its manual says") Optional<SheetValues> values,
        @Given("the numbers of its parts") Map<String, String> numbers,
        @Given("the kits") List<Kit> kits,
        @Given("the intervals") List<Interval> intervals,
        @Given("what stands in for special tools") List<Substitute> substitutes,
        @Given("parts it has otherwise") Map<String, PartChange> parts,
        @Given("how long steps take on it") Map<String, Step.Minutes> minutes,
        @Given("steps done otherwise") Map<String, StepChange> except,
        @Given("steps it has beside") List<Step> add,
        @Given("steps it has not") List<String> drop,
        @Given("its own cutaway") List<Region> drawing)
        implements Checked {
    private static final Messages TEXT = Messages.of(CompactSheet.class);

    private static final int LONGEST_ID = 60;

    /** Keeps its own copies. */
    public CompactSheet {
        features = OrderedMap.copyOf(features);
        numbers = OrderedMap.copyOf(numbers);
        kits = List.copyOf(kits);
        intervals = List.copyOf(intervals);
        substitutes = List.copyOf(substitutes);
        parts = OrderedMap.copyOf(parts);
        minutes = OrderedMap.copyOf(minutes);
        except = OrderedMap.copyOf(except);
        add = List.copyOf(add);
        drop = List.copyOf(drop);
        drawing = List.copyOf(drawing);
    }

    /** The family's id in files: as given, else its title in lower-case letters, figures and hyphens. */
    public String named() {
        return id.orElseGet(() -> idOf(title));
    }

    /** An id made from a title. */
    public static String idOf(String title) {
        String plain = java.text.Normalizer.normalize(title, java.text.Normalizer.Form.NFD)
                .toLowerCase(java.util.Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String id = plain.isEmpty() ? "leg" : plain;
        return id.length() > LONGEST_ID ? id.substring(0, LONGEST_ID).replaceAll("-$", "") : id;
    }

    @Override
    public void check(Problems problems, String pointer) {
        for (String step : except.keySet()) {
            problems.unless(
                    !drop.contains(step),
                    pointer + "/except/" + step,
                    TEXT.get("compact_sheet.changes_a_step_that_is_dropped"));
        }
        for (int i = 0; i < add.size(); i++) {
            String step = add.get(i).id();
            problems.unless(
                    !except.containsKey(step),
                    pointer + "/add/" + i + "/id",
                    TEXT.get("compact_sheet.is_changed_under_except_too_say", step));
        }
    }

    /** The formats there are. */
    public enum Format implements Written {
        /** This one. */
        SECOND;

        @Override
        public String file() {
            return "mussel-sheet/2";
        }
    }
}
