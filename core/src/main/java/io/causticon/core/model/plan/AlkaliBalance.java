package io.causticon.core.model.plan;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The alkali and the liquid of a formula, each step kept so that it can be shown.
 *
 * <p>{@code A = A_fat (1 - s) + A_acid} in moles, with {@code A_fat} from the saponification value of every fat, also
 * of the fat in cream or coconut milk, and {@code A_acid} from every acid in liquids and additives; what is weighed is
 * {@code A / purity}. Liquid and lye depend on one another when the liquid brings acid or fat; the dependence is linear
 * and solved in closed form. Source: stoichiometry.
 *
 * @param naoh sodium hydroxide to weigh, impure
 * @param koh potassium hydroxide to weigh, impure
 * @param forFats pure alkali that would saponify all fat, as the recipe's mix of alkalis
 * @param leftOut pure alkali left out for the superfat
 * @param forAcid pure alkali for acids
 * @param forPurity extra to weigh because the alkali is not pure
 * @param liquids each part of the liquid with its mass
 * @param water the water in the liquids
 * @param fatInLiquids fat that came with the liquids
 * @param concentration lye concentration, lye / (lye + water)
 * @param waterPerLye water : lye
 * @param waterOfFats water / fats
 */
public record AlkaliBalance(
        Mass naoh,
        Mass koh,
        Mass forFats,
        Mass leftOut,
        Mass forAcid,
        Mass forPurity,
        List<LiquidPortion> liquids,
        Mass water,
        Mass fatInLiquids,
        Share concentration,
        double waterPerLye,
        Share waterOfFats) {

    /**
     * @throws ProblemsException if the liquid takes up alkali faster than it brings water, so that no amount of it
     *     reaches the concentration asked for
     */
    public static AlkaliBalance of(Formula formula) {
        Mass liquid = liquidMass(formula);
        List<LiquidPortion> portions =
                formula.liquidParts().stream().map(part -> part.portion(liquid)).toList();
        double fatMoles = moles(formula.fats()) + liquidFatMoles(portions);
        double acidMoles = formula.additiveAcidMoles()
                + portions.stream().mapToDouble(LiquidPortion::acidMoles).sum();
        return assemble(formula, portions, fatMoles, acidMoles);
    }

    /** Both alkalis as weighed. */
    public Mass lye() {
        return naoh.plus(koh);
    }

    public Mass liquidMass() {
        return liquids.stream().map(LiquidPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** The water that the lye is dissolved in; the rest of the liquid joins later. */
    public Mass firstWater() {
        return liquids.stream()
                .filter(LiquidPortion::dissolvesLye)
                .map(LiquidPortion::water)
                .reduce(Mass.ZERO, Mass::plus);
    }

    /** Lye concentration of the first step, before the liquids that join later. */
    public Share firstConcentration() {
        return Share.fraction(lye().dividedBy(lye().plus(firstWater())));
    }

    public boolean isSplit() {
        return liquids.stream().anyMatch(l -> !l.dissolvesLye());
    }

    private static AlkaliBalance assemble(
            Formula formula, List<LiquidPortion> portions, double fatMoles, double acidMoles) {
        double moles = fatMoles * formula.superfat().complement().fraction() + acidMoles;
        AlkaliChoice choice = formula.alkali();
        Mass naoh = choice.toWeigh(Alkali.NAOH, moles);
        Mass koh = choice.toWeigh(Alkali.KOH, moles);
        Mass lye = naoh.plus(koh);
        Mass pure = naoh.times(choice.naohPurity().fraction())
                .plus(koh.times(choice.kohPurity().fraction()));
        double pureGramsPerMole = moles == 0 ? 0 : pure.grams() / moles;
        Mass water = portions.stream().map(LiquidPortion::water).reduce(Mass.ZERO, Mass::plus);
        Mass liquidFat = portions.stream()
                .flatMap(p -> p.fat().stream())
                .map(FatPortion::mass)
                .reduce(Mass.ZERO, Mass::plus);
        return new AlkaliBalance(
                naoh,
                koh,
                Mass.grams(fatMoles * pureGramsPerMole),
                Mass.grams(fatMoles * formula.superfat().fraction() * pureGramsPerMole),
                Mass.grams(acidMoles * pureGramsPerMole),
                lye.minus(pure),
                portions,
                water,
                liquidFat,
                Share.fraction(lye.dividedBy(lye.plus(water))),
                water.dividedBy(lye),
                Share.fraction(water.dividedBy(formula.fatMass())));
    }

    /** Mass of all liquid that meets the target, from a balance that is linear in it. */
    private static Mass liquidMass(Formula formula) {
        double waterShare = perGramOfLiquid(formula, p -> p.water().grams());
        if (formula.liquidTarget().way() == LiquidTarget.Way.WATER_OF_FATS) {
            return Mass.grams(formula.liquidTarget().value() * formula.fatMass().grams() / waterShare);
        }
        double keep = formula.superfat().complement().fraction();
        double gramsPerMole = formula.alkali().gramsPerMole();
        double lyeWithoutLiquid = (moles(formula.fats()) * keep + formula.additiveAcidMoles()) * gramsPerMole;
        double lyePerGramOfLiquid = gramsPerMole
                * (perGramOfLiquid(formula, LiquidPortion::acidMoles)
                        + keep * perGramOfLiquid(formula, p -> liquidFatMoles(List.of(p))));
        double ratio = formula.liquidTarget().waterPerLye();
        double netWater = waterShare - ratio * lyePerGramOfLiquid;
        if (netWater <= 0) {
            throw ProblemsException.of("liquid", ProblemKey.LIQUID_WITHOUT_WATER);
        }
        return Mass.grams(ratio * lyeWithoutLiquid / netWater);
    }

    static double perGramOfLiquid(Formula formula, ToDoubleFunction<LiquidPortion> of) {
        return formula.liquidParts().stream()
                .map(part -> part.portion(Mass.grams(1)))
                .mapToDouble(of)
                .sum();
    }

    /** Moles of alkali that fats take up, those of so much liquid with them. */
    static double fatMoles(Formula formula, double liquidGrams) {
        return moles(formula.fats()) + liquidGrams * perGramOfLiquid(formula, p -> liquidFatMoles(List.of(p)));
    }

    /** Moles of alkali that acids take up, those of so much liquid with them. */
    static double acidMoles(Formula formula, double liquidGrams) {
        return formula.additiveAcidMoles() + liquidGrams * perGramOfLiquid(formula, LiquidPortion::acidMoles);
    }

    private static double moles(List<FatPortion> fats) {
        return fats.stream().mapToDouble(FatPortion::alkaliMoles).sum();
    }

    private static double liquidFatMoles(List<LiquidPortion> liquids) {
        return moles(liquids.stream().flatMap(l -> l.fat().stream()).toList());
    }
}
