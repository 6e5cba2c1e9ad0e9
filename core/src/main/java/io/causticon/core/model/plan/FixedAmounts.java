package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import org.jspecify.annotations.Nullable;

/**
 * Amounts that a maker gave as masses, from a note or a habit: superfat and concentration follow from them, not they
 * from those.
 *
 * @param lye both alkalis as weighed, impure; null where it follows from the superfat
 * @param liquid all liquid; null where it follows from the target
 */
public record FixedAmounts(@Nullable Mass lye, @Nullable Mass liquid) {

    public static final FixedAmounts NONE = new FixedAmounts(null, null);

    FixedAmounts scaledBy(double factor) {
        return new FixedAmounts(lye == null ? null : lye.times(factor), liquid == null ? null : liquid.times(factor));
    }

    FixedAmounts withoutLye() {
        return new FixedAmounts(null, liquid);
    }

    /**
     * Superfat and target of a formula that these amounts make. With {@code L} as weighed, {@code g} grams of it a
     * mole, {@code M} of liquid, {@code s = 1 - (L / g - A_acid) / A_fat}, where acids and fat of the liquid count, and
     * {@code r = water / L}. Source: stoichiometry, the balance of {@link AlkaliBalance} turned round.
     */
    Formula follow(Formula formula) {
        if (lye == null && liquid == null
                || formula.fats().isEmpty()
                || !formula.fatMass().isPositive()
                || formula.liquidParts().isEmpty()) {
            return formula;
        }
        double waterShare =
                AlkaliBalance.perGramOfLiquid(formula, p -> p.water().grams());
        if (waterShare <= 0) {
            return formula;
        }
        double grams = liquid != null ? liquid.grams() : liquidGrams(formula, waterShare);
        double fat = AlkaliBalance.fatMoles(formula, grams);
        double acid = AlkaliBalance.acidMoles(formula, grams);
        double gramsPerMole = formula.alkali().gramsPerMole();
        Share superfat =
                lye == null ? formula.superfat() : Share.fraction(1 - (lye.grams() / gramsPerMole - acid) / fat);
        double lyeGrams =
                lye != null ? lye.grams() : (fat * superfat.complement().fraction() + acid) * gramsPerMole;
        LiquidTarget target = liquid == null
                ? formula.liquidTarget()
                : LiquidTarget.saying(formula.liquidTarget().way(), grams * waterShare, lyeGrams, formula.fatMass());
        return new Formula(
                formula.fats(), formula.alkali(), superfat, target, formula.liquidParts(), formula.additives(), this);
    }

    /** Of a formula whose lye is fixed and whose liquid goes by it or by the fats. */
    private double liquidGrams(Formula formula, double waterShare) {
        LiquidTarget target = formula.liquidTarget();
        double water = target.way() == LiquidTarget.Way.WATER_OF_FATS
                ? target.value() * formula.fatMass().grams()
                : lye == null ? 0 : target.waterPerLye() * lye.grams();
        return water / waterShare;
    }
}
