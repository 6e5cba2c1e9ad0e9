package io.causticon.core.quantity;

import java.util.function.UnaryOperator;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Parameters that make residuals small (Levenberg-Marquardt, slopes by central differences), and their spread, the
 * inverse of the normal matrix. Residuals are in standard deviations, priors among them.
 *
 * @param best the parameters
 * @param covariance of them
 */
public record LeastSquares(double[] best, RealMatrix covariance) {

    /**
     * How it is sought.
     *
     * @param step of a parameter, for its slope
     * @param close relative change at which it ends
     * @param evaluations at the most
     */
    public record Search(double step, double close, int evaluations) {}

    /**
     * @param residuals for parameters, always as many
     * @throws MathRuntimeException if none are found
     */
    public static LeastSquares of(UnaryOperator<double[]> residuals, double[] start, Search search) {
        Optimum optimum = new LevenbergMarquardtOptimizer()
                .withCostRelativeTolerance(search.close())
                .withParameterRelativeTolerance(search.close())
                .optimize(new LeastSquaresBuilder()
                        .model(point -> model(residuals, point.toArray(), search.step()))
                        .target(new double[residuals.apply(start).length])
                        .start(start)
                        .lazyEvaluation(false)
                        .maxEvaluations(search.evaluations())
                        .maxIterations(search.evaluations())
                        .build());
        RealMatrix jacobian = optimum.getJacobian();
        RealMatrix covariance = new LUDecomposition(jacobian.transposeMultiply(jacobian))
                .getSolver()
                .getInverse();
        return new LeastSquares(optimum.getPoint().toArray(), covariance);
    }

    private static Pair<RealVector, RealMatrix> model(UnaryOperator<double[]> residuals, double[] p, double step) {
        double[] value = residuals.apply(p);
        double[][] jacobian = new double[value.length][p.length];
        for (int j = 0; j < p.length; j++) {
            double[] moved = p.clone();
            moved[j] += step;
            double[] up = residuals.apply(moved);
            moved[j] -= 2 * step;
            double[] down = residuals.apply(moved);
            for (int i = 0; i < value.length; i++) {
                jacobian[i][j] = (up[i] - down[i]) / (2 * step);
            }
        }
        return new Pair<>(new ArrayRealVector(value), new Array2DRowRealMatrix(jacobian));
    }
}
