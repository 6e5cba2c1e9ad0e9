package io.causticon.core.science.pots;

import io.causticon.core.science.pots.PotForecast.Reading;
import java.util.Comparator;
import java.util.List;

/**
 * Whether readings say that the lye is dissolved: while crystals remain the temperature rises; when it has levelled and
 * turned, they are gone. Strain it anyway.
 */
public final class Levelling {

    private static final double TURNED = 0.8;
    private static final double LEVEL_MINUTES = 1.5;
    private static final double STILL_RISING = 0.4;

    private Levelling() {}

    /** What the readings show. */
    public enum State {
        /** Too few readings since the feeding ended. */
        NOT_SEEN,
        /** Still going up: crystals are left. */
        RISING,
        /** It stands still. */
        LEVEL,
        /** It has come down from its height: dissolved. */
        TURNED
    }

    /**
     * @param readings since the first lye, in any order
     * @param fedBy minute at which the last lye went in
     */
    public static State of(List<Reading> readings, double fedBy) {
        List<Reading> sorted = readings.stream()
                .filter(r -> r.minute() >= fedBy - 0.01)
                .sorted(Comparator.comparingDouble(Reading::minute))
                .toList();
        if (sorted.size() < 2) {
            return State.NOT_SEEN;
        }
        Reading last = sorted.get(sorted.size() - 1);
        Reading high = sorted.stream()
                .max(Comparator.comparingDouble(Reading::celsius))
                .orElseThrow();
        if (high.celsius() - last.celsius() >= TURNED) {
            return State.TURNED;
        }
        Reading earlier = sorted.stream()
                .filter(r -> last.minute() - r.minute() >= LEVEL_MINUTES)
                .reduce((a, b) -> b)
                .orElse(null);
        if (earlier == null) {
            return State.NOT_SEEN;
        }
        return last.celsius() - earlier.celsius() > STILL_RISING ? State.RISING : State.LEVEL;
    }
}
