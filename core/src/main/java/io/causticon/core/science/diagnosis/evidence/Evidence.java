package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Presence;
import java.time.Instant;
import java.util.OptionalDouble;

/**
 * A finding that was looked at.
 *
 * @param finding which
 * @param presence whether it was there
 * @param at when
 * @param source who says so
 * @param words how the log puts it
 * @param value what was measured, where it is known by a number
 * @param error of that number, one standard deviation in its unit
 * @param bars on how many different bars at least, 1 or more; one where nobody said
 * @param early whether it was looked for before the age from which that means something
 * @param settled whether other looks, each stronger than this one, found since that it was nothing
 */
public record Evidence(
        Finding finding,
        Presence presence,
        Instant at,
        Source source,
        String words,
        OptionalDouble value,
        OptionalDouble error,
        int bars,
        boolean early,
        boolean settled) {

    /**
     * Clean faces of one loaf are not independent: each one after the first counts for so much, 0 to 1 (a judgement).
     */
    public static final double NEIGHBOUR = 0.6;

    /** From so many bars on another clean one says nothing new (a judgement). */
    private static final int ENOUGH_BARS = 6;

    /** Who feels nothing of the second feels nothing of the third (a judgement). */
    private static final int ENOUGH_WASHES = 2;

    /** Who says so. */
    public enum Source {
        /** The maker saw it and said so. */
        MAKER,
        /** It follows from another line of the log. */
        LOG
    }

    public boolean isPresent() {
        return presence == Presence.SEEN;
    }

    /** How many times it counts: what hides in single bars is less likely with each one that is clean. */
    public double times() {
        if (isPresent() || !EvidenceReader.COUNTED_BY_BARS.contains(finding)) {
            return 1;
        }
        int enough = finding.equals(Findings.WASH_BURNS) ? ENOUGH_WASHES : ENOUGH_BARS;
        return 1 + NEIGHBOUR * (Math.min(bars, enough) - 1);
    }

    Evidence on(int differentBars) {
        return new Evidence(
                finding, presence, at, source, words, value, error, Math.max(1, differentBars), early, settled);
    }

    Evidence asSettled() {
        return new Evidence(finding, presence, at, source, words, value, error, bars, early, true);
    }

    /**
     * Whether it may move any probability: an absence that clears nothing does not, nor one that was told before it
     * could have come.
     */
    public boolean counts() {
        return !settled && (isPresent() || finding.absenceClears() && !early);
    }
}
