package io.causticon.core.science.facts;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** What follows from a log, and where in its life a batch is. */
class BatchFactsTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");

    private BatchPlan plan = recipe().fat("olive-oil", 700)
            .fat("coconut-oil-76", 300)
            .additive("eo-clove", 10)
            .plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    private BatchFactsTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plusMillis(Math.round(60_000 * minute)), "ines", entry));
        return this;
    }

    private BatchFactsTest read(double minute, MeasurementPoint spot, double celsius) {
        return at(minute, new Entry.TemperatureRead(spot, Temperature.celsius(celsius)));
    }

    private BatchFacts facts() {
        return BatchFacts.of(plan, log(), BEGUN.plus(Duration.ofDays(2)));
    }

    private BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    private static Temperature celsius(double degrees) {
        return Temperature.celsius(degrees);
    }

    @Nested
    class Temperatures {

        @Test
        void haveAPeakAndALastForEachSpotAlone() {
            read(10, MeasurementPoint.LYE, 62)
                    .read(20, MeasurementPoint.LYE, 85)
                    .read(40, MeasurementPoint.LYE, 44)
                    .read(41, MeasurementPoint.FATS, 47);
            assertThat(facts().peak(MeasurementPoint.LYE)).contains(celsius(85));
            assertThat(facts().lastBefore(MeasurementPoint.LYE, BEGUN.plusSeconds(60 * 30)))
                    .contains(celsius(85));
            assertThat(facts().lastBefore(MeasurementPoint.LYE, BEGUN.plusSeconds(60 * 40)))
                    .contains(celsius(44));
            assertThat(facts().lastBefore(MeasurementPoint.LYE, BEGUN)).isEmpty();
            assertThat(facts().peak(MeasurementPoint.CORE)).isEmpty();
        }

        @Test
        void ofThePourAreAsSaidElseOfTheBatterElseOfTheFats() {
            read(20, MeasurementPoint.FATS, 47)
                    .read(40, MeasurementPoint.BATTER, 41)
                    .at(50, new Entry.Poured(null));
            assertThat(facts().pouredAt()).contains(celsius(41));
            lines.remove(1);
            assertThat(facts().pouredAt()).contains(celsius(47));
            lines.clear();
            read(40, MeasurementPoint.BATTER, 41).at(50, new Entry.Poured(celsius(39)));
            assertThat(facts().pouredAt()).contains(celsius(39));
            lines.clear();
            read(40, MeasurementPoint.BATTER, 41);
            assertThat(facts().pouredAt()).isEmpty();
        }

        @Test
        void ofTheRoomAtTheSetAreTheLastOfTheFirstTwoHours() {
            read(1, MeasurementPoint.ROOM, 17)
                    .at(60, new Entry.Poured(null))
                    .read(90, MeasurementPoint.ROOM, 19)
                    .read(600, MeasurementPoint.ROOM, 12);
            assertThat(facts().room()).contains(celsius(17));
            assertThat(facts().roomAtTheSet()).contains(celsius(19));
        }

        @Test
        void ofTheRoomAreAnyWhereNothingWasReadAtTheSet() {
            at(60, new Entry.Poured(null)).read(600, MeasurementPoint.ROOM, 12);
            assertThat(facts().roomAtTheSet()).contains(celsius(12));
        }
    }

    @Nested
    class Stages {

        @Test
        void areCountedFromLyeIn() {
            at(30, new Entry.LyeIntoFats())
                    .at(34, new Entry.StageReached(Stage.EMULSION, null))
                    .at(42.5, new Entry.StageReached(Stage.LIGHT, null));
            assertThat(facts().minutesTo(Stage.EMULSION)).contains(4.0);
            assertThat(facts().minutesTo(Stage.LIGHT)).contains(12.5);
            assertThat(facts().minutesTo(Stage.THICK)).isEmpty();
        }

        @Test
        void thatWereSkippedAreReachedWithTheNext() {
            at(30, new Entry.LyeIntoFats()).at(36, new Entry.StageReached(Stage.MEDIUM, null));
            assertThat(facts().minutesTo(Stage.LIGHT)).contains(6.0);
        }

        @Test
        void withoutLyeInHaveNoMinutes() {
            at(36, new Entry.StageReached(Stage.MEDIUM, null));
            assertThat(facts().minutesTo(Stage.LIGHT)).isEmpty();
        }

        @Test
        void atThePourAreTheLastRungBeforeItNotATroubleNorALaterOne() {
            at(30, new Entry.StageReached(Stage.THIN, null))
                    .at(31, new Entry.StageReached(Stage.RICED, Named.called("clove")))
                    .at(35, new Entry.Poured(null))
                    .at(36, new Entry.StageReached(Stage.THICK, null));
            assertThat(facts().stageWhenPoured()).contains(Stage.THIN);
        }

        @Test
        void areBlamedOnWhatWentInJustBefore() {
            at(30, new Entry.Added("lavender", Mass.grams(20)))
                    .at(40, new Entry.Added("clove", Mass.grams(10)))
                    .at(41, new Entry.StageReached(Stage.THICK, null));
            assertThat(facts().addedJustBefore(Stage.THICK, Duration.ofMinutes(3)))
                    .contains("clove");
            assertThat(facts().addedJustBefore(Stage.THICK, Duration.ofSeconds(30)))
                    .isEmpty();
            assertThat(facts().addedJustBefore(Stage.MASH, Duration.ofMinutes(3)))
                    .isEmpty();
        }
    }

    @Nested
    class Liquor {

        @Test
        void ofClearWaterHasNothingToScorch() {
            assertThat(facts().scorchingInLiquid().fraction()).isZero();
            assertThat(facts().liquidWasFrozen()).isFalse();
        }

        @Test
        void ofFrozenMilkHasSugarAndProteinInIt() {
            plan = recipe().fat("olive-oil", 700).frozen("goat-milk-whole", 100).plan();
            assertThat(facts().liquidWasFrozen()).isTrue();
            // Goat milk: about 4.5 % lactose and 3.5 % protein.
            assertThat(facts().scorchingInLiquid().fraction()).isCloseTo(0.08, within(0.02));
        }

        @Test
        void isAsConcentratedAsItWasWeighed() {
            at(1, new Entry.Weighed(Weighable.NAOH, Mass.grams(100), Tare.TAKEN, null))
                    .at(2, new Entry.Weighed(Weighable.liquid("distilled-water"), Mass.grams(300), Tare.TAKEN, null));
            assertThat(facts().concentration().fraction()).isCloseTo(0.25, within(1e-9));
        }
    }

    @Nested
    class ItsLife {

        @Test
        void goesFromTheBenchToTheMouldToTheCure() {
            assertThat(Life.of(log())).isEqualTo(Life.BENCH);
            at(50, new Entry.Poured(null));
            assertThat(Life.of(log())).isEqualTo(Life.MOULD);
            at(1500, new Entry.Cut(10));
            assertThat(Life.of(log())).isEqualTo(Life.CURE);
        }

        @Test
        void isReadyOnlyWhileItsLastVerdictIsARelease() {
            at(50, new Entry.Poured(null))
                    .at(1500, new Entry.Unmoulded())
                    .at(1600, new Entry.Released("calm wash, 6 weeks"));
            assertThat(Life.of(log())).isEqualTo(Life.READY);
            at(1700, new Entry.Held("a customer's bar burns"));
            assertThat(Life.of(log())).isEqualTo(Life.CURE);
            assertThat(Life.isHeld(log())).isTrue();
            at(1800, new Entry.Released("titrated: none"));
            assertThat(Life.isHeld(log())).isFalse();
        }

        @Test
        void forgetsALineThatWasTakenBack() {
            at(50, new Entry.Poured(null));
            LoggedEntry.Revision first = lines.get(0).current();
            lines.set(
                    0,
                    new LoggedEntry(
                            "l0",
                            new LoggedEntry.Revision(2, first.at(), first.at(), "ines", first.entry(), true),
                            List.of(first)));
            assertThat(Life.of(log())).isEqualTo(Life.BENCH);
            assertThat(facts().wasPoured()).isFalse();
        }
    }

    @Test
    void keepingIsColdInFridgeAndFreezerAlone() {
        at(50, new Entry.Kept(MouldCare.COVERED, null));
        assertThat(facts().was(MouldCare.COVERED)).isTrue();
        assertThat(facts().wasKeptCold()).isFalse();
        at(51, new Entry.Kept(MouldCare.FREEZER, null));
        assertThat(facts().wasKeptCold()).isTrue();
    }
}
