package io.causticon.core.heat;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;

/**
 * A vessel that cools in a room. Real vessels slow down more than Newton's law tells, by convection and evaporation:
 * {@code d(t) = d0 (1 + p k t (d0/20)^p)^(-1/p)} with {@code d} the difference to the room and {@code k} the rate per minute at 20 K.
 *
 * @param start temperature at minute 0
 * @param room temperature of the surroundings
 * @param ratePerMinute k, per minute, more than zero
 * @param excess p, how far the exponent of convection is above one
 */
public record CoolingBody(Temperature start, Temperature room, double ratePerMinute, double excess) {

    /** Free convection alone: 0.1 to 0.25. */
    public static final double CONVECTION = 0.15;

    /** With what evaporates from an open pot, which falls off faster than the difference does. */
    public static final double OPEN_POT = 0.20;

    private static final double REFERENCE_DIFFERENCE = 20;

    /** A closed vessel. */
    public CoolingBody(Temperature start, Temperature room, double ratePerMinute) {
        this(start, room, ratePerMinute, CONVECTION);
    }

    /** Typical rate of a jug of lye; half as much again either way. */
    public static double usualLyeRate(Mass liquor) {
        return 0.013 * Math.cbrt(300 / liquor.grams());
    }

    /** Typical rate of a pot of fats; half as much again either way. */
    public static double usualFatsRate(Mass fats) {
        return 0.010 * Math.cbrt(500 / fats.grams());
    }

    public Temperature after(double minutes) {
        double d0 = start.celsius() - room.celsius();
        if (d0 == 0) {
            return room;
        }
        double sign = Math.signum(d0);
        double size = Math.abs(d0);
        double slowed = 1 + excess * ratePerMinute * minutes * scale(size);
        return Temperature.celsius(room.celsius() + sign * size * Math.pow(slowed, -1 / excess));
    }

    /** Minutes until it is at the target; infinite if the room keeps it from getting there. */
    public double minutesTo(Temperature target) {
        double d0 = start.celsius() - room.celsius();
        double d = target.celsius() - room.celsius();
        if (d <= 0 || d0 <= d) {
            return d0 <= d && d0 > 0 ? 0 : Double.POSITIVE_INFINITY;
        }
        return (Math.pow(d0 / d, excess) - 1) / (excess * ratePerMinute * scale(d0));
    }

    private double scale(double difference) {
        return Math.pow(difference / REFERENCE_DIFFERENCE, excess);
    }
}
