package io.causticon.core.heat;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What brings lye and fats together sooner than waiting.
 *
 * @param pot which is put into the bath
 * @param bath temperature of the bath
 * @param minutes how long it takes until they are together
 */
public record BathAdvice(Pot pot, Temperature bath, double minutes) {

    /** The two pots. */
    public enum Pot {
        LYE,
        FATS
    }

    private static final Temperature TAP = Temperature.celsius(14);
    private static final Temperature WARM = Temperature.celsius(55);
    private static final double PLASTIC_IN_BATH = 0.04;
    private static final double POT_IN_BATH = 0.06;
    private static final double LONGEST = 40;
    private static final double GRID = 0.25;

    /**
     * Baths after which they are within tolerance and in the window, the quickest first; empty when none helps within forty minutes.
     *
     * @param room of the room
     */
    public static List<BathAdvice> of(
            Temperature lye, Temperature fats, Temperature room, Interval window, TemperatureChange tolerance) {
        List<BathAdvice> advice = new ArrayList<>();
        for (Pot pot : Pot.values()) {
            for (Temperature bath : List.of(TAP, WARM)) {
                double rate = pot == Pot.LYE ? PLASTIC_IN_BATH : POT_IN_BATH;
                CoolingBody moved = new CoolingBody(pot == Pot.LYE ? lye : fats, bath, rate);
                CoolingBody waits = new CoolingBody(pot == Pot.LYE ? fats : lye, room, 0.012);
                for (double m = 0; m <= LONGEST; m += GRID) {
                    double a = moved.after(m).celsius();
                    double b = waits.after(m).celsius();
                    if (Math.abs(a - b) <= tolerance.kelvin() && window.contains(a) && window.contains(b)) {
                        advice.add(new BathAdvice(pot, bath, m));
                        break;
                    }
                }
            }
        }
        advice.sort(Comparator.comparingDouble(BathAdvice::minutes));
        return advice;
    }

    public boolean warms() {
        return bath.equals(WARM);
    }
}
