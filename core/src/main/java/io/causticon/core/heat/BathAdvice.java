package io.causticon.core.heat;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

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
        FATS,
        /** Each into a bath of its own: the warmer one cold, the colder one warm. */
        BOTH
    }

    /** Water from the tap. */
    public static final Temperature TAP = Temperature.celsius(14);
    /** Warm water that does not scald. */
    public static final Temperature WARM = Temperature.celsius(55);
    /** Rate of a plastic jug in a bath, per minute at 20 K, stirred. */
    public static final double PLASTIC_IN_BATH = 0.04;
    /** Rate of a metal pot of fats in a bath, per minute at 20 K, stirred. */
    public static final double POT_IN_BATH = 0.06;
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
        both(lye, fats, window, tolerance).ifPresent(advice::add);
        for (Pot pot : List.of(Pot.LYE, Pot.FATS)) {
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

    /** The warmer pot into cold water, the colder one into warm; each is taken out when it reaches the window, so the slower one counts. */
    private static Optional<BathAdvice> both(Temperature lye, Temperature fats, Interval window, TemperatureChange tolerance) {
        double middle = window.middle();
        double lyeMinutes = minutesTo(lye, middle, PLASTIC_IN_BATH, tolerance);
        double fatsMinutes = minutesTo(fats, middle, POT_IN_BATH, tolerance);
        double slower = Math.max(lyeMinutes, fatsMinutes);
        boolean apart = (lye.celsius() - middle) * (fats.celsius() - middle) < 0;
        return apart && slower > 0 && slower <= LONGEST ? Optional.of(new BathAdvice(Pot.BOTH, WARM, slower)) : Optional.empty();
    }

    private static double minutesTo(Temperature from, double middle, double rate, TemperatureChange tolerance) {
        double near = tolerance.kelvin() / 2;
        Temperature bath = from.celsius() > middle ? TAP : WARM;
        CoolingBody body = new CoolingBody(from, bath, rate);
        for (double m = 0; m <= LONGEST; m += GRID) {
            if (Math.abs(body.after(m).celsius() - middle) <= near) {
                return m;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    public boolean warms() {
        return bath.equals(WARM);
    }
}
