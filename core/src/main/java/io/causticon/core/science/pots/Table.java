package io.causticon.core.science.pots;

/** A tabulated relation, read between its points by straight lines and held at its ends. */
final class Table {

    private final double[] x;
    private final double[] y;

    private Table(double[] x, double[] y) {
        this.x = x;
        this.y = y;
    }

    /** Points as x, y, x, y ..., with x rising. */
    static Table of(double... points) {
        int n = points.length / 2;
        double[] x = new double[n];
        double[] y = new double[n];
        for (int i = 0; i < n; i++) {
            x[i] = points[2 * i];
            y[i] = points[2 * i + 1];
        }
        return new Table(x, y);
    }

    double at(double at) {
        if (at <= x[0]) {
            return y[0];
        }
        if (at >= x[x.length - 1]) {
            return y[y.length - 1];
        }
        // A dozen points: going along them is faster than halving.
        int i = 0;
        while (at >= x[i + 1]) {
            i++;
        }
        return y[i] + (y[i + 1] - y[i]) * (at - x[i]) / (x[i + 1] - x[i]);
    }
}
