package io.causticon.web.places.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.JudgedAgain;
import io.causticon.web.store.batch.Summaries;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/** Every page, label, list, table and answer says of a batch what its assessment says, and nothing else. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class OneAnswerTest {

    private static final Set<String> STATES = Arrays.stream(Assessment.State.values())
            .map(Assessment.State::words)
            .collect(Collectors.toSet());

    private RunningApplication application;
    private BatchService batches;
    private Assessments assessments;
    private JudgedAgain judgedAgain;
    private Client ines;

    @BeforeAll
    void start() {
        application = RunningApplication.own(true);
        batches = application.bean(BatchService.class);
        assessments = application.bean(Assessments.class);
        judgedAgain = application.bean(JudgedAgain.class);
        ines = new Client(application.address()).signIn("ines");
    }

    @AfterAll
    void stop() {
        application.close();
    }

    private void log(BatchId id, Duration ago, Entry... entries) {
        batches.log(
                id,
                List.of(entries),
                Instant.now().minus(ago),
                "Ines",
                UUID.randomUUID().toString());
    }

    /** Poured so many days ago, and cut the day after. */
    private BatchId made(String name, int days) {
        Duration ago = Duration.ofDays(days);
        BatchId id = batches.begin(
                Swirl.plan(name),
                null,
                1,
                Instant.now().minus(ago.plusHours(2)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        log(id, ago.plusHours(1), new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(40)));
        log(id, ago.plusMinutes(50), new Entry.LyeIntoFats());
        log(id, ago.plusMinutes(40), new Entry.StageReached(Stage.LIGHT, null));
        log(id, ago, new Entry.Poured(Temperature.celsius(38)));
        log(id, ago.minusHours(20), new Entry.Cut(8));
        return id;
    }

    private List<Batch> inEveryState() {
        log(made("Burned Oak", 20), Duration.ofDays(2), new Entry.WashTested(WashFeel.BURNING));
        log(made("Mouldy Kelp", 30), Duration.ofDays(2), new Entry.Observed("mouldy", Presence.SEEN));
        log(made("Early Tide", 1), Duration.ofMinutes(5), new Entry.WashTested(WashFeel.CALM));
        log(
                made("Practice Fog", 12),
                Duration.ofDays(1),
                new Entry.MeantFor(Purpose.PRACTICE),
                new Entry.WashTested(WashFeel.CALM));
        made("Untested Reed", 15);
        return batches.all();
    }

    @Test
    void isSaidEverywhere() throws IOException {
        List<Batch> all = inEveryState();
        assertThat(all).hasSizeGreaterThanOrEqualTo(29);
        String cases = ines.get("/casebook/cases.csv").body();
        String chosen = ines.get("/casebook").body();
        Set<Assessment.State> seen = new HashSet<>();
        for (Batch batch : all) {
            Assessment assessment = assessments.of(batch);
            seen.add(assessment.state());
            pages(batch, assessment);
            labels(batch, assessment);
            kept(batch, assessment);
            paper(batch, assessment);
            if (assessment.life() != Life.BENCH && assessment.life() != Life.ABANDONED) {
                assertThat(cases.lines()
                                .filter(l -> l.contains(batch.id().toString()))
                                .toList())
                        .as("the table of cases, " + batch.name())
                        .allSatisfy(l -> assertThat(l)
                                .contains("," + assessment.life().name().toLowerCase(Locale.ROOT) + ","
                                        + (assessment.isHeld() ? "yes" : "no") + ","));
            }
            if (assessment.isHeld()) {
                assertThat(chosen).as("the list of the casebook").contains("/casebook/" + batch.id());
            }
        }
        assertThat(seen)
                .contains(
                        Assessment.State.HELD,
                        Assessment.State.UNFIT,
                        Assessment.State.CURE,
                        Assessment.State.RELEASED,
                        Assessment.State.BENCH);
    }

    /** Each page says the one word, and none of the others. */
    private void pages(Batch batch, Assessment assessment) {
        String page = ines.get("/batch/" + batch.id()).body();
        String title = page.substring(page.indexOf("<h1"), page.indexOf("</div>", page.indexOf("<h1")));
        assertThat(said(title))
                .as("the page of " + batch.name())
                .containsExactly(assessment.state().words());
        assertThat(page.contains("aria-label=\"Held\"")).as("its band").isEqualTo(assessment.isHeld());
        if (batch.facts(Instant.now()).wasPoured()) {
            String cure = ines.get("/batch/" + batch.id() + "/cure").body();
            assertThat(said(cure.substring(cure.indexOf("<h1"), cure.indexOf("</div>", cure.indexOf("<h1")))))
                    .as("its cure")
                    .containsExactly(assessment.state().words());
            assertThat(cure.contains("Ready about") || cure.contains("Old enough, and dry"))
                    .as("a date of what may not be used, " + batch.name())
                    .isNotEqualTo(assessment.isHeld());
            String verdict = ines.get("/casebook/" + batch.id()).body();
            assertThat(verdict.contains("Do not use or sell")
                            || verdict.contains("Not for use or sale")
                            || verdict.contains("Held, and now calm"))
                    .as("the verdict on " + batch.name())
                    .isEqualTo(assessment.isHeld());
        }
        String found = ines.get("/?show=" + (assessment.life() == Life.ABANDONED ? "abandoned" : "all") + "&find="
                        + batch.code())
                .body();
        assertThat(said(found.substring(found.indexOf(batch.code()))))
                .as("the rack")
                .contains(assessment.state().words());
        String recalled = ines.get("/recall?find=" + batch.code()).body();
        if (recalled.contains("/batch/" + batch.id())) {
            assertThat(said(recalled.substring(recalled.lastIndexOf(batch.code()))))
                    .as("who has it")
                    .contains(assessment.state().words());
        }
    }

    private static List<String> said(String page) {
        List<String> said = new ArrayList<>();
        STATES.stream().filter(page::contains).forEach(said::add);
        // "released" stands within "released" alone; what is held is in no other word.
        return said;
    }

    private void labels(Batch batch, Assessment assessment) {
        String rack =
                ines.get("/batch/" + batch.id() + "/labels/label.svg?kind=rack").body();
        assertThat(rack.contains("ready about"))
                .as("the rack label of " + batch.name())
                .isNotEqualTo(assessment.isHeld());
        int bar =
                ines.get("/batch/" + batch.id() + "/labels/label.svg?kind=bar").statusCode();
        assertThat(bar == 409).as("labels for bars").isEqualTo(assessment.isHeld());
    }

    /** What lists and programs read is kept beside the log. */
    private void kept(Batch batch, Assessment assessment) {
        BatchSummary kept = application.bean(Summaries.class).of(batch.id()).orElseThrow();
        assertThat(kept.state()).as(batch.name()).isEqualTo(assessment.state());
        assertThat(kept.isHeld()).isEqualTo(assessment.isHeld());
        assertThat(kept.life()).isEqualTo(assessment.life());
        assertThat(kept.readyAt()).isCloseTo(assessment.dates().ready(), within(1, ChronoUnit.MILLIS));
        assertThat(kept.tasks().stream().map(t -> t.kind()).toList())
                .isEqualTo(
                        assessment.life() == Life.ABANDONED
                                ? List.of()
                                : assessment.dates().tasks().stream()
                                        .map(t -> t.kind())
                                        .toList());
    }

    private void paper(Batch batch, Assessment assessment) throws IOException {
        try (PDDocument document = Loader.loadPDF(ines.bytes("/carry/batch/" + batch.id() + ".pdf"))) {
            String words = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(words.contains("HELD. Not to be used or sold") || words.contains("NOT FOR USE OR SALE"))
                    .as("the printed " + batch.name())
                    .isEqualTo(assessment.isHeld());
        }
    }

    /**
     * Weighed in a bowl that nobody knew: as soon as the shelf says what it weighs, every page holds it, and the log
     * says why.
     */
    @Test
    void aVesselThatIsWeighedOnTheShelfHoldsWhatWasWeighedInIt() {
        BatchId id = batches.begin(
                Swirl.plan("Bowl Rill"),
                null,
                1,
                Instant.now().minus(Duration.ofHours(30)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        Batch batch = batches.get(id);
        batch.plan()
                .formula()
                .fats()
                .forEach(f -> log(
                        id,
                        Duration.ofHours(29),
                        new Entry.Weighed(
                                Weighable.fat(f.fat().id()), f.mass(), Tare.NOT_TAKEN, Named.called("Tarn bowl"))));
        log(id, Duration.ofHours(28), new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(40)));
        log(
                id,
                Duration.ofHours(27),
                new Entry.LyeIntoFats(),
                new Entry.StageReached(Stage.LIGHT, null),
                new Entry.Poured(null));
        log(id, Duration.ofHours(2), new Entry.Cut(8));
        BatchId other = made("Beside It", 3);
        Assessment before = assessments.of(batches.get(id));
        String others = application
                .bean(Summaries.class)
                .of(other)
                .orElseThrow()
                .state()
                .name();

        ines.get("/shelf");
        ines.post("/shelf/vessel", Map.of("name", "Tarn bowl", "mass", "310 g", "material", "STEEL"));
        judgedAgain.judge();

        Batch after = batches.get(id);
        assertThat(assessments.of(after).isHeld()).isTrue();
        if (!before.isHeld()) {
            Entry.Held held = after.log().last(Entry.Held.class).orElseThrow().entry();
            assertThat(held.reason()).contains("stood at").contains("Tarn bowl is known to weigh 310 g");
        }
        assertThat(ines.get("/batch/" + id + "/labels/label.svg?kind=rack").body())
                .contains("HELD");
        assertThat(ines.get("/?show=held&find=" + after.code()).body()).contains(after.code());
        assertThat(application
                        .bean(Summaries.class)
                        .of(other)
                        .orElseThrow()
                        .state()
                        .name())
                .as("what was not weighed in it")
                .isEqualTo(others);
        assertThat(application.bean(Summaries.class).moved()).isEmpty();
    }

    /** Each door asks the same, and what was answered is part of the line. */
    @Test
    void whatIsOddIsAskedAtEveryDoorAndTheAnswerIsKept() {
        BatchId id = batches.begin(
                Swirl.plan("Asked Loch"),
                null,
                1,
                Instant.now().minus(Duration.ofHours(3)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        Batch batch = batches.get(id);
        String fat = batch.plan().formula().fats().get(0).fat().id();
        Mass tenth = batch.plan().formula().fats().get(0).mass().times(.1);
        String typed = "weigh " + fat + " " + Math.round(tenth.grams() * 100) / 100.0 + " g";
        ines.get("/batch/" + id);
        String key = UUID.randomUUID().toString();
        assertThat(ines.post("/batch/" + id + "/log", Map.of("quick", typed, "key", key)))
                .satisfies(asked -> {
                    assertThat(asked.statusCode()).isEqualTo(422);
                    assertThat(asked.body())
                            .contains("One question")
                            .contains(typed)
                            .contains("It is so: log it")
                            .contains("decimal point");
                });
        assertThat(batches.get(id).log().of(Entry.Weighed.class)).isEmpty();
        ines.post("/batch/" + id + "/log", Map.of("quick", typed, "key", key, "answered", "FAR_FROM_PLAN"));
        assertThat(batches.get(id).log().entries())
                .singleElement()
                .satisfies(l -> assertThat(l.current().answered()).containsExactly(DoubtKind.FAR_FROM_PLAN));
        assertThat(assessments.of(batches.get(id)).doubts()).isEmpty();

        // What nobody could be asked about stays open until somebody says that it is so.
        log(id, Duration.ZERO, new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(104)));
        Batch open = batches.get(id);
        assertThat(assessments.of(open).doubts())
                .singleElement()
                .satisfies(d -> assertThat(d.doubt().kind()).isEqualTo(DoubtKind.ODD_TEMPERATURE));
        String page = ines.get("/batch/" + id).body();
        assertThat(page).contains("In doubt.").contains("/answer");
        String line = assessments.of(open).doubts().get(0).line();
        ines.post("/batch/" + id + "/line/" + line + "/answer", Map.of("revision", "1"));
        assertThat(assessments.of(batches.get(id)).doubts()).isEmpty();
        assertThat(ines.get("/batch/" + id).body()).doesNotContain("In doubt.");
    }
}
