package io.causticon.web.batch;

import io.causticon.core.loaf.LoafHistory;
import io.causticon.web.shared.LogTimeAxis;
import java.util.ArrayList;
import java.util.List;

/**
 * The cross-section of a loaf at some moments of its life, for painting: both halves, top row first, heat in steps.
 *
 * @param columns cells from wall to wall
 * @param rows cells from top to bottom
 * @param moments what it looks like at each moment, with its place on the strip
 * @param shown index of the moment that is shown at first: its hottest
 */
record LoafSection(int columns, int rows, List<Moment> moments, int shown) {

    static final int STEPS = 16;
    private static final double COLDEST = 25;
    private static final double HOTTEST = 95;
    private static final int FRAMES = 60;

    /**
     * One moment.
     *
     * @param x its place on the strip
     * @param minutes since the batch was begun
     * @param core temperature of the middle, C
     * @param cells heat of each cell in steps from 0 to {@link #STEPS} - 1
     */
    record Moment(double x, double minutes, double core, int[] cells) {}

    static LoafSection of(LoafHistory history, LogTimeAxis axis, double pouredMinutes, double nowMinutes) {
        double last = Math.min(nowMinutes, pouredMinutes + 60 * history.hours());
        double from = axis.x(pouredMinutes);
        double to = axis.x(last);
        List<Moment> moments = new ArrayList<>();
        int shown = 0;
        for (int i = 0; i < FRAMES; i++) {
            double x = from + (to - from) * i / (FRAMES - 1);
            double minutes = Math.max(pouredMinutes, axis.minutesAt(x));
            double hours = (minutes - pouredMinutes) / 60;
            moments.add(new Moment(x, minutes, history.coreCelsiusAt(hours), cells(history, history.frameAt(hours))));
            if (moments.get(i).core() > moments.get(shown).core()) {
                shown = i;
            }
        }
        return new LoafSection(2 * history.columns(), history.rows(), moments, shown);
    }

    private static int[] cells(LoafHistory history, double[] half) {
        int c = history.columns();
        int[] cells = new int[2 * c * history.rows()];
        for (int row = 0; row < history.rows(); row++) {
            int fromBottom = history.rows() - 1 - row;
            for (int column = 0; column < c; column++) {
                int step = step(half[fromBottom * c + column]);
                cells[row * 2 * c + c + column] = step;
                cells[row * 2 * c + c - 1 - column] = step;
            }
        }
        return cells;
    }

    static int step(double celsius) {
        double part = (celsius - COLDEST) / (HOTTEST - COLDEST);
        return (int) Math.max(0, Math.min(STEPS - 1, Math.floor(part * STEPS)));
    }
}
