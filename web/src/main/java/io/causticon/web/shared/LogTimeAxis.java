package io.causticon.web.shared;

import java.util.List;

/**
 * A logarithmic axis of age.
 *
 * @param fromMinutes age at its left end, more than zero
 * @param toMinutes age at its right end
 * @param left x of the left end
 * @param right x of the right end
 */
public record LogTimeAxis(double fromMinutes, double toMinutes, double left, double right) {

    private static final double HOUR = 60;
    private static final double DAY = 1440;
    private static final List<Tick> TICKS = List.of(
            new Tick(1, "1 min"),
            new Tick(5, "5"),
            new Tick(15, "15"),
            new Tick(HOUR, "1 h"),
            new Tick(3 * HOUR, "3"),
            new Tick(8 * HOUR, "8"),
            new Tick(DAY, "1 day"),
            new Tick(3 * DAY, "3"),
            new Tick(7 * DAY, "1 wk"),
            new Tick(28 * DAY, "4 wk"),
            new Tick(91 * DAY, "3 mo"),
            new Tick(365 * DAY, "1 y"));

    /** A mark on the axis. */
    public record Tick(double minutes, String label) {}

    /** The x of an age; ages left of the axis stand at its end. */
    public double x(double minutes) {
        double at = Math.max(fromMinutes, Math.min(toMinutes, minutes));
        return left + (right - left) * Math.log(at / fromMinutes) / Math.log(toMinutes / fromMinutes);
    }

    /** The age at an x. */
    public double minutesAt(double x) {
        return fromMinutes * Math.pow(toMinutes / fromMinutes, (x - left) / (right - left));
    }

    /** The marks that lie on the axis. */
    public List<Tick> ticks() {
        return TICKS.stream()
                .filter(t -> t.minutes() >= fromMinutes && t.minutes() <= toMinutes)
                .toList();
    }
}
