package io.causticon.core.loaf;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * What a loaf went through: a frame of the half section every few minutes.
 *
 * @param columns cells from the middle plane to the side
 * @param rows cells from the bottom to the top
 * @param frameSeconds time between frames, s
 * @param frames temperature of each cell, C, row by row from the bottom, middle plane first
 * @param converted at each frame, how far saponification has come in the mean of the section, 0 to 1
 * @param peak highest temperature anywhere, C
 * @param peakHour when, h after pouring
 * @param gelShare share of the section that gelled, its outermost corners left out
 * @param gelPoint temperature at which this batter gels, C
 */
public record LoafHistory(
        int columns,
        int rows,
        double frameSeconds,
        List<double[]> frames,
        List<Double> converted,
        double peak,
        double peakHour,
        double gelShare,
        double gelPoint) {

    private static final double FULL_GEL = 0.93;
    private static final double NO_GEL = 0.02;

    /** How far gel went. */
    public enum Extent {
        NONE,
        PARTIAL,
        FULL
    }

    public Extent extent() {
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

    public double hours() {
        return (frames.size() - 1) * frameSeconds / 3600;
    }

    private double core(double[] frame) {
        return frame[rows / 2 * columns];
    }

    /** Collects frames while a simulation runs. */
    static final class Recorder {

        private final int columns;
        private final int rows;
        private final double frameSeconds;
        private final List<double[]> frames = new ArrayList<>();
        private final List<Double> converted = new ArrayList<>();
        private double peak = Double.NEGATIVE_INFINITY;
        private double peakSecond;
        private final boolean round;
        private boolean[] gelled = {};

        Recorder(int columns, int rows, double frameSeconds, boolean round) {
            this.round = round;
            this.columns = columns;
            this.rows = rows;
            this.frameSeconds = frameSeconds;
        }

        void record(double second, double[] temperature, double[] conversion, boolean[] gelledNow) {
            if (second >= frames.size() * frameSeconds) {
                frames.add(temperature.clone());
                converted.add(Arrays.stream(conversion).average().orElse(0));
            }
            for (double t : temperature) {
                if (t > peak) {
                    peak = t;
                    peakSecond = second;
                }
            }
            gelled = gelledNow;
        }

        LoafHistory history(double gelPoint) {
            return new LoafHistory(
                    columns, rows, frameSeconds, frames, converted, peak, peakSecond / 3600, gelShare(), gelPoint);
        }

        private double gelShare() {
            double count = 0;
            double all = 0;
            for (int r = 0; r < rows; r++) {
                for (int c = 0; c < columns; c++) {
                    boolean corner = c == columns - 1 && (r == 0 || r == rows - 1);
                    if (!corner) {
                        // Rings of a cylinder hold more the farther out they are.
                        double part = round ? 2 * c + 1 : 1;
                        all += part;
                        count += gelled[r * columns + c] ? part : 0;
                    }
                }
            }
            return count / all;
        }
    }
}
