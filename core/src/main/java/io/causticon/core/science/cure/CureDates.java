package io.causticon.core.science.cure;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;

/**
 * The days that a cure goes by, as logged or as expected.
 *
 * @param poured when the batter went into the mould
 * @param unmoulded when it left the mould, or was cut
 * @param oldEnough when it is old enough for its kind, and for its maker where she wants it older (some give all-olive
 *     soap a year); never younger
 */
public record CureDates(Instant poured, Instant unmoulded, Instant oldEnough) {

    private static final Duration WEEK = Duration.ofDays(7);

    /** Of a batch; what was cooked after all keeps the dates of what is cooked. */
    public static CureDates of(BatchPlan plan, BatchLog log) {
        Schedule made = Schedule.of(BatchFacts.planAsMade(plan, log));
        Instant poured = log.first(Entry.Poured.class)
                .map(p -> p.at())
                .orElse(log.begun().plus(Schedule.bench(plan)));
        Instant unmoulded = log.first(Entry.Unmoulded.class)
                .map(u -> u.at())
                .or(() -> log.first(Entry.Cut.class).map(c -> c.at()))
                .orElse(poured.plus(made.unmould()));
        Duration wanted = log.last(Entry.ToCure.class)
                .map(c -> WEEK.multipliedBy(c.entry().weeks()))
                .orElse(Duration.ZERO);
        return new CureDates(
                poured, unmoulded, unmoulded.plus(wanted.compareTo(made.cure()) > 0 ? wanted : made.cure()));
    }
}
