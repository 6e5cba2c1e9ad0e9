package io.causticon.core.loaf;

import java.util.Arrays;

/**
 * One half of a loaf's cross-section in finite volumes: columns from the middle plane outwards, rows from the bottom up. Keeps the
 * temperature of the walls, which start at that of the room. In a cylinder the columns are rings, and what flows outwards is spread over
 * more and more of them.
 */
final class Grid {

    /** The outermost ring has up to this much more rim to its area than a straight cell. */
    private static final double RING_MARGIN = 1.25;

    private final int columns;
    private final int rows;
    private final double dx;
    private final double dy;
    private final double conductivity;
    private final boolean round;

    /** By column: its outer rim against its area, and that against the area of the next. */
    private final double[] outwards;
    private final double[] inwards;
    private final double[] heat;
    private final WallStrip side;
    private final WallStrip top;
    private final WallStrip bottom;

    Grid(LoafSetup setup, double conductivity, double cell) {
        this.columns = Math.max(3, (int) Math.round(setup.width() / 2 / cell));
        this.rows = Math.max(4, (int) Math.round(setup.height() / cell));
        this.dx = setup.width() / 2 / columns;
        this.dy = setup.height() / rows;
        this.conductivity = conductivity;
        this.round = setup.shape() == LoafSetup.Shape.CYLINDER;
        this.outwards = new double[columns];
        this.inwards = new double[columns];
        for (int c = 0; c < columns; c++) {
            outwards[c] = rim(c);
            inwards[c] = rim(c) * area(c) / area(c + 1);
        }
        this.heat = new double[columns * rows];
        double room = setup.room().celsius();
        this.side = new WallStrip(setup.side(), rows, dx / 2 / conductivity, room);
        this.top = new WallStrip(setup.top(), columns, dy / 2 / conductivity, room);
        this.bottom = new WallStrip(setup.bottom(), columns, dy / 2 / conductivity, room);
    }

    int columns() {
        return columns;
    }

    int rows() {
        return rows;
    }

    int cells() {
        return columns * rows;
    }

    /** Longest explicit step in s that keeps the worst cell stable. */
    double stableStep(double capacity, double sink) {
        double across = Math.max(2 * conductivity / (dx * dx), conductivity / (dx * dx) + side.conductance() / dx);
        double along = Math.max(
                2 * conductivity / (dy * dy),
                conductivity / (dy * dy) + Math.max(top.conductance(), bottom.conductance()) / dy);
        return capacity / (across * (round ? RING_MARGIN : 1) + along + sink);
    }

    /** Heat that flows into each cell, W/m3, valid until it is asked for again; moves the walls on by the step. */
    double[] heatInto(double[] t, double room, double step) {
        Arrays.fill(heat, 0);
        double across = conductivity / (dx * dx);
        double along = conductivity / (dy * dy);
        for (int r = 0; r < rows; r++) {
            int first = r * columns;
            int last = first + columns - 1;
            for (int i = first; i < last; i++) {
                double flow = across * (t[i + 1] - t[i]);
                heat[i] += flow * outwards[i - first];
                heat[i + 1] -= flow * inwards[i - first];
            }
            heat[last] += side.flux(r, t[last], room, step) / dx * outwards[columns - 1];
        }
        for (int i = 0; i < heat.length - columns; i++) {
            double flow = along * (t[i + columns] - t[i]);
            heat[i] += flow;
            heat[i + columns] -= flow;
        }
        for (int c = 0; c < columns; c++) {
            int lid = (rows - 1) * columns + c;
            heat[c] += bottom.flux(c, t[c], room, step) / dy;
            heat[lid] += top.flux(c, t[lid], room, step) / dy;
        }
        return heat;
    }

    /** Outer rim of a column against its area, times the width of the column: 1 in a box, {@code r_out / r_middle} in a cylinder. */
    private double rim(int column) {
        return round ? (column + 1) / (column + 0.5) : 1;
    }

    /** Area of a column, in units of the innermost. */
    private double area(int column) {
        return round ? 2 * column + 1 : 1;
    }

    /** The wall along one face, a lump of heat a cell. */
    private static final class WallStrip {

        private final double[] temperature;
        private final double inward;
        private final double outward;
        private final double capacity;

        WallStrip(Wall wall, int cells, double halfCell, double room) {
            this.temperature = new double[cells];
            Arrays.fill(temperature, room);
            this.inward = 1 / (halfCell + wall.inner());
            this.outward = 1 / wall.outer();
            this.capacity = wall.capacity();
        }

        double conductance() {
            return inward;
        }

        /** W/m2 into the soap. The wall moves first and its new value drives the flux, which keeps energy exact. */
        double flux(int cell, double soap, double room, double step) {
            double stored = capacity / step;
            double now = (stored * temperature[cell] + inward * soap + outward * room) / (stored + inward + outward);
            temperature[cell] = now;
            return inward * (now - soap);
        }
    }
}
