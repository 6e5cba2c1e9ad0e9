package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;

/**
 * The pH of one gram of soap in ninety-nine of water.
 *
 * <p>Free alkali is a strong base; soap is the salt of a weak acid and makes the water alkaline by itself. With b mol/l
 * of free alkali and s mol/l of soap, the balance of charges leaves h² - b h - K s = 0 for the hydroxide h, where K =
 * Kw / Ka is the hydrolysis constant of the soap. Its apparent value is larger than that of a short acid, as long acids
 * come out of solution as acid soap: 1e-7 puts a neutral soap at 9.8, in the middle of the 9 to 10.5 that neutral bars
 * are known to read.
 */
public final class SoapSolution {

    private static final double HYDROLYSIS = 1e-7;
    private static final double WATER = 1e-14;
    /** Litres in which one gram is dissolved. */
    private static final double LITRES_PER_GRAM = 0.099;

    private SoapSolution() {}

    /**
     * @param weights what went into the pot
     * @param alkali how pure its alkali is
     * @param grams of everything that went in, g
     * @param converted how far saponification has come, 0 to 1
     * @return pH at 25 °C of the one per cent solution
     */
    public static double ph(Weights weights, AlkaliChoice alkali, double grams, double converted) {
        double brought = Math.max(0, Superfat.givenMoles(weights, alkali) - weights.acidMoles());
        double superfat = Superfat.of(weights, alkali).fraction();
        // What the fats can take: all of the alkali, or with a negative superfat only their part of it.
        double taken = brought * Math.min(1, 1 / (1 - superfat)) * converted;
        return ph((brought - taken) / grams / LITRES_PER_GRAM, taken / grams / LITRES_PER_GRAM);
    }

    /**
     * Of soap that is done, were its superfat another one than its weights say.
     *
     * @param weights what went into the pot
     * @param grams of everything that went in, g
     * @param superfat a fraction; negative for too much alkali
     * @return pH at 25 °C of the one per cent solution
     */
    public static double ph(Weights weights, double grams, double superfat) {
        double needed = weights.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
        return ph(
                needed * Math.max(0, -superfat) / grams / LITRES_PER_GRAM,
                needed * Math.min(1, 1 - superfat) / grams / LITRES_PER_GRAM);
    }

    /**
     * @param alkali free, mol/l
     * @param soap mol/l
     */
    static double ph(double alkali, double soap) {
        double hydroxide = (alkali + Math.sqrt(alkali * alkali + 4 * (HYDROLYSIS * soap + WATER))) / 2;
        return 14 + Math.log10(hydroxide);
    }
}
