package mussel.exchange.library;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.library.CompactSheet;
import mussel.core.measure.Problems;
import mussel.core.sheet.Kit;
import mussel.core.sheet.Part;
import mussel.core.sheet.PartQty;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.record.Read;

/** Kits as people write them, a line each: what the bag is called, a colon, and what is in it with commas between, a count before what comes more than once. */
public final class KitLines {
    private static final Messages TEXT = Messages.of(KitLines.class);

    private static final Pattern COUNTED = Pattern.compile("(\\d{1,3})\\s*(?:x|×)?\\s+(.+)");
    private static final int MOST_KITS = 60;

    private KitLines() {}

    /** The kits of a sheet as lines. */
    public static String write(SpecSheet sheet) {
        return sheet.kits().stream()
                .map(kit -> kit.title() + ": " + contents(sheet, kit))
                .collect(Collectors.joining("\n"));
    }

    private static String contents(SpecSheet sheet, Kit kit) {
        return kit.contains().stream()
                .map(c -> (c.qty() == 1 ? "" : c.qty() + " ")
                        + sheet.part(c.part()).map(Part::title).orElse(c.part()))
                .collect(Collectors.joining(", "));
    }

    /** Reads lines, or says of each what is wrong with it. A kit whose name stays keeps its id. */
    public static Read<List<Kit>> read(SpecSheet sheet, String text) {
        Problems problems = new Problems();
        List<Kit> kits = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        String[] lines = text.strip().isEmpty() ? new String[0] : text.strip().split("\\R");
        for (int i = 0; i < lines.length; i++) {
            String at = TEXT.get("kit_lines.line", (i + 1));
            int colon = lines[i].lastIndexOf(": ");
            if (colon <= 0) {
                problems.at(at, TEXT.get("kit_lines.names_no_kit_write_its_name"));
                continue;
            }
            String title = lines[i].substring(0, colon).strip();
            List<PartQty> contains = new ArrayList<>();
            for (String piece : lines[i].substring(colon + 2).split(",")) {
                part(sheet, piece.strip(), at, problems).ifPresent(contains::add);
            }
            String id = sheet.kits().stream()
                    .filter(k -> k.title().equals(title))
                    .map(Kit::id)
                    .findFirst()
                    .orElse(CompactSheet.idOf(title).replace('-', '_'));
            problems.unless(ids.add(id), at, TEXT.get("kit_lines.names_a_second_time", title));
            kits.add(new Kit(id, title, contains));
        }
        problems.unless(
                kits.size() <= MOST_KITS, "kits", TEXT.get("kit_lines.are_a_leg_has_at_most", kits.size(), MOST_KITS));
        return problems.none() ? Read.of(kits) : new Read<>(Optional.empty(), problems.list());
    }

    private static Optional<PartQty> part(SpecSheet sheet, String piece, String at, Problems problems) {
        Matcher counted = COUNTED.matcher(piece);
        boolean count = counted.matches();
        String name = count ? counted.group(2) : piece;
        Optional<Part> part = PastedParts.named(sheet, name);
        if (part.isEmpty()) {
            problems.at(at, TEXT.get("kit_lines.has_which_is_no_part_of", name));
            return Optional.empty();
        }
        return Optional.of(new PartQty(part.get().id(), count ? Integer.parseInt(counted.group(1)) : 1, "-"));
    }
}
