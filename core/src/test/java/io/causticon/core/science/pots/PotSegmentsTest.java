package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class PotSegmentsTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");
    private static final Instant LATER = BEGUN.plusSeconds(86_400);

    private static final PotCooling EXPECTED = new PotCooling(0.013, 0.20, PotCooling.UNKNOWN_VESSEL);

    private final List<LoggedEntry> lines = new ArrayList<>();

    private PotSegmentsTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first(
                String.valueOf(lines.size()), BEGUN.plusMillis(Math.round(60_000 * minute)), "ines", entry));
        return this;
    }

    private PotSegmentsTest lye(double minute, double celsius) {
        return at(minute, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(celsius)));
    }

    private PotSegments segments() {
        return PotSegments.of(new BatchLog(BEGUN, lines), MeasurementPoint.LYE, LATER);
    }

    @Test
    void aReadingThatRisesInTheRoomBeginsAnew() {
        lye(0, 80).lye(10, 72).lye(20, 66).lye(25, 74).lye(35, 68);
        assertThat(segments().segments()).hasSize(2);
        assertThat(segments().current().readings()).hasSize(2);
    }

    @Test
    void aBathBeginsAnewAndWarmingInItDoesNot() {
        lye(0, 16)
                .at(3, new Entry.Bathed(MeasurementPoint.FATS, Bath.COLD_BATH))
                .at(5, new Entry.Bathed(MeasurementPoint.LYE, Bath.WARM_BATH))
                .lye(8, 20)
                .lye(11, 24);
        assertThat(segments().current().in()).isEqualTo(Bath.WARM_BATH);
        assertThat(segments().current().readings()).hasSize(2);
        assertThat(segments().current().from()).isEqualTo(5);
    }

    @Test
    void aPotJustPutIntoABathStartsFromItsLastReading() {
        lye(0, 70).lye(10, 64).at(12, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH));
        assertThat(segments().current().readings()).isEmpty();
        assertThat(segments().lastReading()).contains(new CoolingFit.Reading(10, 64));
    }

    @Test
    void whatWasReadBeforeABathTellsTheRateAfterIt() {
        CoolingBody fast = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.020, EXPECTED.excess());
        for (double m = 0; m <= 30; m += 6) {
            lye(m, fast.after(m).celsius());
        }
        at(31, new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH))
                .lye(36, 40)
                .at(37, new Entry.Bathed(MeasurementPoint.LYE, Bath.ROOM))
                .lye(38, 38);
        CoolingMemory.Timed told = segments()
                .timedBefore(EXPECTED, Temperature.celsius(20), CoolingFit.ROOM_READ)
                .orElseThrow();
        assertThat(0.013 * Math.exp(told.logRatio())).isCloseTo(0.020, within(0.001));
        PotCooling now = CoolingMemory.NONE.and(told).expect(EXPECTED);
        assertThat(now.rate()).isCloseTo(0.020, within(0.0015));
        assertThat(now.spread()).isLessThan(0.25);
    }

    @Test
    void memoryShrinksWithBatchesButNeverBelowWhatDiffersFromDayToDay() {
        CoolingMemory.Timed quick = new CoolingMemory.Timed(Math.log(1.5), 0.15);
        PotCooling one = CoolingMemory.of(List.of(quick)).expect(EXPECTED);
        PotCooling twenty = CoolingMemory.of(Collections.nCopies(20, quick)).expect(EXPECTED);
        assertThat(CoolingMemory.of(List.of()).expect(EXPECTED)).isEqualTo(EXPECTED);
        assertThat(one.rate() / EXPECTED.rate()).isBetween(1.3, 1.5);
        assertThat(twenty.rate() / EXPECTED.rate()).isCloseTo(1.5, within(0.01));
        assertThat(twenty.spread()).isBetween(0.12, one.spread());
    }
}
