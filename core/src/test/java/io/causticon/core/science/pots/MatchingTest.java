package io.causticon.core.science.pots;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Lye and fats of a batch, as its log tells of them; how well the fit does is tested with the fit. */
class MatchingTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");
    private static final Temperature ROOM = Temperature.celsius(18);

    private final BatchPlan plan =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    private static Instant minute(double minute) {
        return BEGUN.plusMillis(Math.round(60_000 * minute));
    }

    private MatchingTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), minute(minute), "ines", entry));
        return this;
    }

    private MatchingTest read(double minute, MeasurementPoint spot, double celsius) {
        return at(minute, new Entry.TemperatureRead(spot, Temperature.celsius(celsius)));
    }

    private Matching seen(BatchPlan of, double minute) {
        BatchFacts facts = BatchFacts.of(of, new BatchLog(BEGUN, lines), minute(minute));
        return Matching.of(of, facts, ROOM, TemperatureChange.kelvin(6), PotMemories.NONE, minute(minute));
    }

    private Matching seen(double minute) {
        return seen(plan, minute);
    }

    /** Both pots as the cooling law has them, read every few minutes. */
    private MatchingTest cooling(double lye, double fats, double until) {
        CoolingBody jug = new CoolingBody(Temperature.celsius(lye), ROOM, 0.013, 0.20);
        CoolingBody pot = new CoolingBody(Temperature.celsius(fats), ROOM, 0.010, 0.20);
        for (double m = 0; m <= until; m += 5) {
            read(m, MeasurementPoint.LYE, jug.after(m).celsius())
                    .read(m + 0.1, MeasurementPoint.FATS, pot.after(m).celsius());
        }
        return this;
    }

    @Test
    void needsBothPotsToHaveBeenRead() {
        assertThat(seen(5).meeting()).isEmpty();
        read(1, MeasurementPoint.LYE, 80);
        assertThat(seen(5).lye()).isPresent();
        assertThat(seen(5).meeting()).isEmpty();
        read(2, MeasurementPoint.FATS, 60);
        assertThat(seen(5).meeting()).isPresent();
    }

    @Test
    void oneReadingOfEachStandsForThePotsUntilThereAreMore() {
        read(1, MeasurementPoint.LYE, 80).read(1, MeasurementPoint.FATS, 60);
        assertThat(seen(1).lye().orElseThrow().celsiusAt(1)).isCloseTo(80, within(0.7));
        assertThat(seen(31).lye().orElseThrow().celsiusAt(31)).isBetween(52.0, 72.0);
    }

    @Test
    void theWindowIsAroundThePlansTemperatureButNotBelowWhatKeepsItClear() {
        assertThat(seen(0).window().high()).isCloseTo(45, within(1e-9));
        assertThat(seen(0).window().low()).isBetween(35.0, 40.0);
        BatchPlan waxy = recipe().fat("olive-oil", 700).fat("palm-stearin", 300).plan();
        // Palm stearin keeps it at the plan's own temperature at least.
        assertThat(seen(waxy, 0).window().low()).isGreaterThan(seen(0).window().low());
    }

    @Test
    void twoPotsThatComeDownTogetherMeetByWaiting() {
        Matching seen = cooling(66, 60, 20).seen(20);
        assertThat(seen.meeting().orElseThrow().probability()).isGreaterThan(0.8);
        double meet = seen.meeting().orElseThrow().median();
        CoolingBody jug = new CoolingBody(Temperature.celsius(66), ROOM, 0.013, 0.20);
        CoolingBody pot = new CoolingBody(Temperature.celsius(60), ROOM, 0.010, 0.20);
        assertThat(seen.window().contains(pot.after(meet).celsius())).isTrue();
        assertThat(Math.abs(jug.after(meet).celsius() - pot.after(meet).celsius()))
                .isLessThan(seen.tolerance().kelvin() + 0.5);
    }

    @Test
    void hotLyeFarFromCoolFatsIsHelpedByABathOfTheRightPot() {
        List<BathAdvice> baths = cooling(85, 42, 10).seen(10).baths();
        assertThat(baths).isNotEmpty();
        assertThat(baths).isSortedAccordingTo((a, b) -> Double.compare(a.minutes(), b.minutes()));
        assertThat(baths).anySatisfy(b -> {
            assertThat(b.pot()).isEqualTo(BathAdvice.Pot.LYE);
            assertThat(b.bath().celsius()).isLessThan(20);
            assertThat(b.minutes()).isLessThan(40);
        });
    }

    @Test
    void noBathIsAdvisedForPotsThatAreTogetherSoon() {
        assertThat(cooling(43, 42, 10).seen(10).baths()).isEmpty();
    }

    @Test
    void aBathIsTakenInFromTheMomentItIsLogged() {
        cooling(85, 60, 10);
        double free = seen(20).lye().orElseThrow().celsiusAt(20);
        at(10.5, new Entry.Bathed(MeasurementPoint.LYE, Bath.COLD_BATH));
        double bathed = seen(20).lye().orElseThrow().celsiusAt(20);
        assertThat(bathed).isLessThan(free - 5);
        assertThat(seen(20).fats().orElseThrow().celsiusAt(20))
                .isCloseTo(seen(20).fats().orElseThrow().celsiusAt(20), within(1e-9));
    }

    @Test
    void theRoomThatWasReadIsBelievedBeforeTheUsualOne() {
        read(0, MeasurementPoint.ROOM, 28);
        double warm = cooling(60, 55, 5).seen(60).lye().orElseThrow().celsiusAt(60);
        lines.remove(0);
        assertThat(seen(60).lye().orElseThrow().celsiusAt(60)).isLessThan(warm);
    }
}
