package io.causticon.core.science.pots;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.TemperatureChange;
import java.util.Arrays;

/**
 * When lye and fats are close enough to one another and both in the window.
 *
 * @param median minute of the readings' clock, from now on; infinite if they do not meet by waiting
 * @param low end of the central 80 %
 * @param high other end; infinite when more than a tenth of the draws never meet
 * @param probability that they meet at all within the time looked at
 * @param best probability that they are together at the best moment
 * @param bestMinute that moment
 */
public record Meeting(double median, double low, double high, double probability, double best, double bestMinute) {

    private static final double GRID = 1;
    /** Every second draw tells as much at half the work. */
    private static final int EVERY = 2;

    /**
     * @param now minute from which to look
     * @param until last minute looked at
     * @param tolerance how close they must be
     * @param window in which both must be, C
     */
    public static Meeting of(
            CoolingFit lye, CoolingFit fats, double now, double until, TemperatureChange tolerance, Interval window) {
        int draws = CoolingFit.draws() / EVERY;
        double[] times = new double[draws];
        Arrays.fill(times, Double.POSITIVE_INFINITY);
        double best = 0;
        double bestMinute = now;
        for (double minute = now; minute <= until; minute += GRID) {
            int together = 0;
            for (int i = 0; i < draws; i++) {
                double a = lye.drawnAt(EVERY * i, minute);
                double b = fats.drawnAt(EVERY * (draws - 1 - i), minute);
                if (Math.abs(a - b) <= tolerance.kelvin() && window.contains(a) && window.contains(b)) {
                    together++;
                    times[i] = Math.min(times[i], minute);
                }
            }
            double share = (double) together / draws;
            if (share > best + 1e-12) {
                best = share;
                bestMinute = minute;
            }
        }
        long met = Arrays.stream(times).filter(Double::isFinite).count();
        Arrays.sort(times);
        return new Meeting(
                times[draws / 2],
                times[draws / 10],
                times[draws - 1 - draws / 10],
                (double) met / draws,
                best,
                bestMinute);
    }
}
