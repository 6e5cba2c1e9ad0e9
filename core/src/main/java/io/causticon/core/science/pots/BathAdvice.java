package io.causticon.core.science.pots;

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

    /** Ice water. */
    public static final Temperature ICE = Temperature.celsius(1);

    /** Water from the tap. */
    public static final Temperature TAP = Temperature.celsius(14);
    /** Warm water that does not scald. */
    public static final Temperature WARM = Temperature.celsius(55);

    private static final double LONGEST = 40;
    /** Two baths are twice the work: only for so many minutes less. */
    private static final double WORTH_TWO_BATHS = 3;

    private static final double GRID = 0.25;

    /**
     * A pot as it stands.
     *
     * @param at what it is at
     * @param inBath how it would come to a bath
     * @param waits how it goes on if it is left where it is
     */
    public record Stands(Temperature at, PotCooling inBath, CoolingBody waits) {}

    /**
     * Baths after which they are within tolerance and in the window, the quickest first; empty when none helps within
     * forty minutes.
     */
    public static List<BathAdvice> of(Stands lye, Stands fats, Interval window, TemperatureChange tolerance) {
        List<BathAdvice> advice = new ArrayList<>();
        for (Pot pot : List.of(Pot.LYE, Pot.FATS)) {
            Stands bathed = pot == Pot.LYE ? lye : fats;
            CoolingBody waits = (pot == Pot.LYE ? fats : lye).waits();
            for (Temperature bath : List.of(TAP, WARM)) {
                CoolingBody moved = bathed.inBath().body(bathed.at(), bath);
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
        double quickest = advice.stream().mapToDouble(BathAdvice::minutes).min().orElse(Double.POSITIVE_INFINITY);
        both(lye, fats, window, tolerance)
                .filter(b -> b.minutes() < quickest - WORTH_TWO_BATHS)
                .ifPresent(advice::add);
        advice.sort(Comparator.comparingDouble(BathAdvice::minutes));
        return advice;
    }

    /**
     * The warmer pot into cold water, the colder one into warm; each is taken out when it reaches the window, so the
     * slower one counts.
     */
    private static Optional<BathAdvice> both(Stands lye, Stands fats, Interval window, TemperatureChange tolerance) {
        double middle = window.middle();
        double slower = Math.max(minutesTo(lye, middle, tolerance), minutesTo(fats, middle, tolerance));
        boolean apart = (lye.at().celsius() - middle) * (fats.at().celsius() - middle) < 0;
        return apart && slower > 0 && slower <= LONGEST
                ? Optional.of(new BathAdvice(Pot.BOTH, WARM, slower))
                : Optional.empty();
    }

    private static double minutesTo(Stands from, double middle, TemperatureChange tolerance) {
        double near = tolerance.kelvin() / 2;
        Temperature bath = from.at().celsius() > middle ? TAP : WARM;
        CoolingBody body = from.inBath().body(from.at(), bath);
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
