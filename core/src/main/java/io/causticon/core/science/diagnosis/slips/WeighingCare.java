package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import java.util.Optional;

/** How many times as likely as usual a slip is with one thing, by how it was weighed. */
final class WeighingCare {

    /** Nobody looked at the number twice: slips are as much likelier (a judgement). */
    private static final double UNLOGGED = 5;

    /** It stood on the scale a second time and showed the same (a judgement). */
    private static final double WEIGHED_AGAIN = .1;

    /** Two weighings within this share of each other are the same. */
    private static final double SAME = .015;

    private final BatchFacts facts;

    WeighingCare(BatchFacts facts) {
        this.facts = facts;
    }

    double slipsWith(Weighable what) {
        if (facts.asWeighed().notLogged().contains(what)) {
            return UNLOGGED;
        }
        return again(what)
                        .filter(second -> Math.abs(second.dividedBy(logged(what)) - 1) < SAME)
                        .isPresent()
                ? WEIGHED_AGAIN
                : 1;
    }

    /** The second weighing where it showed something else. */
    Optional<Mass> otherwiseWeighed(Weighable what) {
        Mass first = logged(what);
        return again(what).filter(second -> first.isPositive() && Math.abs(second.dividedBy(first) - 1) >= SAME);
    }

    private Optional<Mass> again(Weighable what) {
        return logged(what).isPositive()
                ? facts.log()
                        .of(Entry.WeighedAgain.class)
                        .filter(w -> w.entry().what().equals(what))
                        .map(w -> w.entry().mass())
                        .reduce((a, b) -> b)
                : Optional.empty();
    }

    private Mass logged(Weighable what) {
        return facts.log()
                .of(Entry.Weighed.class)
                .filter(w -> w.entry().what().equals(what))
                .map(w -> w.entry().mass())
                .reduce(Mass.ZERO, Mass::plus);
    }
}
