package io.causticon.core.science.forecast;

import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafEnsemble;
import java.util.Optional;

/**
 * What is worth doing with a loaf that sets: nothing, a look where it tells most, or air before it gets too hot.
 *
 * @param what to do
 * @param settledHour hours after the pour from which on nothing warms it any more
 * @param lookHour hours after the pour at which a look at the middle tells most
 * @param tooHot chance that it passes {@link LoafEnsemble#TOO_HOT}, 0 to 1
 */
public record LoafWatch(What what, double settledHour, double lookHour, double tooHot) {

    /** In the order of haste. */
    public enum What {
        /** Its middle is so hot that it goes on by itself. */
        AIR_NOW,
        /** All that could warm it is done. */
        SETTLED,
        MAY_OVERHEAT,
        LOOK_LATER,
        LEAVE
    }

    /** Of the middle: hot enough to go on by itself, early enough to help. As the chance below, a judgement. */
    public static final Temperature AIR_AT = Temperature.celsius(80);

    private static final double WORTH_A_WARNING = 0.1;

    /**
     * @param hours since the pour
     * @param read in the middle, last; empty where nobody read
     */
    public static LoafWatch of(LoafEnsemble loaf, double hours, Optional<Temperature> read) {
        double settled = loaf.settledHour();
        double look = loaf.mostTellingHour();
        double hot = loaf.probabilityPeakAbove(LoafEnsemble.TOO_HOT);
        What what = read.filter(t -> t.celsius() >= AIR_AT.celsius()).isPresent()
                ? What.AIR_NOW
                : hours >= settled
                        ? What.SETTLED
                        : hot >= WORTH_A_WARNING ? What.MAY_OVERHEAT : look > hours ? What.LOOK_LATER : What.LEAVE;
        return new LoafWatch(what, settled, look, hot);
    }
}
