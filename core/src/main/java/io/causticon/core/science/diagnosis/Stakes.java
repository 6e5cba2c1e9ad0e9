package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;

/**
 * What is at stake when it is decided what becomes of a batch: give it into hands, keep it back, or rebatch it; and of
 * its looks, mend them or leave them. Everything is priced in minutes of a maker's time (judgements; hazards dear), so
 * that a look that changes no decision is worth nothing.
 */
final class Stakes {

    /**
     * Somebody is burned. With what keeping a batch back costs it is given away where all hazards together are ruled
     * out.
     */
    private static final double BURNED = 25_000;

    /** Keeping back a batch that is sound: shelf, and looking again. */
    private static final double KEPT_BACK = 500;

    /** Keeping back what will never be sound. */
    private static final double KEPT_IN_VAIN = 2_000;

    private static final double REBATCHED = 1_100;
    private static final double MENDED = 30;
    private static final double LEFT_UNMENDED = 60;

    /** A hand that washes with what burns, a tongue that touches it. */
    private static final double HAND = 20_000;

    private static final double TONGUE = 60_000;
    private static final double DAY_OF_WAITING = 40;

    private Stakes() {}

    /** Of the best choice at this probability of any hazard. */
    static double ofHazards(double hazard) {
        return Math.min(hazard * BURNED, Math.min(KEPT_BACK + hazard * KEPT_IN_VAIN, REBATCHED));
    }

    /** Of the best choice at this probability of a fault in looks. */
    static double ofLooks(double fault) {
        return Math.min(MENDED, fault * LEFT_UNMENDED);
    }

    /** What the first calm test is worth by itself: without one nothing is given away. */
    static double ofTheFirstTest(double calm, double hazardIfCalm) {
        return calm * Math.max(0, KEPT_BACK - ofHazards(hazardIfCalm));
    }

    /** Of a look: its minutes, its days of waiting, and the skin that it is made with. */
    static double effort(NextLook look, double hazard) {
        boolean washes = look.finding().group() == Finding.Group.USE
                || look.finding().group() == Finding.Group.SKIN
                        && !look.finding().isMeasured();
        double skin = look.finding().equals(Findings.ZAP) ? TONGUE : washes ? HAND : 0;
        return look.finding().minutes() + DAY_OF_WAITING * look.delay().toHours() / 24.0 + skin * hazard;
    }

    /** Whether a batch with this probability of any hazard would be given away, were its tests there. */
    static boolean frees(double hazard) {
        return hazard < Diagnosis.NAMED_BELOW;
    }
}
