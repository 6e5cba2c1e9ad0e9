package io.causticon.core.science.loaf;

/**
 * How much of a section gelled, from how far each of its cells came above what it takes: read between the cells, so
 * that few cells tell as much as many.
 */
final class GelField {

    /** Each cell is looked at in so many places each way. */
    private static final int PLACES = 4;

    /** The outermost corner does not gel in any loaf, and nobody calls a loaf half-way for it. */
    private static final double CORNER = 0.007;

    private GelField() {}

    /** Share of the section that gelled, 0 to 1, its corners left out. */
    static double share(LoafHistory.Cells cells, double[] aboveGel) {
        double all = 0;
        double gelled = 0;
        double width = cells.columns() * cells.columnMetres();
        double height = cells.rows() * cells.rowMetres();
        for (int r = 0; r < cells.rows() * PLACES; r++) {
            double y = (r + 0.5) / PLACES;
            double up = y * cells.rowMetres();
            for (int c = 0; c < cells.columns() * PLACES; c++) {
                double x = (c + 0.5) / PLACES;
                double out = x * cells.columnMetres();
                if (width - out < CORNER && (up < CORNER || height - up < CORNER)) {
                    continue;
                }
                // Rings of a cylinder hold more the farther out they are.
                double part = cells.round() ? out : 1;
                all += part;
                gelled += at(cells, aboveGel, x - 0.5, y - 0.5) >= 0 ? part : 0;
            }
        }
        return gelled / all;
    }

    /** Between the middles of cells, and on from the outermost two; in units of cells, the first at 0. */
    private static double at(LoafHistory.Cells cells, double[] field, double x, double y) {
        int columns = cells.columns();
        // On the middle plane it is level: what lies left of the first middle is as that is.
        double across = Math.max(0, x);
        int c = Math.min((int) across, columns - 2);
        int r = Math.max(0, Math.min((int) Math.floor(y), cells.rows() - 2));
        double dx = across - c;
        double dy = y - r;
        int i = r * columns + c;
        double low = field[i] + (field[i + 1] - field[i]) * dx;
        double high = field[i + columns] + (field[i + columns + 1] - field[i + columns]) * dx;
        return low + (high - low) * dy;
    }
}
