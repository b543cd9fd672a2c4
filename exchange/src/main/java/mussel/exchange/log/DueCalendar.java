package mussel.exchange.log;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import mussel.core.book.LogBook.Awaiting;
import mussel.core.language.Messages;
import mussel.core.log.DueForecast;
import mussel.exchange.file.OutFile;
import mussel.exchange.record.Plain;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** What is due as a calendar (RFC 5545): a day's event each, its identity kept from export to export so that a calendar moves it. */
public final class DueCalendar {
    private static final Messages TEXT = Messages.of(DueCalendar.class);

    private static final int MOST_OCTETS = 75;

    private DueCalendar() {}

    /** Writes the calendar. An UncheckedIOException says why it could not. */
    public static void write(List<Awaiting> awaiting, LocalDate today, Instant now, Path file) {
        byte[] text = text(awaiting, today, now).getBytes(StandardCharsets.UTF_8);
        OutFile.of(file, OutFile.Kind.CALENDAR, true).write(out -> out.write(text));
    }

    /** The calendar as text. */
    public static String text(List<Awaiting> awaiting, LocalDate today, Instant now) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Mussel//Due work//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        awaiting.forEach(each -> calendar.add(event(each, today, now)));
        java.io.StringWriter out = new java.io.StringWriter();
        try {
            new CalendarOutputter(!awaiting.isEmpty(), Integer.MAX_VALUE).output(calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return folded(out.toString());
    }

    /** Lines of at most 75 octets, as RFC 5545, 3.1 has it; the library counts letters, of which some take more than one. */
    static String folded(String text) {
        StringBuilder folded = new StringBuilder();
        for (String line : text.split("\r\n")) {
            int octets = 0;
            for (int c : line.codePoints().toArray()) {
                int more = Character.toString(c).getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > MOST_OCTETS) {
                    folded.append("\r\n ");
                    octets = 1;
                }
                folded.appendCodePoint(c);
                octets += more;
            }
            folded.append("\r\n");
        }
        return folded.toString();
    }

    private static VEvent event(Awaiting each, LocalDate today, Instant now) {
        DueForecast forecast = DueForecast.of(each.due(), each.readings(), today);
        VEvent event = new VEvent(false);
        event.add(new Uid(identity(each)));
        event.add(new DtStamp(now));
        event.add(new DtStart<>(forecast.by()));
        event.add(new Summary(Plain.text(each.due().what() + ": " + each.leg().title())));
        event.add(new Description(Plain.text(TEXT.get("due_calendar.job_said_so", forecast.says(today), each.job()))));
        return event;
    }

    private static String identity(Awaiting each) {
        String key = each.leg().id() + "/" + each.due().id();
        return java.util.UUID.nameUUIDFromBytes(key.getBytes(StandardCharsets.UTF_8)) + "@mussel";
    }
}
