package io.causticon.core.model.log;

import io.causticon.core.model.plan.Alkali;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;

/**
 * How free alkali was titrated: soap was dissolved, an indicator added, and acid until its colour was gone (after ISO
 * 456, free caustic alkali). What comes of it follows from this and is not typed.
 *
 * @param acid what was added
 * @param used ml of a standard solution, or g of a solution made on a scale; 0 where there was no colour to begin with
 * @param strength mol of acid a litre for a standard solution; per cent by mass for one made on a scale
 * @param soap that was dissolved
 */
public record Titration(Acid acid, double used, double strength, Mass soap) {

    /** ml or g: a burette, or many a squirt from a bottle on a scale. */
    public static final Interval USED = Interval.between(0, 500);

    /** mol/l; stronger ones measure little and burn. */
    public static final Interval MOLAR = Interval.between(0.001, 2);

    /** Per cent by mass; beyond that a drop is a percent of free alkali. */
    public static final Interval PER_CENT = Interval.between(0.05, 25);

    /** Less than a gram is not weighed well in a kitchen, more than half a kilogram not dissolved. */
    public static final Interval SOAP_GRAMS = Interval.between(0.2, 500);

    private static final double GRAMS_PER_MILLILITRE = 1;
    private static final double PERCENT = 100;
    private static final double MILLI = 1000;

    /** One standard deviation: a drop is 0.05 ml, and the colour is judged to two of them. */
    private static final double DROPS = 0.08;

    /** Of a scale that shows tenths. */
    private static final double SCALE_GRAMS = 0.05;

    /** Of a solution's strength: a standard one that was opened, and one that was weighed at home (judgements). */
    private static final double STANDARD_STRENGTH = 0.02;

    private static final double KITCHEN_STRENGTH = 0.05;

    /** What acid. */
    public enum Acid {
        /** A standard solution of an acid that gives one hydrogen ion, such as 0.1 mol/l hydrochloric acid. */
        STANDARD(0, 1),
        /** Anhydrous citric acid in water; all three of its hydrogen ions react before phenolphthalein turns. */
        CITRIC(192.124, 3),
        /** Citric acid with its water of crystallisation, as much of it is sold. */
        CITRIC_MONOHYDRATE(210.14, 3);

        private final double gramsPerMol;
        private final int equivalents;

        Acid(double gramsPerMol, int equivalents) {
            this.gramsPerMol = gramsPerMol;
            this.equivalents = equivalents;
        }

        public boolean isStandard() {
            return this == STANDARD;
        }

        /** What its strength may be. */
        public Interval strengths() {
            return isStandard() ? MOLAR : PER_CENT;
        }
    }

    /** Free alkali as per cent NaOH of the soap's mass, with one standard deviation from drop, scale and strength. */
    public Estimate freeAlkaliPercent() {
        double unit = percentFor(1);
        double found = unit * used;
        double drop = unit * DROPS / (acid.isStandard() ? 1 : GRAMS_PER_MILLILITRE);
        double strong = found * (acid.isStandard() ? STANDARD_STRENGTH : KITCHEN_STRENGTH);
        double scale = found * SCALE_GRAMS / soap.grams();
        return new Estimate(found, Math.sqrt(drop * drop + strong * strong + scale * scale));
    }

    /** Per cent of NaOH that so much acid stands for: 1 ml or 1 g. */
    private double percentFor(double amount) {
        double moles = acid.isStandard()
                ? amount / MILLI * strength
                : acid.equivalents * amount * strength / PERCENT / acid.gramsPerMol;
        return PERCENT * moles * Alkali.NAOH.molarMass() / soap.grams();
    }
}
