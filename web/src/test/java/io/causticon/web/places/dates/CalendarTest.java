package io.causticon.web.places.dates;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.quantity.Mass;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Likely;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Calendars, read back by another library than wrote them. */
@Application
class CalendarTest {

    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
    private static final Pattern ADDRESS = Pattern.compile("(/feed/[A-Za-z0-9_-]+\\.ics)");

    private static BatchSummary batch(Tasks.Task... tasks) {
        Instant at = Instant.parse("2026-10-20T09:00:00Z");
        Likely nothing = Likely.NOTHING;
        return new BatchSummary(
                new BatchId(new UUID(1, 2)),
                "NE-26-1",
                "Nettle, \"late\"; æøå",
                "",
                at,
                Life.MOULD,
                Assessment.State.MOULD,
                Purpose.MADE,
                Optional.empty(),
                "",
                at,
                at,
                at,
                List.of(tasks),
                "",
                Mass.grams(1),
                0,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                true,
                nothing,
                nothing,
                "");
    }

    private static ICalendar read(String text) {
        assertThat(text.lines()).allSatisfy(l -> assertThat(l.length()).isLessThanOrEqualTo(75));
        return Biweekly.parse(text).first();
    }

    @Test
    void standsAtItsHourAndOnItsDayAlsoWhenSummerTimeEnds() {
        // In the night to 25 October 2026 the clocks of Oslo go back at 01:00 UTC.
        Tasks.Task before = new Tasks.Task(Tasks.Kind.UNMOULD, Instant.parse("2026-10-25T00:30:00Z"), Optional.empty());
        Tasks.Task after = new Tasks.Task(Tasks.Kind.CUT, Instant.parse("2026-10-25T01:30:00Z"), Optional.empty());
        Tasks.Task late = new Tasks.Task(Tasks.Kind.WEIGH, Instant.parse("2026-10-24T22:30:00Z"), Optional.empty());
        Tasks.Task done = new Tasks.Task(
                Tasks.Kind.WASH_TEST,
                Instant.parse("2026-10-24T22:30:00Z"),
                Optional.of(Instant.parse("2026-10-24T22:30:00Z")));
        CalendarFile file = new CalendarFile(OSLO, Instant.parse("2026-10-20T10:00:00Z"), "https://loft:8443");
        file.add(batch(before, after, late, done), List.of(before, after, late, done));
        List<VEvent> events = read(file.text()).getEvents();

        assertThat(events)
                .extracting(e -> e.getSummary().getValue())
                .containsExactly(
                        "Unmould: Nettle, \"late\"; æøå",
                        "Cut: Nettle, \"late\"; æøå",
                        "Weigh a bar: Nettle, \"late\"; æøå");
        // Both stand at half past two by the clock on the wall, an hour apart.
        assertThat(events.get(0).getDateStart().getValue().toInstant()).isEqualTo(before.due());
        assertThat(events.get(1).getDateStart().getValue().toInstant()).isEqualTo(after.due());
        // Half past midnight in Oslo is the next day there, whatever day it is in London.
        assertThat(events.get(2).getDateStart().getValue().hasTime()).isFalse();
        assertThat(events.get(2).getDateStart().getValue().getRawComponents().toDate())
                .isNotNull();
        assertThat(events.get(2).getDateStart().getValue().getRawComponents().getDate())
                .isEqualTo(25);
        assertThat(events.get(0).getDescription().getValue())
                .contains("Only when the sides let go")
                .contains("https://loft:8443/batch/");
        assertThat(events).extracting(e -> e.getUid().getValue()).doesNotHaveDuplicates();
    }

    @Test
    void aPrivateAddressIsReadWithoutSigningInUntilItIsTakenBack(RunningApplication application) {
        application.bean(AccountService.class).create("tove", "Tove", "lye-into-water", Role.MAKER);
        Client tove = new Client(application.address()).signIn("tove");
        Client nobody = new Client(application.address());
        tove.post("/dates/feed", Map.of());
        String address = address(tove);
        ICalendar calendar = read(nobody.get(address).body());
        assertThat(calendar.getEvents()).anyMatch(e -> e.getSummary().getValue().contains("Honey Loft"));
        assertThat(nobody.get(address).headers().firstValue("content-type").orElse(""))
                .startsWith("text/calendar");
        assertThat(nobody.setCookies()).noneMatch(c -> c.startsWith("JSESSIONID"));
        assertThat(tove.get("/dates").body()).as("told once").doesNotContain(address);

        // Another one ends the first; taken back, neither leads anywhere.
        tove.post("/dates/feed", Map.of());
        String second = address(tove);
        assertThat(nobody.get(address).statusCode()).isEqualTo(404);
        assertThat(nobody.get(second).statusCode()).isEqualTo(200);
        tove.post("/dates/feed/revoke", Map.of());
        assertThat(nobody.get(second).statusCode()).isEqualTo(404);
        for (String odd :
                List.of("/feed/.ics", "/feed/x.ics", "/feed/%00.ics", "/feed/" + "a".repeat(500) + ".ics", "/feed/")) {
            assertThat(nobody.get(odd).statusCode()).as(odd).isBetween(300, 499);
        }
        assertThat(new Client(application.address()).get("/dates.ics").statusCode())
                .as("the download wants a sign-in")
                .isEqualTo(302);
    }

    private static String address(Client client) {
        Matcher found = ADDRESS.matcher(client.get("/dates").body());
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    @Test
    void daysAreReadAsTheyAreWritten() {
        LocalDate today = LocalDate.of(2026, 11, 27);
        for (String december : List.of(
                "12 December",
                "12 dec",
                "Dec 12",
                "2026-12-12",
                "12 December 2026",
                "December 12, 2026",
                "12.12.2026")) {
            assertThat(GoalForm.day(december, today)).as(december).contains(LocalDate.of(2026, 12, 12));
        }
        assertThat(GoalForm.day("3 March", today)).contains(LocalDate.of(2027, 3, 3));
        for (String none : List.of("", "soon", "32 December", "31 February", "2026-13-01", "12")) {
            assertThat(GoalForm.day(none, today)).as(none).isEmpty();
        }
    }
}
