package io.causticon.web.places.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** Holding, releasing, concluding and pictures are deeds: nobody undoes them by editing a line. */
@Application
class DeedsTest {

    private BatchService batches;
    private BatchId id;
    private Client client;

    /** Cut ten days ago, with a wash that burned: held within the write of that wash. */
    @BeforeEach
    void heldForABurningWash(RunningApplication application, Client fresh) {
        client = fresh.signIn("odd");
        batches = application.bean(BatchService.class);
        id = Swirl.lyeIn(application, "Deeds", Duration.ofMinutes(30));
        log(new Entry.Poured(Temperature.celsius(40)));
        log(new Entry.WashTested(WashFeel.BURNING));
    }

    private void log(Entry entry) {
        batches.log(id, List.of(entry), Instant.now(), "Ines", UUID.randomUUID().toString());
    }

    private LoggedEntry line(Class<? extends Entry> type) {
        return batches.get(id).log().all().stream()
                .filter(l -> type.isInstance(l.entry()))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> send(LoggedEntry line, Map<String, String> form) {
        return client.post("/batch/" + id + "/line/" + line.id(), form);
    }

    @Test
    void theHoldIsPartOfTheWrite() {
        assertThat(batches.get(id).isHeld()).isTrue();
        assertThat(line(Entry.Held.class).current().by()).isEqualTo(BatchService.ITSELF);
    }

    @Nested
    class AHold {

        @Test
        void isNotLiftedBySavingItsLineAgain() {
            HttpResponse<String> answer =
                    send(line(Entry.Held.class), Map.of("revision", "1", "quick", "note held", "at", ""));
            assertThat(HtmlUtils.htmlUnescape(answer.body())).contains("is not amended");
            assertThat(batches.get(id).isHeld()).isTrue();
        }

        @Test
        void isNotTakenBack() {
            HttpResponse<String> answer =
                    send(line(Entry.Held.class), Map.of("revision", "1", "withdraw", "true", "reason", "a mistake"));
            assertThat(HtmlUtils.htmlUnescape(answer.body()))
                    .contains("A hold is not taken back. Release the batch in the Casebook");
            assertThat(batches.get(id).isHeld()).isTrue();
        }

        @Test
        void isNotMadeOfAnotherLineEither() {
            assertThatThrownBy(() -> batches.amend(
                            id, line(Entry.Poured.class).id(), 1, new Entry.Released("free"), Instant.now(), "Odd"))
                    .isInstanceOf(ProblemsException.class);
            assertThat(batches.get(id).isHeld()).isTrue();
        }

        @Test
        void isNotReleasedWhileItsWashBurned() {
            HttpResponse<String> answer =
                    client.post("/casebook/" + id + "/release", Map.of("reason", "looks fine", "key", "r1"));
            assertThat(HtmlUtils.htmlUnescape(answer.body()))
                    .containsPattern("Not released: (lye-heavy|separation) is still possible")
                    .contains("no calm wash or titration is logged: titrate first");
            assertThat(batches.get(id).isHeld()).isTrue();
        }
    }

    @Nested
    class AReleaseOrAPicture {

        @Test
        void isTakenBackWithAReasonThatStaysReadable() {
            log(new Entry.PhotoTaken(UUID.randomUUID().toString(), "the crust"));
            LoggedEntry picture = line(Entry.PhotoTaken.class);
            assertThat(HtmlUtils.htmlUnescape(send(picture, Map.of("revision", "1", "withdraw", "true", "reason", " "))
                            .body()))
                    .contains("Nothing is typed here yet");
            assertThat(line(Entry.PhotoTaken.class).current().withdrawn()).isFalse();
            send(picture, Map.of("revision", "1", "withdraw", "true", "reason", "another bar's"));
            assertThat(line(Entry.PhotoTaken.class).current().withdrawn()).isTrue();
            assertThat(HtmlUtils.htmlUnescape(client.get("/batch/" + id).body()))
                    .contains("because: another bar's");
        }

        @Test
        void thatIsTakenBackLeavesTheHoldThatWasBefore() {
            // Written past the gate, as an older program may have done: the rule holds it again at once.
            log(new Entry.Released("free"));
            assertThat(batches.get(id).isHeld()).isTrue();
            batches.withdraw(id, line(Entry.Released.class).id(), 1, "not mine", "Odd");
            assertThat(batches.get(id).isHeld()).isTrue();
        }
    }

    @Nested
    class Forms {

        @Test
        void thatComeAgainWithOtherWordsAreTold() {
            client.post("/batch/" + id + "/log", Map.of("quick", "touch firm", "key", "same" + id));
            client.post("/batch/" + id + "/log", Map.of("quick", "touch firm", "key", "same" + id));
            HttpResponse<String> other =
                    client.post("/batch/" + id + "/log", Map.of("quick", "touch soft", "key", "same" + id));
            assertThat(HtmlUtils.htmlUnescape(other.body()))
                    .contains("This form was sent before, with other words")
                    .contains("value=\"touch soft\"");
            assertThat(batches.get(id).log().of(Entry.TouchTested.class)).hasSize(1);
        }

        @Test
        void thatClaimToBeFromTheFutureAreFromNow() {
            client.post("/batch/" + id + "/log", Map.of("quick", "touch firm", "late", "-2678400", "key", "f" + id));
            assertThat(line(Entry.TouchTested.class).at())
                    .isBeforeOrEqualTo(Instant.now().plusSeconds(1));
        }

        @Test
        void thatNameAStepThatIsNoneStayWhereTheyAre() {
            HttpResponse<String> answer = client.post(
                    "/bench/" + id + "/log", Map.of("quick", "touch firm", "step", "{x}", "key", "s" + id, "at", ""));
            assertThat(answer.statusCode()).isEqualTo(302);
            assertThat(answer.headers().firstValue("Location").orElseThrow()).isEqualTo("/bench/" + id);
        }
    }
}
