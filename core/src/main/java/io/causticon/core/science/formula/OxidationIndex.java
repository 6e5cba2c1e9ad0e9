package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid;
import io.causticon.core.quantity.Share;
import java.util.List;

/**
 * How soon a bar goes stale: linoleic and twice linolenic acid among the acids, raised by a tenth for each point of
 * superfat above five and lowered for each below. Linolenic acid oxidises about twice as fast as linoleic (rates of
 * autoxidation, 1 : 2); the rest is judgement.
 *
 * @param linoleic share of the fats
 * @param linolenic share of the fats, alpha and gamma
 * @param index the weighted sum
 */
public record OxidationIndex(Share linoleic, Share linolenic, double index) {

    /** Above this, bars spot within the year. */
    public static final double SPOTS_WITHIN_THE_YEAR = 0.22;

    /** Below this, they keep for two years in a cool, dry place. */
    public static final double KEEPS_TWO_YEARS = 0.08;

    private static final double LINOLENIC_WEIGHT = 2;
    private static final double PER_POINT_OF_SUPERFAT = 0.10;
    private static final double USUAL_SUPERFAT = 5;

    public static OxidationIndex of(Formula formula) {
        Share linoleic = Composition.ofAcid(formula.fats(), FattyAcid.LINOLEIC);
        Share linolenic = Share.fraction(Composition.ofAcid(formula.fats(), FattyAcid.ALPHA_LINOLENIC)
                        .fraction()
                + Composition.ofAcid(formula.fats(), FattyAcid.GAMMA_LINOLENIC).fraction());
        return new OxidationIndex(
                linoleic,
                linolenic,
                (linoleic.fraction() + LINOLENIC_WEIGHT * linolenic.fraction()) * superfatFactor(formula));
    }

    /** What a fat adds to the index for each part of the whole that it makes up, at five points of superfat. */
    public static double indexOfFat(Fat fat) {
        return fat.shareOf(FattyAcid.LINOLEIC)
                + LINOLENIC_WEIGHT * (fat.shareOf(FattyAcid.ALPHA_LINOLENIC) + fat.shareOf(FattyAcid.GAMMA_LINOLENIC));
    }

    public static double superfatFactor(Formula formula) {
        double points = Math.max(0, formula.superfat().inPercent());
        return Math.max(0, 1 + PER_POINT_OF_SUPERFAT * (points - USUAL_SUPERFAT));
    }

    /** Whether an antioxidant or a chelator is in it. */
    public static boolean isGuarded(List<AdditivePortion> additives) {
        return additives.stream()
                .map(a -> a.additive().kind())
                .anyMatch(kind -> kind.equals("antioxidant") || kind.equals("chelator"));
    }
}
