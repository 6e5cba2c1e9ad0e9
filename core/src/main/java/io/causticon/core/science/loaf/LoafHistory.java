package io.causticon.core.science.loaf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * What a loaf went through: a frame of the half section every few minutes.
 *
 * @param cells how the section is divided
 * @param frameSeconds time between frames, s
 * @param frames temperature of each cell, C, row by row from the bottom, middle plane first
 * @param converted at each frame, how far saponification has come in the mean of the section, 0 to 1
 * @param peak highest temperature anywhere, C
 * @param peakHour when, h after pouring
 * @param gelShare share of the section that gelled, its outermost corners left out
 * @param gelPoint temperature at which this batter gels, C
 * @param aboveGel of each cell, how far it came above what it takes to gel, K; below 0 where it did not gel
 * @param boiledOff water that left as steam, as a share of the batter's mass
 */
public record LoafHistory(
        Cells cells,
        double frameSeconds,
        List<double[]> frames,
        List<Double> converted,
        double peak,
        double peakHour,
        double gelShare,
        double gelPoint,
        double[] aboveGel,
        double boiledOff) {

    /**
     * One half of a section in cells.
     *
     * @param columns from the middle plane to the side
     * @param rows from the bottom to the top
     * @param columnMetres width of one, m
     * @param rowMetres height of one, m
     * @param round whether columns are rings of a cylinder
     */
    public record Cells(int columns, int rows, double columnMetres, double rowMetres, boolean round) {

        /** The whole width of the section against its height. */
        public double widthToHeight() {
            return 2 * columns * columnMetres / (rows * rowMetres);
        }
    }

    /** From one frame to the next. */
    static final double FRAME_SECONDS = 300;

    private static final double FULL_GEL = 0.93;
    private static final double NO_GEL = 0.02;

    /** How far gel went. */
    public enum Extent {
        NONE,
        PARTIAL,
        FULL
    }

    public Extent extent() {
        return extent(gelShare);
    }

    /** What a share of the section that gelled is called. */
    static Extent extent(double gelShare) {
        if (gelShare >= FULL_GEL) {
            return Extent.FULL;
        }
        return gelShare < NO_GEL ? Extent.NONE : Extent.PARTIAL;
    }

    /** Temperature in the middle of the loaf, C, this many hours after pouring; held after the end. */
    public double coreCelsiusAt(double hours) {
        return at(hours, i -> core(frames.get(i)));
    }

    /** How far saponification has come, 0 to 1, this many hours after pouring; held after the end. */
    public double convertedShareAt(double hours) {
        return at(hours, converted::get);
    }

    private double at(double hours, IntToDoubleFunction frame) {
        return between(hours, frameSeconds, frames.size(), frame);
    }

    /** Read between the two nearest of so many frames, and held after the last. */
    static double between(double hours, double frameSeconds, int frames, IntToDoubleFunction frame) {
        double place = Math.max(0, hours) * 3600 / frameSeconds;
        int before = Math.min((int) place, frames - 1);
        int after = Math.min(before + 1, frames - 1);
        double part = Math.min(1, place - before);
        return frame.applyAsDouble(before) * (1 - part) + frame.applyAsDouble(after) * part;
    }

    /** The frame nearest to this many hours after pouring. */
    public double[] frameAt(double hours) {
        int nearest = (int) Math.round(hours * 3600 / frameSeconds);
        return frames.get(Math.max(0, Math.min(nearest, frames.size() - 1)));
    }

    /**
     * How far each cell came above what it takes to gel until each of these hours after pouring, K; below 0 where it
     * had not gelled by then.
     *
     * @param hours rising
     */
    public List<double[]> aboveGelUntil(double... hours) {
        double[] above = new double[aboveGel.length];
        Arrays.fill(above, Double.NEGATIVE_INFINITY);
        List<double[]> found = new ArrayList<>();
        int next = 0;
        for (double hour : hours) {
            int last = Math.max(0, Math.min((int) Math.round(hour * 3600 / frameSeconds), frames.size() - 1));
            for (; next <= last; next++) {
                double[] frame = frames.get(next);
                for (int i = 0; i < above.length; i++) {
                    above[i] = Math.max(above[i], frame[i] - gelPoint);
                }
            }
            double[] until = new double[above.length];
            for (int i = 0; i < until.length; i++) {
                // What was warm before there was soap did not gel by that.
                until[i] = Math.min(above[i], aboveGel[i]);
            }
            found.add(until);
        }
        return found;
    }

    /** Share of the section, 0 to 1, in which this is above 0: its corners left out. */
    public double gelShare(double[] above) {
        return GelField.share(cells, above);
    }

    public double hours() {
        return (frames.size() - 1) * frameSeconds / 3600;
    }

    private double core(double[] frame) {
        return middle(frame, cells);
    }

    /**
     * In the very middle of a section: on the middle plane the field is level, so it is read on from the two cells
     * beside it.
     */
    static double middle(double[] t, Cells cells) {
        int columns = cells.columns();
        int rows = cells.rows();
        int upper = rows / 2 * columns;
        double first = rows % 2 == 1 ? t[upper] : (t[upper] + t[upper - columns]) / 2;
        double second = rows % 2 == 1 ? t[upper + 1] : (t[upper + 1] + t[upper - columns + 1]) / 2;
        return Math.min(Soap.BOILS, first + (first - second) / 8);
    }

    /** Whether a frame is to be kept; times are sums of steps, which do not end in whole seconds. */
    static boolean isDue(double second, int frames) {
        return second >= frames * FRAME_SECONDS - 1e-3;
    }

    /** Collects frames while a simulation runs. */
    static final class Recorder {

        private final Grid grid;
        private final List<double[]> frames = new ArrayList<>();
        private final List<Double> converted = new ArrayList<>();

        Recorder(Grid grid) {
            this.grid = grid;
        }

        void record(double second, double[] temperature, double[] conversion) {
            if (isDue(second, frames.size())) {
                frames.add(temperature.clone());
                converted.add(grid.mean(conversion));
            }
        }

        LoafHistory history(Batter batter, double peak, double peakHour, double[] aboveGel, double boiledOff) {
            return new LoafHistory(
                    grid.cells(),
                    FRAME_SECONDS,
                    frames,
                    converted,
                    peak,
                    peakHour,
                    GelField.share(grid.cells(), aboveGel),
                    batter.gelPoint(),
                    aboveGel,
                    boiledOff);
        }
    }
}
