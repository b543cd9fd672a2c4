package mussel.desktop.desk;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.BiFunction;
import mussel.core.book.LogBook;
import mussel.core.book.WorkList;
import mussel.core.job.Assessment;
import mussel.core.job.Fact;
import mussel.core.job.Journal;
import mussel.core.job.JournalException;
import mussel.core.job.LegRef;
import mussel.core.job.Order;
import mussel.core.job.Scale;
import mussel.core.job.Yard;
import mussel.core.leak.HoldFile;
import mussel.core.library.Feature;
import mussel.core.library.Size;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.practice.Lesson;
import mussel.core.sheet.Region;
import mussel.core.sheet.SpecSheet;
import mussel.core.sheet.Step;
import mussel.core.simulated.SimulatedInstruments;
import mussel.core.verdict.Overrides;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;
import mussel.work.background.Background;
import mussel.work.desk.Desk;
import mussel.work.shop.ImportPreview;
import mussel.work.shop.Ports;
import mussel.work.shop.SheetLibrary;
import mussel.work.shop.Workshop;

/** A shop on a journal in memory, with the families and tables that ship. */
public final class TestShop {
    /** Its journal. */
    /** What reading a hold from a file gives. */
    public java.util.function.Function<java.nio.file.Path, HoldFile> holdFile =
            file -> new HoldFile(Optional.empty(), List.of(), List.of("no files here"));

    public final MemoryJournal journal = new MemoryJournal();
    /** Its book. */
    public final LogBook book = new MemoryBook(journal);
    /** The shop. */
    public final Workshop shop;

    /** An empty shop in which what is done in the background is done at once. */
    public TestShop() {
        this(Background.atOnce());
    }

    /** An empty shop with another runner. */
    public TestShop(Background background) {
        shop = new Workshop(
                journal,
                book,
                CompletableFuture.completedFuture(new Workshop.Catalogue(
                        SheetFiles.shipped(),
                        SheetFiles.shippedYard(),
                        KnowledgeFiles.shipped(),
                        Overrides.none(),
                        CatalogueFiles.shipped(),
                        new Workshop.Demo(java.util.Set.of(), true, true),
                        "test")),
                Clock.fixed(Instant.parse("2026-11-23T09:00:00Z"), ZoneOffset.UTC),
                new Ports(
                        (job, file) -> {},
                        new NoPapers(),
                        file -> holdFile.apply(file),
                        new NoPictures(),
                        new SimulatedInstruments(),
                        new NoSheets(),
                        YardTables.form(),
                        new NoLists(),
                        new NoPractice(),
                        new NoData(),
                        background));
    }

    private static final class NoPractice implements Ports.Practice {
        @Override
        public Journal journal() {
            throw new JournalException("there is no practice log");
        }

        @Override
        public List<Lesson> lessons() {
            return List.of();
        }

        @Override
        public Workshop bench(Workshop yard) {
            throw new JournalException("there is no practice log");
        }

        @Override
        public void close() {}
    }

    private static final class NoLists implements Ports.PriceLists {
        @Override
        public PriceHead head(Path file, Map<String, String> remembered) {
            throw new JournalException("no lists here");
        }

        @Override
        public PriceList read(Path file, PriceQuestion asked, java.util.function.IntPredicate goOn) {
            throw new JournalException("no lists here");
        }
    }

    private static final class NoSheets implements SheetLibrary {
        @Override
        public List<SpecSheet> earlier(SpecSheet shipped) {
            return List.of();
        }

        @Override
        public Kept kept(SpecSheet sheet) {
            return new Kept(sheet.id(), sheet.id());
        }

        @Override
        public Optional<SpecSheet> read(String text) {
            return Optional.empty();
        }

        @Override
        public List<String> differences(SpecSheet before, SpecSheet after) {
            return List.of();
        }

        @Override
        public List<String> changes(String before, String after) {
            return List.of();
        }

        @Override
        public String without(String now, String before, String after) {
            throw new JournalException("no sheets here");
        }

        @Override
        public List<Feature> features() {
            return List.of();
        }

        @Override
        public String title(Size size) {
            return size.name();
        }

        @Override
        public Map<String, String> answers(String family, Optional<String> kept) {
            return Map.of();
        }

        @Override
        public List<Region> drawing(Size size, Map<String, String> answers) {
            return List.of();
        }

        @Override
        public String begin(String id, String title, Size size, Map<String, String> answers) {
            throw new JournalException("no sheets here");
        }

        @Override
        public Optional<String> base(Optional<String> kept) {
            return Optional.empty();
        }

        @Override
        public String beginLike(String id, String title, String family) {
            throw new JournalException("no sheets here");
        }

        @Override
        public String answer(String family, Optional<String> kept, String feature, Optional<String> answer) {
            throw new JournalException("no sheets here");
        }

        @Override
        public void write(String family, Optional<String> kept, Path file) {
            throw new JournalException("no sheets here");
        }

        @Override
        public String say(String family, Optional<String> kept, Map<String, String> values, String page) {
            throw new JournalException("no sheets here");
        }

        @Override
        public Map<String, Said> said(String family, Optional<String> kept) {
            return Map.of();
        }

        @Override
        public List<Pasted> pasted(SpecSheet sheet, String text) {
            return List.of();
        }

        @Override
        public String numbered(String family, Optional<String> kept, Map<String, String> numbers) {
            throw new JournalException("no sheets here");
        }

        @Override
        public String stepped(
                String family,
                Optional<String> kept,
                String step,
                Optional<String> title,
                Optional<String> detail,
                Optional<Step.Minutes> minutes) {
            throw new JournalException("no sheets here");
        }

        @Override
        public boolean changeable(String family, Optional<String> kept) {
            return false;
        }

        @Override
        public String kits(SpecSheet sheet) {
            return "";
        }

        @Override
        public String kits(SpecSheet sheet, Optional<String> kept, String lines) {
            throw new JournalException("no sheets here");
        }

        @Override
        public SpecSheet full(String kept) {
            throw new JournalException("no sheets here");
        }
    }

    private final class NoData implements Ports.Data {
        @Override
        public void yard(Yard yard, Path file) {}

        @Override
        public void json(Path file) {}

        @Override
        public void leg(String leg, Path file) {}

        @Override
        public void lists(Path folder) {}

        @Override
        public void calendar(Path file) {}

        @Override
        public void backup(Path file) {}

        @Override
        public List<String> backups() {
            return List.of();
        }

        @Override
        public ImportPreview look(Path file, java.util.function.IntPredicate goOn) {
            return ImportPreview.refused(file, List.of("no files here"));
        }

        @Override
        public <T> T aside(BiFunction<Journal, LogBook, T> work) {
            return work.apply(journal, book);
        }

        @Override
        public void tag(Assessment job, Path file) {}
    }

    private static final class NoPapers implements Ports.Papers {
        @Override
        public void estimate(Assessment job, Path file) {}

        @Override
        public void order(Assessment job, Order order, Path file) {}

        @Override
        public void mat(Assessment job, Path file) {}

        @Override
        public void list(Assessment job, WorkList list, Path file) {}

        @Override
        public void list(Yard yard, LocalDate day, WorkList list, Path file) {}

        @Override
        public void letter(Assessment job, Path file) {}

        @Override
        public void mat(Assessment job, List<byte[]> cameOff, List<byte[]> wayBack, Path file) {}
    }

    private static final class NoPictures implements Ports.Pictures {
        @Override
        public String keep(Path picture) {
            return "kept-" + picture.getFileName();
        }

        @Override
        public Path at(String name) {
            return Path.of(name);
        }
    }

    /** Takes a leg in and puts its job on a desk. */
    public Desk leg(String boat, LegRef.Position position, String family) {
        int job = shop.takeIn(new LegRef(boat + position, boat, position, family));
        shop.refreshBench();
        return new Desk(shop, job);
    }

    /** A leg of the middle family with milky oil. */
    public Desk milky() {
        Desk desk = leg("Spat Lass", LegRef.Position.PORT, "tern-60");
        desk.note(new Fact.Chosen(Scale.OIL_WATER.address(), "milky"));
        return desk;
    }
}
