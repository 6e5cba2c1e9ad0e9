package io.causticon.core.science.trial;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * When arms are to be judged, each at its own age. Arms that were cut together sit together; of what was made over
 * weeks those sit together that are of one age then.
 *
 * @param age of the panel
 * @param arms who sits, by name
 * @param due when each of them comes closest to that age together
 * @param closes after that one of them is too old for it
 * @param state what came of it
 */
public record PanelPlan(PanelAge age, List<String> arms, Instant due, Instant closes, State state) {

    public PanelPlan {
        arms = List.copyOf(arms);
    }

    /** What came of a panel. */
    public enum State {
        COMES,
        OPEN,
        /** Somebody judged all of its arms. */
        JUDGED,
        /** Nobody did in its time. What is judged later counts as the age that it has then. */
        MISSED
    }

    /**
     * All panels of what is cut.
     *
     * @param cuts when each arm was cut; those that were not are left out
     * @param judged arms that somebody judged, by the words of the age
     */
    public static List<PanelPlan> of(Map<String, Instant> cuts, Map<String, Set<String>> judged, Instant now) {
        List<PanelPlan> all = new ArrayList<>();
        List<String> byCut =
                cuts.keySet().stream().sorted(Comparator.comparing(cuts::get)).toList();
        for (PanelAge age : PanelAge.values()) {
            Set<String> done = judged.getOrDefault(age.words(), Set.of());
            for (int from = 0; from < byCut.size(); ) {
                Instant closes = cuts.get(byCut.get(from)).plus(age.to());
                int to = from;
                while (to < byCut.size()
                        && !cuts.get(byCut.get(to)).plus(age.from()).isAfter(closes)) {
                    to++;
                }
                all.add(panel(age, byCut.subList(from, to), cuts, done, now));
                from = to;
            }
        }
        return all;
    }

    private static PanelPlan panel(
            PanelAge age, List<String> arms, Map<String, Instant> cuts, Set<String> done, Instant now) {
        Instant first = cuts.get(arms.get(0));
        Instant last = cuts.get(arms.get(arms.size() - 1));
        Instant closes = first.plus(age.to());
        Instant opens = last.plus(age.from());
        // Halfway between the oldest's and the youngest's day, and not before the youngest is old enough.
        Instant middle = first.plus(Duration.between(first, last).dividedBy(2)).plus(age.due());
        Instant due = middle.isBefore(opens) ? opens : middle.isAfter(closes) ? closes : middle;
        State state = done.containsAll(arms)
                ? State.JUDGED
                : now.isAfter(closes) ? State.MISSED : now.isBefore(opens) ? State.COMES : State.OPEN;
        return new PanelPlan(age, arms, due, closes, state);
    }

    /** Whether somebody is to sit down for it: until it closes it is due. */
    public boolean isDue() {
        return state == State.COMES || state == State.OPEN;
    }
}
