package mussel.app;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import mussel.core.job.Journal;
import mussel.core.job.Yard;
import mussel.core.measure.YardUnits;
import mussel.core.sheet.FamilySheet;
import mussel.desktop.desk.Workshop;
import mussel.exchange.report.JobSheetPdf;
import mussel.exchange.sheet.SheetFiles;
import mussel.store.SqliteJournal;

/** Brings journal, families and yard together. */
final class Yards {
    private Yards() {}

    /** Opens a logbook for work. */
    static Workshop open(Path log, Clock clock, List<FamilySheet> families) {
        return over(SqliteJournal.open(log, clock), clock, families);
    }

    /** Brings an open journal and the families together. */
    static Workshop over(Journal journal, Clock clock, List<FamilySheet> families) {
        return new Workshop(journal, families, yard(journal), clock, JobSheetPdf::write);
    }

    /** The yard's sheet with the units it has chosen. */
    static Yard yard(Journal journal) {
        Yard shipped = SheetFiles.shippedYard();
        return shipped.in(
                journal.setting("units", YardUnits.METRIC.name()).equals(YardUnits.US.name())
                        ? YardUnits.US
                        : YardUnits.METRIC);
    }
}
