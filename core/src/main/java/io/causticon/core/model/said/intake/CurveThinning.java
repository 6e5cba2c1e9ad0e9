package io.causticon.core.model.said.intake;

import io.causticon.core.model.said.intake.LoggerShape.Reading;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Keeps so few readings of a curve that straight lines between them stay within a tolerance of all of them (the
 * swinging door; E. H. Bristol, 1990). It reads one at a time and remembers a few hundred, however many come; several
 * tolerances run side by side, and the finest that keeps few enough is taken.
 */
public final class CurveThinning {

    /** In kelvin; the finest is about what a thermocouple is sure of. */
    private static final double[] TOLERANCES = {0.5, 1, 2, 4, 8, 16, 32};

    private final int most;
    private final List<Door> doors = new ArrayList<>();
    private @Nullable Reading last;

    /** @param most so many readings are kept at most */
    public CurveThinning(int most) {
        this.most = most;
        for (double tolerance : TOLERANCES) {
            doors.add(new Door(tolerance));
        }
    }

    /** Takes the next reading. One that is not later than the last is dropped. */
    public void add(Reading reading) {
        Reading before = last;
        if (before != null && !reading.at().isAfter(before.at())) {
            return;
        }
        last = reading;
        doors.forEach(d -> d.add(reading));
        doors.removeIf(d -> d.kept.size() >= most && doors.indexOf(d) < doors.size() - 1);
    }

    /** Those that are kept, in their order. */
    public List<Reading> kept() {
        Door door = doors.get(0);
        List<Reading> all = new ArrayList<>(door.kept);
        Reading end = last;
        if (end != null
                && (all.isEmpty() || end.at().isAfter(all.get(all.size() - 1).at()))) {
            all.add(end);
        }
        return all.size() <= most ? all : extremes(all);
    }

    /** How far a reading that was not kept may lie from the lines between those that were, in kelvin. */
    public double toleranceKelvin() {
        return doors.get(0).tolerance;
    }

    /** Where not even the coarsest is few enough, every so-manieth, and the hottest of all. */
    private List<Reading> extremes(List<Reading> all) {
        Reading hottest = all.stream()
                .max(Comparator.comparingDouble(r -> r.temperature().celsius()))
                .orElseThrow();
        int every = (all.size() + most - 1) / most;
        List<Reading> some = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            if (i % every == 0 || all.get(i) == hottest) {
                some.add(all.get(i));
            }
        }
        return some;
    }

    /** One tolerance. */
    private static final class Door {

        private final double tolerance;
        private final List<Reading> kept = new ArrayList<>();
        private @Nullable Reading pivot;
        private @Nullable Reading before;
        private double steepest;
        private double flattest;

        private Door(double tolerance) {
            this.tolerance = tolerance;
        }

        private void add(Reading reading) {
            Reading from = pivot;
            if (from == null) {
                open(reading);
                kept.add(reading);
                return;
            }
            double seconds = seconds(from, reading);
            double up = (reading.temperature().celsius()
                            + tolerance
                            - from.temperature().celsius())
                    / seconds;
            double down = (reading.temperature().celsius()
                            - tolerance
                            - from.temperature().celsius())
                    / seconds;
            double lowest = Math.min(steepest, up);
            double highest = Math.max(flattest, down);
            Reading latest = before;
            if (highest > lowest && latest != null) {
                kept.add(latest);
                open(latest);
                before = null;
                add(reading);
                return;
            }
            steepest = lowest;
            flattest = highest;
            before = reading;
        }

        private void open(Reading at) {
            pivot = at;
            before = null;
            steepest = Double.POSITIVE_INFINITY;
            flattest = Double.NEGATIVE_INFINITY;
        }

        private static double seconds(Reading from, Reading to) {
            return Duration.between(from.at(), to.at()).toMillis() / 1000.0;
        }
    }
}
