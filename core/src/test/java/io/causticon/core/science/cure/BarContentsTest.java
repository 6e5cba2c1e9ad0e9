package io.causticon.core.science.cure;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cure.BarContents.Ingredient;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Label arithmetic, by hand. */
class BarContentsTest {

    private static final Instant BEGUN = Instant.parse("2026-01-10T10:00:00Z");
    private static final BatchPlan PLAN = recipe().fat("olive-oil", 600)
            .fat("coconut-oil-76", 400)
            .superfat(5)
            .additive("eo-lavender", 30)
            .plan();

    private static BarContents contents(BatchPlan plan, int days) {
        return BarContents.of(plan, new BatchLog(BEGUN, List.of()), BEGUN.plus(Duration.ofDays(days)));
    }

    private static double grams(BarContents of, String name) {
        return of.ingredients().stream()
                .filter(i -> i.name().equals(name))
                .findFirst()
                .orElseThrow()
                .mass()
                .grams();
    }

    @Test
    void stepByStep() {
        BarContents bar = contents(PLAN, 60);
        assertThat(bar.ingredients().get(0).name()).isEqualTo("Sodium Olivate");
        assertThat(bar.ingredients())
                .extracting(Ingredient::mass)
                .isSortedAccordingTo((a, b) -> Double.compare(b.grams(), a.grams()));
        // 600 g of olive, of which 95 % react: 570 g of fat; by its saponification value so many moles.
        double moles = 0.95 * PLAN.formula().fats().get(0).alkaliMoles();
        assertThat(grams(bar, "Sodium Olivate")).isCloseTo(570 + moles * 39.997 - moles / 3 * 92.094, within(0.5));
        assertThat(grams(bar, "Olea Europaea (Olive) Fruit Oil")).isCloseTo(30, within(0.1));
        assertThat(grams(bar, PLAN.formula().additives().get(0).additive().name()))
                .isCloseTo(30, within(1e-9));
        assertThat(bar.scentAllergens())
                .anyMatch(a -> a.toLowerCase(java.util.Locale.ROOT).contains("linalool"));
    }

    @Test
    void keepsMassButForTheWaterThatDries() {
        Weights planned = Weights.planned(PLAN.formula());
        double impure = planned.naoh().grams()
                - AlkaliBalance.of(PLAN.formula()).forFats().grams()
                + AlkaliBalance.of(PLAN.formula()).leftOut().grams();
        double fresh = contents(PLAN, 0).ingredients().stream()
                .mapToDouble(i -> i.mass().grams())
                .sum();
        assertThat(fresh).isCloseTo(planned.total().grams(), within(Math.abs(impure) + 25));
        double old = contents(PLAN, 90).ingredients().stream()
                .mapToDouble(i -> i.mass().grams())
                .sum();
        assertThat(fresh - old)
                .isCloseTo(grams(contents(PLAN, 0), "Aqua") - grams(contents(PLAN, 90), "Aqua"), within(1e-6));
        assertThat(grams(contents(PLAN, 90), "Aqua")).isBetween(20.0, 0.8 * grams(contents(PLAN, 0), "Aqua"));
    }

    private static BatchPlan cups() {
        Catalogue tables = Catalogue.standard();
        List<Portion> cups = List.of(
                Portion.sharing("plain", Share.percent(50)),
                Portion.sharing("goat", Share.percent(25))
                        .with(tables.liquid("goat-milk-whole"), Dose.ofFats(Share.percent(6))),
                Portion.sharing("lavender", Share.percent(25))
                        .with(tables.additive("eo-lavender"), Dose.ofFats(Share.percent(2))));
        return recipe().fat("olive-oil", 600)
                .fat("coconut-oil-76", 400)
                .plan()
                .with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.SHARES, cups, Share.NONE)));
    }

    /**
     * Whoever must not have milk is told of the milk in one cup of three, on the label of all of it and beside the
     * others.
     */
    @Test
    void whatIsInOneCupAloneIsNeverLeftOut() {
        BarContents all = contents(cups(), 40);
        String milk = cups().pouring()
                .portioning()
                .portions()
                .get(1)
                .allergens()
                .iterator()
                .next();
        assertThat(all.allergens()).contains(milk);
        assertThat(all.scentAllergens())
                .anyMatch(a -> a.toLowerCase(java.util.Locale.ROOT).contains("linalool"));
        assertThat(all.ingredients())
                .extracting(Ingredient::name)
                .anyMatch(n -> n.contains("oat milk"))
                .anyMatch(n -> n.contains("avender"));
        assertThat(cups().allergens()).contains(milk);

        BarContents plain =
                BarContents.of(cups(), new BatchLog(BEGUN, List.of()), BEGUN.plus(Duration.ofDays(40)), "plain");
        assertThat(plain.allergens()).doesNotContain(milk);
        assertThat(plain.beside()).contains(milk);
        assertThat(plain.scentAllergens()).isEmpty();
        assertThat(grams(plain, "Sodium Olivate")).isCloseTo(grams(all, "Sodium Olivate") / 2, within(0.1));
        BarContents goat =
                BarContents.of(cups(), new BatchLog(BEGUN, List.of()), BEGUN.plus(Duration.ofDays(40)), "goat");
        assertThat(goat.allergens()).contains(milk);
        assertThat(goat.beside()).isEmpty();
    }

    @Test
    void aDivisionThatCannotBeWorkedOutLeavesNothingOut() {
        List<Portion> half = List.of(
                Portion.sharing("plain", Share.percent(50)),
                cups().pouring().portioning().portions().get(1));
        BatchPlan broken = cups().with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.SHARES, half, Share.NONE)));
        for (String part : List.of("", "plain", "goat")) {
            assertThat(BarContents.of(broken, new BatchLog(BEGUN, List.of()), BEGUN.plus(Duration.ofDays(40)), part)
                            .ingredients())
                    .extracting(Ingredient::name)
                    .contains("Sodium Olivate");
        }
        assertThat(BarContents.of(broken, new BatchLog(BEGUN, List.of()), BEGUN, "goat")
                        .ingredients())
                .extracting(Ingredient::name)
                .anyMatch(n -> n.contains("oat milk"));
    }

    @Test
    void whatWasPutInAtTheBenchStandsThereToo() {
        List<LoggedEntry> lines = List.of(
                LoggedEntry.first(
                        "a",
                        BEGUN,
                        "Ines",
                        new Entry.Weighed(Weighable.liquid("beer-flat"), Mass.grams(80), Tare.TAKEN, null)),
                LoggedEntry.first(
                        "b",
                        BEGUN,
                        "Ines",
                        new Entry.Added(new Named("eo-rosemary", "rosemary"), Mass.grams(12), null, null)),
                LoggedEntry.first("c", BEGUN, "Ines", new Entry.Added("grandmother's secret", null)),
                LoggedEntry.first("d", BEGUN, "Ines", new Entry.Added("lavender", Mass.grams(30))));
        BarContents bar = BarContents.of(PLAN, new BatchLog(BEGUN, lines), BEGUN.plus(Duration.ofDays(40)));
        assertThat(bar.allergens()).isNotEmpty();
        assertThat(bar.ingredients())
                .extracting(Ingredient::name)
                .anyMatch(n -> n.contains("osemary"))
                .contains("grandmother's secret");
        assertThat(bar.ingredients())
                .filteredOn(i -> i.name().toLowerCase(java.util.Locale.ROOT).contains("lavender"))
                .as("planned, and not twice")
                .hasSize(1);
        assertThat(bar.ingredients()).last().extracting(Ingredient::name).isEqualTo("grandmother's secret");
    }

    @Test
    void bothAlkalisMakeSoapsOfTheirOwn() {
        BarContents shaving = contents(
                recipe().fat("stearic-acid", 500)
                        .fat("coconut-oil-76", 500)
                        .alkali(new AlkaliChoice(Share.percent(40), Share.percent(98), Share.percent(90)))
                        .plan(),
                30);
        assertThat(shaving.ingredients()).extracting(Ingredient::name).contains("Potassium Cocoate", "Sodium Cocoate");
    }
}
