package io.causticon.core.science.diagnosis;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.wording.Phrase;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Why a bar is passed round to nobody. Whoever washes to compare takes no risk for it: what is held, set apart, given
 * up, not measured where a measurement comes first, or has no calm wash of its own stays where it is.
 */
public final class KeptFromHands {

    private KeptFromHands() {}

    /**
     * @param portion of which part; empty for a whole batch
     * @param next what is to be tested next, asked for only where nothing plainer keeps it back
     * @return empty where it may be washed with
     */
    public static Optional<Phrase> of(BatchLog log, String portion, Supplier<NextTest> next) {
        if (Life.of(log) == Life.ABANDONED) {
            return Optional.of(Phrase.of("given up"));
        } else if (takenOut(log).isEmpty()) {
            return Optional.of(Phrase.of("not cut yet"));
        } else if (Life.isHeld(log)) {
            return Optional.of(Phrase.of("held"));
        }
        Bars bars = portion.isEmpty() ? Bars.some(1) : Bars.some(1).of(Named.called(portion));
        Optional<Entry.SetApart> apart = BarStock.of(log).apart(bars);
        if (apart.isPresent()) {
            return Optional.of(Phrase.of("set apart: {}", apart.get().reason()));
        } else if (next.get().keptFromSkin()) {
            return Optional.of(Phrase.of("a measurement or two days more come first"));
        }
        boolean calm = log.of(Entry.WashTested.class)
                .anyMatch(w -> w.entry().feel() == WashFeel.CALM
                        && (w.entry().on() == null
                                || portion.isEmpty()
                                || w.entry().on().mayBeOf(portion)));
        return calm ? Optional.empty() : Optional.of(Phrase.of("one calm wash of its own comes first"));
    }

    /** Whether it is out of the question until somebody says otherwise: given up, held, or set apart. */
    public static boolean isOut(BatchLog log, String portion) {
        Bars bars = portion.isEmpty() ? Bars.some(1) : Bars.some(1).of(Named.called(portion));
        return Life.of(log) == Life.ABANDONED
                || Life.isHeld(log)
                || BarStock.of(log).apart(bars).isPresent();
    }

    /** From when bars count their age: the cut, or that they left the mould where nothing was cut. */
    public static Optional<Instant> takenOut(BatchLog log) {
        return log.first(Entry.Cut.class)
                .map(BatchLog.Timed::at)
                .or(() -> log.first(Entry.Unmoulded.class).map(BatchLog.Timed::at));
    }
}
