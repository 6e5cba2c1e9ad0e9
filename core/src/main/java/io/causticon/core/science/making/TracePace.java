package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Stage;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * How soon a batter came to light trace, against what its plan lets expect anywhere. The plan's own temperature and the
 * usual bursts, or the whisk that was used instead, are compared with, so that heat, a blender that ran long, or a
 * fragrance are what may explain the difference.
 *
 * @param at when the batter was first seen at light trace or past it
 * @param isLight whether it was at light trace then, and not past it
 * @param minutes from the lye to it
 * @param expected central 80 % by the documented prior, minutes
 * @param deviations standard deviations of the logarithm of the minutes from their middle; negative for sooner
 */
public record TracePace(Instant at, boolean isLight, double minutes, Interval expected, double deviations) {

    private static final double SECONDS_PER_MINUTE = 60;

    /** Sooner than a maker can tap. */
    private static final double LEAST_MINUTES = 0.25;

    /** Empty while light trace, or the lye before it, is not logged. */
    public static Optional<TracePace> of(BatchFacts facts) {
        Optional<Instant> lyeIn = facts.log().first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        Optional<BatchLog.Timed<Entry.StageReached>> light =
                facts.log().first(Entry.StageReached.class, s -> s.stage().isAtLeast(Stage.LIGHT));
        return lyeIn.flatMap(in -> light.filter(l -> !l.at().isBefore(in)).map(l -> between(facts, in, l)));
    }

    private static TracePace between(BatchFacts facts, Instant in, BatchLog.Timed<Entry.StageReached> light) {
        TraceKnowledge.Known expected = TraceKnowledge.PRIOR.logMinutes(Situation.planned(facts));
        double minutes =
                Math.max(LEAST_MINUTES, Duration.between(in, light.at()).toSeconds() / SECONDS_PER_MINUTE);
        return new TracePace(
                light.at(),
                light.entry().stage() == Stage.LIGHT,
                minutes,
                Interval.between(Math.exp(expected.low()), Math.exp(expected.high())),
                (Math.log(minutes) - expected.middle()) / expected.deviation());
    }
}
