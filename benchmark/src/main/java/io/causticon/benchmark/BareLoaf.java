package io.causticon.benchmark;

import io.causticon.core.science.loaf.LoafSetup;
import java.util.Arrays;

/**
 * The section of a loaf without anything round it: what its arithmetic alone costs. Not a model to be asked anything.
 */
final class BareLoaf {

    /**
     * What is round it, on all sides the same: m2 K/W from the soap to its middle, from there to the air, and J/(m2 K).
     */
    enum Wall {
        TOWELLED_WOOD(0.086, 0.404, 13_800),
        WOOD(0.0625, 0.1875, 12_000),
        SILICONE(0.004, 0.129, 3000);

        private final double inner;
        private final double outer;
        private final double capacity;

        Wall(double inner, double outer, double capacity) {
            this.inner = inner;
            this.outer = outer;
            this.capacity = capacity;
        }
    }

    private static final double CONDUCTIVITY = 0.28;
    private static final double ROOM = 20;
    private static final double LATENT_KELVINS = 8000;
    private static final double HALF_WIDTH = 4;
    private static final double GELLED = 0.30;
    private static final double DONE = 0.9999;

    private final double[] table = new double[324];
    private final int columns;
    private final int rows;
    private final double step;
    private final double across;
    private final double along;
    private final double capacity;
    private final double perConversion;
    private final double low;
    private final double gel;
    private final double latent;
    private final double outside;
    private final double[] rim;
    private final double[] inner;
    private final double[] t;
    private final double[] x;
    private final double[] theta;
    private final double[] margin;
    private final double[] heat;
    private final double[][] wallAt;
    private final double[][] wall;

    BareLoaf(LoafSetup setup, int columns, int rows, double step, Wall round) {
        this.columns = columns;
        this.rows = rows;
        this.step = step;
        double dx = setup.width() / 2 / columns;
        double dy = setup.height() / rows;
        this.across = CONDUCTIVITY / (dx * dx);
        this.along = CONDUCTIVITY / (dy * dy);
        this.capacity = setup.batter().volumetricCapacity();
        this.perConversion = setup.batter().volumetricHeat() / capacity;
        this.gel = setup.batter().gelPoint();
        this.low = gel - HALF_WIDTH;
        this.latent = LATENT_KELVINS * setup.batter().density() / capacity;
        this.outside = ROOM;
        int n = columns * rows;
        this.t = new double[n];
        this.x = new double[n];
        this.theta = new double[n];
        this.margin = new double[n];
        this.heat = new double[n];
        this.rim = new double[columns];
        this.inner = new double[columns];
        Arrays.fill(rim, 1);
        Arrays.fill(inner, 1);
        Arrays.fill(t, setup.poured().celsius());
        Arrays.fill(theta, setup.poured().celsius());
        Arrays.fill(x, setup.converted());
        Arrays.fill(margin, -100);
        this.wallAt = new double[][] {new double[rows], new double[columns], new double[columns]};
        for (double[] face : wallAt) {
            Arrays.fill(face, outside);
        }
        this.wall = new double[][] {face(round, dx), face(round, dy), face(round, dy)};
        for (int i = 0; i < table.length; i++) {
            double k = 2.8e-4 * Math.exp(-49_000 / 8.314 * (1 / (i / 2.0 - 50 + 273.15) - 1 / 313.15));
            table[i] = k / (1 + k / 8e-4);
        }
    }

    /** What of the wall's new temperature is its own, the soap's and the room's; what flows inwards a kelvin, W/m3. */
    private double[] face(Wall w, double cell) {
        double in = 1 / (cell / 2 / CONDUCTIVITY + w.inner);
        double out = 1 / w.outer;
        double all = w.capacity / step + in + out;
        return new double[] {w.capacity / step / all, in / all, out / all, in / cell};
    }

    double run(double hours) {
        int steps = (int) (hours * 3600 / step);
        int last = columns - 1;
        double peak = 0;
        double boiled = 0;
        boolean cools = false;
        for (int at = 0; at < steps; at++) {
            for (int r = 0; r < rows; r++) {
                int first = r * columns;
                int down = r > 0 ? columns : 0;
                int up = r < rows - 1 ? columns : 0;
                heat[first] = across * rim[0] * (t[first + 1] - t[first])
                        + along * (t[first + up] - 2 * t[first] + t[first - down]);
                for (int c = 1; c < last; c++) {
                    int i = first + c;
                    heat[i] = across * (rim[c] * (t[i + 1] - t[i]) - inner[c - 1] * (t[i] - t[i - 1]))
                            + along * (t[i + up] - 2 * t[i] + t[i - down]);
                }
                int i = first + last;
                heat[i] = along * (t[i + up] - 2 * t[i] + t[i - down]) - across * inner[last - 1] * (t[i] - t[i - 1]);
                double now = wall[0][0] * wallAt[0][r] + wall[0][1] * t[i] + wall[0][2] * outside;
                wallAt[0][r] = now;
                heat[i] += wall[0][3] * (now - t[i]);
            }
            for (int c = 0; c < columns; c++) {
                int lid = (rows - 1) * columns + c;
                double above = wall[1][0] * wallAt[1][c] + wall[1][1] * t[lid] + wall[1][2] * outside;
                wallAt[1][c] = above;
                heat[lid] += wall[1][3] * (above - t[lid]);
                double below = wall[2][0] * wallAt[2][c] + wall[2][1] * t[c] + wall[2][2] * outside;
                wallAt[2][c] = below;
                heat[c] += wall[2][3] * (below - t[c]);
            }
            double perHeat = step / capacity;
            if (cools) {
                for (int i = 0; i < t.length; i++) {
                    t[i] += perHeat * heat[i];
                }
                continue;
            }
            double least = 1;
            double warmest = 0;
            for (int i = 0; i < t.length; i++) {
                double celsius = t[i];
                double soapy = x[i];
                double warmed = theta[i] + perHeat * heat[i];
                if (soapy < DONE) {
                    double place = (celsius + 50) * 2;
                    int k = Math.max(0, Math.min(322, (int) place));
                    double ke = table[k] + (table[k + 1] - table[k]) * (place - k);
                    double s = ke * (1 - 2 * soapy - 0.08) * step;
                    double grown = ke * (soapy + 0.08) * (1 - soapy) * step * (1 + s * (0.5 + s * (1.0 / 6 + s / 24)));
                    warmed += perConversion * grown;
                    soapy = soapy + grown < 1 ? soapy + grown : 1;
                    x[i] = soapy;
                    least = soapy < least ? soapy : least;
                }
                double hidden = latent * soapy;
                double slope = hidden / (2 * HALF_WIDTH);
                celsius = warmed <= low
                        ? warmed
                        : warmed >= low + 2 * HALF_WIDTH + hidden
                                ? warmed - hidden
                                : (warmed + slope * low) / (1 + slope);
                if (celsius > 100) {
                    boiled += warmed - 100 - hidden;
                    warmed = 100 + hidden;
                    celsius = 100;
                }
                theta[i] = warmed;
                t[i] = celsius;
                warmest = celsius > warmest ? celsius : warmest;
                double above = Math.min(celsius - gel, 100 * (soapy - GELLED));
                margin[i] = above > margin[i] ? above : margin[i];
            }
            peak = warmest > peak ? warmest : peak;
            cools = least >= DONE && warmest < low;
        }
        return peak + boiled;
    }
}
