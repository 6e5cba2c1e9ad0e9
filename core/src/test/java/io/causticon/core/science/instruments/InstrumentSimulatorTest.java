package io.causticon.core.science.instruments;

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
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafKnowledge;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class InstrumentSimulatorTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");
    private static final Temperature ROOM = Temperature.celsius(18);

    private BatchPlan plan =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    private static Instant minute(double minute) {
        return BEGUN.plusMillis(Math.round(60_000 * minute));
    }

    private InstrumentSimulatorTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), minute(minute), "ines", entry));
        return this;
    }

    private InstrumentSimulator readings(double since) {
        BatchLog log = new BatchLog(BEGUN, lines);
        return new InstrumentSimulator(
                plan,
                log,
                ROOM,
                minute(since),
                () -> LoafForecast.poured(BatchFacts.of(plan, log, Instant.MAX), ROOM, LoafKnowledge.NONE)
                        .map(LoafEnsemble::middle));
    }

    private double celsius(MeasurementPoint spot, double minute) {
        return readings(0).thermometer(spot, minute(minute)).celsius();
    }

    private void poured() {
        at(30, new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(42)))
                .at(30, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(38)))
                .at(31, new Entry.LyeIntoFats())
                .at(45, new Entry.Poured(Temperature.celsius(42)));
    }

    @Test
    void scaleFillsToWhatIsNextAndBeginsAnewAfterEachWeighing() {
        assertThat(readings(0).scale(minute(0)).grams()).isZero();
        assertThat(readings(0).scale(minute(0.05)).grams()).isBetween(200.0, 500.0);
        assertThat(readings(0).scale(minute(1)).grams()).isCloseTo(700, within(0.1));
        at(1, new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(700), Tare.TAKEN, null));
        assertThat(readings(0).scale(minute(1)).grams()).isZero();
        assertThat(readings(0).scale(minute(2)).grams()).isCloseTo(300, within(0.1));
    }

    @Test
    void scaleHoldsTheLyeASecondTimeAndIsEmptyAtTheEnd() {
        WeighingOrder.of(plan, new BatchLog(BEGUN, List.of()))
                .targets()
                .forEach((what, mass) -> at(1, new Entry.Weighed(what, mass, Tare.TAKEN, null)));
        Mass water = Weights.planned(plan.formula()).water();
        at(2, new Entry.WeighedAgain(Weighable.liquid("distilled-water"), water));
        double lye = plan.scales()
                .shownOfLye(AlkaliBalance.of(plan.formula()).naoh())
                .grams();
        assertThat(readings(0).scale(minute(3)).grams()).isCloseTo(lye, within(0.05));
        at(4, new Entry.WeighedAgain(Weighable.NAOH, Mass.grams(lye)));
        assertThat(readings(0).scale(minute(5)).grams()).isZero();
    }

    @Test
    void lyeIsAtTheRoomUntilItIsFedAndThenHot() {
        assertThat(celsius(MeasurementPoint.LYE, 5)).isEqualTo(18);
        at(5, new Entry.PortionFed(1, 1));
        assertThat(celsius(MeasurementPoint.LYE, 12)).isGreaterThan(60);
    }

    @Test
    void lyeOfIceBeginsAsColdAsTheFreezer() {
        plan = recipe().fat("olive-oil", 700).frozen("goat-milk-whole", 100).plan();
        assertThat(celsius(MeasurementPoint.LYE, 5)).isEqualTo(-17);
    }

    @Test
    void aPotThatWasReadBeforeGoesOnFromThere() {
        at(10, new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(50)));
        double after =
                readings(10.5).thermometer(MeasurementPoint.FATS, minute(20)).celsius();
        assertThat(after).isBetween(46.5, 49.5);
        // A probe that was there all the time saw it melt.
        assertThat(readings(0).thermometer(MeasurementPoint.FATS, minute(20)).celsius())
                .isGreaterThan(55);
    }

    @Test
    void aBathIsFeltFromTheMomentItIsEntered() {
        double free = celsius(MeasurementPoint.FATS, 30);
        at(20, new Entry.Bathed(MeasurementPoint.FATS, Bath.ICE_BATH));
        assertThat(celsius(MeasurementPoint.FATS, 20)).isGreaterThan(free);
        assertThat(celsius(MeasurementPoint.FATS, 30)).isLessThan(free - 8);
        double out = celsius(MeasurementPoint.FATS, 25);
        at(25, new Entry.Bathed(MeasurementPoint.FATS, Bath.ROOM));
        assertThat(out - celsius(MeasurementPoint.FATS, 26)).isBetween(0.0, 0.6);
    }

    @Test
    void batterIsTheMixtureAndThenTheLoaf() {
        assertThat(celsius(MeasurementPoint.BATTER, 5)).isEqualTo(18);
        poured();
        // Between 38 and 42, nearer to the fats, and two degrees more in the end.
        assertThat(celsius(MeasurementPoint.BATTER, 31)).isBetween(40.0, 41.6);
        assertThat(celsius(MeasurementPoint.BATTER, 44)).isBetween(41.0, 43.0);
        assertThat(celsius(MeasurementPoint.CORE, 45)).isCloseTo(42, within(0.1));
        double warmest = 0;
        for (int hour = 0; hour < 12; hour++) {
            warmest = Math.max(warmest, celsius(MeasurementPoint.CORE, 45 + 60 * hour));
        }
        assertThat(warmest).isGreaterThan(48);
        assertThat(celsius(MeasurementPoint.CORE, 45 + 60 * 35)).isLessThan(warmest - 10);
    }

    @Test
    void roomIsTheRoom() {
        poured();
        assertThat(celsius(MeasurementPoint.ROOM, 50)).isEqualTo(18);
    }

    @Test
    void penRestsThenFallsFromTheBatterToTheBar() {
        assertThat(readings(0).penPh(minute(5))).isEqualTo(7);
        poured();
        assertThat(readings(0).penPh(minute(40))).isBetween(12.0, 12.8);
        assertThat(readings(0).penPh(minute(45 + 60 * 48))).isBetween(9.0, 10.5);
    }

    @Test
    void penShowsALyeThatTheFatsCannotTake() {
        double lye = plan.scales()
                .shownOfLye(AlkaliBalance.of(plan.formula()).naoh())
                .grams();
        at(1, new Entry.Weighed(Weighable.NAOH, Mass.grams(1.15 * lye), Tare.TAKEN, null));
        poured();
        assertThat(readings(0).penPh(minute(45 + 60 * 48))).isGreaterThan(11.2);
    }

    @Test
    void penKnowsABarOfUnknownShapeByItsAge() {
        plan = new BatchPlan(
                plan.name(),
                plan.formula(),
                plan.process(),
                plan.gel(),
                null,
                plan.mixAt(),
                plan.scales(),
                plan.note());
        poured();
        double young = readings(0).penPh(minute(45 + 60));
        assertThat(readings(0).penPh(minute(45 + 600))).isLessThan(young);
        assertThat(readings(0).penPh(minute(45 + 6000))).isBetween(9.0, 10.5);
    }
}
