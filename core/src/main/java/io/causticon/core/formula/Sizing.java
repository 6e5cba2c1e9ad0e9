package io.causticon.core.formula;

import io.causticon.core.mould.Mould;
import io.causticon.core.quantity.Mass;
import java.util.function.Function;

/** From the mould to the fats and back. Everything in a formula is proportional to its fats, so one division answers. */
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
        double wanted = mould.filledTo(pouring.fillHeightOf(mould), batter.density()).grams()
                * (1 + pouring.overage().fraction());
        return formula.scaledTo(formula.fatMass().times(wanted / batter.mass().grams()));
    }

    /**
     * The fats that fill the mould, for a recipe in which some things do not grow with the fats.
     *
     * @param recipe the formula for a mass of fats
     */
    public static Mass fatsToFill(Function<Mass, Formula> recipe, Mould mould, Pouring pouring) {
        Mass fats = Mass.grams(FIRST_GUESS);
        for (int i = 0; i < ROUNDS; i++) {
            BatterAmount batter = BatterAmount.of(recipe.apply(fats));
            double wanted = mould.filledTo(pouring.fillHeightOf(mould), batter.density()).grams()
                    * (1 + pouring.overage().fraction());
            // What is missing is made of fats and all that grows with them, about 1.5 g a gram: the guess converges within a few rounds.
            fats = Mass.grams(Math.max(SMALLEST, fats.grams() + (wanted - batter.mass().grams()) / BATTER_PER_FAT));
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
