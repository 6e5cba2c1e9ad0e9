package io.causticon.evaluation;

import java.util.Locale;

/** So many of so many. */
final class Tally {

    private int hits;
    private int of;

    void add(boolean hit) {
        of++;
        hits += hit ? 1 : 0;
    }

    /** 0 to 1; nothing of nothing is 1. */
    double share() {
        return of == 0 ? 1 : (double) hits / of;
    }

    @Override
    public String toString() {
        return of == 0 ? "none" : String.format(Locale.ROOT, "%.1f %% of %d", 100.0 * hits / of, of);
    }
}
