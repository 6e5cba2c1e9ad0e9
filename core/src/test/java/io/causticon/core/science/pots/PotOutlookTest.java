package io.causticon.core.science.pots;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** The lye pot of a batch, as its log tells of it. */
class PotOutlookTest {

    private static final Instant FED = Instant.parse("2026-11-02T09:00:00Z");
    private static final Temperature ROOM = Temperature.celsius(19);
    private static final BatchPlan WATER =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan();
    private static final BatchPlan MILK = recipe().fat("olive-oil", 700)
            .fat("coconut-oil-76", 300)
            .frozen("goat-milk-whole", 100)
            .plan();

    private final List<LoggedEntry> lines = new ArrayList<>();

    private static Instant minute(double minute) {
        return FED.plusMillis(Math.round(60_000 * minute));
    }

    private PotOutlookTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), minute(minute), "ines", entry));
        return this;
    }

    private PotOutlookTest lye(double minute, double celsius) {
        return at(minute, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(celsius)));
    }

    private PotOutlook seen(BatchPlan plan, double minute) {
        return PotOutlook.of(plan, new BatchLog(minute(-30), lines), ROOM, minute(minute));
    }

    @Nested
    class InABath {

        @Test
        void isTakenForMilkAndNotForWaterWhereTheLogSaysNothing() {
            at(0, new Entry.PortionFed(1, 4));
            assertThat(seen(MILK, 2).setup().isInBath(2)).isTrue();
            assertThat(seen(WATER, 2).setup().isInBath(2)).isFalse();
        }

        @Test
        void beginsAndEndsAsLogged() {
            at(0, new Entry.PortionFed(1, 4)).at(3, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH));
            assertThat(seen(WATER, 5).setup()).satisfies(s -> {
                assertThat(s.isInBath(2.9)).isFalse();
                assertThat(s.isInBath(60)).isTrue();
            });
            at(9, new Entry.Bathed(MeasurementPoint.LYE, Bath.ROOM));
            assertThat(seen(WATER, 10).setup().baths()).containsExactly(Interval.between(3, 9));
            at(11, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH))
                    .at(11.5, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH));
            assertThat(seen(WATER, 12).setup().baths())
                    .containsExactly(Interval.between(3, 9), Interval.between(11, Double.POSITIVE_INFINITY));
            at(13, new Entry.Bathed(MeasurementPoint.LYE, Bath.COLD_BATH));
            assertThat(seen(WATER, 14).setup().baths())
                    .containsExactly(Interval.between(3, 9), Interval.between(11, 13));
        }

        @Test
        void thatStoodReadyBeforeTheFirstLyeIsThereFromTheStart() {
            at(-5, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH)).at(0, new Entry.PortionFed(1, 4));
            assertThat(seen(WATER, 1).setup().isInBath(0)).isTrue();
        }

        @Test
        void ofTheFatsIsNoneOfTheLye() {
            at(0, new Entry.PortionFed(1, 4)).at(1, new Entry.Bathed(MeasurementPoint.FATS, Bath.ICE_BATH));
            assertThat(seen(WATER, 2).setup().isInBath(2)).isFalse();
        }

        @Test
        void coolsFromTheMinuteItIsEnteredAndNotBefore() {
            LyePotSetup dry = seen(WATER, 0).setup();
            LyePotSetup bathed = dry.inBath(List.of(Interval.between(6, 12)));
            double before = LyePotRun.run(dry, 40).celsiusAt(6)
                    - LyePotRun.run(bathed, 40).celsiusAt(6);
            double in = LyePotRun.run(dry, 40).celsiusAt(12)
                    - LyePotRun.run(bathed, 40).celsiusAt(12);
            assertThat(before).isCloseTo(0, within(1e-9));
            assertThat(in).isGreaterThan(3);
            // Out again it cools like any jug, and stays behind the one that was in all the time.
            assertThat(LyePotRun.run(bathed, 40).celsiusAt(30))
                    .isGreaterThan(LyePotRun.run(dry.inBath(List.of(Interval.between(6, 99))), 40)
                                    .celsiusAt(30)
                            + 2);
        }
    }

    @Nested
    class Contents {

        @Test
        void ofClearWaterHoldNoIceAndEndAtTheLyesConcentration() {
            at(0, new Entry.PortionFed(4, 4));
            assertThat(seen(WATER, 1).stillFrozen(minute(1))).isEmpty();
            double last = -1;
            for (double m : new double[] {0, 2, 5, 10, 60}) {
                double now = seen(WATER, m).concentrationNow(minute(m)).fraction();
                assertThat(now).isGreaterThanOrEqualTo(last);
                last = now;
            }
            assertThat(last)
                    .isCloseTo(
                            AlkaliBalance.of(WATER.formula())
                                    .firstConcentration()
                                    .fraction(),
                            within(0.003));
        }

        @Test
        void ofFrozenMilkThawAsTheLyeGoesIn() {
            at(0, new Entry.PortionFed(1, 9));
            double all = seen(MILK, 0).setup().contents().ice().grams();
            double early = seen(MILK, 3).stillFrozen(minute(3)).orElseThrow();
            double late = seen(MILK, 40).stillFrozen(minute(40)).orElseThrow();
            assertThat(early).isLessThan(all).isGreaterThan(0.4 * all);
            assertThat(late).isLessThan(0.1 * all);
        }
    }

    @Nested
    class Start {

        @Test
        void isTheRoomAndTheFreezerUntilItIsRead() {
            assertThat(seen(WATER, 0).setup().contents().waterStart()).isEqualTo(ROOM);
            assertThat(seen(MILK, 0).setup().contents().iceStart().celsius()).isEqualTo(-18);
            assertThat(seen(WATER, 0).liquid()).isEmpty();
        }

        @Test
        void ofColdWaterLowersThePeakByNearlyAsMuch() {
            double plain = seen(WATER, 0).forecast().peakCelsiusAhead();
            lye(-2, 5);
            PotOutlook cold = seen(WATER, 0);
            assertThat(cold.fedFrom()).isEmpty();
            assertThat(cold.liquid()).contains(Temperature.celsius(5));
            assertThat(plain - cold.forecast().peakCelsiusAhead()).isBetween(6.0, (ROOM.celsius() - 5));
            at(0, new Entry.PortionFed(1, 4)).lye(1, 40);
            assertThat(seen(WATER, 2).fedFrom()).contains(minute(0));
            assertThat(seen(WATER, 2).setup().contents().waterStart().celsius()).isEqualTo(5);
        }

        @Test
        void isNotTakenFromALiquorThatIsHotAlready() {
            lye(0, 62);
            assertThat(seen(WATER, 1).fedFrom()).contains(minute(0));
            assertThat(seen(WATER, 1).liquid()).isEmpty();
            assertThat(seen(WATER, 1).setup().contents().waterStart()).isEqualTo(ROOM);
        }

        @Test
        void withoutPortionsIsTheReadingBeforeItRose() {
            lye(-20, 13).lye(0, 15).lye(3, 55);
            assertThat(seen(WATER, 4).fedFrom()).contains(minute(0));
            assertThat(seen(WATER, 4).liquid()).contains(Temperature.celsius(15));
        }

        @Test
        void ofFrozenMilkThatIsNeverWarmIsSeenByItsRise() {
            lye(-30, -12).lye(-2, -10);
            assertThat(seen(MILK, 0).fedFrom()).isEmpty();
            lye(2, -4).lye(6, 8);
            assertThat(seen(MILK, 7).fedFrom()).contains(minute(-2));
            assertThat(seen(MILK, 7).liquid()).contains(Temperature.celsius(-10));
        }

        @Test
        void thatWasNotReadIsWhereTheReadingsBeginOnceItIsClear() {
            lye(0, 20).at(9, new Entry.LyeClear());
            assertThat(seen(WATER, 10).fedFrom()).contains(minute(0));
        }

        @Test
        void ofIceIsAsColdAsItReadsAndThawedIceIsSpokenOf() {
            lye(-50, -9);
            assertThat(seen(MILK, 0).setup().contents().iceStart().celsius()).isEqualTo(-9);
            assertThat(seen(MILK, 0).peakIfThawed()).isEmpty();
            lye(-1, 7);
            assertThat(seen(MILK, 0).setup().contents().iceStart().celsius()).isZero();
            double thawed = seen(MILK, 0).peakIfThawed().orElseThrow().celsius();
            assertThat(thawed).isGreaterThan(seen(MILK, 0).forecast().peakCelsiusAhead() + 10);
            at(0, new Entry.PortionFed(1, 9));
            assertThat(seen(MILK, 1).peakIfThawed()).isEmpty();
        }

        @Test
        void goesByWhatWasWeighed() {
            double planned = seen(WATER, 0).setup().contents().water().grams();
            at(-20, new Entry.Weighed(Weighable.liquid("distilled-water"), Mass.grams(planned + 60), Tare.TAKEN, null));
            assertThat(seen(WATER, 0).setup().contents().water().grams()).isCloseTo(planned + 60, within(1e-6));
        }
    }
}
