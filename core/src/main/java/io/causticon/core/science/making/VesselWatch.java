package io.causticon.core.science.making;

import io.causticon.core.model.log.Stage;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;

/**
 * Portions that were taken from the bowl and wait. A batter that stands goes grainy, so each portion has its share of
 * the minutes that the batter was going to stay workable when it was taken: one part of as many as there were portions
 * still to pour.
 *
 * @param portion which
 * @param waited minutes since it was taken
 * @param share minutes that it may
 * @param late whether it waited longer than that, or is likely to be thick before its turn
 * @param reason in words
 */
public record VesselWatch(String portion, double waited, double share, boolean late, Phrase reason) {

    /** Minutes that handling a portion takes. */
    private static final double HANDLING = 1.5;

    private static final double RISKY = 0.35;

    /**
     * @param record the batter until now
     * @param live the same, weighed
     * @param now minutes since lye-in
     */
    public static List<VesselWatch> of(
            List<BatterStep> steps, TraceKnowledge knowledge, MixRecord record, LiveTrace live, double now) {
        List<BatterStep> takes =
                steps.stream().filter(s -> s.kind() == BatterStep.Kind.TAKE).toList();
        List<VesselWatch> waiting = new ArrayList<>();
        for (BatterStep take : takes) {
            boolean poured = steps.stream()
                    .anyMatch(s -> s.kind() == BatterStep.Kind.POUR && s.name().equals(take.name()) && s.isDone());
            if (take.isDone() && !poured) {
                double waited = now - take.doneAt().orElse(now);
                long toPour = steps.stream()
                        .filter(s -> s.kind() == BatterStep.Kind.POUR)
                        .filter(s -> s.doneAt()
                                .map(d -> d > take.doneAt().orElse(0.0))
                                .orElse(true))
                        .count();
                double then = now - waited;
                double left = LiveTrace.of(knowledge, record.until(then), then)
                        .workable()
                        .median();
                double share = left / Math.max(1, toPour);
                double risk = live.probabilityWithin(Stage.THICK, HANDLING * (waiting.size() + 1));
                boolean late = waited > share || risk > RISKY;
                waiting.add(new VesselWatch(
                        take.name(),
                        waited,
                        share,
                        late,
                        late
                                ? waited > share
                                        ? Phrase.of(
                                                "{} waits {} min of its {} min: pour or stir it before another is"
                                                        + " touched",
                                                take.name(),
                                                waited,
                                                share)
                                        : Phrase.of("{} may be too thick before its turn: pour it next", take.name())
                                : Phrase.of("{} waits {} min of its {} min", take.name(), waited, share)));
            }
        }
        return waiting;
    }
}
