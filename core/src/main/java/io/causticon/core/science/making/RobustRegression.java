package io.causticon.core.science.making;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Bayesian linear regression with a conjugate normal-inverse-gamma prior, made robust.
 *
 * <p>{@code y = x b + e}, {@code b | s2 ~ N(m0, s2 V0)}, {@code s2 ~ IG(a0, b0)}; the posterior is of the same family
 * in closed form (Gelman et al., Bayesian Data Analysis, 3rd ed., ch. 14). A row whose residual is within two
 * deviations counts fully; beyond that it gets the weight of a Student t error with four degrees of freedom,
 * {@code (4 + 4) / (4 + r2 / s2)}, found by repeating the conjugate update (Lange, Little and Taylor 1989), so that one
 * odd batch weighs little and a good one loses nothing.
 */
final class RobustRegression {

    private static final double FREEDOM = 4;
    private static final double FULL_WEIGHT = 2;
    private static final int ROUNDS = 15;

    /**
     * One observation.
     *
     * @param x a value for each coefficient
     * @param y what was seen
     * @param variance of its error as a multiple of the common one, more than zero
     */
    record Row(double[] x, double y, double variance) {}

    /**
     * A number that is not known for sure: Student t.
     *
     * @param middle its middle
     * @param scale its scale
     * @param freedom degrees of freedom
     */
    record Belief(double middle, double scale, double freedom) {

        double standardDeviation() {
            return scale * Math.sqrt(freedom / (freedom - 2));
        }

        /** Half of the central interval that holds this part of the probability. */
        double half(double part) {
            return scale * new TDistribution(freedom).inverseCumulativeProbability(0.5 + part / 2);
        }
    }

    private final RealVector mean;
    private final RealMatrix covariance;
    private final double shape;
    private final double rate;

    private RobustRegression(RealVector mean, RealMatrix covariance, double shape, double rate) {
        this.mean = mean;
        this.covariance = covariance;
        this.shape = shape;
        this.rate = rate;
    }

    /**
     * @param means prior middles of the coefficients
     * @param deviations prior standard deviations, given the prior noise; all more than zero
     * @param noise prior standard deviation of the error
     * @param shape how firmly that noise is believed: half the number of rows that it stands for, more than one
     */
    static RobustRegression fit(double[] means, double[] deviations, double noise, double shape, List<Row> rows) {
        double[] weights = new double[rows.size()];
        Arrays.fill(weights, 1);
        RobustRegression fit = conjugate(means, deviations, noise, shape, rows, weights);
        for (int round = 0; round < ROUNDS && !rows.isEmpty(); round++) {
            double scale = fit.rate / fit.shape;
            for (int i = 0; i < weights.length; i++) {
                Row row = rows.get(i);
                double residual = row.y() - fit.middle(row.x());
                double square = residual * residual / (scale * row.variance());
                weights[i] = Math.min(1, (FREEDOM + FULL_WEIGHT * FULL_WEIGHT) / (FREEDOM + square));
            }
            fit = conjugate(means, deviations, noise, shape, rows, weights);
        }
        return fit;
    }

    private static RobustRegression conjugate(
            double[] means, double[] deviations, double noise, double shape, List<Row> rows, double[] weights) {
        int d = means.length;
        double variance = noise * noise;
        double[][] precision = new double[d][d];
        double[] weighted = new double[d];
        double squares = 0;
        for (int j = 0; j < d; j++) {
            precision[j][j] = variance / (deviations[j] * deviations[j]);
            weighted[j] = precision[j][j] * means[j];
            squares += precision[j][j] * means[j] * means[j];
        }
        for (int i = 0; i < rows.size(); i++) {
            Row row = rows.get(i);
            double w = weights[i] / row.variance();
            squares += w * row.y() * row.y();
            for (int j = 0; j < d; j++) {
                if (row.x()[j] != 0) {
                    weighted[j] += w * row.x()[j] * row.y();
                    for (int k = 0; k <= j; k++) {
                        precision[j][k] += w * row.x()[j] * row.x()[k];
                        precision[k][j] = precision[j][k];
                    }
                }
            }
        }
        RealMatrix inverse = new CholeskyDecomposition(new Array2DRowRealMatrix(precision), 1e-9, 1e-14)
                .getSolver()
                .getInverse();
        RealVector mean = inverse.operate(new ArrayRealVector(weighted));
        double left = squares - mean.dotProduct(new ArrayRealVector(weighted));
        return new RobustRegression(mean, inverse, shape + rows.size() / 2.0, shape * variance + Math.max(0, left) / 2);
    }

    double middle(double[] x) {
        return mean.dotProduct(new ArrayRealVector(x));
    }

    /** One coefficient. */
    Belief coefficient(int j) {
        return new Belief(mean.getEntry(j), Math.sqrt(rate / shape * covariance.getEntry(j, j)), 2 * shape);
    }

    /** A combination of coefficients, without the error of an observation. */
    Belief combination(double[] x) {
        RealVector v = new ArrayRealVector(x);
        return new Belief(middle(x), Math.sqrt(rate / shape * v.dotProduct(covariance.operate(v))), 2 * shape);
    }

    /** What the next observation will be. */
    Belief next(double[] x, double variance) {
        RealVector v = new ArrayRealVector(x);
        return new Belief(
                middle(x), Math.sqrt(rate / shape * (variance + v.dotProduct(covariance.operate(v)))), 2 * shape);
    }

    /** Standard deviation of the error of an observation, as it is believed now. */
    double noise() {
        return Math.sqrt(rate / shape);
    }
}
