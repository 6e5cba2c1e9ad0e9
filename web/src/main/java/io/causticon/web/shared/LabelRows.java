package io.causticon.web.shared;

import java.util.Arrays;

/**
 * Puts labels into rows so that none covers another; a label that fits nowhere is left to the list beside the drawing.
 */
public final class LabelRows {

    private static final double PER_LETTER = 6.9;
    private static final double GAP = 8;

    private final double[] taken;
    private final double right;

    /**
     * @param rows how many rows there are
     * @param right where the drawing ends
     */
    public LabelRows(int rows, double right) {
        this.taken = new double[rows];
        Arrays.fill(taken, Double.NEGATIVE_INFINITY);
        this.right = right;
    }

    /**
     * Where a label goes.
     *
     * @param row its row, -1 when there is no room
     * @param x its left edge
     */
    public record Place(int row, double x) {}

    /** Takes a place for a label at or near an x. Labels come in the order of their x. */
    public Place take(double x, String words) {
        double width = words.length() * PER_LETTER;
        double left = Math.min(x, right - width);
        for (int row = 0; row < taken.length; row++) {
            if (left >= taken[row]) {
                taken[row] = left + width + GAP;
                return new Place(row, left);
            }
        }
        return new Place(-1, left);
    }

    /** How wide a word is drawn, about. */
    public static double widthOf(String words) {
        return words.length() * PER_LETTER;
    }
}
