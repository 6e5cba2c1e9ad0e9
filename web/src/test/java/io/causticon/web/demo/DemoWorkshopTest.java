package io.causticon.web.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.slips.Slip;
import io.causticon.core.science.pots.LyePotCurve;
import io.causticon.core.science.pots.PotSoFar;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.places.casebook.CasebookService;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The made-up workshop is one that the models would expect. */
@Application
class DemoWorkshopTest {

    private static final List<String> NAMES = List.of(
            "Whey & Barley",
            "Rye-beer Tar",
            "Juniper Slab",
            "Nettle",
            "Bladderwrack Brine",
            "Sail Loft Tar",
            "Sea Buckthorn Winter",
            "Harbour Milk",
            "Clove Lantern",
            "Honey Loft",
            "Ferry Bar",
            "Long Shelf");

    /** Those of the months before, which no later one of their name hides. */
    private static final List<String> EARLIER = List.of(
            "Rapeseed & Rye",
            "Loft Lather",
            "Skerrow Fog",
            "Net Loft Lavender",
            "Harbour Dusk",
            "Three Tides",
            "Six Waters",
            "Quay Ends",
            "Gale Warning");

    private BatchService batches;
    private CasebookService casebook;

    @BeforeEach
    void take(RunningApplication application) {
        batches = application.bean(BatchService.class);
        casebook = application.bean(CasebookService.class);
    }

    private Batch batch(String name) {
        // Tests of other classes begin batches like these; the workshop's own carry a full log.
        return batches.all().stream()
                .filter(b -> b.name().equals(name) && b.log().entries().size() > 8)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void hasBatchesInEveryStageOfLifeOverFourteenMonths() {
        List<Batch> made =
                Stream.concat(NAMES.stream(), EARLIER.stream()).map(this::batch).toList();
        assertThat(made.stream().map(Batch::life).distinct())
                .contains(Life.BENCH, Life.MOULD, Life.CURE, Life.READY, Life.ABANDONED);
        assertThat(made.stream().map(Batch::purpose).distinct()).contains(Purpose.MADE, Purpose.TRIAL);
        assertThat(batch("Rapeseed & Rye").log().ageAt(Instant.now()).toDays()).isBetween(400L, 440L);
        assertThat(batches.all())
                .filteredOn(b -> b.name().equals("Nettle") && b.log().entries().size() > 20)
                .hasSize(2);
    }

    @Test
    void hasACookedOneAShavingSoapOfBothAlkalisAMeltedOneLayersAndCups() {
        assertThat(batch("Harbour Dusk").facts(Instant.now()).isCookedThrough()).isTrue();
        assertThat(batch("Loft Lather").facts(Instant.now()).weightsNow().koh().grams())
                .isGreaterThan(batch("Loft Lather")
                        .facts(Instant.now())
                        .weightsNow()
                        .naoh()
                        .grams());
        Rework ends = Objects.requireNonNull(batch("Quay Ends").plan().rework());
        assertThat(ends.sources())
                .containsExactly(
                        batch("Long Shelf").id().toString(),
                        batch("Ferry Bar").id().toString());
        assertThat(batch("Three Tides").log().of(Entry.LayerPoured.class)).hasSize(3);
        assertThat(BarStock.of(batch("Six Waters").log()).apart()).hasSize(1);
        assertThat(batch("Six Waters").log().of(Entry.Lathered.class)).hasSize(12);
    }

    /**
     * What its pages expect is what was read, but for what a thermometer is off: three standard deviations of half a
     * kelvin, and a little for the minute.
     */
    @Test
    void readsInItsLyePotsWhatTheModelsExpect() {
        assertThat(NAMES).allSatisfy(name -> {
            Batch batch = batch(name);
            Instant clear =
                    batch.log().first(Entry.LyeClear.class).orElseThrow().at();
            PotSoFar pot = PotSoFar.of(batch.plan(), batch.log(), Temperature.celsius(18), clear);
            Instant fed = pot.fedFrom().orElseThrow();
            LyePotCurve curve = pot.curve(pot.minute(clear));
            assertThat(batch.log()
                            .of(Entry.TemperatureRead.class)
                            .filter(t -> t.entry().spot() == MeasurementPoint.LYE
                                    && t.at().isAfter(fed)
                                    && !t.at().isAfter(clear)))
                    .isNotEmpty()
                    .allSatisfy(t -> assertThat(curve.celsiusAt(
                                    Duration.between(fed, t.at()).toMillis() / 60_000.0))
                            .as(name)
                            .isCloseTo(t.entry().temperature().celsius(), within(4.0)));
        });
    }

    @Test
    void logsNothingOutOfOrderOrAhead() {
        Instant now = Instant.now();
        assertThat(NAMES)
                .allSatisfy(name -> assertThat(batch(name).log().entries()).allSatisfy(e -> {
                    assertThat(e.at()).isBeforeOrEqualTo(now);
                    assertThat(e.at()).isAfterOrEqualTo(batch(name).log().begun());
                }));
    }

    @Test
    void readsOnlyTemperaturesThatCanBe() {
        assertThat(NAMES)
                .allSatisfy(name -> batch(name)
                        .log()
                        .of(Entry.TemperatureRead.class)
                        .forEach(t -> {
                            MeasurementPoint spot = t.entry().spot();
                            assertThat(spot.possibleCelsius()
                                            .contains(t.entry().temperature().celsius()))
                                    .as("%s: %s %s", name, spot, t.entry().temperature())
                                    .isTrue();
                        }));
    }

    @ParameterizedTest
    @CsvSource({
        "Nettle, soda-ash",
        "Sail Loft Tar, lye-heavy",
        "Harbour Milk, scorched-liquor",
        "Clove Lantern, seized",
        "Honey Loft, overheated",
        "Rapeseed & Rye, stale-spots",
        "Skerrow Fog, glycerin-rivers",
        "Rye-beer Tar, ricing"
    })
    void itsTroubledBatchesAreDiagnosed(String name, String condition) {
        Diagnosis diagnosis = casebook.examine(batch(name));
        assertThat(diagnosis.leading().orElseThrow().condition())
                .extracting(Condition::id)
                .isEqualTo(condition);
    }

    @Test
    void holdsTheLyeHeavyOneForTheJugWhoseTareWasNotTaken() {
        Batch tar = batch("Sail Loft Tar");
        assertThat(tar.isHeld()).isTrue();
        Diagnosis diagnosis = casebook.examine(tar);
        assertThat(diagnosis.of(Conditions.LYE_HEAVY).probability()).isGreaterThan(0.9);
        assertThat(diagnosis.slips().get(0).kind()).isEqualTo(Slip.Kind.TARE_NOT_TAKEN);
        assertThat(diagnosis.slips().get(0).words().written(Object::toString)).contains("second jug");
    }

    @Test
    void holdsTheOneWhoseScentWasCalledBackAndSaysWhy() {
        assertThat(batch("Net Loft Lavender").isHeld()).isTrue();
        assertThat(casebook.examine(batch("Net Loft Lavender")).verdict()).isEqualTo(Diagnosis.Verdict.CALM);
        assertThat(batch("Net Loft Lavender")
                        .log()
                        .last(Entry.Held.class)
                        .orElseThrow()
                        .entry()
                        .reason())
                .contains("LV-2");
    }

    @ParameterizedTest
    @CsvSource({
        "Ferry Bar",
        "Loft Lather",
        "Harbour Dusk",
        "Sea Buckthorn Winter",
        "Bladderwrack Brine",
        "Nettle",
        "Honey Loft",
        "Clove Lantern"
    })
    void holdsNoneThatIsCalm(String name) {
        assertThat(batch(name).isHeld()).isFalse();
        assertThat(casebook.examine(batch(name)).verdict()).isEqualTo(Diagnosis.Verdict.CALM);
    }

    @Test
    void theHoneyLoafWasHotterThanTheOthers() {
        assertThat(peak("Honey Loft")).isGreaterThan(88).isGreaterThan(peak("Ferry Bar"));
    }

    private double peak(String name) {
        return batch(name)
                .facts(Instant.now())
                .peak(MeasurementPoint.CORE)
                .orElseThrow()
                .celsius();
    }
}
