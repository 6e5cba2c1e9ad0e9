package io.causticon.core.science.cure;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Share;
import java.time.Duration;

/**
 * How much water is left in trimmings and shavings that lay about: {@code X(t) = X_end + (X_0 - X_end) exp(-t / T)}
 * with X the water to a gram of what is dry. Thin pieces dry on all sides, so T is twelve days, half to twice (a
 * judgement); at 50 % humidity 9 % stays (a judgement, as milled toilet soaps hold).
 */
public final class ScrapWater {

    private static final double DAYS = 12;
    private static final double HALF_TO_TWICE = 2;
    private static final double LEFT_AT_THE_END = 0.09;

    /** Nobody knows it better than to one and a half points. */
    private static final double LEAST_SPREAD = 0.015;

    /** Of a value that lies within half to twice four times out of five, standard deviations to each side. */
    private static final double SIGMAS = 1.28;

    private static final double HOURS_A_DAY = 24;

    private ScrapWater() {}

    /**
     * Share of water in it, a fraction of its mass with its standard deviation.
     *
     * @param fresh water of the batter, of all that went into the pot
     * @param age since the pour, zero or more
     */
    public static Estimate of(Share fresh, Duration age) {
        double days = Math.max(0, age.toMinutes() / 60.0 / HOURS_A_DAY);
        double least = left(fresh.fraction(), days, DAYS / HALF_TO_TWICE);
        double most = left(fresh.fraction(), days, DAYS * HALF_TO_TWICE);
        return new Estimate(
                left(fresh.fraction(), days, DAYS), Math.max(LEAST_SPREAD, Math.abs(most - least) / 2 / SIGMAS));
    }

    private static double left(double fresh, double days, double scale) {
        double start = fresh / (1 - fresh);
        double end = Math.min(start, LEFT_AT_THE_END / (1 - LEFT_AT_THE_END));
        double dry = end + (start - end) * Math.exp(-days / scale);
        return dry / (1 + dry);
    }
}
