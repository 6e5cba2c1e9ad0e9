package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.diagnosis.network.Belief;
import io.causticon.core.science.diagnosis.network.Network;
import io.causticon.core.science.diagnosis.network.Weight;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Ranks what to look at next by how much better the batch would be decided on afterwards, less the effort. What would
 * change no decision is not offered, however much it would tell.
 */
final class NextLooks {

    /** More than this nobody reads. */
    private static final int MOST = 8;

    /** Minutes of a maker's time. */
    private static final double WORTH_LOOKING = .5;

    /** So long a batch may have to wait for its first day of a look. */
    private static final Duration LONGEST_WAIT = Duration.ofDays(14);

    private static final Interval CERTAIN = Interval.between(1e-9, 1 - 1e-9);

    private final Network network;
    private final Belief belief;
    private final int leader;

    NextLooks(Network network, Belief belief) {
        this.network = network;
        this.belief = belief;
        this.leader = leader();
    }

    /**
     * What is worth looking at.
     *
     * @param looks the best first
     * @param oneCouldFree whether there is one look whose calm outcome would let the batch go, as far as its hazards
     *     are concerned
     */
    record Ranked(List<NextLook> looks, boolean oneCouldFree) {}

    /** @param tested whether a calm test is there already */
    Ranked ranked(Set<Finding> known, Duration age, boolean tested) {
        List<NextLook> looks = new ArrayList<>();
        boolean frees = Stakes.frees(belief.anyHazard());
        for (int f = 0; f < network.findings().size(); f++) {
            Finding finding = network.findings().get(f);
            if (!known.contains(finding) && isOffered(finding, age)) {
                Belief.Outlook outlook = belief.outlook(f, leader);
                frees |= Stakes.frees(outlook.hazardIfNot());
                looks.add(worth(finding, outlook, age, tested));
            }
        }
        List<NextLook> best = looks.stream()
                .filter(l -> l.worth() > WORTH_LOOKING)
                .sorted(Comparator.comparingDouble(NextLook::worth).reversed())
                .limit(MOST)
                .map(this::told)
                .toList();
        return new Ranked(best, frees);
    }

    /** Its outcomes are told for the condition that they move most, of those that bring it about. */
    private NextLook told(NextLook look) {
        int f = network.indexOf(look.finding());
        NextLook best = look;
        for (int c = 0; c < network.conditions().size(); c++) {
            if (network.canBringAbout(c, f)) {
                Belief.Outlook outlook = belief.outlook(f, c);
                if (moves(outlook.conditionIfNot(), outlook.conditionIfFound()) > moves(best.ifNot(), best.ifFound())) {
                    best = new NextLook(
                            look.finding(),
                            look.worth(),
                            look.delay(),
                            look.likely(),
                            network.conditions().get(c),
                            outlook.conditionIfFound(),
                            outlook.conditionIfNot());
                }
            }
        }
        return best;
    }

    /** In decibans. */
    private static double moves(double ifNot, double ifFound) {
        return Weight.between(CERTAIN.clamp(ifNot), CERTAIN.clamp(ifFound)).decibans();
    }

    private boolean isOffered(Finding finding, Duration age) {
        boolean pot = finding.group() == Finding.Group.POT;
        boolean touchedTooSoon = touchesSkin(finding) && belief.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH;
        boolean inTime = finding.from().minus(age).compareTo(LONGEST_WAIT) <= 0 && age.compareTo(finding.until()) <= 0;
        return !pot && !touchedTooSoon && finding.absenceClears() && inTime;
    }

    /** Whether somebody washes with it, tastes it or is touched by it. */
    private static boolean touchesSkin(Finding finding) {
        return finding.group() == Finding.Group.USE || finding.group() == Finding.Group.SKIN && !finding.isMeasured();
    }

    private NextLook worth(Finding finding, Belief.Outlook outlook, Duration age, boolean tested) {
        double likely = outlook.likely();
        double now = belief.anyHazard();
        double gain = Stakes.ofHazards(now)
                - likely * Stakes.ofHazards(outlook.hazardIfFound())
                - (1 - likely) * Stakes.ofHazards(outlook.hazardIfNot());
        if (!network.conditions().get(leader).hazard()) {
            gain += Stakes.ofLooks(belief.of(leader))
                    - likely * Stakes.ofLooks(outlook.conditionIfFound())
                    - (1 - likely) * Stakes.ofLooks(outlook.conditionIfNot());
        }
        double first = tested || !Diagnosis.TESTS.contains(finding)
                ? 0
                : Stakes.ofTheFirstTest(1 - likely, outlook.hazardIfNot());
        Duration delay =
                finding.from().compareTo(age) > 0 ? finding.from().minus(age).plus(finding.takes()) : finding.takes();
        NextLook look = new NextLook(
                finding,
                gain + first,
                delay,
                likely,
                network.conditions().get(leader),
                outlook.conditionIfFound(),
                outlook.conditionIfNot());
        return new NextLook(
                finding,
                look.worth() - Stakes.effort(look, now),
                delay,
                likely,
                look.about(),
                look.ifFound(),
                look.ifNot());
    }

    /** The condition that outcomes are told for: the likeliest hazard while any is open, else the likeliest of all. */
    private int leader() {
        boolean hazardOpen = belief.anyHazard() >= Diagnosis.NAMED_BELOW;
        int best = -1;
        for (int c = 0; c < network.conditions().size(); c++) {
            boolean fits = !hazardOpen || network.conditions().get(c).hazard();
            if (fits && (best < 0 || belief.of(c) > belief.of(best))) {
                best = c;
            }
        }
        return Math.max(best, 0);
    }
}
