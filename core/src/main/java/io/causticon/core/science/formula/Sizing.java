package io.causticon.core.science.formula;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.quantity.Mass;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * From the mould to the fats and back. Everything in a formula is proportional to its fats, so one division answers.
 */
public final class Sizing {

    private static final double FIRST_GUESS = 1000;
    private static final double BATTER_PER_FAT = 1.45;
    private static final double SMALLEST = 1;
    private static final int ROUNDS = 25;

    private Sizing() {}

    /**
     * The formula, scaled so that its batter stands as high as the pouring asks, with its overage.
     *
     * @param formula any size of the recipe, with some fat
     */
    public static Formula toFill(Formula formula, Mould mould, Pouring pouring) {
        BatterAmount batter = BatterAmount.of(formula);
        double wanted =
                mould.filledTo(pouring.fillHeightOf(mould), batter.density()).grams()
                        * (1 + pouring.overage().fraction());
        return formula.scaledTo(formula.fatMass().times(wanted / batter.mass().grams()));
    }

    /**
     * The fats that fill the mould, for a recipe in which some things do not grow with the fats.
     *
     * @param recipe the formula for a mass of fats
     */
    public static Mass fatsToFill(Function<Mass, Formula> recipe, Mould mould, Pouring pouring) {
        return fatsFor(
                recipe,
                batter -> mould.filledTo(pouring.fillHeightOf(mould), batter.density())
                                .grams()
                        * (1 + pouring.overage().fraction()));
    }

    /**
     * The fats for so much batter in each of some equal cups, with what sticks to bowls and the overage on top.
     *
     * @param recipe the formula for a mass of fats
     * @param each batter in one cup, without what goes into that cup alone
     * @param cups how many, 1 or more
     */
    public static Mass fatsForCups(Function<Mass, Formula> recipe, Mass each, int cups, Pouring pouring) {
        double stuck = pouring.portioning().route() == Portioning.LyeRoute.TOGETHER
                ? pouring.portioning().stuck().fraction()
                : 0;
        double wanted =
                each.grams() * cups / (1 - stuck) * (1 + pouring.overage().fraction());
        return fatsFor(recipe, batter -> wanted);
    }

    private static Mass fatsFor(Function<Mass, Formula> recipe, ToDoubleFunction<BatterAmount> wantedGrams) {
        Mass fats = Mass.grams(FIRST_GUESS);
        for (int i = 0; i < ROUNDS; i++) {
            BatterAmount batter = BatterAmount.of(recipe.apply(fats));
            double wanted = wantedGrams.applyAsDouble(batter);
            // What is missing is made of fats and all that grows with them, about 1.5 g a gram: the guess converges
            // within a few rounds.
            fats = Mass.grams(
                    Math.max(SMALLEST, fats.grams() + (wanted - batter.mass().grams()) / BATTER_PER_FAT));
        }
        return fats;
    }

    /** What does not fit below the wanted height; zero when all does. */
    public static Mass leftOver(BatterAmount batter, Mould mould, Pouring pouring) {
        double over = batter.mass().grams()
                - mould.filledTo(pouring.fillHeightOf(mould), batter.density()).grams();
        return Mass.grams(Math.max(0, over));
    }

    /** Cavities of the spare mould that the left-over fills; zero without a spare mould. */
    public static int spareCavities(BatterAmount batter, Mould mould, Pouring pouring) {
        Mould spare = pouring.spare();
        Mass over = leftOver(batter, mould, pouring);
        if (spare == null || over.grams() < 1) {
            return 0;
        }
        return (int) Math.ceil(over.grams() / (spare.volumeOfOne() * batter.density()) - 1e-6);
    }
}
