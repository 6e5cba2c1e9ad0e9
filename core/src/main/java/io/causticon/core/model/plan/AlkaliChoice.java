package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;

/**
 * Which alkali a recipe is made with, and how pure it is.
 *
 * @param naohShare share of sodium hydroxide in the pure alkali, by mass; the rest is potassium hydroxide
 * @param naohPurity purity of the sodium hydroxide, usually 97-99 %
 * @param kohPurity purity of the potassium hydroxide, usually 85-90 %
 * @param kohCertified whether that is from the certificate of this very lot; otherwise it is known to three points
 */
public record AlkaliChoice(Share naohShare, Share naohPurity, Share kohPurity, boolean kohCertified) {

    public static final Share USUAL_NAOH_PURITY = Share.percent(98);
    public static final Share USUAL_KOH_PURITY = Share.percent(90);

    /** Without a certificate of the potassium hydroxide. */
    public AlkaliChoice(Share naohShare, Share naohPurity, Share kohPurity) {
        this(naohShare, naohPurity, kohPurity, false);
    }

    public static AlkaliChoice naoh(Share purity) {
        return new AlkaliChoice(Share.WHOLE, purity, USUAL_KOH_PURITY);
    }

    public Share purity(Alkali alkali) {
        return alkali == Alkali.NAOH ? naohPurity : kohPurity;
    }

    /** What to weigh of one alkali so that the two together bring this many moles. */
    Mass toWeigh(Alkali alkali, double moles) {
        double molesPerPureGram = naohShare.fraction() / Alkali.NAOH.molarMass()
                + naohShare.complement().fraction() / Alkali.KOH.molarMass();
        Mass pure = Mass.grams(moles / molesPerPureGram).times(shareOf(alkali).fraction());
        return pure.times(1 / purity(alkali).fraction());
    }

    /** Grams to weigh of both alkalis together for one mole. */
    double gramsPerMole() {
        return toWeigh(Alkali.NAOH, 1).plus(toWeigh(Alkali.KOH, 1)).grams();
    }

    private Share shareOf(Alkali alkali) {
        return alkali == Alkali.NAOH ? naohShare : naohShare.complement();
    }
}
