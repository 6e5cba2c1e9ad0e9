package io.causticon.core.science.cure;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MouldLook;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Process;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** When soap lets go of its mould, by its recipe and by trying. */
class UnmouldTest {

    private static final Instant BEGUN = Instant.parse("2026-11-20T09:00:00Z");

    private final BatchPlan plan =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan();
    private final List<LoggedEntry> lines =
            new ArrayList<>(List.of(LoggedEntry.first("p", BEGUN, "odd", new Entry.Poured(null))));

    private Unmould after(double hours) {
        Instant now = BEGUN.plusSeconds(Math.round(3600 * hours));
        return Unmould.of(BatchFacts.of(plan, new BatchLog(BEGUN, lines), now), now)
                .orElseThrow();
    }

    private void at(double hours, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plusSeconds(Math.round(3600 * hours)), "odd", entry));
    }

    @Test
    void isForecastFromTheRecipe() {
        Unmould usual = Unmould.planned(plan);
        assertThat(usual.median()).isCloseTo(Schedule.of(plan).unmould().toMinutes() / 60.0, within(0.5));
        assertThat(usual.hours().low()).isLessThan(usual.median() * 0.65);
        assertThat(usual.hours().high()).isGreaterThan(usual.median() * 1.5);
        // Brine bars in hours, all-olive in days, cooked soap the next day.
        Unmould brine = Unmould.planned(
                recipe().fat("coconut-oil-76", 1000).additive("salt-bar", 500).plan());
        assertThat(brine.hours().high()).isLessThan(14);
        assertThat(brine.brittleAfter().orElseThrow()).isGreaterThan(brine.median());
        Unmould olive = Unmould.planned(recipe().fat("olive-oil", 1000).plan());
        assertThat(olive.median()).isGreaterThan(30);
        assertThat(olive.brittleAfter()).isEmpty();
        assertThat(Unmould.planned(recipe().fat("olive-oil", 1000)
                                .process(Process.HOT)
                                .plan())
                        .median())
                .isBetween(8.0, 20.0);
    }

    @Test
    void isMovedByEachTry() {
        Unmould before = after(20);
        at(19, new Entry.MouldTried(MouldLook.CLINGS));
        Unmould clings = after(20);
        assertThat(clings.median()).isGreaterThan(before.median() * 1.15);
        assertThat(clings.readyNow()).isLessThan(before.readyNow() * 0.6);
        at(30, new Entry.MouldTried(MouldLook.DENTS));
        at(48, new Entry.MouldTried(MouldLook.LETS_GO));
        Unmould lets = after(48);
        assertThat(lets.readyNow()).isGreaterThan(0.85);
        assertThat(lets.hours().low()).isGreaterThan(before.hours().low());
        assertThat(lets.tries()).isEqualTo(3);
        // Not before it was tried.
        assertThat(after(18.9).tries()).isZero();
    }

    @Test
    void growsWithTime() {
        double last = 0;
        for (double hour = 1; hour < 100; hour += 3) {
            assertThat(after(hour).readyNow()).isBetween(last, 1.0);
            last = after(hour).readyNow();
        }
        assertThat(last).isGreaterThan(0.97);
    }

    @Test
    void heedsGel() {
        double usual = after(1).median();
        at(4, new Entry.GelSeen(GelExtent.FULL));
        assertThat(after(5).median()).isCloseTo(0.65 * usual, within(0.05 * usual));
    }

    @Test
    void standsWhateverIsTapped() {
        for (int i = 0; i < 400; i++) {
            at(0.1, new Entry.MouldTried(i % 3 == 0 ? MouldLook.CLINGS : MouldLook.LETS_GO));
        }
        assertThat(after(20).readyNow()).isBetween(0.0, 1.0);
        assertThat(after(20).median()).isPositive().isFinite();
    }
}
