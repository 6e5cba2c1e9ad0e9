package io.causticon.core.science.loaf;

/**
 * One half of a loaf's cross-section in finite volumes: columns from the middle plane outwards, rows from the bottom
 * up, walls along three sides. In a cylinder the columns are rings, and what flows outwards is spread over more and
 * more of them.
 */
final class Grid {

    /** The outermost ring has up to this much more rim to its area than a straight cell. */
    private static final double RING_MARGIN = 1.25;

    private static final double STEP_SAFETY = 0.85;

    private final int columns;
    private final int rows;
    private final boolean round;
    private final double dx;
    private final double dy;
    private final double across;
    private final double along;

    /** By column: its outer rim against its area, and that against the area of the next. */
    private final double[] outwards;

    private final double[] inwards;

    /** By column: its part of the area. */
    private final double[] part;

    private final double[] heat;
    private final Face side;
    private final Face top;
    private final Face bottom;
    private final double step;
    private double boundary;

    Grid(LoafSetup setup, double conductivity, LoafHeat.Resolution resolution) {
        this.columns = resolution.columns(setup);
        this.rows = resolution.rows(setup);
        this.dx = setup.width() / 2 / columns;
        this.dy = setup.height() / rows;
        this.across = conductivity / (dx * dx);
        this.along = conductivity / (dy * dy);
        this.round = setup.shape() == LoafSetup.Shape.CYLINDER;
        this.outwards = new double[columns];
        this.inwards = new double[columns];
        this.part = new double[columns];
        for (int c = 0; c < columns; c++) {
            double rim = round ? (c + 1) / (c + 0.5) : 1;
            outwards[c] = rim;
            inwards[c] = round ? rim * (2 * c + 1) / (2 * c + 3) : 1;
            part[c] = (round ? (2 * c + 1) / (double) columns : 1) / (columns * (double) rows);
        }
        this.heat = new double[columns * rows];
        double halfAcross = dx / 2 / conductivity;
        double halfAlong = dy / 2 / conductivity;
        double outermost = Math.max(2 * across, across + Face.conductance(setup.side(), halfAcross) / dx)
                * (round ? RING_MARGIN : 1);
        double uppermost = Math.max(
                2 * along,
                along
                        + Math.max(
                                        Face.conductance(setup.top(), halfAlong),
                                        Face.conductance(setup.bottom(), halfAlong))
                                / dy);
        double limit = Math.min(
                resolution.step(), STEP_SAFETY * setup.batter().volumetricCapacity() / (outermost + uppermost));
        // A whole number of steps to a frame: what is kept of a moment is of that moment.
        this.step = LoafHistory.FRAME_SECONDS / Math.ceil(LoafHistory.FRAME_SECONDS / limit);
        double begin = setup.wallsAt().celsius();
        this.side = new Face(setup.side(), rows, halfAcross, begin, step);
        this.top = new Face(setup.top(), columns, halfAlong, begin, step);
        this.bottom = new Face(setup.bottom(), columns, halfAlong, begin, step);
    }

    int columns() {
        return columns;
    }

    int rows() {
        return rows;
    }

    LoafHistory.Cells cells() {
        return new LoafHistory.Cells(columns, rows, dx, dy, round);
    }

    /** Longest step that keeps the worst cell stable, s. */
    double step() {
        return step;
    }

    /** What a column's cells are of the whole section. */
    double part(int column) {
        return part[column];
    }

    /** Heat that flowed in through the walls in the last step, W/m3 of the section. */
    double throughWalls() {
        return boundary;
    }

    double mean(double[] values) {
        double sum = 0;
        for (int i = 0; i < values.length; ) {
            for (int c = 0; c < columns; c++, i++) {
                sum += part[c] * values[i];
            }
        }
        return sum;
    }

    /** Heat that flows into each cell, W/m3, valid until it is asked for again; moves the walls on by the step. */
    double[] heatInto(double[] t, double outside) {
        for (int r = 0; r < rows; r++) {
            within(t, r * columns, r > 0 ? columns : 0, r < rows - 1 ? columns : 0);
        }
        boundary = 0;
        for (int r = 0; r < rows; r++) {
            int last = (r + 1) * columns - 1;
            double in = side.flux(r, t[last], outside) / dx * outwards[columns - 1];
            heat[last] += in;
            boundary += in * part[columns - 1];
        }
        int lid = (rows - 1) * columns;
        for (int c = 0; c < columns; c++) {
            double below = bottom.flux(c, t[c], outside) / dy;
            double above = top.flux(c, t[lid + c], outside) / dy;
            heat[c] += below;
            heat[lid + c] += above;
            boundary += (below + above) * part[c];
        }
        return heat;
    }

    /**
     * What flows between the cells of one row and those beside it: plain loops over arrays, which is what makes it
     * quick.
     */
    private void within(double[] t, int first, int down, int up) {
        int last = columns - 1;
        heat[first] = across * outwards[0] * (t[first + 1] - t[first])
                + along * (t[first + up] - 2 * t[first] + t[first - down]);
        for (int c = 1; c < last; c++) {
            int i = first + c;
            heat[i] = across * (outwards[c] * (t[i + 1] - t[i]) - inwards[c - 1] * (t[i] - t[i - 1]))
                    + along * (t[i + up] - 2 * t[i] + t[i - down]);
        }
        int i = first + last;
        heat[i] = along * (t[i + up] - 2 * t[i] + t[i - down]) - across * inwards[last - 1] * (t[i] - t[i - 1]);
    }

    /** What the walls give to the outside, W/m3 of the section. */
    double lost(double outside) {
        return overWalls((face, cell) -> face.lost(cell, outside));
    }

    /** What the walls hold, J/m3 of the section above 0 C. */
    double inWalls() {
        return overWalls(Face::stored);
    }

    private interface Along {
        double of(Face face, int cell);
    }

    private double overWalls(Along what) {
        double sum = 0;
        for (int r = 0; r < rows; r++) {
            sum += what.of(side, r) / dx * outwards[columns - 1] * part[columns - 1];
        }
        for (int c = 0; c < columns; c++) {
            sum += (what.of(bottom, c) + what.of(top, c)) / dy * part[c];
        }
        return sum;
    }
}
