package io.causticon.core.science.cure;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Whither;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.substance.FattyAcid;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.workshop.dates.Tasks;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StalenessTest {

    private static final Instant BEGUN = Instant.parse("2026-02-01T10:00:00Z");

    private static BatchLog log(double room, Entry... later) {
        List<LoggedEntry> lines = new ArrayList<>();
        lines.add(LoggedEntry.first(
                "room", BEGUN, "Ines", new Entry.TemperatureRead(MeasurementPoint.ROOM, Temperature.celsius(room))));
        lines.add(LoggedEntry.first("poured", BEGUN, "Ines", new Entry.Poured(null)));
        for (int i = 0; i < later.length; i++) {
            lines.add(LoggedEntry.first("later" + i, BEGUN.plus(Duration.ofDays(400 + i)), "Ines", later[i]));
        }
        return new BatchLog(BEGUN, lines);
    }

    private static double days(BatchPlan plan, double room) {
        return Duration.between(
                                BEGUN,
                                Staleness.of(plan, log(room)).orElseThrow().likely())
                        .toSeconds()
                / 86_400.0;
    }

    private static Recipes olive(double grams) {
        return recipe().fat("olive-oil", grams).fat("coconut-oil-76", 1000 - grams);
    }

    /** By hand: 98 days over (oleic + 10.3 linoleic + 21.6 linolenic) times (superfat + 5 %). */
    @Test
    void followsItsAcidsAndWhatIsLeftAsFat() {
        BatchPlan plan = olive(700).plan();
        double acids = 0;
        for (FatPortion f : plan.formula().fats()) {
            double share = f.mass().grams() / 1000;
            acids += share
                    * (f.fat().shareOf(FattyAcid.OLEIC)
                            + 10.3 * f.fat().shareOf(FattyAcid.LINOLEIC)
                            + 21.6 * f.fat().shareOf(FattyAcid.ALPHA_LINOLENIC));
        }
        double superfat = plan.formula().superfat().fraction();
        assertThat(days(plan, 20)).isCloseTo(98 / (acids * (superfat + 0.05)), within(3.0));
    }

    @Test
    void comesSoonerWithWhatTakesUpOxygen() {
        double plain = days(olive(700).plan(), 20);
        assertThat(days(
                        recipe().fat("canola-oil", 700)
                                .fat("coconut-oil-76", 300)
                                .plan(),
                        20))
                .isLessThan(0.6 * plain);
        assertThat(days(recipe().fat("coconut-oil-76", 1000).plan(), 20)).isGreaterThan(2 * plain);
        assertThat(days(olive(700).superfat(12).plan(), 20)).isLessThan(0.8 * plain);
        assertThat(days(olive(700).plan(), 30)).isCloseTo(plain / 2, within(1.0));
        assertThat(days(olive(700).additive("sodium-citrate", 15).plan(), 20)).isGreaterThan(1.3 * plain);
        Staleness told = Staleness.of(
                        recipe().fat("canola-oil", 1000).superfat(9).plan(), log(28))
                .orElseThrow();
        assertThat(told.because()).hasSize(3);
        assertThat(Duration.between(BEGUN, told.likely()).toHours())
                .isCloseTo(2 * Duration.between(BEGUN, told.from()).toHours(), within(24L));
        assertThat(Staleness.of(olive(700).plan(), new BatchLog(BEGUN, List.of())))
                .isEmpty();
    }

    @Test
    void isLookedForWhileThereAreBarsAndUntilItIsSeen() {
        BatchPlan plan = recipe().fat("canola-oil", 1000).superfat(9).plan();
        Staleness told = Staleness.of(plan, log(20)).orElseThrow();
        assertThat(told.nextLook(log(20))).contains(told.from());
        Optional<Instant> again = told.nextLook(log(20, new Entry.Observed("orange-dots", Presence.LOOKED_AND_ABSENT)));
        assertThat(again).contains(BEGUN.plus(Duration.ofDays(456)));
        assertThat(told.nextLook(log(20, new Entry.Observed("crayon-smell", Presence.SEEN))))
                .isEmpty();
        assertThat(told.nextLook(log(20, new Entry.Cut(6), new Entry.BarsWent(Bars.some(6), Whither.SOLD, ""))))
                .isEmpty();
        assertThat(told.nextLook(log(20, new Entry.Cut(6), new Entry.BarsWent(Bars.some(5), Whither.SOLD, ""))))
                .isPresent();
    }

    @Test
    void isATaskOfWhatIsReleasedAndNothingElseIs() {
        BatchPlan plan = recipe().fat("canola-oil", 1000).superfat(9).plan();
        assertThat(Tasks.of(plan, log(20))).noneMatch(t -> t.kind() == Tasks.Kind.LOOK);
        assertThat(Tasks.of(plan, log(20, new Entry.Released("calm"))))
                .filteredOn(Tasks.Task::isOpen)
                .extracting(Tasks.Task::kind)
                .containsExactly(Tasks.Kind.LOOK);
    }
}
