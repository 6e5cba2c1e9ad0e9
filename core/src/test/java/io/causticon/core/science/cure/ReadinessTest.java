package io.causticon.core.science.cure;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Mass;
import io.causticon.core.workshop.dates.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class ReadinessTest {

    private static final Instant BEGUN = Instant.parse("2026-10-01T09:00:00Z");

    private final BatchPlan plan =
            recipe().fat("olive-oil", 600).fat("coconut-oil-76", 400).plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    private ReadinessTest at(double days, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plusSeconds(Math.round(86_400 * days)), "odd", entry));
        return this;
    }

    private ReadinessTest bar(double days, int number, double grams) {
        return at(days, new Entry.BarWeighed(Mass.grams(grams), number == 0 ? null : Bars.numbered(number)));
    }

    private BatchLog cut() {
        at(0.1, new Entry.Poured(null)).at(1, new Entry.Unmoulded()).at(1.05, new Entry.Cut(9));
        return new BatchLog(BEGUN, lines);
    }

    private Instant ready() {
        return Tasks.ready(plan, new BatchLog(BEGUN, lines));
    }

    @Test
    void isTheMinimumForItsKindUntilBarsWereWeighedTwice() {
        cut();
        Instant minimum = ready();
        assertThat(minimum).isEqualTo(BEGUN.plus(Duration.ofDays(29)));
        bar(2, 0, 120);
        assertThat(ready()).isEqualTo(minimum);
    }

    @Test
    void movesWithWhatTheScaleSays() {
        cut();
        bar(2, 1, 120)
                .bar(2, 2, 124)
                .bar(16, 1, 111)
                .bar(16, 2, 114.6)
                .bar(30, 1, 106.5)
                .bar(30, 2, 110);
        Instant slow = ready();
        assertThat(slow).isAfter(BEGUN.plus(Duration.ofDays(36)));
        Readiness readiness = Readiness.of(plan, new BatchLog(BEGUN, lines));
        assertThat(readiness.readyBand().get(0)).isBeforeOrEqualTo(slow);
        assertThat(readiness.readyBand().get(1)).isAfter(slow);
        assertThat(readiness.drying().bars()).containsExactly("1", "2");
        // Bars that lose hardly anything any more are as old as they have to be, and no older.
        lines.clear();
        cut();
        bar(2, 1, 120).bar(12, 1, 112.5).bar(20, 1, 112.1).bar(27, 1, 111.9).bar(28, 1, 111.8);
        assertThat(ready()).isBefore(slow);
    }

    @Test
    void doesNotCountWhatWasWeighedBeforeTheCut() {
        bar(0.5, 0, 1400);
        cut();
        bar(2, 0, 120).bar(16, 0, 111);
        assertThat(Readiness.of(plan, new BatchLog(BEGUN, lines)).drying().weighings())
                .isEqualTo(2);
    }
}
