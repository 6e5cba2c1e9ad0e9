package io.causticon.core.science.pots;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * A cooling vessel fitted to its readings.
 *
 * <p>Most probable start, rate and room under {@link CoolingBody}'s law with normal priors on the logarithm of the rate
 * and on the room (Levenberg-Marquardt on the weighted residuals); the spread is the inverse of the normal matrix
 * there, drawn from four hundred times with a fixed seed. A room that is not known must have a prior: left free with
 * three or four readings the fit runs away.
 */
public final class CoolingFit {

    /**
     * A reading.
     *
     * @param minute of the clock that the fit runs on
     * @param celsius what was read
     */
    public record Reading(double minute, double celsius) {}

    /**
     * What is believed before any reading.
     *
     * @param cooling how the pot is expected to cool
     * @param room temperature of the surroundings
     * @param roomSpread its standard deviation in K: 0.7 when it was read, 2.5 when it is guessed
     */
    public record Prior(PotCooling cooling, Temperature room, double roomSpread) {}

    public static final double ROOM_READ = 0.7;
    public static final double ROOM_GUESSED = 2.5;

    private static final double LEAST_NOISE = 0.7;
    private static final int DRAWS = 400;
    private static final long SEED = 8424;
    private static final double MODEL_ERROR = 0.03;
    private static final int EVALUATIONS = 200;
    private static final double STEP = 1e-4;

    private final double firstMinute;
    private final double excess;
    private final double[] best;
    private final double[] spreads;
    private final double[][] draws;
    private final CoolingBody middle;
    private final CoolingBody.Course[] courses;

    private CoolingFit(double firstMinute, double excess, double[] best, double[] spreads, double[][] draws) {
        this.firstMinute = firstMinute;
        this.excess = excess;
        this.best = best;
        this.spreads = spreads;
        this.draws = draws;
        this.middle = body(best);
        this.courses = Arrays.stream(draws).map(d -> body(d).course()).toArray(CoolingBody.Course[]::new);
    }

    /**
     * @param readings at least one, in the order of time
     * @param noise of the thermometer, K
     */
    public static CoolingFit of(List<Reading> readings, double noise, Prior prior) {
        if (readings.isEmpty()) {
            throw new IllegalArgumentException("Impossible state: a fit without a reading");
        }
        double first = readings.get(0).minute();
        double sigma = Math.max(noise, LEAST_NOISE);
        double[] start = {
            readings.get(0).celsius(),
            Math.log(prior.cooling().rate()),
            prior.room().celsius()
        };
        MultivariateJacobianFunction model = point -> residuals(point, readings, first, sigma, prior);
        Optimum optimum = new LevenbergMarquardtOptimizer()
                .optimize(new LeastSquaresBuilder()
                        .model(model)
                        .target(new double[readings.size() + 2])
                        .start(start)
                        .lazyEvaluation(false)
                        .maxEvaluations(EVALUATIONS)
                        .maxIterations(EVALUATIONS)
                        .build());
        double[] best = optimum.getPoint().toArray();
        RealMatrix jacobian = optimum.getJacobian();
        RealMatrix covariance = new LUDecomposition(jacobian.transposeMultiply(jacobian))
                .getSolver()
                .getInverse();
        double[] spreads = new double[best.length];
        for (int i = 0; i < spreads.length; i++) {
            spreads[i] = Math.sqrt(covariance.getEntry(i, i));
        }
        return new CoolingFit(first, prior.cooling().excess(), best, spreads, draw(best, covariance));
    }

    /** Logarithm of the most probable rate, per minute at 20 K. */
    public double logRate() {
        return best[1];
    }

    /** Standard deviation of {@link #logRate()}. */
    public double logRateSpread() {
        return spreads[1];
    }

    /** Most probable surroundings. */
    public Temperature surroundings() {
        return Temperature.celsius(best[2]);
    }

    /** Standard deviation of the surroundings, K. */
    public double surroundingsSpread() {
        return spreads[2];
    }

    /** Standard deviation of the temperature at the first reading, K. */
    public double startSpread() {
        return spreads[0];
    }

    /** Median course. Its minute 0 is the first reading. */
    public CoolingBody middle() {
        return middle;
    }

    /** Temperature at a minute of the readings' clock in the middle, C. */
    public double celsiusAt(double minute) {
        return middle.after(minute - firstMinute).celsius();
    }

    /** Central 80 % at a minute of the readings' clock, C. */
    public Interval bandAt(double minute) {
        double[] values = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            values[i] = drawnAt(i, minute);
        }
        Arrays.sort(values);
        return Interval.between(values[DRAWS / 10], values[DRAWS - 1 - DRAWS / 10]);
    }

    /** Temperature of one of the draws at a minute, C. */
    double drawnAt(int draw, double minute) {
        // What the law itself does not catch grows with how far it is asked beyond its first reading.
        return courses[draw].celsiusAfter((minute - firstMinute) * draws[draw][3]);
    }

    static int draws() {
        return DRAWS;
    }

    /**
     * When it reaches a temperature.
     *
     * @param median minute of the readings' clock; infinite if it never does
     * @param low end of the central 80 %
     * @param high other end; infinite when more than a tenth of the draws never get there
     * @param probability that it gets there at all
     */
    public record Arrival(double median, double low, double high, double probability) {}

    /** When it reaches a target that lies between where it is now and its surroundings. */
    public Arrival reaches(Temperature target) {
        double[] times = new double[DRAWS];
        int arrive = 0;
        for (int i = 0; i < DRAWS; i++) {
            times[i] = firstMinute + body(draws[i]).minutesTo(target) / draws[i][3];
            arrive += Double.isFinite(times[i]) ? 1 : 0;
        }
        Arrays.sort(times);
        return new Arrival(times[DRAWS / 2], times[DRAWS / 10], times[DRAWS - 1 - DRAWS / 10], (double) arrive / DRAWS);
    }

    private CoolingBody body(double[] p) {
        return body(p, excess);
    }

    private static CoolingBody body(double[] p, double excess) {
        return new CoolingBody(Temperature.celsius(p[0]), Temperature.celsius(p[2]), Math.exp(p[1]), excess);
    }

    private static Pair<RealVector, RealMatrix> residuals(
            RealVector point, List<Reading> readings, double first, double sigma, Prior prior) {
        double[] p = point.toArray();
        double[] value = residual(p, readings, first, sigma, prior);
        double[][] jacobian = new double[value.length][3];
        for (int j = 0; j < 3; j++) {
            double[] moved = p.clone();
            moved[j] += STEP;
            double[] up = residual(moved, readings, first, sigma, prior);
            moved[j] -= 2 * STEP;
            double[] down = residual(moved, readings, first, sigma, prior);
            for (int i = 0; i < value.length; i++) {
                jacobian[i][j] = (up[i] - down[i]) / (2 * STEP);
            }
        }
        return new Pair<>(new ArrayRealVector(value), new Array2DRowRealMatrix(jacobian));
    }

    private static double[] residual(double[] p, List<Reading> readings, double first, double sigma, Prior prior) {
        int n = readings.size();
        double[] r = new double[n + 2];
        CoolingBody body = body(p, prior.cooling().excess());
        for (int i = 0; i < n; i++) {
            r[i] = (body.after(readings.get(i).minute() - first).celsius()
                            - readings.get(i).celsius())
                    / sigma;
        }
        r[n] = (p[1] - Math.log(prior.cooling().rate())) / prior.cooling().spread();
        r[n + 1] = (p[2] - prior.room().celsius()) / prior.roomSpread();
        return r;
    }

    private static double[][] draw(double[] best, RealMatrix covariance) {
        RealMatrix lower = new CholeskyDecomposition(covariance, 1e-6, 1e-14).getL();
        Random random = new Random(SEED);
        double[][] draws = new double[DRAWS][];
        for (int i = 0; i < DRAWS; i++) {
            double[] z = {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()};
            double[] moved = lower.operate(z);
            draws[i] = new double[] {
                best[0] + moved[0],
                best[1] + moved[1],
                best[2] + moved[2],
                Math.exp(MODEL_ERROR * random.nextGaussian())
            };
        }
        return draws;
    }
}
