package mussel.exchange.report;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import mussel.core.book.WorkList;
import mussel.core.job.Assessment;
import mussel.core.job.Comeback;
import mussel.core.job.Topic;
import mussel.core.job.Yard;
import mussel.core.language.Messages;

/** What a yard prints around a job: lists of work to take along, and the letter for a leg that came back. */
public final class VisitPapers {
    private static final Messages TEXT = Messages.of(VisitPapers.class);

    private static final float BODY = 10;
    private static final float TALL = 11;
    private static final float ROOM_FOR_LINE = 34;

    private VisitPapers() {}

    /** A list of work for one boat. An UncheckedIOException says why it could not be written. */
    public static void list(Assessment job, WorkList list, Path file, Optional<byte[]> logo) {
        Papers.print(TEXT.get("visit_papers.job", list.title(), job.job().id()), file, page -> {
            Letterhead.logo(page, logo);
            Papers.head(page, job, list.title());
            lines(page, list);
            Papers.foot(page, job);
        });
    }

    /** A list of work for the yard itself. */
    public static void list(Yard yard, LocalDate day, WorkList list, Path file, Optional<byte[]> logo) {
        Papers.print(list.title(), file, page -> {
            Letterhead.logo(page, logo);
            page.heading(list.title(), 18);
            page.text(Letterhead.who(yard) + ", " + day + ".", BODY);
            page.line();
            page.skip(4);
            lines(page, list);
            Letterhead.foot(page, yard, BODY);
        });
    }

    private static void lines(Page page, WorkList list) throws IOException {
        page.text(list.intro(), BODY);
        page.skip(8);
        for (WorkList.Line line : list.lines()) {
            page.keepTogether(ROOM_FOR_LINE);
            page.text((line.done() ? "[x]  " : "[  ]  ") + line.says(), TALL);
            page.skip(6);
        }
        if (!list.notes().isEmpty()) {
            page.skip(6);
            page.heading(TEXT.get("visit_papers.what_else_is_to_be_known"), 12);
            for (String note : list.notes()) {
                page.text(note, BODY);
            }
        }
    }

    /** The letter to the owner of a leg that came back. */
    public static void letter(Assessment job, Path file, Optional<byte[]> logo) {
        Papers.print(TEXT.get("visit_papers.letter_job", job.job().id()), file, page -> {
            Letterhead.logo(page, logo);
            Papers.head(page, job, TEXT.get("visit_papers.your_leg_came_back_to_us"));
            Optional<String> owner =
                    job.before().ofTheLeg(Topic.OWNER, job.job()).map(told -> told.text());
            if (owner.isPresent()) {
                page.text(TEXT.get("visit_papers.to", owner.get()), TALL);
                page.skip(6);
            }
            for (String paragraph : new Comeback(job).letter()) {
                page.text(paragraph, TALL);
                page.skip(6);
            }
            page.skip(10);
            page.text(TEXT.get("visit_papers.on_us_all_part_none_for"), BODY);
            Papers.foot(page, job);
        });
    }
}
