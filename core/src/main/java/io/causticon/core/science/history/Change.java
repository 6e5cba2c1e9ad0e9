package io.causticon.core.science.history;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/** Something that one batch had otherwise than another. */
public sealed interface Change {

    /** A measure that moved by more than scales and thermometers do by themselves; in its unit. */
    record Moved(Measure measure, double before, double after) implements Change {}

    /** Something that was done another way. */
    record Switched(String what, String before, String after) implements Change {}

    /** A substance that was not in it before, or was and is no more. */
    record Swapped(String substance, boolean isNew) implements Change {}

    /** The same substance of another lot. */
    record OtherLot(String substance, String before, String after) implements Change {}

    /** What was set otherwise, the largest steps first. What came of it is no change that somebody made. */
    static List<Change> between(Chapter before, Chapter after) {
        List<Change> changes = new ArrayList<>();
        Arrays.stream(Measure.values())
                .filter(Measure::isSet)
                .filter(m ->
                        before.measures().containsKey(m) && after.measures().containsKey(m))
                .map(m ->
                        new Moved(m, before.measures().get(m), after.measures().get(m)))
                .filter(m -> steps(m) >= 1)
                .sorted((a, b) -> Double.compare(steps(b), steps(a)))
                .forEach(changes::add);
        for (String what : new TreeSet<>(before.ways().keySet())) {
            String now = after.ways().get(what);
            if (now != null && !now.equals(before.ways().get(what))) {
                changes.add(new Switched(what, before.ways().get(what), now));
            }
        }
        if (!before.mould().equals(after.mould())) {
            changes.add(new Switched("mould", before.mould(), after.mould()));
        }
        after.substances().stream()
                .sorted()
                .filter(s -> !before.substances().contains(s))
                .forEach(s -> changes.add(new Swapped(s, true)));
        before.substances().stream()
                .sorted()
                .filter(s -> !after.substances().contains(s))
                .forEach(s -> changes.add(new Swapped(s, false)));
        for (Map.Entry<String, String> lot : before.lots().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .toList()) {
            String now = after.lots().get(lot.getKey());
            if (now != null && !now.equals(lot.getValue())) {
                changes.add(new OtherLot(lot.getKey(), lot.getValue(), now));
            }
        }
        return changes;
    }

    private static double steps(Moved moved) {
        return Math.abs(moved.after() - moved.before()) / moved.measure().leastStep();
    }
}
