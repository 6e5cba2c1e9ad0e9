package io.causticon.core.workshop.assessment;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;

/**
 * Why a batch may not be used or sold.
 *
 * @param kind what speaks against it
 * @param since when it was first held, or now where that arises
 * @param because what was said then, or what speaks for it now
 * @param isLogged whether a line of its log holds it
 */
public record Hold(Kind kind, Instant since, String because, boolean isLogged) {

    /** What speaks against it. */
    public enum Kind {
        /** A hazard is likely. */
        HAZARD,
        /** A test burned, stung or found alkali, and was not repeated since. */
        SIGN,
        /** It rots or is stale: it burns nobody, and is not for use or sale. */
        UNFIT,
        /** It cannot be worked out. */
        NOT_JUDGED,
        /** Nothing speaks against it now; it was held, and nobody has released it. */
        BY_HAND
    }

    /** The last verdict of the log, where that holds it. */
    static Optional<Hold> logged(BatchLog log) {
        return Life.isHeld(log)
                ? log.last(Entry.Held.class)
                        .map(h -> new Hold(Kind.BY_HAND, h.at(), h.entry().reason(), true))
                : Optional.empty();
    }

    static Optional<Hold> of(BatchLog log, Diagnostician.Examined examined, Instant now) {
        Optional<Hold> logged = logged(log);
        Diagnosis worst = examined.worst();
        if (worst.verdict() != Diagnosis.Verdict.HOLD) {
            return logged;
        }
        Kind kind =
                worst.anyHazard() >= Diagnosis.HOLD_FROM ? Kind.HAZARD : worst.signStands() ? Kind.SIGN : Kind.UNFIT;
        return Optional.of(logged.map(h -> new Hold(kind, h.since(), h.because(), true))
                .orElseGet(() -> new Hold(kind, now, because(kind, worst, part(examined)), false)));
    }

    /** Name of the part that it is about, where one is. */
    private static String part(Diagnostician.Examined examined) {
        return examined.parts().entrySet().stream()
                .filter(e -> e.getValue() == examined.worst())
                .map(e -> " in " + e.getKey())
                .findFirst()
                .orElse("");
    }

    private static String because(Kind kind, Diagnosis worst, String part) {
        return switch (kind) {
            case HAZARD ->
                worst.reports().stream()
                        .filter(r -> r.condition().hazard())
                        .max(Comparator.comparingDouble(ConditionReport::probability))
                        .map(r -> r.condition().name() + part + " stood at " + told(r.probability()))
                        .orElse("a hazard is likely");
            case SIGN -> "a sign of a hazard stands" + part;
            case UNFIT ->
                worst.unfit()
                        .map(r -> r.condition().name() + part + ": not for use or sale")
                        .orElse("not for use or sale");
            case NOT_JUDGED, BY_HAND -> "";
        };
    }

    /** A probability as it is told in a log: never none, never certain. */
    private static String told(double probability) {
        long percent = Math.round(100 * probability);
        return percent < 1 ? "under 1 %" : percent > 99 ? "over 99 %" : percent + " %";
    }
}
