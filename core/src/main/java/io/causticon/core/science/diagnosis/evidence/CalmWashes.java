package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * Washes that were calm, of soap that is old enough and out of its mould. Some hands feel nothing of any soap,
 * and of a small excess many do not (a judgement); so where nobody titrates, a second bar on another day is asked for.
 */
public final class CalmWashes {

    /** So many do where no burette is at hand. */
    static final int ENOUGH = 2;

    /** What free alkali does to a hand is felt by then, and the next is another day's hand (a judgement). */
    private static final Duration APART = Duration.ofDays(3);
    private static final Duration APART_WHEN_COOKED = Duration.ofDays(1);

    private CalmWashes() {}

    /** With how many bars: two where a later one was with what is not certainly the same bar, never more. */
    static int bars(BatchFacts facts) {
        return calm(facts).isEmpty() ? 0 : second(facts).isPresent() ? ENOUGH : 1;
    }

    /** When the second was, some days after the first and not certainly with the same bar; empty where none was. */
    public static Optional<Instant> second(BatchFacts facts) {
        List<BatchLog.Timed<Entry.WashTested>> calm = calm(facts);
        return calm.stream()
                .findFirst()
                .flatMap(first -> calm.stream()
                        .filter(w -> !w.at().isBefore(first.at().plus(apart(facts)))
                                && !Bars.areTheSame(
                                        w.entry().on(), first.entry().on()))
                        .map(BatchLog.Timed::at)
                        .findFirst());
    }

    public static boolean areEnough(BatchFacts facts) {
        return bars(facts) >= ENOUGH;
    }

    /** From when on the second one counts; empty where there is no first. */
    public static Optional<Instant> secondFrom(BatchFacts facts) {
        return calm(facts).stream().findFirst().map(first -> first.at().plus(apart(facts)));
    }

    /** The same in words. */
    public static String wordsApart(BatchFacts facts) {
        return daysApart(facts) == 1 ? "a day" : "three days";
    }

    /** Days that lie between the two. */
    public static long daysApart(BatchFacts facts) {
        return apart(facts).toDays();
    }

    /** What was cooked through changes no more, and is used sooner. */
    private static Duration apart(BatchFacts facts) {
        return facts.isCookedThrough() ? APART_WHEN_COOKED : APART;
    }

    private static List<BatchLog.Timed<Entry.WashTested>> calm(BatchFacts facts) {
        return facts.log()
                .of(Entry.WashTested.class)
                .filter(w -> w.entry().feel() == WashFeel.CALM && facts.isTestOnSkin(w.at()))
                .toList();
    }
}
