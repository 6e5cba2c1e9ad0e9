package io.causticon.core.science.pots;

import io.causticon.core.quantity.Temperature;

/**
 * A vessel that cools in a room. Real vessels slow down more than Newton's law tells, by convection and evaporation:
 * {@code d(t) = d0 (1 + p k t (d0/20)^p)^(-1/p)} with {@code d} the difference to the room and {@code k} the rate per
 * minute at 20 K.
 *
 * @param start temperature at minute 0
 * @param room temperature of the surroundings
 * @param ratePerMinute k, per minute, more than zero
 * @param excess p, how far the exponent of convection is above one; with zero it is Newton's law,
 *     {@code d(t) = d0 exp(-k t)}
 */
public record CoolingBody(Temperature start, Temperature room, double ratePerMinute, double excess) {

    /** Free convection alone: 0.1 to 0.25. */
    public static final double CONVECTION = 0.15;

    private static final double REFERENCE_DIFFERENCE = 20;

    /** A closed vessel. */
    public CoolingBody(Temperature start, Temperature room, double ratePerMinute) {
        this(start, room, ratePerMinute, CONVECTION);
    }

    public Temperature after(double minutes) {
        return Temperature.celsius(course().celsiusAfter(minutes));
    }

    /** The same law with all worked out that does not change with time, for whoever asks it a thousand times. */
    Course course() {
        double d0 = start.celsius() - room.celsius();
        return new Course(
                room.celsius(), d0, excess == 0 ? ratePerMinute : excess * ratePerMinute * scale(Math.abs(d0)), excess);
    }

    /**
     * How it cools.
     *
     * @param room C
     * @param difference to it at minute 0, K
     * @param pace per minute
     * @param excess as above
     */
    record Course(double room, double difference, double pace, double excess) {

        double celsiusAfter(double minutes) {
            if (difference == 0) {
                return room;
            }
            return room
                    + difference
                            * (excess == 0 ? Math.exp(-pace * minutes) : Math.pow(1 + pace * minutes, -1 / excess));
        }
    }

    /**
     * Minutes until it has come to the target from the side it started on: 0 if it is past it already, infinite if the
     * surroundings keep it from getting there.
     */
    public double minutesTo(Temperature target) {
        double d0 = start.celsius() - room.celsius();
        double sign = d0 < 0 ? -1 : 1;
        double size = sign * d0;
        double left = sign * (target.celsius() - room.celsius());
        if (size > 0 && size <= left) {
            return 0;
        }
        if (left <= 0 || size == 0) {
            return Double.POSITIVE_INFINITY;
        }
        return excess == 0
                ? Math.log(size / left) / ratePerMinute
                : (Math.pow(size / left, excess) - 1) / (excess * ratePerMinute * scale(size));
    }

    private double scale(double difference) {
        return Math.pow(difference / REFERENCE_DIFFERENCE, excess);
    }
}
