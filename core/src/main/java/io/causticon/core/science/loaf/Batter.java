package io.causticon.core.science.loaf;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.pots.LyeSolution;

/**
 * What the loaf's heat needs to know of a batter.
 *
 * @param volumetricHeat heat of full conversion, J/m3
 * @param volumetricCapacity heat capacity, J/(m3 K)
 * @param density kg/m3
 * @param gelPoint temperature at which it turns translucent, C
 * @param rate speed against a plain mixture of fats, 1 is plain
 */
public record Batter(double volumetricHeat, double volumetricCapacity, double density, double gelPoint, double rate) {

    /**
     * Heat of saponification with a plain lye, J per mol of NaOH: ester hydrolysis, neutralisation and ordering
     * (estimate).
     */
    static final double HEAT_PER_MOLE = 70_000;

    /** Part of the lye's heat of dilution that comes free in the loaf (estimate). */
    private static final double DILUTION_SHARE = 0.6;

    private static final double DILUTE_HEAT_OF_SOLUTION = 42.9;
    private static final double SUGAR_HEAT = 110_000 / 0.180;
    private static final double FAT_DENSITY = 915;
    private static final double SUGAR_DENSITY = 1500;
    private static final double FAT_CAPACITY = 2000;
    private static final double SUGAR_CAPACITY = 1500;
    private static final double KOH_GRAMS_PER_MOLE = 56.106;

    /**
     * Gel point against the batter's share of water: {@code 40 + 29 exp(-(w - 0.1915) / 0.17)} C. Soap with little
     * water melts to its liquid crystal hotter, on a curve that flattens as water is added and has no floor (as the
     * phase diagrams of sodium soaps and water do; its numbers are fitted to what makers see, +-4 K: 69 C at 33 % lye,
     * 63 at 28, 77 at 40, 88 at 50).
     */
    private static final double GEL_POINT_OF_WET_SOAP = 40;

    private static final double GEL_POINT_RISE = 29;
    private static final double WATER_AT_33 = 0.1915;
    private static final double WATER_SCALE = 0.17;

    /**
     * K that soaps of these acids gel hotter or cooler than a usual mixture; the order is that of their chains, the
     * numbers are judgements.
     */
    private static final double LONG_SATURATED_GELS = 6;

    private static final double SHORT_SATURATED_GELS = -2;
    private static final double MONO_UNSATURATED_GELS = -1.5;
    private static final double POLY_UNSATURATED_GELS = -4;
    private static final double RICINOLEIC_GELS = -12;

    /** Sugar lowers it by up to so many K, two thirds of that at one per cent of the fats (a judgement). */
    private static final double SUGAR_LOWERS_GEL_POINT = 3;

    private static final double NOTABLE_SUGAR = 0.01;
    private static final double SUGAR_SPEED = 5;

    public static Batter of(Formula formula) {
        AlkaliBalance balance = AlkaliBalance.of(formula);
        Composition composition = Composition.of(formula.fats());
        // What does not reduce is not taken apart by the lye and gives no heat.
        double sugar = formula.reducingSugarOfFats().fraction();
        double mover = formula.additives().stream().anyMatch(a -> a.additive().isMover()) ? 1.5 : 1;
        return of(
                        composition.saponificationValue() / KOH_GRAMS_PER_MOLE,
                        formula.superfat().fraction(),
                        balance.concentration().fraction(),
                        sugar,
                        rate(composition)
                                * (1 + SUGAR_SPEED * formula.sugarOfFats().fraction())
                                * mover)
                .with(1, gelShift(composition), 1);
    }

    /**
     * @param molesPerKilogram alkali that a kg of fats takes up, mol
     * @param superfat fraction
     * @param concentration lye concentration, fraction
     * @param sugar kg sugar a kg of fats
     * @param rate speed against a plain mixture
     */
    public static Batter of(double molesPerKilogram, double superfat, double concentration, double sugar, double rate) {
        double moles = molesPerKilogram * (1 - superfat);
        double solution = moles * LyeSolution.NAOH_MOLAR_MASS / 1000 / concentration;
        double volume =
                1 / FAT_DENSITY + solution / (1000 * LyeSolution.density(concentration)) + sugar / SUGAR_DENSITY;
        double mass = 1 + solution + sugar;
        double n = (1 - concentration) / concentration * LyeSolution.NAOH_MOLAR_MASS / LyeSolution.WATER_MOLAR_MASS;
        double heat = moles
                        * (HEAT_PER_MOLE
                                + DILUTION_SHARE
                                        * (DILUTE_HEAT_OF_SOLUTION + LyeSolution.kilojoulesPerMoleDissolved(n))
                                        * 1000)
                + sugar * SUGAR_HEAT;
        double capacity =
                FAT_CAPACITY + solution * 1000 * LyeSolution.heatCapacity(concentration) + sugar * SUGAR_CAPACITY;
        // Sugar is dissolved in the water and does not dry the soap.
        double water = solution * (1 - concentration) / (1 + solution);
        return new Batter(heat / volume, capacity / volume, mass / volume, gelPoint(water, sugar), rate);
    }

    Batter with(double heatFactor, double gelPointShift, double rateFactor) {
        return new Batter(
                volumetricHeat * heatFactor, volumetricCapacity, density, gelPoint + gelPointShift, rate * rateFactor);
    }

    private static double gelPoint(double water, double sugar) {
        return GEL_POINT_OF_WET_SOAP
                + GEL_POINT_RISE * Math.exp(-(water - WATER_AT_33) / WATER_SCALE)
                - SUGAR_LOWERS_GEL_POINT * (1 - Math.exp(-sugar / NOTABLE_SUGAR));
    }

    private static double gelShift(Composition c) {
        return LONG_SATURATED_GELS * c.of(Family.LONG_SATURATED).fraction()
                + SHORT_SATURATED_GELS * c.of(Family.SHORT_SATURATED).fraction()
                + MONO_UNSATURATED_GELS * c.of(Family.MONO_UNSATURATED).fraction()
                + POLY_UNSATURATED_GELS * c.of(Family.POLY_UNSATURATED).fraction()
                + RICINOLEIC_GELS * c.of(Family.RICINOLEIC).fraction();
    }

    private static double rate(Composition c) {
        return 1.5 * c.of(Family.SHORT_SATURATED).fraction()
                + 1.1 * c.of(Family.LONG_SATURATED).fraction()
                + 0.8 * c.of(Family.MONO_UNSATURATED).fraction()
                + 0.9 * c.of(Family.POLY_UNSATURATED).fraction()
                + 1.5 * c.of(Family.RICINOLEIC).fraction()
                + c.of(Family.OTHER).fraction();
    }
}
