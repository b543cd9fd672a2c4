package mussel.app;

import com.fasterxml.jackson.core.JsonProcessingException;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.IntPredicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.zip.CRC32;
import javafx.application.Platform;
import mussel.app.data.YardData;
import mussel.core.book.LogKind;
import mussel.core.book.OpenLog;
import mussel.core.book.WorkList;
import mussel.core.job.Assessment;
import mussel.core.job.JournalException;
import mussel.core.job.Order;
import mussel.core.job.Settings;
import mussel.core.job.Yard;
import mussel.core.language.Messages;
import mussel.core.leak.HoldFile;
import mussel.core.parts.PriceHead;
import mussel.core.parts.PriceList;
import mussel.core.parts.PriceQuestion;
import mussel.core.sheet.SpecSheet;
import mussel.core.simulated.SimulatedInstruments;
import mussel.core.verdict.Overrides;
import mussel.exchange.file.InFile;
import mussel.exchange.leak.HoldCsv;
import mussel.exchange.parts.CatalogueFiles;
import mussel.exchange.parts.PriceListFile;
import mussel.exchange.record.Json;
import mussel.exchange.record.Read;
import mussel.exchange.report.JobSheetPdf;
import mussel.exchange.report.Papers;
import mussel.exchange.report.VisitPapers;
import mussel.exchange.sheet.SheetFiles;
import mussel.exchange.verdict.KnowledgeFiles;
import mussel.exchange.yard.YardTables;
import mussel.store.FileStore;
import mussel.store.PictureFolder;
import mussel.work.background.Background;
import mussel.work.shop.Ports;
import mussel.work.shop.Workshop;
import mussel.work.shop.Workshop.Catalogue;

/** Brings journal, families and yard together. */
public final class Yards {
    private static final Messages TEXT = Messages.of(Yards.class);

    private Yards() {}

    /** Opens a logbook for work with everything the shop keeps of its own, its bench up to date. */
    static Workshop open(FileStore store) {
        Workshop shop = over(store.open(), store);
        shop.fileEverything();
        return shop;
    }

    /** Opens a logbook for work with some spec sheets, its bench up to date. */
    static Workshop open(FileStore store, List<SpecSheet> families) {
        Workshop shop = over(store.open(), store, families);
        shop.fileEverything();
        return shop;
    }

    /** A shop over an open log and everything the shop keeps of its own, for work without a window. */
    static Workshop over(OpenLog log, FileStore store) {
        SheetFolder families = SheetFolder.load(DataFolder.families());
        return over(
                log,
                store,
                CompletableFuture.completedFuture(catalogue(
                        families.sheets(),
                        families.own(),
                        OwnFiles.OwnYard.load(DataFolder.path()).yard(),
                        DiagnosisFile.load(DataFolder.path()),
                        CatalogueFolder.load(DataFolder.path()))),
                Background.atOnce());
    }

    /** A shop over an open log and some spec sheets, with the diagnosis tables that ship, for a window. */
    public static Workshop over(OpenLog log, FileStore store, List<SpecSheet> families) {
        DiagnosisFile tables = new DiagnosisFile(KnowledgeFiles.shipped(), Overrides.none(), List.of());
        CatalogueFolder supplied = new CatalogueFolder(CatalogueFiles.shipped(), true, List.of());
        return over(
                log,
                store,
                CompletableFuture.completedFuture(catalogue(families, "", SheetFiles.shippedYard(), tables, supplied)));
    }

    /** The same with spec sheets that are still on their way. */
    static Workshop over(OpenLog log, FileStore store, CompletableFuture<Catalogue> catalogue) {
        return over(log, store, catalogue, new Background(Platform::runLater));
    }

    private static Workshop over(
            OpenLog log, FileStore store, CompletableFuture<Catalogue> catalogue, Background background) {
        if (log.kind() == LogKind.PRACTICE) {
            log.close();
            throw new JournalException(TEXT.get("yards.is_a_practice_log_its_legs", store.place()));
        }
        return shop(log, store, catalogue, new PracticeLog(store.practice()), background);
    }

    /** The shop over a practice log. */
    static Workshop practising(
            OpenLog log, FileStore store, Catalogue catalogue, Ports.Practice practice, Background background) {
        return shop(log, store, CompletableFuture.completedFuture(catalogue), practice, background);
    }

    private static Workshop shop(
            OpenLog log,
            FileStore store,
            CompletableFuture<Catalogue> catalogue,
            Ports.Practice practice,
            Background background) {
        PictureFolder pictures = PictureFolder.beside(store.file());
        Supplier<Optional<byte[]>> logo = () -> logo(log, pictures);
        return new Workshop(
                log,
                log.book(),
                catalogue,
                store.clock(),
                new Ports(
                        (job, file) -> JobSheetPdf.write(job, file, logo.get()),
                        new Printing(logo),
                        Yards::hold,
                        new Kept(pictures),
                        new SimulatedInstruments(),
                        new LibrarySheets(family -> log.setting(Settings.SHEET + family, "")),
                        YardTables.form(),
                        new Lists(),
                        practice,
                        new YardData(log, store, DataFolder.path()),
                        background));
    }

    /** The shop's logo, where it has one and the picture is there. */
    private static Optional<byte[]> logo(OpenLog log, PictureFolder pictures) {
        String name = log.setting(Settings.LOGO, "");
        try {
            Path at = name.isEmpty() ? null : pictures.at(name);
            return at != null && Files.isRegularFile(at) ? Optional.of(Files.readAllBytes(at)) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private record Printing(Supplier<Optional<byte[]>> logo) implements Ports.Papers {
        @Override
        public void estimate(Assessment job, Path file) {
            Papers.estimate(job, file, logo.get());
        }

        @Override
        public void order(Assessment job, Order order, Path file) {
            Papers.order(job, order, file, logo.get());
        }

        @Override
        public void mat(Assessment job, Path file) {
            Papers.mat(job, file);
        }

        @Override
        public void mat(Assessment job, List<byte[]> cameOff, List<byte[]> wayBack, Path file) {
            Papers.mat(job, cameOff, wayBack, file);
        }

        @Override
        public void list(Assessment job, WorkList list, Path file) {
            VisitPapers.list(job, list, file, logo.get());
        }

        @Override
        public void list(Yard yard, LocalDate day, WorkList list, Path file) {
            VisitPapers.list(yard, day, list, file, logo.get());
        }

        @Override
        public void letter(Assessment job, Path file) {
            VisitPapers.letter(job, file, logo.get());
        }
    }

    private static final class Lists implements Ports.PriceLists {
        @Override
        public PriceHead head(Path file, Map<String, String> remembered) {
            return PriceListFile.head(file, remembered);
        }

        @Override
        public PriceList read(Path file, PriceQuestion asked, IntPredicate goOn) {
            return PriceListFile.read(file, asked, goOn);
        }
    }

    private record Kept(PictureFolder folder) implements Ports.Pictures {
        @Override
        public String keep(Path picture) {
            return folder.keep(picture);
        }

        @Override
        public Path at(String name) {
            return folder.at(name);
        }
    }

    private static HoldFile hold(Path file) {
        Read<byte[]> bytes = InFile.bytes(file, HoldCsv.MOST_BYTES);
        if (bytes.value().isEmpty()) {
            return refused(file, bytes.problems().get(0).problem());
        }
        Read<HoldCsv.Imported> read = HoldCsv.read(bytes.value().get());
        return read.value()
                .map(h -> new HoldFile(Optional.of(h.mode()), h.readings(), List.of()))
                .orElseGet(() -> refused(file, read.problems().get(0).problem()));
    }

    private static HoldFile refused(Path file, String why) {
        return new HoldFile(
                Optional.empty(),
                List.of(),
                List.of(TEXT.get("yards.nothing_was_taken_from", file.getFileName(), why)));
    }

    /** What the yard works with; its stamp changes with the sheets that ship and with the yard's own. */
    static Catalogue catalogue(
            List<SpecSheet> families, String own, Yard yard, DiagnosisFile tables, CatalogueFolder supplied) {
        return new Catalogue(
                families,
                yard,
                tables.shipped(),
                tables.own(),
                supplied.catalogue(),
                new Workshop.Demo(
                        SheetFiles.shipped().stream().map(SpecSheet::id).collect(Collectors.toSet()),
                        supplied.shipped(),
                        yard.equals(SheetFiles.shippedYard())),
                SheetFiles.stamp() + own + sum(yard) + sum(tables.own()));
    }

    /** The same for the same sheet at every start, which a hash code is not: those of constants differ from one to the next. */
    private static String sum(Object sheet) {
        try {
            CRC32 sum = new CRC32();
            sum.update(Json.mapper().writeValueAsBytes(sheet));
            return Long.toHexString(sum.getValue());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("Every sheet can be written", e);
        }
    }
}
