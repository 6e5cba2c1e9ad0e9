package io.causticon.core.workshop.assessment;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.science.diagnosis.evidence.ClosedIn;
import io.causticon.core.science.facts.BatchFacts;
import java.util.List;
import java.util.stream.Stream;

/**
 * Which fresh faces are looked at when a loaf is cut. A loaf with pockets shows one in two bars of five, so three clean
 * faces miss every fifth such loaf, and six miss one in twenty-five; nobody has to spoil a bar for it, as all of them
 * are cut then.
 */
public final class Faces {

    private static final int WANTED = 6;

    private Faces() {}

    /**
     * What is logged where they were looked at and clean: of both that was asked for.
     *
     * @param faces how many were asked for; no more count than that
     */
    public static List<Entry> clean(int faces) {
        Bars on = Bars.some(Math.max(1, Math.min(WANTED, faces)));
        return Stream.of(Findings.WHITE_SPOTS, Findings.WEEPING_DOTS)
                .<Entry>map(f -> new Entry.Observed(f.id(), Presence.LOOKED_AND_ABSENT, on))
                .toList();
    }

    /** How many are to be looked at now; 0 where it is not cut, or somebody looked. */
    public static int toLookAt(BatchFacts facts) {
        int bars =
                facts.log().last(Entry.Cut.class).map(cut -> cut.entry().bars()).orElse(0);
        return !ClosedIn.isTimeToLook(facts) || ClosedIn.facesLookedAt(facts) > 0 ? 0 : Math.min(WANTED, bars);
    }
}
