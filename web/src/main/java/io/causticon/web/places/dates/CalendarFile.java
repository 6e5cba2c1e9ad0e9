package io.causticon.web.places.dates;

import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.places.batch.BatchWords;
import io.causticon.web.places.trial.Panels;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.dates.Makings;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Method;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.RefreshInterval;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * Dates as a calendar (RFC 5545). What has its hour, as unmoulding and the cut, stands at that moment, told in
 * universal time, so that no change to summer time moves it; what is of a day is a day of the workshop's zone.
 */
final class CalendarFile {

    private static final Duration SLOT = Duration.ofMinutes(30);
    private static final String DOMAIN = "@causticon";

    private final Calendar calendar = new Calendar();
    private final ZoneId zone;
    private final Instant now;
    private final String base;

    /**
     * @param zone the workshop's
     * @param base where links lead, without a slash at its end
     */
    CalendarFile(ZoneId zone, Instant now, String base) {
        this.zone = zone;
        this.now = now;
        this.base = base;
        calendar.add(new ProdId("-//Causticon//Dates//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        Method published = ImmutableMethod.PUBLISH;
        calendar.add(published);
    }

    /** What is open of a batch. */
    void add(BatchSummary batch, List<Tasks.Task> tasks) {
        int number = 0;
        for (Tasks.Task task : tasks) {
            number++;
            if (!task.isOpen()) {
                continue;
            }
            String what = BatchWords.task(task.kind()) + ": " + batch.name();
            boolean hour = task.kind() == Tasks.Kind.UNMOULD || task.kind() == Tasks.Kind.CUT;
            VEvent event = hour
                    ? new VEvent(task.due(), SLOT, what)
                    : new VEvent(task.due().atZone(zone).toLocalDate(), what);
            String uid = batch.id() + "-" + task.kind().name().toLowerCase(Locale.ROOT) + "-" + number;
            finish(
                    event,
                    uid,
                    BatchWords.reason(task.kind()) + " Batch " + batch.code() + ".",
                    "/batch/" + batch.id() + "/cure");
        }
    }

    /** A batch that is to be made. */
    void add(Makings.Making making) {
        finish(
                new VEvent(making.on(), "Make " + making.name()),
                "making-" + making.id(),
                making.goal(),
                "/plan/" + making.recipe());
    }

    /** Arms that are to be judged. */
    void add(Panels.Due panel) {
        finish(
                new VEvent(day(panel.due(), zone), "Judge at " + panel.age() + ": " + panel.question()),
                "panel-" + panel.trial() + "-" + day(panel.due(), zone) + "-"
                        + panel.arms().size(),
                String.join(", ", panel.arms()),
                "/trials/" + panel.trial());
    }

    private void finish(VEvent event, String uid, String why, String path) {
        event.add(new Uid(uid + DOMAIN));
        event.add(new DtStamp(now));
        event.add(new Description(why + "\n" + base + path));
        event.add(new Url(URI.create(base + path)));
        calendar.add(event);
    }

    String text() {
        calendar.add(new RefreshInterval(null, Duration.ofHours(6)));
        StringWriter out = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    static LocalDate day(Instant at, ZoneId zone) {
        return at.atZone(zone).toLocalDate();
    }
}
