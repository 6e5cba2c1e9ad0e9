package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.science.facts.BatchFacts;

/**
 * How a workshop logs. Some tell all that they looked at, most only what is odd; of these silence about a bar that was
 * in their hands says a little.
 *
 * @param seen how often something was said to be there
 * @param absent how often it was said to have been looked for and not there
 */
public record LoggingHabit(int seen, int absent) {

    /** Of a workshop that nobody knows yet: silence says nothing. */
    public static final LoggingHabit UNKNOWN = new LoggingHabit(0, 0);

    /**
     * Silence weighs at most so much of what a look would, 0 to 1: eight silences are not eight looks (a judgement).
     */
    private static final double MOST = .25;

    /** As if so many had been told of each before anything is known, so that a handful proves nothing (a judgement). */
    private static final double BEFOREHAND = 5;

    /** How one batch was logged. */
    public static LoggingHabit of(BatchFacts facts) {
        int all = (int) facts.log().of(Entry.Observed.class).count();
        int absent = (int) facts.log()
                .of(Entry.Observed.class)
                .filter(o -> o.entry().presence() == Presence.LOOKED_AND_ABSENT)
                .count();
        return new LoggingHabit(all - absent, absent);
    }

    public LoggingHabit plus(LoggingHabit other) {
        return new LoggingHabit(seen + other.seen, absent + other.absent);
    }

    /** How much silence weighs of what a look would that found nothing, 0 to {@value #MOST}. */
    public double silenceShare() {
        double told = (absent + BEFOREHAND) / (seen + absent + 2 * BEFOREHAND);
        return MOST * Math.max(0, 1 - 2 * told);
    }
}
