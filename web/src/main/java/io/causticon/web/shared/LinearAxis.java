package io.causticon.web.shared;

/**
 * A linear axis.
 *
 * @param from value at the start
 * @param to value at the end
 * @param start coordinate of the start
 * @param end coordinate of the end
 */
public record LinearAxis(double from, double to, double start, double end) {

    /** The coordinate of a value; values outside stand at the end. */
    public double at(double value) {
        double held = Math.max(Math.min(from, to), Math.min(Math.max(from, to), value));
        return start + (end - start) * (held - from) / (to - from);
    }
}
