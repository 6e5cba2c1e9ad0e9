package io.causticon.core.science.fit;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.making.WorkingTime;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class FitterTest {

    private static final List<Fat> PANTRY = Stream.of(
                    "olive-oil",
                    "sunflower-oil-high-oleic",
                    "coconut-oil-76",
                    "shea-butter",
                    "cocoa-butter",
                    "lard",
                    "palm-oil",
                    "rice-bran-oil",
                    "castor-oil",
                    "sunflower-oil")
            .map(Catalogue.standard()::fat)
            .toList();

    private static BatchPlan plan() {
        return recipe().fat("olive-oil", 400)
                .fat("lard", 300)
                .fat("coconut-oil-76", 250)
                .fat("castor-oil", 50)
                .purity(98)
                .plan();
    }

    private static Goals wanting(Wish... wishes) {
        return new Goals(Set.of(wishes), Set.of(), OptionalDouble.empty(), Map.of(), Share.percent(20), Set.of());
    }

    private static double share(Proposal proposal, String id) {
        return proposal.formula().fats().stream()
                .filter(p -> p.fat().id().equals(id))
                .mapToDouble(p -> p.mass().dividedBy(proposal.formula().fatMass()))
                .sum();
    }

    @Test
    void leavesARecipeThatIsSoAlready() {
        BatchPlan olive =
                recipe().fat("olive-oil", 800).fat("coconut-oil-76", 200).plan();
        assertThat(Fitter.fit(olive, PANTRY, wanting(Wish.NO_ANIMAL, Wish.NO_PALM))
                        .moves())
                .isEmpty();
    }

    @Test
    void takesAnimalFatsOutAndKeepsTheBarLikeItself() {
        BatchPlan plan = plan();
        Proposal proposal = Fitter.fit(plan, PANTRY, wanting(Wish.NO_ANIMAL));
        assertThat(proposal.formula().fats()).noneMatch(p -> p.fat().animal());
        assertThat(proposal.formula().fatMass().grams()).isCloseTo(1000, within(1e-6));
        Composition before = Composition.of(plan.formula().fats());
        Composition after = Composition.of(proposal.formula().fats());
        assertThat(after.of(Family.LONG_SATURATED).fraction())
                .isCloseTo(before.of(Family.LONG_SATURATED).fraction(), within(0.03));
        assertThat(proposal.moves().get(0).fat().id()).isEqualTo("lard");
    }

    @Test
    void givesASlowerBatter() {
        BatchPlan quick = recipe().fat("palm-oil", 450)
                .fat("coconut-oil-76", 250)
                .fat("olive-oil", 250)
                .fat("castor-oil", 50)
                .plan();
        Proposal proposal = Fitter.fit(quick, PANTRY, wanting(Wish.SLOW_BATTER));
        assertThat(WorkingTime.forecast(quick.with(proposal.formula())).minutes())
                .isGreaterThan(1.15 * WorkingTime.forecast(quick).minutes());
        // What the changes buy adds up to all that was gained.
        double all = proposal.moves().stream()
                .flatMap(m -> m.buys().stream())
                .filter(b -> b.aim().equals("working time"))
                .mapToDouble(Proposal.Buy::part)
                .sum();
        assertThat(all).isCloseTo(1, within(0.02));
    }

    @Test
    void givesABarThatIsFirmInADay() {
        BatchPlan soft =
                recipe().fat("olive-oil", 850).fat("coconut-oil-76", 150).plan();
        Proposal proposal = Fitter.fit(soft, PANTRY, wanting(Wish.FIRM_IN_A_DAY));
        assertThat(Schedule.of(soft).unmould().toHours()).isGreaterThan(30);
        assertThat(Schedule.of(soft.with(proposal.formula())).unmould().toMinutes())
                .isLessThanOrEqualTo(24 * 60 + 20);
        assertThat(proposal.unmet()).isEmpty();
    }

    @Test
    void givesAMilderBar() {
        BatchPlan harsh = recipe().fat("olive-oil", 500)
                .fat("coconut-oil-76", 400)
                .fat("lard", 100)
                .plan();
        Proposal proposal = Fitter.fit(harsh, PANTRY, wanting(Wish.MILD));
        assertThat(Composition.of(proposal.formula().fats())
                        .of(Family.SHORT_SATURATED)
                        .fraction())
                .isLessThanOrEqualTo(0.165);
    }

    @Test
    void keepsWithinWhatSharesMayMoveAndTellsWhatIsNotReached() {
        BatchPlan harsh = recipe().fat("coconut-oil-76", 1000).plan();
        Goals timid =
                new Goals(Set.of(Wish.MILD), Set.of(), OptionalDouble.empty(), Map.of(), Share.percent(10), Set.of());
        Proposal proposal = Fitter.fit(harsh, PANTRY, timid);
        assertThat(share(proposal, "coconut-oil-76")).isCloseTo(0.90, within(0.006));
        assertThat(proposal.unmet()).containsExactly("short acids");
    }

    @Test
    void keepsLockedShares() {
        Goals locked = new Goals(
                Set.of(Wish.NO_ANIMAL),
                Set.of(),
                OptionalDouble.empty(),
                Map.of(),
                Share.percent(30),
                Set.of("coconut-oil-76", "castor-oil"));
        Proposal proposal = Fitter.fit(plan(), PANTRY, locked);
        assertThat(share(proposal, "coconut-oil-76")).isCloseTo(0.25, within(1e-9));
        assertThat(share(proposal, "castor-oil")).isCloseTo(0.05, within(1e-9));
    }

    @Test
    void refusesToKeepAndRemoveTheSameFat() {
        Goals both = new Goals(
                Set.of(Wish.NO_ANIMAL), Set.of(), OptionalDouble.empty(), Map.of(), Share.percent(30), Set.of("lard"));
        assertThatThrownBy(() -> Fitter.fit(plan(), PANTRY, both))
                .isInstanceOfSatisfying(
                        ProblemsException.class,
                        e -> assertThat(e.problems().get(0).key()).isEqualTo(ProblemKey.LIMITS_EXCLUDE_ALL));
    }

    @Test
    void takesAllergensOut() {
        BatchPlan almond = recipe().fat("olive-oil", 600)
                .fat("coconut-oil-76", 250)
                .fat("sweet-almond-oil", 150)
                .plan();
        Goals none =
                new Goals(Set.of(), Set.of("tree nuts"), OptionalDouble.empty(), Map.of(), Share.percent(20), Set.of());
        assertThat(Fitter.fit(almond, PANTRY, none).formula().fats())
                .noneMatch(p -> p.fat().allergens().contains("tree nuts"));
    }

    @Test
    void staysBelowACost() {
        Map<String, Double> prices = Map.of("olive-oil", 8.0, "lard", 3.0, "coconut-oil-76", 4.5, "castor-oil", 9.0);
        Goals cheap = new Goals(Set.of(), Set.of(), OptionalDouble.of(5.0), prices, Share.percent(30), Set.of());
        Proposal proposal = Fitter.fit(plan(), PANTRY, cheap);
        double cost = proposal.formula().fats().stream()
                .mapToDouble(
                        (FatPortion p) -> p.mass().dividedBy(proposal.formula().fatMass())
                                * prices.get(p.fat().id()))
                .sum();
        // 0.40 x 8 + 0.30 x 3 + 0.25 x 4.5 + 0.05 x 9 = 5.68 before.
        assertThat(cost).isLessThanOrEqualTo(5.05);
    }
}
