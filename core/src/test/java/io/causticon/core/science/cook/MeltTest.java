package io.causticon.core.science.cook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cook.CookWatch.Stage;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Scraps on the heat. */
class MeltTest {

    private final PotLog pot = new PotLog();
    private BatchPlan plan = plan(0.05, Rework.Way.POT);

    private static Rework rework(double grams, double superfat, Rework.Way way) {
        ScrapPortion scrap = new ScrapPortion(
                "ob-26-1-cream",
                "b",
                "cream of Oat Bar",
                Mass.grams(grams),
                List.of(new FatPortion(Catalogue.standard().fat("olive-oil"), Mass.grams(100))),
                Share.WHOLE,
                new Estimate(superfat, 0.01),
                new Estimate(0.1, 0.02),
                0,
                true,
                Set.of());
        return new Rework(List.of(scrap), List.of(), Mass.grams(grams / 4), way);
    }

    private static BatchPlan plan(double superfat, Rework.Way way) {
        return BatchPlan.reworking("Crumbs", rework(800, superfat, way), List.of(), null, Scales.KITCHEN, "");
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
        void takesLongerForMoreAndLongestInTheAirOfAnOven() {
            double small =
                    MeltPlan.of(rework(300, 0.05, Rework.Way.POT)).hours().high();
            double large =
                    MeltPlan.of(rework(3000, 0.05, Rework.Way.POT)).hours().high();
            double oven =
                    MeltPlan.of(rework(3000, 0.05, Rework.Way.OVEN)).hours().high();
            // One body: with the same wall the time goes by mass over surface, the cube root of ten.
            assertThat(large / small).isBetween(2.1, 2.2);
            assertThat(oven).isGreaterThan(large);
            assertThat(small).isBetween(0.4, 2.0);
        }

        /**
         * The bursts bring what it takes to warm it, by the heat of water and soap: 1 kg at 2.6 J/(g K) by 58 K is 151
         * kJ at some 228 W.
         */
        @Test
        void countsBurstsByWhatTheyBring() {
            MeltPlan plan = MeltPlan.of(rework(800, 0.05, Rework.Way.MICROWAVE));
            double joules = plan.bursts() * plan.burst().toSeconds() * 227.5;
            assertThat(joules).isBetween(151_000.0, 151_000.0 + 60 * 227.5);
            MeltPlan little = MeltPlan.of(rework(100, 0.05, Rework.Way.MICROWAVE));
            assertThat(little.burst()).isLessThan(plan.burst());
            assertThat(little.leastPotLitres()).isGreaterThan(0.3);
            assertThat(plan.steps().toString()).contains("No metal");
        }

        @Test
        void tellsWhenTheFatGoesInOnlyWhereThereIsSome() {
            Rework plain = rework(800, 0.05, Rework.Way.POT);
            Rework fat = new Rework(
                    plain.scraps(),
                    List.of(new FatPortion(Catalogue.standard().fat("olive-oil"), Mass.grams(30))),
                    plain.water(),
                    plain.way());
            assertThat(MeltPlan.of(plain).steps()).hasSize(4);
            assertThat(MeltPlan.of(fat).steps()).hasSize(5);
        }
    }

    @Test
    void goesFromTheHeatToTheSpoon() {
        assertThat(watch(0).stage()).isEqualTo(Stage.BEFORE);
        cook(5, Cooking.HEAT_ON);
        assertThat(watch(10).says().toString()).contains("stir every");
        assertThat(watch(25).says().toString()).contains("Stir it");
        cook(26, Cooking.STIRRED).cook(30, Cooking.RISES);
        assertThat(watch(31).says().toString()).contains("Heat off");
        cook(32, Cooking.STIRRED).cook(40, Cooking.LUMPY);
        assertThat(watch(41).stage()).isEqualTo(Stage.COOKING);
        cook(55, Cooking.EVEN).pot(56, 82);
        assertThat(watch(57).stage()).isEqualTo(Stage.AFTER);
        assertThat(watch(57).heeds().toString()).contains("scent waits");
        at(60, new Entry.Poured(null));
        assertThat(watch(61).stage()).isEqualTo(Stage.DONE);
    }

    @Test
    void isTestedBeforeTheSpoonWhereAScrapMayHoldAlkali() {
        plan = plan(-0.02, Rework.Way.POT);
        cook(5, Cooking.HEAT_ON).cook(50, Cooking.EVEN);
        assertThat(watch(51).stage()).isEqualTo(Stage.TO_TEST);
        assertThat(watch(51).heeds().toString()).contains("may hold free alkali");
        at(55, new Entry.PhRead(11.6, PhMethod.METER));
        assertThat(watch(56).stage()).isEqualTo(Stage.GOES_ON);
        at(90, new Entry.PhRead(9.9, PhMethod.METER));
        assertThat(watch(91).stage()).isEqualTo(Stage.AFTER);
    }

    @Test
    void isTestedWhereAScrapIsTooYoungToHaveReacted() {
        Rework old = rework(800, 0.05, Rework.Way.POT);
        ScrapPortion s = old.scraps().get(0);
        ScrapPortion young = new ScrapPortion(
                s.id(),
                s.source(),
                s.name(),
                s.mass(),
                s.fats(),
                s.naohShare(),
                s.superfat(),
                s.water(),
                0,
                false,
                Set.of());
        plan = BatchPlan.reworking(
                "Young",
                new Rework(List.of(young), List.of(), old.water(), old.way()),
                List.of(),
                null,
                Scales.KITCHEN,
                "");
        cook(5, Cooking.HEAT_ON).cook(50, Cooking.EVEN);
        assertThat(watch(51).stage()).isEqualTo(Stage.TO_TEST);
    }

    @Test
    void countsTheBurstsThatWereStirred() {
        plan = plan(0.05, Rework.Way.MICROWAVE);
        cook(1, Cooking.HEAT_ON).cook(2, Cooking.STIRRED).cook(4, Cooking.STIRRED);
        assertThat(watch(5).says().toString()).contains("Half power");
        for (int i = 0; i < 30; i++) {
            cook(6 + i, Cooking.STIRRED);
        }
        assertThat(watch(40).says().toString()).contains("As many bursts");
    }

    @Test
    void warnsBeforeItBoilsOver() {
        cook(1, Cooking.HEAT_ON).pot(10, 97);
        assertThat(watch(11).heeds().toString()).contains("boil over");
        pot(40, 40);
        assertThat(watch(41).heeds().toString()).contains("hardly softens");
    }
}
