package io.causticon.core.science.making;

/**
 * One term of the working time: what it is called, from where it is counted, and what is believed of it before any
 * batch was logged.
 *
 * <p>All are judgement, kept wide: they say in which direction and about how much, and the workshop's own batches
 * correct them. The temperature follows Arrhenius with about 50 kJ/mol.
 */
enum Term {
    /**
     * ln 12 min: light trace at 40 C, 33 % lye, a quarter of long saturates, two fifths oleic, with bursts of a stick
     * blender.
     */
    BASE("this workshop", 0, Math.log(12), 0.29),
    /** Per kelvin above 40 C; twice as fast for 11 K. */
    TEMPERATURE("mixing temperature", 40, -Math.log(2) / 11, 0.012),
    /** Per unit of lye concentration above 0.33. */
    CONCENTRATION("lye concentration", 0.33, -5.0, 1.5),
    /** Per unit of C16 and longer saturates above a quarter. */
    LONG_SATURATED("long saturated acids", 0.25, -1.6, 0.5),
    /** Per unit of oleic acid above two fifths. */
    MONO("oleic acid", 0.40, 0.9, 0.4),
    /** Per unit of linoleic and linolenic acid above a tenth. */
    POLY("linoleic acid", 0.10, 0.4, 0.5),
    /** Per unit of ricinoleic acid. */
    RICINOLEIC("castor", 0, -1.5, 0.6),
    /** Per unit of superfat above 5 %: the less alkali, the slower. */
    SUPERFAT("superfat", 0.05, 2.0, 1.0),
    /** Per unit of sugar in the fats. */
    SUGAR("sugar", 0, -5.0, 2.0),
    /** Per gram of clay or meal that drinks water, in a kilogram of fats. */
    POWDER("clay and powder", 0, -0.006, 0.004),
    /** Per gram of salt in a kilogram of fats: it salts soap out, which thickens. */
    SALT("salt", 0, -0.0015, 0.001),
    /** Per doubling of the blender's seconds per kilogram of batter over 30. */
    BLENDING("blending", 0, -0.25, 0.1),
    STAND_MIXER("stand mixer", 0, 0.7, 0.4),
    WHISK("whisk", 0, 1.4, 0.5),
    HAND("by hand", 0, 1.9, 0.5),
    BOTTLE("shaken bottle", 0, 0.9, 0.5);

    private final String words;
    private final double origin;
    private final double mean;
    private final double deviation;

    Term(String words, double origin, double mean, double deviation) {
        this.words = words;
        this.origin = origin;
        this.mean = mean;
        this.deviation = deviation;
    }

    String words() {
        return words;
    }

    /** Value at which it neither hurries nor slows. */
    double origin() {
        return origin;
    }

    /** Prior middle of what one unit adds to the logarithm of the minutes. */
    double mean() {
        return mean;
    }

    /** Prior standard deviation of the same. */
    double deviation() {
        return deviation;
    }
}
