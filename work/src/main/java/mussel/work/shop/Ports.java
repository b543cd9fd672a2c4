package mussel.work.shop;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.IntPredicate;
import mussel.core.book.LogBook;
import mussel.core.book.WorkList;
import mussel.core.instrument.Instruments;
import mussel.core.job.Assessment;
import mussel.core.job.Journal;
import mussel.core.job.Order;
import mussel.core.job.Yard;
import mussel.core.leak.HoldFile;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.practice.Lesson;
import mussel.core.yard.YardForm;
import mussel.work.background.Background;

/**
 * What the application brings that the desktop does not know the inside of.
 *
 * @param jobSheets writes job sheets
 * @param holdFiles reads holds
 * @param instruments the instruments of the bench
 * @param sheets sheets of legs that nobody has described yet
 * @param yardForm how what the yard decides is written down
 * @param priceLists reads suppliers' price lists
 * @param practice legs that are not there
 * @param data brings data in and out
 * @param background what is done off the interface thread
 */
public record Ports(
        JobSheets jobSheets,
        Papers papers,
        HoldFiles holdFiles,
        Pictures pictures,
        Instruments instruments,
        SheetLibrary sheets,
        YardForm yardForm,
        PriceLists priceLists,
        Practice practice,
        Data data,
        Background background) {
    /** Legs that are not there, in a log of their own. */
    public interface Practice {
        /** The practice log, opened when it is first asked for. A JournalException says why it could not be. */
        Journal journal();

        /** The lessons, in the order of the trade. */
        List<Lesson> lessons();

        /** A shop over the practice log, with the yard's sheets, prices and decisions as they are now. */
        Workshop bench(Workshop yard);

        /** Closes the log where it was opened. */
        void close();
    }

    /** Writes job sheets; the format is not the desktop's concern. */
    public interface JobSheets {
        /** Writes the job's sheet into the file. An UncheckedIOException says why it could not. */
        void write(Assessment job, Path file);
    }

    /** Writes what else a yard prints. An UncheckedIOException says why it could not. */
    public interface Papers {
        /** The owner's estimate. */
        void estimate(Assessment job, Path file);

        /** An order, as CSV where the file is named so, else for print. */
        void order(Assessment job, Order order, Path file);

        /** The mat and the way back. */
        void mat(Assessment job, Path file);

        /** A list of work for one boat. */
        void list(Assessment job, WorkList list, Path file);

        /** A list of work for a yard, of that day. */
        void list(Yard yard, LocalDate day, WorkList list, Path file);

        /** The letter for a leg that came back. */
        void letter(Assessment job, Path file);

        /** The same with the mat drawn: PNG pictures of its rows as they came off, and of the way back. */
        void mat(Assessment job, List<byte[]> cameOff, List<byte[]> wayBack, Path file);
    }

    /** Keeps pictures beside the journal. */
    public interface Pictures {
        /** Takes a picture in and returns its name; a JournalException says why it could not. */
        String keep(Path picture);

        /** Where the picture of that name lies. */
        Path at(String name);
    }

    /** Data in and out; the formats are not the desktop's concern. An UncheckedIOException or JournalException says why something could not be done. */
    public interface Data {
        /** Writes every entry as JSON. */
        void json(Path file);

        /** Writes every entry of every job of a leg as JSON. */
        void leg(String leg, Path file);

        /** Writes lists as CSV into a folder. */
        void lists(Path folder);

        /** Writes the yard's sheet, as another yard can take it in. */
        void yard(Yard yard, Path file);

        /** Writes what is due as iCalendar. */
        void calendar(Path file);

        /** Writes log and pictures into one file. */
        void backup(Path file);

        /** The automatic backups, the latest first, in words. */
        List<String> backups();

        /**
         * Reads a file, on any thread, and says what it would change.
         *
         * @param goOn told how many jobs were read, now and then; false to stop, which a JournalException then says
         */
        ImportPreview look(Path file, IntPredicate goOn);

        /** Does work over a journal and a book of its own, on whatever thread it is called. */
        <T> T aside(BiFunction<Journal, LogBook, T> work);

        /** Prints the tag of a leg. */
        void tag(Assessment job, Path file);
    }

    /** Reads holds from files; the formats are not the desktop's concern. */
    public interface HoldFiles {
        /** Reads one file, all of it or nothing. */
        HoldFile read(Path file);
    }

    /** Reads suppliers' price lists; the formats are not the desktop's concern. */
    public interface PriceLists {
        /** How a list begins, with its columns as they were matched the last time. A JournalException says why it is none. */
        PriceHead head(Path file, Map<String, String> remembered);

        /** Reads a list, telling now and then how many lines were read; a JournalException says why it could not, or that it was stopped. */
        PriceList read(Path file, PriceQuestion asked, IntPredicate goOn);
    }
}
