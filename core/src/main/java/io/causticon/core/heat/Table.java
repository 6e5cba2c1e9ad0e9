package io.causticon.core.heat;

import java.util.Arrays;

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
        int found = Arrays.binarySearch(x, at);
        int i = found >= 0 ? found : -found - 2;
        if (i == x.length - 1) {
            return y[i];
        }
        return y[i] + (y[i + 1] - y[i]) * (at - x[i]) / (x[i + 1] - x[i]);
    }
}
