package io.causticon.core.science.pots;

import java.util.Arrays;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.hipparchus.analysis.interpolation.HermiteInterpolator;

/**
 * A curve through tabulated points that never overshoots them.
 *
 * <p>Source: F. N. Fritsch and R. E. Carlson, Monotone Piecewise Cubic Interpolation, SIAM J. Numer. Anal. 17 (1980),
 * with the weighted harmonic slopes of Fritsch and Butland (1984).
 */
final class MonotoneCubic {

    private final double[] x;
    private final double[] y;
    /** Coefficients of each piece, the constant first. */
    private final double[][] pieces;

    MonotoneCubic(double[] x, double[] y) {
        this.x = x.clone();
        this.y = y.clone();
        double[] slopes = slopes();
        this.pieces = IntStream.range(0, x.length - 1)
                .mapToObj(i -> piece(x, y, slopes, i))
                .toArray(double[][]::new);
    }

    /** A curve over the logarithms of these points. */
    static MonotoneCubic overLogs(double[] x, double[] y) {
        return new MonotoneCubic(DoubleStream.of(x).map(Math::log).toArray(), y);
    }

    /** The value at a point; held at the ends. */
    double at(double at) {
        int last = x.length - 1;
        if (at <= x[0]) {
            return y[0];
        }
        if (at >= x[last]) {
            return y[last];
        }
        int i = 0;
        while (at > x[i + 1]) {
            i++;
        }
        double[] c = pieces[i];
        return c[0] + at * (c[1] + at * (c[2] + at * c[3]));
    }

    private static double[] piece(double[] x, double[] y, double[] slope, int i) {
        HermiteInterpolator piece = new HermiteInterpolator();
        piece.addSamplePoint(x[i], new double[] {y[i]}, new double[] {slope[i]});
        piece.addSamplePoint(x[i + 1], new double[] {y[i + 1]}, new double[] {slope[i + 1]});
        return Arrays.copyOf(piece.getPolynomials()[0].getCoefficients(), 4);
    }

    private double[] slopes() {
        int n = x.length;
        double[] m = new double[n];
        for (int i = 1; i < n - 1; i++) {
            double before = secant(i - 1);
            double after = secant(i);
            if (before * after > 0) {
                double w1 = 2 * width(i) + width(i - 1);
                double w2 = width(i) + 2 * width(i - 1);
                m[i] = (w1 + w2) / (w1 / before + w2 / after);
            }
        }
        m[0] = endSlope(width(0), width(1), secant(0), secant(1));
        m[n - 1] = endSlope(width(n - 2), width(n - 3), secant(n - 2), secant(n - 3));
        return m;
    }

    private static double endSlope(double h0, double h1, double d0, double d1) {
        double slope = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
        if (slope * d0 <= 0) {
            return 0;
        }
        return d0 * d1 <= 0 && Math.abs(slope) > 3 * Math.abs(d0) ? 3 * d0 : slope;
    }

    private double width(int i) {
        return x[i + 1] - x[i];
    }

    private double secant(int i) {
        return (y[i + 1] - y[i]) / width(i);
    }
}
