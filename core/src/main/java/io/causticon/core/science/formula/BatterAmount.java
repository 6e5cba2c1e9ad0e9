package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Mass;

/**
 * Mass and density of everything that goes into the mould.
 *
 * <p>Volumes add up: fats at 0.915 g/ml, lye solution at {@code 1 + 1.11 c} g/ml with {@code c} its concentration,
 * sugar and other solids at 1.5 g/ml; contraction is left out (about 1 %). Densities of solutions: within 1 % of
 * tabulated NaOH solutions at 20-40 C up to 50 %.
 *
 * @param mass all of it, g
 * @param density g/ml
 */
public record BatterAmount(Mass mass, double density) {

    private static final double FAT_DENSITY = 0.915;
    private static final double SOLUTION_SLOPE = 1.11;
    private static final double SOLID_DENSITY = 1.5;
    private static final double NEARLY_OIL = 0.95;

    public static BatterAmount of(Formula formula) {
        AlkaliBalance balance = AlkaliBalance.of(formula);
        double fats = formula.fatMass().plus(balance.fatInLiquids()).grams();
        double solution = balance.lye().plus(balance.water()).grams();
        double solids = balance.liquidMass()
                .minus(balance.water())
                .minus(balance.fatInLiquids())
                .grams();
        double oily = 0;
        for (AdditivePortion portion : formula.additives()) {
            if (portion.additive().isFragrance()) {
                oily += portion.mass().grams();
            } else {
                solids += portion.mass().grams();
            }
        }
        double volume = fats / FAT_DENSITY
                + solution / (1 + SOLUTION_SLOPE * balance.concentration().fraction())
                + solids / SOLID_DENSITY
                + oily / NEARLY_OIL;
        double mass = fats + solution + solids + oily;
        return new BatterAmount(Mass.grams(mass), volume == 0 ? 1 : mass / volume);
    }

    /** ml. */
    public double volume() {
        return mass.grams() / density;
    }
}
