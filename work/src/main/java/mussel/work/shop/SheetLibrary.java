package mussel.work.shop;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;

/** Sheets of legs that nobody has described yet; how they are written down is not the desktop's concern. */
public interface SheetLibrary {
    /** What a family's sheet was before it was written over the library of procedures, by which jobs were worked that name none; none where it did not ship. */
    List<SpecSheet> earlier(SpecSheet shipped);

    /**
     * A sheet as jobs keep it.
     *
     * @param name the name its content gives it
     * @param text its text
     */
    record Kept(String name, String text) {}

    /** A sheet as jobs keep it. */
    Kept kept(SpecSheet sheet);

    /** The sheet of a text that a job has kept; empty where this program does not understand it. */
    Optional<SpecSheet> read(String text);

    /** What differs between two sheets, a line each. */
    List<String> differences(SpecSheet before, SpecSheet after);

    /** What differs between two texts of sheets of the yard's own, a line each; an empty text says nothing at all. */
    List<String> changes(String before, String after);

    /**
     * A text with one change taken back, whatever else has been changed since.
     *
     * @throws mussel.core.job.JournalException with the reason why there is no sheet without it
     */
    String without(String now, String before, String after);

    /** What is asked of how a leg is built, in its order. */
    List<Feature> features();

    /** What a size is called. */
    String title(Size size);

    /** How a family answers the features; what it does not answer is unknown. */
    Map<String, String> answers(String family, Optional<String> kept);

    /** What a leg of the size looks like that is built so. */
    List<Region> drawing(Size size, Map<String, String> answers);

    /**
     * Begins a sheet, as a text to be kept.
     *
     * @throws mussel.core.job.JournalException with every reason why there is none
     */
    String begin(String id, String title, Size size, Map<String, String> answers);

    /** The family whose sheet a kept one shares; empty where it stands alone. */
    Optional<String> base(Optional<String> kept);

    /**
     * Begins a sheet that shares another family's: only what differs will stand in it.
     *
     * @throws mussel.core.job.JournalException with the reason why there is none
     */
    String beginLike(String id, String title, String family);

    /**
     * A sheet with what its manual says written into it.
     *
     * @param family the family
     * @param kept its sheet as it was kept; empty for one that ships
     * @param values figures and words, by their place in the compact sheet (JSON Pointers)
     * @param page where the manual says so; empty where nobody wrote that down
     * @throws mussel.core.job.JournalException with what is wrong with a figure, in a sentence
     */
    String say(String family, Optional<String> kept, Map<String, String> values, String page);

    /**
     * What a sheet says of its manual, as it was typed.
     *
     * @param value the figure or word
     * @param page where the manual says so; empty where nobody wrote that down
     */
    record Said(String value, String page) {}

    /** What a sheet says of its manual, by its place in the compact sheet (JSON Pointers). */
    Map<String, Said> said(String family, Optional<String> kept);

    /**
     * A line of a list of parts that was pasted.
     *
     * @param text the line as it came
     * @param number the number in it
     * @param part the part it names; empty where none of the leg's is called so
     * @param title what that part is called
     */
    record Pasted(String text, String number, Optional<String> part, String title) {}

    /** Reads lines as a spreadsheet gives them: number, name, how many. */
    List<Pasted> pasted(SpecSheet sheet, String text);

    /** A sheet with numbers of its parts. */
    String numbered(String family, Optional<String> kept, Map<String, String> numbers);

    /** A sheet with a step done otherwise; what is empty stays, blank words go by the library again. A JournalException says what is wrong with it. */
    String stepped(
            String family,
            Optional<String> kept,
            String step,
            Optional<String> title,
            Optional<String> detail,
            Optional<Step.Minutes> minutes);

    /** Whether a sheet can be changed without its file. */
    boolean changeable(String family, Optional<String> kept);

    /** The kits of a sheet, a line each: name, colon, contents. */
    String kits(SpecSheet sheet);

    /** A sheet with the kits of such lines. A JournalException says what is wrong with them. */
    String kits(SpecSheet sheet, Optional<String> kept, String lines);

    /** A sheet with another answer to a feature; empty where nobody knows. */
    String answer(String family, Optional<String> kept, String feature, Optional<String> answer);

    /** Writes a sheet into a file that another yard can take. An UncheckedIOException or JournalException says why it could not. */
    void write(String family, Optional<String> kept, Path file);

    /**
     * The full sheet of a text that was kept.
     *
     * @throws mussel.core.job.JournalException with every reason why it is none
     */
    SpecSheet full(String kept);
}
