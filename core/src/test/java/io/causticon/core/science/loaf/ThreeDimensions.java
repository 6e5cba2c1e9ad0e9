package io.causticon.core.science.loaf;

import java.util.Arrays;

/**
 * A quarter of a box in three dimensions, by finite volumes: what the section and its length are held against. Slow,
 * and plain enough to be seen to be right.
 */
final class ThreeDimensions {

    private final int nx;
    private final int ny;
    private final int nz;
    private final double dx;
    private final double dy;
    private final double dz;
    private final double conductivity;
    private final LoafSetup setup;
    private final Soap soap;
    private final double[][][] theta;
    private final double[][][] x;
    private final double[][][] t;
    private final double step;
    private final Face side;
    private final Face end;
    private final Face top;
    private final Face bottom;

    /** The warmest that any place was, C. */
    double peak;

    ThreeDimensions(LoafSetup setup, double cell) {
        this.setup = setup;
        this.conductivity = LoafHeat.Parameters.USUAL.conductivity();
        this.nx = (int) Math.round(setup.width() / 2 / cell);
        this.ny = (int) Math.round(setup.height() / cell);
        this.nz = (int) Math.round(setup.length() / 2 / cell);
        this.dx = setup.width() / 2 / nx;
        this.dy = setup.height() / ny;
        this.dz = setup.length() / 2 / nz;
        this.soap = new Soap(setup.batter(), LoafHeat.Parameters.USUAL.activationEnergy());
        this.theta = new double[nx][ny][nz];
        this.x = new double[nx][ny][nz];
        this.t = new double[nx][ny][nz];
        double limit = 0;
        for (double d : new double[] {dx, dy, dz}) {
            double wall = Face.conductance(d == dy ? setup.top() : setup.side(), d / 2 / conductivity);
            limit += Math.max(2 * conductivity / d / d, conductivity / d / d + wall / d);
        }
        this.step = 300 / Math.ceil(300 / Math.min(40, 0.8 * setup.batter().volumetricCapacity() / limit));
        double begin = setup.wallsAt().celsius();
        this.side = new Face(setup.side(), ny * nz, dx / 2 / conductivity, begin, step);
        this.end = new Face(setup.side(), nx * ny, dz / 2 / conductivity, begin, step);
        this.top = new Face(setup.top(), nx * nz, dy / 2 / conductivity, begin, step);
        this.bottom = new Face(setup.bottom(), nx * nz, dy / 2 / conductivity, begin, step);
        for (int i = 0; i < nx; i++) {
            for (int j = 0; j < ny; j++) {
                Arrays.fill(t[i][j], setup.poured().celsius());
                Arrays.fill(x[i][j], setup.converted());
                Arrays.fill(theta[i][j], soap.theta(setup.poured().celsius(), setup.converted()));
            }
        }
        this.peak = setup.poured().celsius();
    }

    /** Temperature in the very middle at each of these hours, C. */
    double[] middleAt(double... hours) {
        double[] middle = new double[hours.length];
        double seconds = 0;
        for (int h = 0; h < hours.length; h++) {
            for (; seconds < hours[h] * 3600 - 1; seconds += step) {
                advance(setup.around().celsiusAt(seconds));
            }
            middle[h] = ny % 2 == 1 ? t[0][ny / 2][0] : (t[0][ny / 2][0] + t[0][ny / 2 - 1][0]) / 2;
        }
        return middle;
    }

    private void advance(double outside) {
        double[][][] heat = new double[nx][ny][nz];
        for (int i = 0; i < nx; i++) {
            for (int j = 0; j < ny; j++) {
                for (int k = 0; k < nz; k++) {
                    heat[i][j][k] += i < nx - 1
                            ? flow(heat, i, j, k, i + 1, j, k, dx)
                            : side.flux(j * nz + k, t[i][j][k], outside) / dx;
                    heat[i][j][k] += k < nz - 1
                            ? flow(heat, i, j, k, i, j, k + 1, dz)
                            : end.flux(i * ny + j, t[i][j][k], outside) / dz;
                    heat[i][j][k] += j < ny - 1
                            ? flow(heat, i, j, k, i, j + 1, k, dy)
                            : top.flux(i * nz + k, t[i][j][k], outside) / dy;
                    heat[i][j][k] += j == 0 ? bottom.flux(i * nz + k, t[i][j][k], outside) / dy : 0;
                }
            }
        }
        double capacity = setup.batter().volumetricCapacity();
        for (int i = 0; i < nx; i++) {
            for (int j = 0; j < ny; j++) {
                for (int k = 0; k < nz; k++) {
                    double grown = x[i][j][k] < 1 ? soap.growth(t[i][j][k], x[i][j][k], step) : 0;
                    theta[i][j][k] += (step * heat[i][j][k] + setup.batter().volumetricHeat() * grown) / capacity;
                    x[i][j][k] = Math.min(1, x[i][j][k] + grown);
                    t[i][j][k] = soap.celsius(theta[i][j][k], x[i][j][k]);
                    peak = Math.max(peak, t[i][j][k]);
                }
            }
        }
    }

    private double flow(double[][][] heat, int i, int j, int k, int a, int b, int c, double d) {
        double flow = conductivity / d / d * (t[a][b][c] - t[i][j][k]);
        heat[a][b][c] -= flow;
        return flow;
    }
}
