package io.causticon.web.places.batch;

import io.causticon.core.science.loaf.LoafHistory;
import io.causticon.web.shared.LogTimeAxis;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * The cross-section of a loaf at some moments of its life, for painting. Only the half from the middle to the right is
 * told, top row first: the other is its mirror.
 *
 * @param columns cells from the middle to the wall
 * @param rows cells from top to bottom
 * @param widthToHeight of the whole section
 * @param moments what it looks like at each moment, with its place on the strip
 * @param shown index of the moment that is shown at first: its hottest
 */
record LoafSection(int columns, int rows, double widthToHeight, List<Moment> moments, int shown) {

    static final int STEPS = 16;
    static final double COLDEST = 20;
    static final double HOTTEST = 100;
    private static final int FRAMES = 60;

    /**
     * One moment.
     *
     * @param x its place on the strip
     * @param minutes since the batch was begun
     * @param core temperature of the middle, C
     * @param gelled share of the section that has gelled by then, 0 to 1
     * @param celsius temperature of each cell, C
     * @param aboveGel how far each cell has come above what it takes to gel, K
     */
    record Moment(double x, double minutes, double core, double gelled, double[] celsius, double[] aboveGel) {}

    static LoafSection of(LoafHistory history, LogTimeAxis axis, double pouredMinutes, double nowMinutes) {
        double last = Math.min(nowMinutes, pouredMinutes + 60 * history.hours());
        double from = axis.x(pouredMinutes);
        double to = axis.x(last);
        double[] minutes = IntStream.range(0, FRAMES)
                .mapToDouble(i -> Math.max(pouredMinutes, axis.minutesAt(from + (to - from) * i / (FRAMES - 1))))
                .toArray();
        double[] hours =
                DoubleStream.of(minutes).map(m -> (m - pouredMinutes) / 60).toArray();
        List<double[]> aboveGel = history.aboveGelUntil(hours);
        List<Moment> moments = new ArrayList<>();
        int shown = 0;
        for (int i = 0; i < FRAMES; i++) {
            moments.add(new Moment(
                    from + (to - from) * i / (FRAMES - 1),
                    minutes[i],
                    history.coreCelsiusAt(hours[i]),
                    history.gelShare(aboveGel.get(i)),
                    topFirst(history.cells(), history.frameAt(hours[i])),
                    topFirst(history.cells(), aboveGel.get(i))));
            if (moments.get(i).core() > moments.get(shown).core()) {
                shown = i;
            }
        }
        return new LoafSection(
                history.cells().columns(),
                history.cells().rows(),
                history.cells().widthToHeight(),
                moments,
                shown);
    }

    private static double[] topFirst(LoafHistory.Cells cells, double[] bottomFirst) {
        double[] turned = new double[bottomFirst.length];
        for (int row = 0; row < cells.rows(); row++) {
            System.arraycopy(
                    bottomFirst,
                    (cells.rows() - 1 - row) * cells.columns(),
                    turned,
                    row * cells.columns(),
                    cells.columns());
        }
        return turned;
    }

    /** The step of the scale in which a temperature lies, 0 to {@link #STEPS} - 1. */
    static int step(double celsius) {
        double part = (celsius - COLDEST) / (HOTTEST - COLDEST);
        return (int) Math.max(0, Math.min(STEPS - 1, Math.floor(part * STEPS)));
    }
}
