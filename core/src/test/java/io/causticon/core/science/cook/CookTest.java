package io.causticon.core.science.cook;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cook.CookWatch.Stage;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.loaf.RateLaw;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** A pot of soap on the heat, from the plan to the spoon. */
class CookTest {

    private final PotLog pot = new PotLog();
    private BatchPlan plan = cooked(5, 0);

    /** 700 g olive, 250 coconut, and shea of which this much goes in after the cook. */
    private static BatchPlan cooked(double superfat, double after) {
        BatchPlan plan = recipe().fat("olive-oil", 700)
                .fat("coconut-oil-76", 250)
                .fat("shea-butter", 50)
                .superfat(superfat)
                .process(Process.HOT)
                .plan();
        List<FatPortion> fats = plan.formula().fats().stream()
                .map(f -> f.fat().id().equals("shea-butter")
                        ? f.weighing(Mass.grams(after > 0 ? after : 50)).goingInAfterTheCook(after > 0)
                        : f)
                .toList();
        return plan.with(plan.formula().withFats(fats));
    }

    private PotLog at(double minutes, Entry entry) {
        return pot.at(minutes, entry);
    }

    private PotLog cook(double minutes, Cooking what) {
        return pot.cook(minutes, what);
    }

    private PotLog pot(double minutes, double celsius) {
        return pot.pot(minutes, celsius);
    }

    private CookWatch watch(double minutes) {
        return pot.watch(plan, minutes);
    }

    @Nested
    class ThePlan {

        @Test
        void tellsWhatTheLyeLeavesOfTheFatsInThePot() {
            // 700 x 187.4 + 250 x 257 + 50 x 180 by the tables; the lye is for 95 % of all of it.
            CookPlan all = CookPlan.of(cooked(5, 0));
            assertThat(all.superfatOfTheCook().fraction()).isCloseTo(0.05, within(1e-9));
            assertThat(all.after()).isEmpty();
            CookPlan kept = CookPlan.of(cooked(5, 50));
            BatchPlan plan = cooked(5, 50);
            double moles = plan.formula().fats().stream()
                    .mapToDouble(FatPortion::alkaliMoles)
                    .sum();
            double shea = plan.formula().fats().get(2).alkaliMoles();
            assertThat(kept.superfatOfTheCook().fraction())
                    .isCloseTo(1 - 0.95 * moles / (moles - shea), within(1e-12))
                    .isBetween(0.0, 0.02);
            assertThat(kept.afterMass().grams()).isEqualTo(50);
            assertThat(kept.lyeIsLeftOver()).isFalse();
        }

        @Test
        void saysWhenTheLyeWouldEatWhatComesAfter() {
            CookPlan plan = CookPlan.of(cooked(5, 120));
            assertThat(plan.superfatOfTheCook().fraction()).isLessThan(-0.04);
            assertThat(plan.lyeIsLeftOver()).isTrue();
        }

        @Test
        void tellsTimeWaterAndPot() {
            CookPlan plan = CookPlan.of(cooked(5, 0));
            // By the law at 80 C, and a third either way at 80 %.
            assertThat(plan.hours().low()).isLessThan(plan.hours().high() / 2);
            assertThat(plan.hours().middle()).isBetween(0.5, 4.0);
            // 1.35 l of batter in a pot of 2.7, as wide as it is high: 0.18 m across, 4 kg a square metre and hour.
            assertThat(plan.waterLostHourly().grams()).isBetween(90.0, 140.0);
            // A kilogram of fats with its lye is 1.5 litres or so.
            assertThat(plan.leastPotLitres()).isBetween(2.4, 3.2);
        }
    }

    @Nested
    class TheWatch {

        @Test
        void isThereFromLyeInOn() {
            Instant now = PotLog.moment(1);
            assertThat(CookWatch.of(BatchFacts.of(plan, pot.log(), now), now)).isEmpty();
            at(10, new Entry.LyeIntoFats());
            assertThat(watch(20).stage()).isEqualTo(Stage.BEFORE);
        }

        @Test
        void reckonsFromReadingToReading() {
            at(0, new Entry.LyeIntoFats()).cook(20, Cooking.HEAT_ON);
            pot(0, 80).pot(60, 80);
            double factor =
                    io.causticon.core.science.loaf.Batter.of(plan.formula()).rate();
            CookWatch hour = watch(60);
            assertThat(hour.soap()).isCloseTo(RateLaw.shareAfter(0.05, 1, 80, factor), within(1e-9));
            assertThat(hour.soapBand().low()).isLessThan(hour.soap());
            assertThat(hour.soapBand().high()).isGreaterThan(hour.soap());
            assertThat(watch(400).hoursLeft()).isZero();
            // The other way round, it is the same law.
            double hours = RateLaw.hoursBetween(0.05, 0.6, 80, factor);
            assertThat(RateLaw.shareAfter(0.05, hours, 80, factor)).isCloseTo(0.6, within(1e-9));
            assertThat(watch(30).hoursLeft()).isGreaterThan(hour.hoursLeft());
        }

        @Test
        void wantsItStirredWhenItRises() {
            at(0, new Entry.LyeIntoFats()).cook(10, Cooking.HEAT_ON).cook(25, Cooking.RISES);
            assertThat(watch(26).says().pattern()).contains("boils over");
            cook(27, Cooking.STIRRED);
            assertThat(watch(28).says().pattern()).doesNotContain("boils over");
            assertThat(watch(48).says().pattern()).startsWith("Stir it");
        }

        @Test
        void findsTheWaterThatLeftByTheScale() {
            at(0, new Entry.LyeIntoFats()).cook(5, Cooking.HEAT_ON);
            at(6, new Entry.PotWeighed(Mass.grams(2400)))
                    .at(
                            30,
                            new Entry.Added(
                                    new Named("distilled-water", "Distilled water"), Mass.grams(50), null, null));
            assertThat(watch(40).lost()).isEmpty();
            at(60, new Entry.PotWeighed(Mass.grams(2290)));
            assertThat(watch(61).lost().orElseThrow().grams()).isCloseTo(160, within(1e-9));
            double water = CookPlan.of(plan).water().grams();
            double missing = 160 - 0.35 * water;
            assertThat(watch(61).back().grams()).isCloseTo(Math.ceil(missing), within(1e-9));
            at(70, new Entry.PotWeighed(Mass.grams(2600)));
            assertThat(watch(71).heeds()).anyMatch(h -> h.pattern().contains("heavier"));
            assertThat(watch(71).back().isPositive()).isFalse();
        }

        @Test
        void letsNobodyGoOnWithoutATest() {
            at(0, new Entry.LyeIntoFats())
                    .cook(5, Cooking.HEAT_ON)
                    .at(8, new Entry.PhRead(9, PhMethod.STRIP, null))
                    .cook(90, Cooking.CLEAR);
            assertThat(watch(91).stage()).isEqualTo(Stage.TO_TEST);
            assertThat(watch(91).notes()).anyMatch(n -> n.pattern().contains("Read the pot"));
            // At 45 C little is soap after an hour and a half: what is clear is gel.
            pot(90.5, 45);
            assertThat(watch(91).notes()).anyMatch(n -> n.pattern().contains("Gel is clear, too"));
            at(95, new Entry.PhRead(12, PhMethod.STRIP, null));
            assertThat(watch(96).stage()).isEqualTo(Stage.GOES_ON);
            at(120, new Entry.Titrated(0.4, null)).at(125, new Entry.PhRead(9.5, PhMethod.STRIP, null));
            // A strip does not undo a titration.
            assertThat(watch(126).stage()).isEqualTo(Stage.GOES_ON);
            at(150, new Entry.Titrated(0.02, null));
            assertThat(watch(151).stage()).isEqualTo(Stage.AFTER);
            at(160, new Entry.Poured(null));
            assertThat(watch(161).stage()).isEqualTo(Stage.DONE);
        }

        @Test
        void warnsOfAPotThatIsAboutToBoilOverAndOfScentInHotPaste() {
            at(0, new Entry.LyeIntoFats()).cook(5, Cooking.HEAT_ON).pot(20, 97);
            assertThat(watch(21).heeds()).anyMatch(h -> h.pattern().contains("boil over"));
            cook(60, Cooking.CLEAR)
                    .at(65, new Entry.PhRead(9.8, PhMethod.STRIP, null))
                    .pot(66, 82);
            assertThat(watch(67).heeds()).anyMatch(h -> h.pattern().contains("scent waits"));
        }

        @Test
        void saysThatLyeIsLeftForWhatComesAfter() {
            plan = cooked(5, 120);
            at(0, new Entry.LyeIntoFats())
                    .cook(5, Cooking.HEAT_ON)
                    .cook(60, Cooking.CLEAR)
                    .at(65, new Entry.PhRead(9.8, PhMethod.STRIP, null));
            assertThat(watch(67).heeds()).anyMatch(h -> h.pattern().contains("eaten by that lye"));
        }
    }
}
