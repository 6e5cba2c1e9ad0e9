package io.causticon.core.science.diagnosis;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;

/**
 * Alkali beyond what the fats take, as a share of what they take, if there is too much at all.
 *
 * @param middle as likely more as less
 * @param band nine times out of ten it is between these, fractions
 */
public record Excess(Share middle, Interval band) {

    private static final double NINE_OUT_OF_TEN = .9;

    /** @param superfat how likely each level is; some of it below nothing */
    static Excess of(double[] superfat) {
        double[] below = superfat.clone();
        for (int level = 0; level < below.length; level++) {
            below[level] = SuperfatLevels.isExcess(level) ? below[level] : 0;
        }
        double tail = (1 - NINE_OUT_OF_TEN) / 2;
        return new Excess(
                Share.fraction(-SuperfatLevels.quantile(below, .5)),
                Interval.between(-SuperfatLevels.quantile(below, 1 - tail), -SuperfatLevels.quantile(below, tail)));
    }
}
