package io.causticon.core.science.forecast;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.OvenStay;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.science.loaf.LoafKnowledge;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is logged of a mould is where its loaf stands. */
class LoafForecastTest {

    private static final Instant BEGUN = Instant.parse("2026-11-20T09:00:00Z");
    private static final Temperature ROOM = Temperature.celsius(20);

    private final BatchPlan plan =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    @BeforeEach
    void pour() {
        at(60, new Entry.Poured(Temperature.celsius(40)));
    }

    private void at(int minutes, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plus(Duration.ofMinutes(minutes)), "odd", entry));
    }

    private void kept(int minutes, MouldCare care, @Nullable Temperature temperature) {
        at(minutes, new Entry.Kept(care, temperature));
    }

    private LoafEnsemble forecast() {
        return LoafForecast.poured(
                        BatchFacts.of(plan, new BatchLog(BEGUN, lines), Instant.MAX), ROOM, LoafKnowledge.NONE)
                .orElseThrow();
    }

    @Test
    void anOvenWarmsItAndIsOffAfterAnHourUnlessMoreIsSaid() {
        LoafHistory room = forecast().middle();
        kept(62, MouldCare.OVEN, Temperature.celsius(75));
        LoafHistory oven = forecast().middle();
        assertThat(oven.peak()).isGreaterThan(room.peak() + 8);
        assertThat(oven.extent()).isEqualTo(Extent.FULL);
        kept(62 + 180, MouldCare.UNCOVERED, null);
        // Three hours in it, and then out: warmer for longer.
        assertThat(forecast().middle().coreCelsiusAt(3)).isGreaterThan(oven.coreCelsiusAt(3) + 1);
    }

    @Test
    void aFridgeAfterHoursCoolsWhatHadWarmedByThen() {
        LoafHistory room = forecast().middle();
        kept(60 + 150, MouldCare.FRIDGE, null);
        LoafHistory late = forecast().middle();
        assertThat(late.coreCelsiusAt(2.4)).isCloseTo(room.coreCelsiusAt(2.4), within(0.01));
        assertThat(late.coreCelsiusAt(8)).isLessThan(room.coreCelsiusAt(8) - 5);
        assertThat(late.coreCelsiusAt(30)).isBetween(4.5, 9.0);
    }

    @Test
    void whatIsLoggedWithThePourIsDoneAtThePour() {
        kept(64, MouldCare.FREEZER, null);
        LoafHistory freezer = forecast().middle();
        assertThat(freezer.peak()).isLessThan(45);
        assertThat(freezer.coreCelsiusAt(30)).isLessThan(0);
        // A film of alcohol keeps nothing warm or cold.
        kept(65, MouldCare.SPRAYED, null);
        assertThat(forecast().middle().coreCelsiusAt(5)).isEqualTo(freezer.coreCelsiusAt(5));
    }

    @Test
    void anOvenWarmsByItsDegreesAndMinutesAndMoreWhenItIsHotAtOnce() {
        double[] peaks = {
            inOven(new OvenStay(Temperature.celsius(50), 30, true)),
            inOven(new OvenStay(Temperature.celsius(70), 30, false)),
            inOven(new OvenStay(Temperature.celsius(70), 30, true)),
            inOven(new OvenStay(Temperature.celsius(70), 90, true)),
            inOven(new OvenStay(Temperature.celsius(90), 90, true))
        };
        assertThat(peaks).isSorted();
        assertThat(peaks[4]).isGreaterThan(peaks[0] + 10);
    }

    @Test
    void saysWhenToGiveItAir() {
        LoafEnsemble loaf = forecast();
        assertThat(LoafWatch.of(loaf, 0.1, Optional.empty()).what()).isEqualTo(LoafWatch.What.LOOK_LATER);
        assertThat(LoafWatch.of(loaf, loaf.mostTellingHour() + 0.1, Optional.of(Temperature.celsius(62)))
                        .what())
                .isEqualTo(LoafWatch.What.LEAVE);
        assertThat(LoafWatch.of(loaf, loaf.settledHour(), Optional.empty()).what())
                .isEqualTo(LoafWatch.What.SETTLED);
        // What is read is believed before what was forecast, whatever the hour.
        assertThat(LoafWatch.of(loaf, 20, Optional.of(Temperature.celsius(81))).what())
                .isEqualTo(LoafWatch.What.AIR_NOW);
        kept(61, MouldCare.INSULATED, null);
        kept(62, MouldCare.OVEN, Temperature.celsius(95));
        LoafWatch oven = LoafWatch.of(forecast(), 0.5, Optional.empty());
        assertThat(oven.what()).isEqualTo(LoafWatch.What.MAY_OVERHEAT);
        assertThat(oven.tooHot()).isGreaterThan(0.1);
    }

    /** In small cavities, which are as warm as what stands round them. */
    private static double inOven(OvenStay stay) {
        BatchPlan cavities = recipe().fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .plan()
                .with(new Mould("cavities", MouldKind.CAVITIES, 60, 60, 30, 14))
                .inOven(stay);
        return LoafForecast.planned(cavities, ROOM, LoafKnowledge.NONE)
                .orElseThrow()
                .middle()
                .peak();
    }
}
